// What guarding costs whoever signs in or records, and what a hostile list costs the others.
import { hash, verify } from '@node-rs/argon2';
import { openGround, p95, timed, type Ground } from './ground.ts';

const readers = 50;
const lasting = Number(process.env['BENCH_SECONDS'] ?? 20) * 1000;
/** A reader looks again so long after an answer, ms. */
const readEvery = 500;
const password = 'spring-ferry-22';

const middle = (times: readonly number[]): number =>
  times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)] ?? Number.NaN;

const times = async (n: number, work: (i: number) => Promise<unknown>): Promise<number> => {
  const all: number[] = [];
  for (let i = 0; i < n; i += 1) all.push(await timed(() => work(i)));
  return middle(all);
};

const asking =
  ({ serving, cookie }: Ground) =>
  async (method: string, path: string, body?: unknown): Promise<Response> => {
    const answer = await fetch(`${serving.address}${path}`, {
      method,
      headers: { cookie, ...(body ? { 'content-type': 'application/json' } : {}) },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
    if (answer.status >= 500) throw new Error(`${path} answered ${answer.status}`);
    return answer;
  };

const signIn = async ({ serving }: Ground): Promise<void> => {
  const answer = await fetch(`${serving.address}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email: 'ines@thornquay.example', password }),
  });
  if (!answer.ok) throw new Error(`a sign-in answered ${answer.status}`);
};

const benchSignIn = async (ground: Ground): Promise<void> => {
  const kept = await hash(password);
  const bare = await times(30, () => verify(kept, password));
  const whole = await times(30, () => signIn(ground));
  console.log(
    `${(whole / bare).toFixed(2)} × the password alone (${bare.toFixed(0)} ms): a sign-in (${whole.toFixed(0)} ms)`,
  );
};

const benchEdit = async (ground: Ground, unit: string): Promise<void> => {
  const ask = asking(ground);
  const read = await times(200, async () => (await ask('GET', `/api/units/${unit}`)).text());
  const { record } = (await (await ask('GET', `/api/units/${unit}`)).json()) as {
    record: { specs: { jackRating?: { version: number } } };
  };
  const from = record.specs.jackRating?.version ?? 0;
  const edit = await times(200, async (i) => {
    const value = { kind: 'quantity', amount: 2000 + i };
    const change = { part: 'specs', key: 'jackRating', value, how: 'read', basedOn: from + i };
    const body = { id: crypto.randomUUID(), changes: [change] };
    const answer = await ask('POST', `/api/units/${unit}/edits`, body);
    if (!answer.ok) throw new Error(`an edit answered ${answer.status}`);
    await answer.text();
  });
  console.log(
    `${(edit / read).toFixed(2)} × a read of the same unit (${read.toFixed(1)} ms): an edit (${edit.toFixed(1)} ms)`,
  );
};

/** Fifty people who look at a unit now and then; the time that 95 of 100 looks keep within. */
const reading = async (ground: Ground, unit: string): Promise<number> => {
  const ask = asking(ground);
  const until = performance.now() + lasting;
  const all: number[] = [];
  const reader = async (): Promise<void> => {
    while (performance.now() < until) {
      all.push(await timed(async () => (await ask('GET', `/api/units/${unit}`)).text()));
      await new Promise((resolve) => setTimeout(resolve, readEvery * (0.5 + Math.random())));
    }
  };
  await Promise.all(Array.from({ length: readers }, reader));
  return p95(all);
};

/** A list that costs as much as a list may: a million cells that say something, and brackets for headings. */
const hostile = (): string => {
  const headings = ['Stock', 'GVWR', 'Dry weight', 'Length', 'Fresh tank', '('.repeat(80_000)];
  const line = (i: number): string =>
    `H-${i},${5000 + (i % 900)},${'('.repeat(60)},24 ft ${'1/'.repeat(30)},40,x\n`;
  return `${headings.join(',')}\n${Array.from({ length: 20_000 }, (_, i) => line(i)).join('')}`;
};

const benchBeside = async (ground: Ground, unit: string): Promise<void> => {
  const quiet = await reading(ground, unit);
  const text = hostile();
  const ask = asking(ground);
  let [isOver, lists] = [false, 0];
  const sending = (async () => {
    while (!isOver) {
      const body = { text, system: 'us', how: 'told' };
      await (await ask('POST', '/api/stock-list/preview', body)).text();
      lists += 1;
    }
  })();
  const beside = await reading(ground, unit);
  isOver = true;
  await sending;
  console.log(
    `${(beside / quiet).toFixed(2)} × quiet (${quiet.toFixed(0)} ms): p95 of ${readers} readers beside ${lists} hostile lists, one after the other (${beside.toFixed(0)} ms)`,
  );
};

export const benchHold = async (): Promise<void> => {
  const ground = await openGround();
  try {
    const { units } = (await (await asking(ground)('GET', '/api/units?limit=1')).json()) as {
      units: { id: string }[];
    };
    const unit = units[0]?.id ?? '';
    await benchSignIn(ground);
    await benchEdit(ground, unit);
    await benchBeside(ground, unit);
  } finally {
    await ground.close();
  }
};
