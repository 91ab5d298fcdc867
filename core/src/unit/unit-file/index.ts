export {
  asTheFileSays,
  readUnitFile,
  toUnitFile,
  unitFileFormat,
  unitFileJsonSchema,
  unitFileSchema,
  unitFileVersion,
  type UnitFile,
  type UnitFileReading,
} from './unit-file.ts';
export { unitFileApi } from './api.ts';
