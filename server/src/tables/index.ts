export { dataSourceFor, knownMigrations, NewerDatabase, openDatabase } from './data-source.ts';
