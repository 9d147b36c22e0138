import { launch, PHONE, serve, visit, WIDE } from '../e2e/browser';
const main = async () => {
  const site = await serve(4399);
  const browser = await launch();
  for (const [size, name] of [[PHONE, 'phone'], [WIDE, 'wide']] as const) {
    const { page, context, complaints } = await visit(browser, size, 'light');
    const began = Date.now();
    await page.goto(site.address + '/project/compost-station/compare');
    await page.getByText(/10 to 20 years/).first().waitFor();
    console.log(name, 'first text', Date.now() - began);
    await page.waitForTimeout(3500);
    await page.screenshot({ path: `/tmp/look-${name}.png` });
    console.log(complaints);
    if (name === 'phone') {
      await page.getByRole('button', { name: /All cedar/ }).click();
      await page.waitForTimeout(300);
      await page.screenshot({ path: `/tmp/look-${name}-2.png`, fullPage: true });
    }
    await page.getByRole('tab', { name: 'Save' }).click();
    await page.waitForTimeout(1500);
    await page.screenshot({ path: `/tmp/look-${name}-save.png` });
    await context.close();
  }
  await browser.close();
  site.stop();
  process.exit(0);
};
void main();
