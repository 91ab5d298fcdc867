// A yard of 10,000 full records in a browser: in brief, as its page has it, against all of its records.
import type { Page } from '@playwright/test';
import { Client } from 'pg';
import { timed } from './ground.ts';
import { fillYard } from './list.ts';
import { openPhone, signIn, type Phone } from './phone.ts';

/** What the page holds of its own, bytes. */
const heapOf = async (page: Page): Promise<number> => {
  const devtools = await page.context().newCDPSession(page);
  await devtools.send('HeapProfiler.collectGarbage');
  const { usedSize } = await devtools.send('Runtime.getHeapUsage');
  await devtools.detach();
  return usedSize;
};

/** Fetches a list page by page and holds it; bytes as they arrive, before they are packed. */
const hold = (page: Page, address: string, limit: number): Promise<number> =>
  page.evaluate(
    async ([path, most]) => {
      const all: unknown[] = [];
      let bytes = 0;
      for (;;) {
        const text = await (await fetch(`${path}?limit=${most}&from=${all.length}`)).text();
        bytes += text.length;
        const { units } = JSON.parse(text) as { units: unknown[] };
        all.push(...units);
        if (units.length < most) break;
      }
      Object.assign(globalThis, { held: all });
      return bytes;
    },
    [address, limit] as const,
  );

interface Held {
  readonly seconds: number;
  readonly bytes: number;
  readonly heap: number;
}

/** On a page that holds nothing else. */
const holding = async ({ page, ground }: Phone, address: string, limit: number): Promise<Held> => {
  await page.goto(`${ground.serving.address}/api/health`);
  const before = await heapOf(page);
  let bytes = 0;
  const ms = await timed(async () => (bytes = await hold(page, address, limit)));
  return { seconds: ms / 1000, bytes, heap: (await heapOf(page)) - before };
};

const mega = (bytes: number): string => `${(bytes / 1_000_000).toFixed(0)} MB`;
const ratio = (a: number, b: number): string => (a / b).toFixed(2);

/** Prints the ratios. */
export const benchYard = async (): Promise<void> => {
  const phone = await openPhone();
  const client = new Client({ connectionString: phone.ground.url });
  await client.connect();
  try {
    await signIn(phone);
    await phone.page.goto('about:blank');
    await fillYard(client);
    const first = await holding(phone, '/api/units/summaries', 500);
    const brief = await holding(phone, '/api/units/summaries', 500);
    const whole = await holding(phone, '/api/units', 200);
    console.log(
      `${ratio(brief.seconds, whole.seconds)} × all records (${whole.seconds.toFixed(1)} s): 10,000 units in brief, fetched and taken apart (${brief.seconds.toFixed(1)} s; ${first.seconds.toFixed(1)} s where each is checked first)`,
    );
    console.log(
      `${ratio(brief.bytes, whole.bytes)} × their text (${mega(whole.bytes)}): the same before it is packed (${mega(brief.bytes)})`,
    );
    console.log(
      `${ratio(brief.heap, whole.heap)} × their memory (${mega(whole.heap)}): the same in the browser (${mega(brief.heap)})`,
    );
    const page = await timed(async () => {
      await phone.page.goto(phone.ground.serving.address);
      await phone.page.locator('.rows a').first().waitFor();
    });
    console.log(
      `${ratio(page, brief.seconds * 1000)} × fetching that alone: the yard’s page, from nothing to its first rows (${(page / 1000).toFixed(1)} s)`,
    );
  } finally {
    await client.end();
    await phone.close();
  }
};
