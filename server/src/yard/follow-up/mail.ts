import type { KeptLetter, Letter } from '@fair-gable/core/yard/follow-up';
import { isFirst, type InYard } from '../../base/database/index.ts';
import { noteOnYard } from '../../base/access/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { Walk } from '../../show/walk/index.ts';
import { BuyerRow, LetterRow } from './entities.ts';

/** A letter as the mail takes it. */
export interface Mailed {
  readonly to: string;
  readonly subject: string;
  readonly text: string;
}

/** What takes letters to people. A yard connects its own; one that cannot takes none and throws. */
export interface MailOutbox {
  readonly hand: (letter: Mailed) => Promise<void>;
}

/**
 * The stand-in: nothing leaves the machine. What was handed to it stays in the yard’s own tray, where anybody can read
 * what would have been sent.
 */
export const trayOnly: MailOutbox = { hand: async () => {} };

const toKept = ({ id, walkId, to, subject, text, by, at, sentAt }: LetterRow): KeptLetter => ({
  id,
  walk: walkId,
  to,
  subject,
  text,
  by,
  at: at.toISOString(),
  sentAt: sentAt?.toISOString() ?? null,
});

/** The letters of a walk, or the yard's last ones. */
export const lettersOf = async (
  yard: InYard,
  walk: string | undefined,
): Promise<readonly KeptLetter[]> => {
  const order = { at: 'DESC' } as const;
  const rows = await yard.find(LetterRow, walk ? { walkId: walk } : {}, { order, take: 200 });
  return rows.map(toKept);
};

const addressOf = async (yard: InYard, walk: string): Promise<string> => {
  const row = await yard.findOne(Walk, { id: walk });
  const buyer = row?.buyerId ? await yard.findOne(BuyerRow, { id: row.buyerId }) : null;
  if (!row) {
    throw new Refusal(
      'not-found',
      'There is no such walk in this yard. Look for it under its unit.',
    );
  }
  if (!buyer) throw new Refusal('bad-input', 'Buyer: say first for whom this walk was given.');
  if (!buyer.email) {
    throw new Refusal('bad-input', `E-mail: ${buyer.name} left none. Call them, or ask for it.`);
  }
  return buyer.email;
};

/** Keeps a letter as it waits for the mail, or finds the one that was kept. @throws Refusal other-body */
const keepLetter = (yard: InYard, row: Omit<LetterRow, 'yardId'>): Promise<LetterRow> =>
  yard.within(async (within) => {
    const { id, walkId, subject, text } = row;
    const isNew = await isFirst(within, 'letter', { id, body: { walkId, subject, text } });
    if (isNew) {
      await within.insertMissing(LetterRow, [row]);
      await noteOnYard(within, { what: 'letter-written', subject: 'a buyer' });
      await within.announce('walk', walkId);
    }
    const kept = await within.findOne(LetterRow, { id });
    if (!kept) {
      throw new Refusal('not-found', 'This message was forgotten with its buyer. Write a new one.');
    }
    return kept;
  });

/**
 * Keeps a letter and hands it to the mail. Sent twice it goes once. One that the mail does not take waits; sent again
 * it is tried again.
 * @throws Refusal not-found, other-body, bad-input without a buyer who can be written to
 */
export const sendLetter = async (
  yard: InYard,
  mail: MailOutbox,
  letter: Letter,
): Promise<KeptLetter> => {
  const to = await addressOf(yard, letter.walk);
  const { id, walk: walkId, subject, text } = letter;
  const { name: by } = yard.author;
  const row = { id, walkId, to, subject, text, by, at: new Date(), sentAt: null };
  const kept = await keepLetter(yard, row);
  if (kept.sentAt) return toKept(kept);
  const taken = await mail.hand(kept).then(
    () => true,
    () => false,
  );
  if (!taken) return toKept(kept);
  const sentAt = new Date();
  await yard.within((within) => within.update(LetterRow, { id }, { sentAt }));
  return toKept({ ...kept, sentAt });
};
