import { expect, test, type Page } from '@playwright/test';
import { PHONE, visit, WIDE } from '../harness/browser';
import { keptTexts } from '../harness/kept';
import { atSite } from './steps';

const at = atSite();

/** Keeps every value of the money strip, frame by frame, until it is read. */
const watchStrip = (page: Page) =>
  page.evaluate(() => {
    const seen: string[] = [];
    (window as unknown as { seenStrips: string[] }).seenStrips = seen;
    const look = () => {
      const strip = document.querySelector('[data-testid=money-strip] [role=img]');
      const words = strip?.getAttribute('aria-label');
      if (words && words !== seen.at(-1)) seen.push(words);
      requestAnimationFrame(look);
    };
    look();
  });
const seenStrips = (page: Page) =>
  page.evaluate(() => [...(window as unknown as { seenStrips: string[] }).seenStrips]);
const stripNow = (page: Page) => page.getByTestId('money-strip').getByRole('img').getAttribute('aria-label');

/** What a strip tells, in cents. */
const sumsOf = (strip: string) => {
  const [, spent = '', toBuy = ''] = /\$([\d,.]+) spent, \$([\d,.]+) to buy/.exec(strip) ?? [];
  return { spent: cents(spent), toBuy: cents(toBuy) };
};
const cents = (text: string): number => Math.round(Number(text.replaceAll(',', '')) * 100);

/** Counts what workers are asked for, by the name of the question. */
const countCalls = (page: Page) =>
  page.addInitScript(() => {
    const calls: Record<string, number> = {};
    (window as unknown as { workerCalls: typeof calls }).workerCalls = calls;
    const post = Worker.prototype.postMessage;
    Worker.prototype.postMessage = function (this: Worker, message: unknown, ...rest: unknown[]) {
      const path = (message as { path?: string[] } | null)?.path?.join('.');
      if (path) calls[path] = (calls[path] ?? 0) + 1;
      return (post as (...given: unknown[]) => void).call(this, message, ...rest);
    } as typeof post;
  });
const calls = (page: Page): Promise<Record<string, number>> =>
  page.evaluate(() => ({ ...(window as unknown as { workerCalls: Record<string, number> }).workerCalls }));

const openBuy = async (page: Page): Promise<void> => {
  await page.goto(at.site.address);
  await page.getByRole('listitem').filter({ hasText: 'Compost station' }).getByRole('link').first().click();
  await page.getByRole('link', { name: 'Buy', exact: true }).click();
  await page.getByText('proved cheapest').waitFor();
};
const untickedLines = (page: Page) => page.getByRole('checkbox', { name: /: bought$/, checked: false });

for (const [name, size] of [
  ['a phone', PHONE],
  ['a wide screen', WIDE],
] as const)
  test(`on ${name}: during ten ticks the money strip shows the old sums or the new, and none between`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(20_000);
    await openBuy(page);
    await watchStrip(page);
    for (let turn = 0; turn < 10; turn++) {
      const before = await stripNow(page);
      const open = untickedLines(page);
      // A list is soon bought: what was ticked is also taken back.
      const box =
        turn % 3 < 2 && (await open.count()) > 0
          ? open
          : page.getByRole('checkbox', { name: /: bought$/, checked: true });
      await box.first().click();
      await page.waitForFunction(
        (was) =>
          document.querySelector('[data-testid=money-strip] [role=img]')?.getAttribute('aria-label') !== was,
        before,
      );
    }
    const seen = (await seenStrips(page)).map(sumsOf);
    // What stood before the first tick may not have been drawn again on a busy machine.
    expect(seen.length).toBeGreaterThanOrEqual(10);
    for (const [index, now] of seen.entries()) {
      const last = seen[index - 1];
      if (!last) continue;
      // A tick moves both; what was found since without one is a cheaper plan, and nothing else.
      if (now.spent === last.spent) expect(now.toBuy).toBeLessThan(last.toBuy);
      else expect(Math.sign(now.toBuy - last.toBuy)).toBe(-Math.sign(now.spent - last.spent));
    }
    expect(complaints).toEqual([]);
    await context.close();
  });

test('the same price again, a note and a reload start no new proof, and the list stays as it was', async () => {
  const { page, context } = await visit(at.browser, WIDE);
  page.setDefaultTimeout(20_000);
  await countCalls(page);
  await openBuy(page);
  const list = () =>
    page
      .getByRole('checkbox', { name: /: bought$/ })
      .evaluateAll((boxes) => boxes.map((box) => box.getAttribute('aria-label')));
  const before = await list();
  const strip = await stripNow(page);
  const asked = await calls(page);
  expect(asked['search'] ?? 0).toBeGreaterThan(0);
  await page.getByRole('button', { name: 'More for this project' }).click();
  await page.getByRole('menuitem', { name: 'Project details' }).click();
  await page.getByRole('textbox', { name: 'Note' }).fill('Seen again, nothing else.');
  await page
    .getByRole('button', { name: /^Save|^Keep|^Done/ })
    .first()
    .click();
  await page.getByRole('dialog').waitFor({ state: 'detached' });
  expect((await calls(page))['search']).toBe(asked['search']);
  // What was planned is kept a moment after it was shown.
  await expect
    .poll(async () => Object.keys(await keptTexts(page)).some((key) => key.startsWith('billet/plan/')))
    .toBe(true);
  await page.reload();
  await page.getByText('proved cheapest').waitFor();
  expect(await list()).toEqual(before);
  expect(await stripNow(page)).toBe(strip);
  await page.waitForFunction(
    () => Object.keys((window as unknown as { workerCalls: object }).workerCalls).length > 0,
  );
  expect((await calls(page))['search'] ?? 0).toBe(0);
  await context.close();
});

test('two touches on one line before anything else is drawn buy it once', async () => {
  const { page, context } = await visit(at.browser, PHONE);
  page.setDefaultTimeout(20_000);
  await openBuy(page);
  const line = untickedLines(page).first();
  const name = (await line.getAttribute('aria-label')) ?? '';
  await line.evaluate((box) => {
    (box as HTMLElement).click();
    (box as HTMLElement).click();
  });
  await page.getByRole('checkbox', { name, checked: true }).first().waitFor();
  await page.getByRole('link', { name: 'Spend', exact: true }).click();
  const item = name.replace(/^\d+ × /, '').replace(/: bought$/, '');
  const entry = page.getByRole('button', {
    name: new RegExp(`^Change .*${item.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}`),
  });
  await entry.first().waitFor();
  expect(await entry.count()).toBe(1);
  await context.close();
});
