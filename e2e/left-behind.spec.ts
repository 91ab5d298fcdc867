import { expect, test, type Page } from '@playwright/test';
import { atYard, demo, desk, inUnit, shellKept, typeInto, withShell } from './yard.ts';

test.use(withShell);

/** All that a browser keeps of this address, as one text; what is under somebody’s own key is listed apart. */
const leftBehind = (page: Page) =>
  page.evaluate(async () => {
    const stores: Record<string, unknown> = {};
    for (const { name = '' } of await indexedDB.databases()) {
      const db = await new Promise<IDBDatabase>((done, fail) => {
        const opening = indexedDB.open(name);
        opening.onsuccess = () => done(opening.result);
        opening.onerror = () => fail(opening.error ?? new Error(name));
      });
      for (const store of db.objectStoreNames) {
        stores[`${name}.${store}`] = await new Promise((done) => {
          const asking = db.transaction(store).objectStore(store).getAllKeys();
          asking.onsuccess = () => done(asking.result.map(String));
        });
      }
      db.close();
    }
    const cached: string[] = [];
    for (const name of await caches.keys()) {
      for (const { url } of await (await caches.open(name)).keys()) cached.push(url);
    }
    return {
      stores,
      cached: cached.filter((url) => new URL(url).pathname.startsWith('/api/')),
      local: Object.keys(localStorage),
      session: Object.keys(sessionStorage),
    };
  });

/** Looks at a unit with photos, at the sheets and the vehicles, and types something that is not kept. */
const lookRound = async (page: Page): Promise<void> => {
  await inUnit(page, 'TQ-0377', 'photos');
  await expect(page.getByRole('img').first()).toBeVisible();
  await page.reload();
  await expect(page.getByRole('img').first()).toBeVisible();
  await page.goto(demo('/model-sheets'));
  await expect(page.getByRole('link', { name: /24 RKD · 2026/ })).toBeVisible();
  await page.goto(demo('/vehicles'));
  await expect(page.getByText('Half-ton truck')).toBeVisible();
  await page.goto(demo('/yard'));
  await inUnit(page, 'TQ-0403', 'questions');
  await typeInto(page.getByLabel('What nobody here can answer'), 'Is the floor of one piece?');
};

/** What stays: the device’s own id, and what this person typed and did not keep. */
const expectNothingOf = async (page: Page): Promise<void> => {
  const { stores, cached, local, session } = await leftBehind(page);
  const kept = Object.entries(stores).flatMap(([store, keys]) =>
    (keys as string[]).map((key) => `${store}: ${key}`),
  );
  expect(kept.filter((one) => !/kept: device$/.test(one))).toEqual([]);
  expect(cached).toEqual([]);
  expect(session).toEqual([]);
  expect(local.filter((name) => !/^fair-gable-(draft|tried|mode|clock)/.test(name))).toEqual([]);
};

const ways: readonly { readonly how: string; readonly out: (page: Page) => Promise<void> }[] = [
  {
    how: 'signing out here',
    out: async (page) => {
      page.once('dialog', (dialog) => void dialog.accept());
      await page.getByRole('button', { name: 'Sign out' }).click();
    },
  },
  {
    how: 'being signed out elsewhere',
    out: async (page) => {
      const elsewhere = await (await page.context().browser()!.newContext()).newPage();
      await atYard(elsewhere, 'ines');
      await elsewhere.request.delete(demo('/api/me/sessions'));
      await elsewhere.context().close();
      await page.reload();
    },
  },
  {
    how: 'being taken off the yard',
    out: async (page) => {
      const manager = await (await page.context().browser()!.newContext()).newPage();
      await atYard(manager, 'maren');
      const { people } = await (await manager.request.get(demo('/api/people'))).json();
      const ivo = people.find(({ name }: { name: string }) => name === 'Ivo Lark');
      await manager.request.delete(demo(`/api/people/${ivo.id}`));
      await page.reload();
      await expect(page).toHaveURL(/sign-in/);
      // He is wanted in other journeys: he comes back, with his own password.
      const given = { name: 'Ivo Lark', email: 'ivo@thornquay.example', role: 'guest' };
      const { link } = await (
        await manager.request.post(demo('/api/people'), { data: given })
      ).json();
      const data = { token: link.token, password: 'spring-ferry-22' };
      expect((await manager.request.post(demo('/api/password'), { data })).status()).toBe(204);
      await manager.context().close();
    },
  },
];

for (const { how, out } of ways) {
  test(`after ${how} nothing of the yard is left, and nothing shows without a network`, async ({
    page,
    context,
  }) => {
    await page.setViewportSize(desk);
    // Whoever is taken off is of no use to the journeys after this one.
    await atYard(page, how.startsWith('being taken') ? 'ivo' : 'ines');
    await shellKept(page);
    if (how.startsWith('being taken')) await page.goto(demo('/yard'));
    else await lookRound(page);
    await out(page);
    await expect(page).toHaveURL(/sign-in/);
    await expect(() => expectNothingOf(page)).toPass();
    await context.setOffline(true);
    await page.goto(demo('/yard')).catch(() => undefined);
    await expect(page).toHaveURL(/sign-in/);
    await expect(page.getByText('TQ-0403')).toHaveCount(0);
    await context.setOffline(false);
  });
}
