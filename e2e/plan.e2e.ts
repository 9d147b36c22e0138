import type { Browser } from 'playwright-core';
import { launch, PHONE, serve, visit, WIDE } from './browser';

jest.setTimeout(120_000);

let browser: Browser;
let site: Awaited<ReturnType<typeof serve>>;
beforeAll(async () => {
  site = await serve(4405);
  browser = await launch();
});
afterAll(async () => {
  await browser?.close();
  site?.stop();
});

test.each([
  ['a phone', PHONE],
  ['a wide screen', WIDE],
] as const)('on %s the first plan is followed by the cheapest, with its proof; a change starts anew', async (_name, size) => {
  const { page, context, complaints } = await visit(browser, size);
  page.setDefaultTimeout(20_000);
  await page.goto(site.address);
  await page.getByRole('button', { name: 'New project' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Aquarium stand');
  await page.getByRole('button', { name: 'Make the project' }).click();
  for (const line of ['4 2x4 31 1/2 post', '6 2x4 22 rail', '3 2x4 40 1/4 long rail']) {
    await page.getByLabel(/^Add a part/).fill(line);
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: new RegExp(`^Change \\d+ ${line.split(' ').at(-1)}`, 'i') }).first().waitFor();
  }
  await page.getByRole('link', { name: 'Buy', exact: true }).click();
  await page.getByText('proved cheapest').waitFor();
  await page.getByText('No way to buy and cut it costs less at these prices.').waitFor();
  await page.getByText(/^By hand, one store, one length: \$[\d.]+\. This plan saves \$[\d.]+\.$/).waitFor();
  // A slanted part is beyond the proof, and the page says so.
  await page.getByRole('link', { name: 'Parts', exact: true }).click();
  await page.getByLabel(/^Add a part/).fill('2 2x4 20 mitre 45 brace');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^Change 2 Brace/i }).waitFor();
  await page.getByRole('link', { name: 'Buy', exact: true }).click();
  await page.getByText('not proved', { exact: true }).waitFor();
  expect(complaints).toEqual([]);
  await context.close();
}); // prettier-ignore
