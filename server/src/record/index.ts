export { RecordChange, RecordField, Unit } from './entities.ts';
export { hiddenFrom, recordPlugin } from './plugin.ts';
export {
  pageOfUnits,
  pageParameters,
  pageStatement,
  readUnit,
  type ListQuery,
  type UnitView,
} from './read.ts';
export { importUnit, type Author } from './write.ts';
