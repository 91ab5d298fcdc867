export { RecordChange, RecordField, Unit } from './entities.ts';
export { firstChange, sampleRating, sampleRecord, sampleUnit } from './examples.ts';
export { listParts } from './parts.ts';
export { hiddenFrom, recordPlugin } from './plugin.ts';
export {
  pageOfUnits,
  pageParameters,
  pageStatement,
  readUnit,
  recordStatement,
  recordsOf,
  type ListQuery,
} from './read.ts';
export { addUnits, editWithin, importUnit } from './write.ts';
