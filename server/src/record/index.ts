export { RecordChange, RecordField, Unit } from './entities.ts';
export { recordPlugin } from './plugin.ts';
export { importUnit, readUnit, type Author, type UnitView } from './units.ts';
