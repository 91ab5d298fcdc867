import { photoLimit } from '@fair-gable/core/unit/photo';
import { Plain } from '../../base/api/client.ts';

/** A picture as it is kept on the device and sent: upright, no longer than a label needs to be read. */
export interface Prepared {
  readonly blob: Blob;
  readonly width: number;
  readonly height: number;
}

/** Pixels a side it is sent with. */
const side = 2000;

const asCanvas = (image: ImageBitmap): HTMLCanvasElement => {
  const share = Math.min(1, side / Math.max(image.width, image.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(Math.round(image.width * share), 1);
  canvas.height = Math.max(Math.round(image.height * share), 1);
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  return canvas;
};

const asJpeg = (canvas: HTMLCanvasElement): Promise<Blob> =>
  new Promise((resolve, reject) => {
    canvas.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new Error('no picture'))),
      'image/jpeg',
      0.86,
    );
  });

/**
 * A photo made ready to be kept: turned upright, made smaller, without what the camera wrote into it. A bad line
 * carries a tenth of what the camera gave.
 * @throws Plain where it is too large or no picture
 */
export const prepared = async (file: Blob): Promise<Prepared> => {
  if (file.size > photoLimit) {
    throw new Plain(
      `The photo is ${Math.round(file.size / 1_000_000)} MB; 12 is the most. Take it at a smaller size.`,
    );
  }
  const image = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw new Plain('We can’t read this as a picture. Take the photo again, or choose another.');
  });
  const canvas = asCanvas(image);
  image.close();
  const { width, height } = canvas;
  return { blob: await asJpeg(canvas), width, height };
};
