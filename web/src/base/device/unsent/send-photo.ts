import { ask, sendBytes } from '../../api/client.ts';
import { dropPicture, keptPicture } from '../device.ts';

/** Bytes of one piece: on a bad line no more than this is sent twice. */
const pieceSize = 256_000;

/**
 * Sends a photo in pieces, from where the server has it; what arrived is never sent again.
 * @throws Refused, NoNetwork
 */
export const sendPhoto = async (unit: string, photo: string): Promise<undefined> => {
  const blob = await keptPicture(photo);
  if (!blob) return undefined;
  const upload = { params: { id: unit, photo } };
  let at = await ask('GET /api/units/:id/photos/:photo/upload', upload);
  while (!at.done) {
    const from = Math.min(at.received, blob.size - 1);
    const bytes = await blob.slice(from, from + pieceSize).arrayBuffer();
    const piece = { ...upload, query: { from, of: blob.size } };
    at = await sendBytes('PUT /api/units/:id/photos/:photo/upload', piece, bytes);
  }
  await dropPicture(photo);
  return undefined;
};
