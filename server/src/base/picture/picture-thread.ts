import { inThread } from '../threads/index.ts';
import { madeAnew, type Picture } from './picture.ts';

/** Makes a picture anew in a thread. */
export default inThread<Uint8Array, Picture>((bytes) => madeAnew(Buffer.from(bytes)));
