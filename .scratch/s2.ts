export default async ({ open, address }: any) => {
  const p = await open('ines', 390, 844);
  await p.getByRole('link', { name: 'TQ-0411' }).first().click(); await p.locator('.particulars').waitFor();
  const base = p.url().replace(/\/record.*/, '');
  await p.goto(base + '/round/utilities'); await p.locator('.editor').waitFor(); await p.waitForTimeout(500);
  await p.screenshot({ path: '/tmp/s-round2.png' });
  await p.locator('.editor svg').click({ position: { x: 200, y: 20 } });
  for (const k of ['2','1','ft','9','in','½ ¼ ⅛']) await p.locator('.pad').getByRole('button', { name: k, exact: true }).click();
  await p.screenshot({ path: '/tmp/s-round3.png' });
  await p.locator('.pad').getByRole('button', { name: 'Next' }).click(); await p.waitForTimeout(600);
  await p.screenshot({ path: '/tmp/s-round4.png' });
  await p.goto(base + '/inspection'); await p.waitForTimeout(500); await p.screenshot({ path: '/tmp/s-insp.png' });
};
