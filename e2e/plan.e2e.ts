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
  // Slanted parts nest, are drawn slanted, and are part of the proof.
  await page.getByRole('link', { name: 'Parts', exact: true }).click();
  await page.getByLabel(/^Add a part/).fill('2 2x4 20 mitre 45 brace');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^Change 2 Brace/i }).waitFor();
  await page.getByRole('link', { name: 'Buy', exact: true }).click();
  await page.getByText('proved cheapest').waitFor();
  if (size === PHONE) await page.getByRole('tab', { name: 'Boards' }).click();
  // A piece shows its part, and the other boards it is on.
  await page.getByRole('button', { name: /Brace: where its pieces are/ }).first().click();
  await page.getByText(/^Brace \(.*\): 2 in all, \d on this one\./).waitFor();
  await page.getByRole('tab', { name: '8 ×' }).click();
  await page.getByRole('group', { name: /, enlarged$/ }).first().waitFor();
  if (size === PHONE) await page.getByRole('tab', { name: 'List' }).click();
  await page.getByRole('button', { name: 'What if you build several?' }).click();
  const several = page.getByRole('region', { name: 'Build several' });
  await several.getByText(/\$[\d.,]+ each/).nth(4).waitFor();
  expect(complaints).toEqual([]);
  await context.close();
}); // prettier-ignore

/** A list that takes the planner a while: many lengths, each but a few times. */
const LONG_LIST = Array.from({ length: 60 }, (_, index) => `${1 + (index % 3)} 2x4 ${9 + ((index * 37) % 71)} ${1 + ((index * 5) % 15)}/16 p${index}`).join('\n'); // prettier-ignore

test('while it plans the page answers: no task of it is longer than 50 ms', async () => {
  const { page, context, complaints } = await visit(browser, PHONE);
  page.setDefaultTimeout(40_000);
  await page.goto(site.address);
  await page.getByRole('button', { name: 'New project' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Long list');
  await page.getByRole('button', { name: 'Make the project' }).click();
  await page.getByLabel(/^Add a part/).waitFor();
  await page.getByRole('button', { name: 'Paste a list' }).click();
  await page.getByRole('textbox', { name: 'One part a line, as it was written' }).fill(LONG_LIST);
  await page.getByRole('button', { name: 'Add 60 parts' }).click();
  await page.getByRole('link', { name: 'Buy', exact: true }).click();
  await page.getByText(/so far, none can be below/).waitFor();
  // From here on the planner works beside the page.
  await page.evaluate(() => {
    const seen: number[] = [];
    Object.assign(window, { longTasks: seen });
    new PerformanceObserver((list) => seen.push(...list.getEntries().map(({ duration }) => duration))).observe({ type: 'longtask' }); // prettier-ignore
  });
  await page.waitForTimeout(2500);
  const tasks = await page.evaluate(() => (window as unknown as { longTasks: number[] }).longTasks);
  expect(tasks.filter((duration) => duration > 50)).toEqual([]);
  expect(complaints).toEqual([]);
  await context.close();
});
