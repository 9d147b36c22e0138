import { expect, test, type Locator, type Page } from '@playwright/test';
import { PHONE, visitNew } from '../harness/browser';
import { thumb, type Hands } from './hands';
import { atSite } from './steps';

const at = atSite();

/** A thumb that counts: each touch is one, and so is each field that is filled. */
const counting = (page: Page): Pick<Hands, 'press' | 'write'> & { count: () => number } => {
  const hands = thumb(page);
  let touches = 0;
  return {
    count: () => touches,
    press: (target) => {
      touches++;
      return hands.press(target);
    },
    write: (target, text) => {
      touches += 2;
      return hands.write(target, text);
    },
  };
};

const button = (within: Page | Locator, name: string | RegExp) =>
  within.getByRole('button', { name }).first();

/** A project of one's own in an empty browser, on a phone, with a thumb that counts. */
const begun = async (name: string, target?: string) => {
  const visited = await visitNew(at.browser, PHONE);
  const { page } = visited;
  page.setDefaultTimeout(20_000);
  const hands = counting(page);
  await page.goto(at.site.address);
  await hands.press(button(page, 'Start my own project'));
  await hands.write(page.getByLabel('Name', { exact: true }), name);
  if (target) await hands.write(page.getByLabel('Target: what it must not cost more than'), target);
  await hands.press(button(page, 'Make the project'));
  return { ...visited, hands };
};

/** Goes to Buy, where the plan is proved. */
const seeProof = async (page: Page, hands: ReturnType<typeof counting>): Promise<void> => {
  await hands.press(page.getByRole('link', { name: 'Buy', exact: true }));
  await page.getByText('Proved cheapest').first().waitFor();
};

/** Types what each thing without a price costs, where it is listed. */
const priceAll = async (page: Page, hands: ReturnType<typeof counting>, prices: string[]): Promise<void> => {
  await hands.press(button(page, /without a price: type/));
  const region = page.getByRole('region', { name: 'No price yet' });
  for (const [index, price] of prices.entries()) {
    const left = prices.length - index;
    const fields = region.getByLabel(/price on the tag/);
    await expect(fields).toHaveCount(left);
    const material = region.getByLabel(/of what wood/).first();
    if ((await material.count()) > 0 && (await material.inputValue()) === '')
      await hands.write(material, 'pine');
    await hands.write(fields.first(), price);
    await page.keyboard.press('Enter');
    await expect(region.getByLabel(/price on the tag/)).toHaveCount(left - 1);
  }
};

test('a four-part stand: from an empty browser to a proved plan under a target in at most 60 touches', async () => {
  const { page, context, complaints, hands } = await begun('Plant stand', '60');
  for (const line of ['4 2x4 30 leg', '4 2x4 12 rail', '5 1x4 16 slat', '24 wood screws 2 1/2']) {
    await hands.write(page.getByLabel(/^Add a part/), line);
    await page.keyboard.press('Enter');
    await expect(page.getByLabel(/^Add a part/)).toHaveValue('');
  }
  await priceAll(page, hands, ['4.25', '3.10', '6.50']);
  await seeProof(page, hands);
  await page
    .getByTestId('money-strip')
    .getByRole('img', { name: /of the target|left|to buy/ })
    .first()
    .waitFor();
  expect(hands.count()).toBeLessThanOrEqual(60);
  expect(complaints).toEqual([]);
  await context.close();
});

test('a raised box from its measures: from an empty browser to a proved plan in at most 25 touches', async () => {
  const { page, context, complaints, hands } = await begun('Herb bed');
  await hands.press(button(page, 'Build from measures'));
  await hands.press(button(page, /Raised box/));
  await hands.press(button(page.getByRole('dialog'), /^Add/));
  await button(page, /without a price: type/).waitFor();
  // The empty group that a project begins with is not in the way.
  await expect(page.getByText('Nothing in it yet', { exact: false })).toHaveCount(0);
  const many = Number(/^\d+/.exec(await button(page, /without a price: type/).innerText())?.[0]);
  await priceAll(
    page,
    hands,
    Array.from({ length: many }, () => '5'),
  );
  await seeProof(page, hands);
  expect(hands.count()).toBeLessThanOrEqual(25);
  expect(complaints).toEqual([]);
  await context.close();
});
