import sharp from 'sharp';
import { Refusal } from '../refusal/index.ts';

/** A picture made anew, with a small one of it. JPEG. */
export interface Picture {
  readonly picture: Buffer;
  readonly thumb: Buffer;
  readonly width: number;
  readonly height: number;
}

/** Pixels a side that a label can still be read by; and of the small one. */
const side = 2000;
const thumbSide = 360;
/** More pixels than any phone's camera takes: a file that unpacks to more was made to do harm. */
const mostPixels = 50_000_000;

/** How the three formats begin, and at which byte; a name or a type that somebody sent says nothing. */
const beginnings = [
  { format: 'jpeg', at: 0, bytes: [0xff, 0xd8, 0xff] },
  { format: 'png', at: 0, bytes: [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a] },
  { format: 'webp', at: 8, bytes: [0x57, 0x45, 0x42, 0x50] },
] as const;

/** The format by the first bytes; undefined for whatever is none of the three. */
export const formatOf = (file: Buffer): 'jpeg' | 'png' | 'webp' | undefined =>
  beginnings.find(({ at, bytes }) =>
    file.subarray(at, at + bytes.length).equals(Buffer.from(bytes)),
  )?.format;

const notAPicture = new Refusal(
  'bad-picture',
  'This is not a JPEG, PNG or WebP picture. Take the photo again, or choose another file; nothing was kept.',
);
const broken = new Refusal(
  'bad-picture',
  'The picture can’t be read: it’s damaged, or larger than any camera takes. Take the photo again; nothing was kept.',
);

/**
 * A picture as it is kept: checked by its content, turned upright, made anew, without a word of what the camera
 * wrote into it, the place among it.
 * @throws Refusal bad-picture
 */
export const madeAnew = async (bytes: Buffer): Promise<Picture> => {
  const format = formatOf(bytes);
  if (!format) throw notAPicture;
  try {
    const opened = sharp(bytes, { limitInputPixels: mostPixels, failOn: 'error' });
    const { data: upright, info } = await opened
      .rotate()
      .resize({ width: side, height: side, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: 82 })
      .toBuffer({ resolveWithObject: true });
    const thumb = await sharp(upright)
      .resize({ width: thumbSide, height: thumbSide, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 70 })
      .toBuffer();
    return { picture: upright, thumb, width: info.width, height: info.height };
  } catch {
    throw broken;
  }
};
