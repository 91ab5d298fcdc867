export { announce, announceEnd, channel, type News } from './announce.ts';
export { dataSourceFor, knownMigrations, NewerDatabase, openDatabase } from './data-source.ts';
export { inYard, type InYard } from './in-yard.ts';
export { firstSent, forgetSent, isFirst, type Sent, type SentKind } from './sent-once.ts';
