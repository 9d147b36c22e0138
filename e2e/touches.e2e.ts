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

test('ten prices in the aisle, three of them lengths of one board: at most 45 touches', async () => {
  const { page, context, complaints, hands: filling } = await begun('Shed floor');
  for (const line of [
    '4 2x4 90 joist',
    '6 1x6 40 board',
    '2 4x4 30 post',
    '12 joist hangers',
    '1 2x8 60 step',
  ]) {
    await filling.write(page.getByLabel(/^Add a part/), line);
    await page.keyboard.press('Enter');
    await expect(page.getByLabel(/^Add a part/)).toHaveValue('');
  }
  // Counted from here.
  const hands = counting(page);
  /** Every key of our own keypad is one touch of a moving thumb: a price is counted as one, its fields and lengths each as one more. */
  const type = async (price: string) => {
    for (const key of price)
      await page
        .getByTestId('keypad')
        .getByRole('button', { name: key === '⌫' ? 'Erase' : key, exact: true })
        .tap();
  };
  const price = page.getByRole('textbox', { name: 'Price, $' });
  const lengths = page.getByRole('group', { name: 'Lengths' });
  await hands.press(page.getByRole('link', { name: 'Prices', exact: true }));
  await hands.press(button(page, 'Enter prices in the aisle'));
  await hands.write(page.getByRole('textbox', { name: 'Another store, by name' }), 'Fenwick Yard');
  await hands.press(button(page, 'I am there'));
  for (const [length, sum] of [
    [/^8/, '4.25'],
    [/^10/, '5.30'],
    [/^12/, '6.90'],
  ] as const) {
    await hands.press(lengths.getByRole('button', { name: length }));
    await expect(price).toHaveValue('');
    await type(sum);
  }
  await hands.press(button(page, 'Next'));
  for (const sum of ['7.10', '9.40']) {
    await hands.press(lengths.getByRole('button', { name: /^8/ }));
    await type(sum);
    await hands.press(lengths.getByRole('button', { name: /^12/ }));
    await expect(price).toHaveValue('');
    await type(`1${sum}`);
    await hands.press(button(page, 'Next'));
  }
  // A pack: the keys write where the eye is, and over what stood there.
  await type('14.97');
  await hands.press(page.getByLabel('Pieces in it'));
  await type('215');
  await expect(price).toHaveValue('14.97');
  await expect(page.getByLabel('Pieces in it')).toHaveValue('215');
  // Back at the price the keys write there again.
  await hands.press(price);
  await type('5');
  await expect(price).toHaveValue('14.975');
  await type('⌫');
  await expect(page.getByLabel('Pieces in it')).toHaveValue('215');
  await hands.press(button(page, 'Next'));
  await hands.press(lengths.getByRole('button', { name: /^16/ }));
  await hands.write(page.getByLabel('Of what wood, as the tag says'), 'fir');
  await hands.press(price);
  await type('22.50');
  await hands.press(lengths.getByRole('button', { name: /^8/ }));
  await type('11.25');
  await hands.press(button(page, 'Next'));
  await page.getByRole('heading', { name: 'That is all that is needed here.' }).waitFor();
  await hands.press(button(page, 'Done here'));
  // Ten prices, none of them lost.
  for (const sum of [
    '$4.25',
    '$5.30',
    '$6.90',
    '$7.10',
    '$17.10',
    '$9.40',
    '$19.40',
    '$14.97',
    '$22.50',
    '$11.25',
  ])
    await page.getByText(sum).first().waitFor();
  // Ten prices are ten more touches than are counted above.
  expect(hands.count() + 10).toBeLessThanOrEqual(45);
  expect(complaints).toEqual([]);
  await context.close();
});
