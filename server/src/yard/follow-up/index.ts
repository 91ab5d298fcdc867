export { BuyerRow, FollowUpRow, LetterRow } from './entities.ts';
export { keepBuyer, nameBuyer } from './buyers.ts';
export { keepFollowUp } from './follow-ups.ts';
export type { Mailed, MailOutbox } from './mail.ts';
export { followUpPlugin } from './plugin.ts';
