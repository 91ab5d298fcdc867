import { describe, expect, it } from '@jest/globals';
import type { CodeScanner } from '../src/unit/label/ports.ts';
import { scanWith } from '../src/unit/label/scanning.ts';
import { standInScanner } from '../src/unit/label/stand-ins.ts';

const saying = (text: string | undefined): CodeScanner => ({ read: async () => text });
const aim = { label: 'vin', unitName: 'Pell 12 K' } as const;

describe('a scan', () => {
  it.each([
    ['vin', 'Pell 12 K', { vin: '9TPKT1211T1000460' }],
    ['vin', 'skerry 21G', { vin: '9TPGT2118M1000177' }],
    ['number', 'Skerry 21 G', { stockNumber: 'TQ-0461' }],
    // Nobody has typed a name yet: any label of the kind will do.
    ['number', '', { stockNumber: 'TQ-0460' }],
  ] as const)('of the demo’s %s label on “%s” fills its field', async (label, unitName, fills) => {
    expect(await scanWith(standInScanner, { label, unitName })).toEqual({ fills });
  });

  it('of a label without a code says so', async () => {
    const { fills, problem } = await scanWith(standInScanner, { ...aim, label: 'weight' });
    expect([fills, problem]).toEqual([undefined, expect.stringContaining('No bar code')]);
  });

  it('of something else says what it says, and fills nothing', async () => {
    const scanned = await scanWith(saying('wash me'), aim);
    expect(scanned.problem).toContain('“wash me”');
    expect(scanned.fills).toBeUndefined();
  });

  it('that fails asks for what the label says', async () => {
    const broken: CodeScanner = { read: () => Promise.reject(new Error('no light')) };
    expect((await scanWith(broken, aim)).problem).toContain('Type what the label says');
  });
});
