import { threadFile, type Threads } from '../threads/index.ts';
import type { Picture } from './picture.ts';

/** A picture of the largest a camera takes needs two; one that takes longer was made to. */
const within = 20;

const thread = threadFile('picture-thread', import.meta.url);

/** Bytes that came from a thread, as the database wants them; nothing is copied. */
const asBuffer = ({ buffer, byteOffset, byteLength }: Uint8Array): Buffer =>
  Buffer.from(buffer as ArrayBuffer, byteOffset, byteLength);

/** What came from a thread as it was there. */
export const pictureFrom = ({ picture, thumb, ...size }: Picture): Picture => ({
  ...size,
  picture: asBuffer(picture),
  thumb: asBuffer(thumb),
});

/** A picture made anew in a thread. @throws Refusal bad-picture, too-heavy, busy */
export const madeInThread = async (threads: Threads, bytes: Buffer): Promise<Picture> =>
  pictureFrom(await threads.run<Picture>(thread, bytes, { seconds: within }));
