export {
  changesToFit,
  fittedHere,
  fittedName,
  fittedPounds,
  looseItems,
  type FittedLine,
  type LooseItem,
} from './aboard.ts';
