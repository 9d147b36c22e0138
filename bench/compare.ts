/**
 * A comparison of twelve ways of each sample project: how soon the first is there, and all of them; how long the ways to save
 * take; and the longest task on the page meanwhile, by the browser's long-task observer. Must: 1 s, 5 s, 10 s, 50 ms.
 */
import type { Page } from '@playwright/test';
import { launch, PHONE, serve, visit } from '../harness/browser';

const RUNS = 3;

const cards = (page: Page) =>
  page.getByRole('list', { name: 'Ways to do it, cheapest first' }).getByRole('listitem');

const open = async (page: Page, site: string, id: string) => {
  await page.goto(`${site}/project/${id}/parts`);
  await page
    .getByTestId('money-strip')
    .getByRole('img', { name: /[1-9].* to buy/ })
    .waitFor();
  await page.waitForTimeout(1500);
};

/** Adds ways until there are twelve, or no more to add. */
const fill = async (page: Page) => {
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  await cards(page).nth(4).waitFor();
  for (let count = await cards(page).count(); count < 12; count = await cards(page).count()) {
    await page.getByRole('button', { name: 'Add a way' }).click();
    const more = page.getByRole('button', { name: /^Compare / });
    await page.getByRole('dialog').waitFor();
    if ((await more.count()) === 0) break;
    await more.first().click();
    await cards(page).nth(count).waitFor();
  }
  await page.waitForTimeout(500);
};

/** Waits until so many ways have a price or the reason why they have none; looked at with every frame. */
const priced = (page: Page, count: number) =>
  page.waitForFunction(
    (wanted) =>
      [...document.querySelectorAll('[aria-label="Ways to do it, cheapest first"] [role=listitem]')].filter(
        (card) => /[$€]\d|no price for/.test(card.textContent ?? ''),
      ).length >= wanted,
    count,
    { polling: 'raf' },
  );

const watch = (page: Page) =>
  page.evaluate(() => {
    const seen: PerformanceEntry[] = [];
    Object.assign(window, { longTasks: seen });
    new PerformanceObserver((list) => seen.push(...list.getEntries())).observe({ type: 'longtask' });
  });

const main = async () => {
  const site = await serve();
  const browser = await launch();
  for (const id of ['compost-station', 'record-shelf', 'sandpit']) {
    const rows: string[] = [];
    for (let run = 0; run < RUNS; run++) {
      const { page, context } = await visit(browser, PHONE);
      await open(page, site.address, id);
      await fill(page);
      const count = await cards(page).count();
      await open(page, site.address, id);
      await watch(page);
      const began = Date.now();
      await page.getByRole('link', { name: 'Compare', exact: true }).click();
      const pressed = await page.evaluate(() => performance.now());
      await priced(page, 2);
      const first = Date.now() - began;
      await priced(page, count);
      const all = Date.now() - began;
      await page.getByRole('tab', { name: 'Ways to save' }).click();
      await page.waitForFunction(
        () =>
          /Each saving is the difference of two checked plans\. Savings/.test(
            document.body.textContent ?? '',
          ),
        undefined,
        { polling: 'raf' },
      );
      const ways = Date.now() - began;
      const tasks = await page.evaluate(() =>
        (window as unknown as { longTasks: PerformanceEntry[] }).longTasks.map(({ startTime, duration }) => ({
          startTime,
          duration,
        })),
      );
      const longest = (of: typeof tasks) => Math.max(0, ...of.map(({ duration }) => duration)).toFixed(0);
      // The press itself leaves the place that was open, and opens this one.
      const press = tasks.filter(({ startTime }) => startTime < pressed);
      const after = tasks.filter(({ startTime }) => startTime >= pressed);
      rows.push(
        `${count} ways: first ${first} ms, all ${all} ms, ways to save ${ways} ms, longest task: the press ${longest(press)} ms, afterwards ${longest(after)} ms`,
      );
      await context.close();
    }
    for (const row of rows) console.log(`${id.padEnd(16)} ${row}`);
  }
  await browser.close();
  site.stop();
  process.exit(0);
};
void main();
