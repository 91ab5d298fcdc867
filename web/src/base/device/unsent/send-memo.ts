import { sendBytes } from '../../api/client.ts';
import { dropMemo, keptMemo } from '../device.ts';

/** Sends a voice memo; it is small enough to go at once. @throws Refused, NoNetwork */
export const sendMemo = async (walk: string, memo: string): Promise<undefined> => {
  const blob = await keptMemo(memo);
  if (!blob) return undefined;
  const of = { params: { id: walk, memo } };
  await sendBytes('PUT /api/walks/:id/memos/:memo', of, await blob.arrayBuffer());
  await dropMemo(memo);
  return undefined;
};
