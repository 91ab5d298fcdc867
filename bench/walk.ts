// A walk as it is given: a tap to the next card on a slow phone; and the day's pack, what a phone takes along.
import { frame, openPhone, signIn, slowed, unitAt, workOfKey, type Phone } from './phone.ts';

const taps = 25;
/** Nobody gives two cards faster than this, ms. */
const nod = 400;

const benchTap = async (phone: Phone): Promise<void> => {
  const { page } = phone;
  const unit = await unitAt(phone, 'TQ-0417');
  await page.goto(`${unit}/walk`);
  await page.getByRole('button', { name: 'Start the walk' }).click();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await page.getByRole('article').waitFor();
  await page.locator('body').click({ position: { x: 5, y: 5 } });
  const each = await workOfKey(page, 'ArrowRight', taps, nod);
  const given = await page.getByText(/^card \d+ of/).innerText();
  if (!given.includes(`card ${taps + 6} `)) throw new Error(`not every tap was taken: ${given}`);
  console.log(
    `${(each / frame).toFixed(2)} × a frame of ${frame.toFixed(1)} ms: scripts, styles and layout from one tap to the next card, kept on the device and sent, the CPU slowed ${slowed} times (${each.toFixed(1)} ms)`,
  );
};

const benchPack = async (phone: Phone): Promise<void> => {
  const { page, ground } = phone;
  const data: number[] = [];
  const pending: Promise<void>[] = [];
  page.on('requestfinished', (request) => {
    if (!/\/api\/(units|model-sheets|vehicles)/.test(request.url())) return;
    pending.push(request.sizes().then(({ responseBodySize }) => void data.push(responseBodySize)));
  });
  const began = performance.now();
  await signIn(phone);
  const units = async (): Promise<number> =>
    page.evaluate(
      () =>
        new Promise<number>((resolve) => {
          const opening = indexedDB.open('fair-gable');
          opening.onsuccess = () => {
            const asked = opening.result.transaction('units').objectStore('units').count();
            asked.onsuccess = () => {
              opening.result.close();
              resolve(asked.result);
            };
          };
        }),
    );
  while ((await units()) < 24) await page.waitForTimeout(20);
  const took = performance.now() - began;
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await Promise.all(pending);
  const bytes = data.reduce((sum, n) => sum + n, 0);

  const bareBegan = performance.now();
  const bare = await fetch(`${ground.serving.address}/api/units?limit=200`, {
    headers: { cookie: ground.cookie },
  });
  const text = await bare.text();
  const bareTook = performance.now() - bareBegan;
  console.log(
    `${(bytes / text.length).toFixed(2)} × the bare answer of the units: the day’s pack for 24 units, records, model sheets and vehicles (${(bytes / 1000).toFixed(0)} kB over the line)`,
  );
  console.log(
    `${(took / bareTook).toFixed(1)} × fetching that answer alone: from the sign-in to all 24 units on the device (${(took / 1000).toFixed(2)} s, page and all, against ${bareTook.toFixed(0)} ms)`,
  );
};

export const benchWalk = async (): Promise<void> => {
  const phone = await openPhone();
  try {
    await benchPack(phone);
    await benchTap(phone);
  } finally {
    await phone.close();
  }
};
