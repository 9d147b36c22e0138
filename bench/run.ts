/**
 * In a store, with the sample on a phone: from "only 28 of them" to the words that say what changed, and to the end of the
 * search for a cheaper way; medians of five, in Chromium.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { launch, PHONE, serve, visit } from '../harness/browser';

const RUNS = 5;
const RECORD = 'bench/run.json';
const median = (values: number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

const main = async () => {
  const site = await serve();
  const browser = await launch();
  const times: { toldMs: number; searchedMs: number }[] = [];
  for (let run = 0; run < RUNS; run++) {
    const { page, context } = await visit(browser, PHONE);
    await page.goto(`${site.address}/project/compost-station/buy`);
    await page.getByText('proved cheapest').waitFor();
    await page.getByRole('button', { name: 'Shop at Harrow Lumber' }).tap();
    await page.getByRole('button', { name: /^30 × cedar picket 6 ft: other price/ }).tap();
    await page.getByLabel('How many', { exact: true }).fill('28');
    await page.getByRole('radio', { name: 'No more there' }).tap();
    const pressed = page.getByRole('button', { name: /^In the cart: 28 for/ });
    await page.waitForTimeout(500);
    times.push(
      await pressed.evaluate(async (button) => {
        const until = async (isThere: (told: Element) => boolean): Promise<number> => {
          for (;;) {
            const told = [...document.querySelectorAll('[role=status]')].find((one) =>
              one.textContent?.startsWith('Only 28'),
            );
            if (told && isThere(told)) return performance.now() - began;
            await new Promise(requestAnimationFrame);
          }
        };
        const began = performance.now();
        (button as HTMLElement).click();
        const toldMs = await until((told) => /in all\.|costs the same/.test(told.textContent ?? ''));
        const searchedMs = await until((told) => told.getAttribute('aria-busy') === 'false');
        return { toldMs, searchedMs };
      }),
    );
    await context.close();
  }
  const measured = {
    toldMs: Math.round(median(times.map(({ toldMs }) => toldMs))),
    searchedMs: Math.round(median(times.map(({ searchedMs }) => searchedMs))),
  };
  console.log('last record', readFileSync(RECORD, 'utf8').trim());
  console.log('now', JSON.stringify(measured), times.map(({ toldMs }) => Math.round(toldMs)).join(', '));
  if (process.argv.includes('--record')) writeFileSync(RECORD, `${JSON.stringify(measured, null, 2)}\n`);
  await browser.close();
  site.stop();
  process.exit(0);
};

void main();
