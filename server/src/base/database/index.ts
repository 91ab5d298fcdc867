export { announce, announceEnd, channel, type News } from './announce.ts';
export {
  inYard,
  nobody,
  withinYard,
  type Author,
  type InYard,
  type WithinYard,
} from './in-yard.ts';
export { firstSent, forgetSent, isFirst, type Sent, type SentKind } from './sent-once.ts';
