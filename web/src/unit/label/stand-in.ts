import bwip from 'bwip-js/browser';
import type { Aim } from './ports.ts';
import { labelAt, type StandInLabel } from './stand-in-labels.ts';

const width = 1200;
const margin = 60;
const lineHeight = 64;

const drawCode = (text: string, kind: StandInLabel['code']): HTMLCanvasElement => {
  const canvas = document.createElement('canvas');
  bwip.toCanvas(canvas, {
    bcid: kind === 'qr' ? 'qrcode' : 'code128',
    text,
    scale: kind === 'qr' ? 6 : 4,
    ...(kind === 'qr' ? {} : { height: 14 }),
  });
  return canvas;
};

const asPhoto = (canvas: HTMLCanvasElement): Promise<Blob> =>
  new Promise((resolve, reject) => {
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('no label'))), 'image/png');
  });

/** A label as a camera would see it, a little askew. */
const draw = async ({ title, lines, code, says }: StandInLabel): Promise<Blob> => {
  const picture = says ? drawCode(says, code) : undefined;
  const height =
    margin * 3 + lineHeight * (lines.length + 1) + (picture ? picture.height + margin : 0);
  const canvas = document.createElement('canvas');
  canvas.width = width + 2 * margin;
  canvas.height = height + 2 * margin;
  const ink = canvas.getContext('2d') as CanvasRenderingContext2D;
  ink.fillStyle = '#8d9499';
  ink.fillRect(0, 0, canvas.width, canvas.height);
  ink.translate(margin, margin);
  ink.rotate(-0.012);
  ink.fillStyle = '#f4f4ee';
  ink.fillRect(0, 0, width, height);
  ink.fillStyle = '#15191b';
  ink.font = '700 44px sans-serif';
  ink.fillText(title, margin, margin + 40);
  ink.font = '500 42px monospace';
  lines.forEach((line, i) => ink.fillText(line, margin, margin + 40 + lineHeight * (i + 1)));
  if (picture) ink.drawImage(picture, margin, margin * 2 + lineHeight * (lines.length + 1));
  return asPhoto(canvas);
};

/** A label of the demo, photographed by the stand-in; undefined where there is none of this kind. */
export const renderLabel = async (aim: Aim): Promise<Blob | undefined> => {
  const found = labelAt(aim);
  return found && draw(found);
};
