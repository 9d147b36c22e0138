/** How long the page is kept from answering while the planner works beside it, by the browser's long-task observer. Must: 50 ms. */
import { launch, PHONE, serve, visit } from '../harness/browser';

const RUNS = 5;
/** Milliseconds that are looked at, from the moment the first plan is shown. */
const WATCHED = 4000;
const LIST = Array.from(
  { length: 60 },
  (_, index) => `${1 + (index % 3)} 2x4 ${9 + ((index * 37) % 71)} ${1 + ((index * 5) % 15)}/16 p${index}`,
).join('\n');

const main = async () => {
  const site = await serve();
  const browser = await launch();
  const longest: number[] = [];
  for (let run = 0; run < RUNS; run++) {
    const { page, context } = await visit(browser, PHONE);
    await page.goto(site.address);
    await page.getByRole('button', { name: 'New project' }).click();
    await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Long list');
    await page.getByRole('button', { name: 'Make the project' }).click();
    await page.getByRole('button', { name: 'Paste a list' }).click();
    await page.getByRole('textbox', { name: 'One part a line, as it was written' }).fill(LIST);
    await page.getByRole('button', { name: 'Add 60 parts' }).click();
    await page.getByRole('link', { name: 'Buy', exact: true }).click();
    await page.getByText(/so far, none can be below/).waitFor();
    await page.evaluate(() => {
      const seen: number[] = [];
      Object.assign(window, { longTasks: seen });
      new PerformanceObserver((list) =>
        seen.push(...list.getEntries().map(({ duration }) => duration)),
      ).observe({ type: 'longtask' });
    });
    await page.waitForTimeout(WATCHED);
    const tasks = await page.evaluate(() => (window as unknown as { longTasks: number[] }).longTasks);
    longest.push(Math.max(0, ...tasks));
    await context.close();
  }
  console.log(
    `longest task on the page while it plans: ${longest.map((each) => `${each.toFixed(0)} ms`).join(', ')} (none over 50 ms is 0; must be 50 ms)`,
  );
  await browser.close();
  site.stop();
  process.exit(0);
};
void main();
