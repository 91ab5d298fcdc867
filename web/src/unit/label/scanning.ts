import type { SpecKey } from '@fair-gable/core/unit/catalog';
import { readScanned } from '@fair-gable/core/unit/identity';
import type { Aim, CodeScanner } from './ports.ts';

/** What came of a scan: what it fills in, or what to do instead. */
export type Scanning =
  | { readonly fills: Partial<Record<SpecKey, string>>; readonly problem?: undefined }
  | { readonly fills?: undefined; readonly problem: string };

/** Reads a code and says for which field it is; never throws. */
export const scanWith = async (scanner: CodeScanner, aim: Aim): Promise<Scanning> => {
  try {
    const text = await scanner.read(aim);
    if (text === undefined)
      return { problem: 'No bar code or QR code here. Type what the label says.' };
    const scanned = readScanned(text);
    if (scanned.kind === 'vin') return { fills: { vin: scanned.vin } };
    if (scanned.kind === 'stock-number') return { fills: { stockNumber: scanned.stockNumber } };
    return { problem: `The code says “${scanned.text}”, which isn’t a VIN or a stock number.` };
  } catch {
    return { problem: 'The code can’t be read right now. Type what the label says.' };
  }
};
