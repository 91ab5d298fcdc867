import { sendBytes } from '../api/client.ts';
import { dropMemo, keptMemo } from './device.ts';

/** Sends a voice memo; it is small enough to go at once. @throws Refused, NoNetwork */
export const sendMemo = async (walk: string, memo: string): Promise<undefined> => {
  const blob = await keptMemo(memo);
  if (!blob) return undefined;
  await sendBytes(`/api/walks/${walk}/memos/${memo}`, await blob.arrayBuffer());
  await dropMemo(memo);
  return undefined;
};
