export default async ({ open, address }: any) => {
  const p = await open('ines', 390, 844);
  await p.getByRole('link', { name: 'TQ-0411' }).first().click(); await p.locator('.particulars').waitFor();
  const base = p.url().replace(/\/record.*/, '');
  await p.goto(base + '/round'); await p.locator('.editor').waitFor(); await p.waitForTimeout(500);
  await p.screenshot({ path: '/tmp/s-round.png' });
  await p.goto(base + '/round/utilities'); await p.locator('.editor').waitFor(); await p.waitForTimeout(500);
  await p.screenshot({ path: '/tmp/s-round2.png' });
  const d = await open('ines', 1280, 800);
  await d.goto(base + '/condition'); await d.locator('.spots').waitFor();
  await d.getByRole('button', { name: 'Add a finding' }).click();
  await d.locator('.spots svg').click({ position: { x: 100, y: 300 } }); await d.waitForTimeout(300);
  await d.screenshot({ path: '/tmp/s-cond.png' });
  await d.goto(base + '/labels'); await d.locator('.bench').waitFor(); await d.getByRole('button', { name: 'No camera here' }).click(); await d.waitForTimeout(1500);
  await d.getByRole('button', { name: 'Read its code' }).click(); await d.waitForTimeout(2500);
  await d.screenshot({ path: '/tmp/s-labels.png' });
};
