import { AxeBuilder } from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { unitPath } from './on-the-lot.ts';
import {
  atYard,
  axe,
  demo,
  desk,
  expectSound,
  openUnit,
  phone,
  row,
  signIn,
  typeInto,
} from './yard.ts';

// They change nothing that another one looks at: both workers take of them.
test.describe.configure({ mode: 'parallel' });

for (const [name, size] of Object.entries({ desk, phone })) {
  test(`every view is sound at the ${name}`, async ({ page }) => {
    await page.setViewportSize(size);
    await page.goto(demo('/sign-in'));
    await expectSound(page, 'sign-in');
    await atYard(page);
    await expectSound(page, 'yard');
    await openUnit(page, 'TQ-0365');
    await expectSound(page, 'record');
    const record = page.url();
    await page.goto(record.replace(/record.*/, 'record/labels'));
    await row(page, 'ccc').getByRole('button').first().click();
    await expect(row(page, 'ccc').getByText('How do you know?')).toBeVisible();
    await expectSound(page, 'record, field open');
    await page.goto(record.replace(/record.*/, 'record/utilities'));
    await row(page, 'shoreInlet')
      .getByRole('button', { name: /Shore-power inlet/ })
      .click();
    await expect(row(page, 'shoreInlet').getByText('Back from the coupler')).toBeVisible();
    await expectSound(page, 'record, feature open');
    await page.goto(record.replace(/record.*/, 'walk'));
    await expect(page.getByText(/\d+ cards, about/)).toBeVisible();
    await expectSound(page, 'plan');
    await page.goto(record.replace(/record.*/, 'log'));
    await expect(page.getByText('No walks here yet')).toBeVisible();
    await expectSound(page, 'empty log');
    await page.goto(demo('/walks'));
    await expect(page.getByRole('heading', { name: /^Over/ })).toBeVisible();
    await expectSound(page, 'walks');
    await page.goto(demo('/yard/take-in'));
    await typeInto(page.getByLabel('Width', { exact: true }), '7 cubits');
    await typeInto(page.getByLabel('Propane cylinders'), '230');
    await expectSound(page, 'take in');
  });
}

for (const mode of ['dark', 'sunlight']) {
  test(`every view is sound in the ${mode} mode`, async ({ page }) => {
    await signIn(page);
    await openUnit(page, 'TQ-0417');
    const record = page.url();
    await page.evaluate((m) => localStorage.setItem('fair-gable-mode', m), mode);
    // In the light mode these views are looked at whole in other tests.
    for (const place of ['record/labels', 'record/hitch', 'walk', 'history']) {
      await page.goto(record.replace(/record.*/, place));
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await expectSound(page, `${place}, ${mode}`, 'colors');
    }
    await page.goto(demo('/walks'));
    await expect(page.getByRole('heading', { name: /^Over/ })).toBeVisible();
    await expectSound(page, `walks, ${mode}`, 'colors');
    await page.goto(demo('/yard'));
    await expect(page.getByRole('link', { name: /Outline of/ }).first()).toBeVisible();
    await expectSound(page, `yard, ${mode}`, 'colors');
  });
}

for (const [name, size] of Object.entries({ desk, phone })) {
  test(`the pages of taking in are sound at the ${name}, in each mode`, async ({ page }) => {
    await page.setViewportSize(size);
    await signIn(page);
    await openUnit(page, 'TQ-0377');
    const unit = unitPath(page);
    for (const mode of ['light', 'dark', 'sunlight']) {
      await page.evaluate((to) => (document.documentElement.dataset['mode'] = to), mode);
      for (const part of [
        'round',
        'labels',
        'photos',
        'condition',
        'wheels',
        'inspection',
        'aboard',
        'questions',
        'disclosure',
      ]) {
        await page.evaluate(
          (path) => history.pushState({}, '', path),
          `${new URL(unit).pathname}/${part}`,
        );
        await page.evaluate(() =>
          dispatchEvent(new PopStateEvent('popstate', { state: history.state })),
        );
        await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
        // The same page in another mode has other colors, and nothing else.
        await expectSound(page, `${part}, ${mode}`, mode === 'light' ? undefined : 'colors');
      }
    }
    await page.goto(demo('/yard/left'));
    await page.getByRole('button', { name: /^to repair/ }).click();
    await page.getByRole('button', { name: 'in walking order' }).click();
    await expect(page.locator('[data-left]').first()).toBeVisible();
    await expectSound(page, 'what is left');
  });
}

test('the quick look of axe finds what its whole look finds', async ({ page }) => {
  await signIn(page);
  await openUnit(page, 'TQ-0365');
  await page.evaluate(() => {
    const faults = document.createElement('div');
    faults.innerHTML = `
      <button></button> <img src="/mark.svg"> <input> <a href="/yard"></a> <p role="slider">3</p>
      <p style="color: #bbb; background: #fff">hardly to be read</p> <ul><p>no item</p></ul>`;
    document.querySelector('main')?.append(faults);
  });
  const found = async (looked: ReturnType<typeof axe>) =>
    (await looked).violations.flatMap(({ id, impact, nodes }) =>
      nodes.map(({ target }) => [id, impact, ...target]),
    );
  const whole = await found(new AxeBuilder({ page }).analyze());
  expect(whole.map(([id]) => id)).toEqual(
    expect.arrayContaining(['button-name', 'image-alt', 'label', 'link-name', 'color-contrast']),
  );
  expect(await found(axe(page))).toEqual(whole);
  const colors = whole.filter(([id]) => id === 'color-contrast');
  expect(await found(axe(page, 'colors'))).toEqual(colors);
  await expect(expectSound(page, 'faults')).rejects.toThrow(/button-name/);
});
