import { ask, sendBytes } from '../api/client.ts';
import { dropPicture, keptPicture } from './device.ts';

interface Arrived {
  readonly received: number;
  readonly done: boolean;
}

/** Bytes of one piece: on a bad line no more than this is sent twice. */
const piece = 256_000;

/**
 * Sends a photo in pieces, from where the server has it; what arrived is never sent again.
 * @throws Refused, NoNetwork
 */
export const sendPhoto = async (unit: string, photo: string): Promise<undefined> => {
  const blob = await keptPicture(photo);
  if (!blob) return undefined;
  const path = `/api/units/${unit}/photos/${photo}/upload`;
  let at = await ask<Arrived>('GET', path);
  while (!at.done) {
    const from = Math.min(at.received, blob.size - 1);
    const bytes = await blob.slice(from, from + piece).arrayBuffer();
    at = await sendBytes<Arrived>(`${path}?from=${from}&of=${blob.size}`, bytes);
  }
  await dropPicture(photo);
  return undefined;
};
