import { describe, expect, it } from '@jest/globals';
import {
  BinaryBitmap,
  HybridBinarizer,
  MultiFormatReader,
  RGBLuminanceSource,
} from '@zxing/library';
import bwip from 'bwip-js/node';
import jsQR from 'jsqr';
import sharp from 'sharp';
import { readScanned } from '@fair-gable/core/unit/identity';
import { standInLabels } from '../src/unit/label/stand-in-labels.ts';

/** The codes of the stand-in's labels, drawn by one library and read by others. */
const codes = standInLabels.flatMap(({ says, code }) => (says && code ? [{ says, code }] : []));

const drawn = async (text: string, code: 'qr' | 'bar') => {
  const png = await bwip.toBuffer({
    bcid: code === 'qr' ? 'qrcode' : 'code128',
    text,
    scale: 4,
    ...(code === 'qr' ? {} : { height: 14 }),
    backgroundcolor: 'ffffff',
    paddingwidth: 12,
    paddingheight: 12,
  });
  return sharp(png).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
};

const byZxing = (data: Buffer, width: number, height: number): string => {
  const gray = new Uint8ClampedArray(width * height);
  for (let i = 0; i < gray.length; i++) gray[i] = data[i * 4] ?? 0;
  const source = new RGBLuminanceSource(gray, width, height);
  return new MultiFormatReader().decode(new BinaryBitmap(new HybridBinarizer(source))).getText();
};

describe('codes on labels', () => {
  it.each(codes)('“$says” is read back', async ({ says, code }) => {
    const { data, info } = await drawn(says, code);
    expect(byZxing(data, info.width, info.height)).toBe(says);
    if (code === 'qr') {
      const read = jsQR(new Uint8ClampedArray(data), info.width, info.height);
      expect(read?.data).toBe(says);
    }
    expect(readScanned(says).kind).toBe(code === 'qr' ? 'stock-number' : 'vin');
  });
});
