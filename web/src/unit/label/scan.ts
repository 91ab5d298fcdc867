import type { CodeScanner } from './ports.ts';

/** Codes on labels: read from a photo, by the library; it is loaded when the first one is read. */
const degrees = [0, 90] as const;
/** A code far away in a large photo is found when it is made larger or smaller. */
const sides = [1000, 1800, 600] as const;

const pixels = (image: ImageBitmap, side: number, turn: 0 | 90): ImageData => {
  const share = Math.min(2, side / Math.max(image.width, image.height));
  const [w, h] = [Math.round(image.width * share), Math.round(image.height * share)];
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = turn === 90 ? [h, w] : [w, h];
  const context = canvas.getContext('2d', { willReadFrequently: true }) as CanvasRenderingContext2D;
  if (turn === 90) {
    context.translate(h, 0);
    context.rotate(Math.PI / 2);
  }
  context.drawImage(image, 0, 0, w, h);
  return context.getImageData(0, 0, canvas.width, canvas.height);
};

/** Luminance of each pixel, 0 to 255. */
const gray = ({ data }: ImageData): Uint8ClampedArray => {
  const out = new Uint8ClampedArray(data.length / 4);
  for (let i = 0; i < out.length; i++) {
    const at = i * 4;
    out[i] = ((data[at] ?? 0) * 306 + (data[at + 1] ?? 0) * 601 + (data[at + 2] ?? 0) * 117) >> 10;
  }
  return out;
};

/**
 * The text of a bar code or QR code on a photo; undefined where none is found.
 * @throws where the picture can’t be read
 */
export const readCode = async (photo: Blob): Promise<string | undefined> => {
  const { BinaryBitmap, DecodeHintType, HybridBinarizer, MultiFormatReader, RGBLuminanceSource } =
    await import('@zxing/library');
  const reader = new MultiFormatReader();
  reader.setHints(new Map([[DecodeHintType.TRY_HARDER, true]]));
  const image = await createImageBitmap(photo, { imageOrientation: 'from-image' });
  try {
    for (const side of sides) {
      for (const turn of degrees) {
        const data = pixels(image, side, turn);
        const source = new RGBLuminanceSource(gray(data), data.width, data.height);
        try {
          return reader.decodeWithState(new BinaryBitmap(new HybridBinarizer(source))).getText();
        } catch {
          // Not at this size, or not this way up.
        }
      }
    }
    return undefined;
  } finally {
    image.close();
  }
};

/** Reads the code on the photo of a label. */
export const photoScanner: CodeScanner = {
  read: async ({ photo }) => photo && readCode(await photo()),
};
