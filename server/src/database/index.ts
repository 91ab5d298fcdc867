export { announce, announceEnd, channel, type News } from './announce.ts';
export { dataSourceFor, knownMigrations, NewerDatabase, openDatabase } from './data-source.ts';
export { inYard, type InYard } from './in-yard.ts';
