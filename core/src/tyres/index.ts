export {
  reserveWanted,
  tyres,
  tyresInputSchema,
  tyresOutcomeSchema,
  type TyresInput,
  type TyresValue,
} from './tyres.ts';
export { tyresInputOf } from './from-record.ts';
