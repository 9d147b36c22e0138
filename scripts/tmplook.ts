import { launch, PHONE, serve, visit, WIDE } from '../e2e/browser';
const main = async () => {
  const site = await serve(4399);
  const browser = await launch();
  const shot = async (size: any, name: string, path: string, open: (page: any) => Promise<void>) => {
    const { page, context, complaints } = await visit(browser, size, 'light');
    page.setDefaultTimeout(8000);
    try {
      await page.goto(site.address + path);
      await page.waitForTimeout(1500);
      await open(page);
      await page.waitForTimeout(500);
    } catch (e) { console.log(name, String(e).slice(0, 300)); }
    await page.screenshot({ path: `/tmp/look-${name}.png` });
    console.log(name, complaints);
    await context.close();
  };
  await shot(PHONE, 'compare', '/project/sandpit/compare', async (p) => { await p.waitForTimeout(1500); });
  await shot(WIDE, 'compare-wide', '/project/compost-station/compare', async (p) => { await p.waitForTimeout(1500); });
  await shot(PHONE, 'units', '/prices', async (p) => { await p.getByRole('tab', { name: 'By unit' }).click(); });
  await shot(WIDE, 'material', '/prices', async (p) => { await p.getByRole('tab', { name: 'Materials' }).click(); await p.getByRole('button', { name: 'Look at larch' }).click({timeout:2000}).catch(() => p.getByRole('button', { name: 'Look at treated', exact: true }).click()); });
  await shot(PHONE, 'group', '/project/sandpit/parts', async (p) => { await p.getByRole('button', { name: 'Change group Box' }).click(); });
  await shot(PHONE, 'care', '/project/compost-station/buy', async (p) => { await p.getByRole('button', { name: /^Take care/ }).click(); });
  await shot(PHONE, 'or-buy', '/project/record-shelf/compare', async (p) => {
    await p.getByRole('tab', { name: 'Build or buy' }).click();
    await p.getByLabel('Hours it takes').fill('14');
    await p.getByLabel('Ready made, $').fill('620');
    await p.getByLabel('Seen at').fill('catalogue of a shelf maker');
    await p.getByRole('button', { name: 'Add a ready-made price' }).click();
  });
  await browser.close();
  site.stop();
  process.exit(0);
};
void main();
