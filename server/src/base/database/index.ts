export { announce, announceEnd, channel, type News } from './announce.ts';
export { inYard, type InYard } from './in-yard.ts';
export { firstSent, forgetSent, isFirst, type Sent, type SentKind } from './sent-once.ts';
