import { expect, test, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { readParts, writeProjectFile } from '@/core/io';
import { emptyBook, emptyProject } from '@/core/project';
import { counter, must } from '@/core/testing';
import { launch, PHONE, serve, visit, WIDE, type Site } from '../harness/browser';
import { keyboard, thumb, type Hands } from './hands';
import { file, pick } from './steps';

let browser: Browser;
test.beforeAll(async () => {
  browser = await launch();
});
test.afterAll(() => browser?.close());

/** A bike shelter of twenty things that have no price yet. */
const shelter = (): string => {
  const lengths = ['41', '29 1/2', '20', '63'];
  const rows = ['2x4', '2x6', '1x4', '1x6', '4x4'].flatMap((section) =>
    ['treated', 'oak', 'fir', 'elm'].map(
      (material, index) => `${section} ${material},2,${section},${lengths[index]},${material}`,
    ),
  );
  const id = counter();
  const groups = must(
    readParts(`part,qty,section,length,material\n${rows.join('\n')}`, 'parts.csv', 'in', id),
  );
  const project = { ...emptyProject('shelter', 'Bike shelter', 'in', 'USD'), groups };
  return writeProjectFile(project, emptyBook());
};

for (const [name, size, handsOf] of [
  ['a thumb on a phone', PHONE, thumb],
  ['the keyboard alone on a wide screen', WIDE, keyboard],
] as const)
  test.describe(`twenty prices in the aisle, with ${name}`, () => {
    test.describe.configure({ mode: 'serial' });
    let site: Site;
    let page: Page;
    let context: BrowserContext;
    let hands: Hands;
    let complaints: string[];
    const isPhone = size === PHONE;
    const button = (name: string | RegExp) => page.getByRole('button', { name, exact: true });
    const price = () => page.getByRole('textbox', { name: 'Price, $' });
    const done = (number: number) => page.getByText(`${number} of 20 done`).waitFor();
    /** Types a price at the shelf, and goes on. */
    const type = async (text: string) => {
      if (isPhone) {
        for (const key of text)
          await page.getByTestId('keypad').getByRole('button', { name: key, exact: true }).tap();
        await button('Next').tap();
      } else {
        // The keyboard is at the price already.
        await page.waitForFunction(() => document.activeElement?.getAttribute('aria-label') === 'Price, $');
        await page.keyboard.type(text);
        await page.keyboard.press('Enter');
      }
    };

    test.beforeAll(async () => {
      site = await serve();
      ({ page, context, complaints } = await visit(browser, size));
      hands = handsOf(page);
      page.setDefaultTimeout(15_000);
      await page.goto(site.address);
      await pick(page, () => hands.press(button('Open a file')), file('shelter.billet.json', shelter()));
      await page.getByRole('heading', { name: 'Bike shelter' }).waitFor();
    });
    test.afterEach(() => expect(complaints).toEqual([]));
    test.afterAll(async () => {
      await context.close();
      site.stop();
    });

    test('the store is picked once, and price follows price', async () => {
      await hands.press(page.getByRole('link', { name: 'Prices', exact: true }));
      await hands.press(button('Enter prices in the aisle'));
      await hands.write(page.getByRole('textbox', { name: 'Another store, by name' }), 'Fenwick Yard');
      await hands.press(button('I am there'));
      await done(0);
      for (let number = 1; number <= 12; number++) {
        await type(`${3 + number}.25`);
        await done(number);
      }
    });

    test('a slipped decimal point is asked about, by the prices of its neighbours', async () => {
      // The same section in another length is its neighbour.
      await type('9.50');
      await done(13);
      await hands.press(isPhone ? button(/^Back to \d/) : page.getByRole('button', { name: /\$9\.50 each/ }));
      await type('95');
      await page.getByRole('alert').getByText('Really $95.00 each? The last was $9.50').waitFor();
      await hands.press(button('Type it again'));
      await type('9.75');
      await done(13);
      await page.getByRole('alert').waitFor({ state: 'detached' });
    });

    test('the tab is closed in the middle of a price, and brings it back', async () => {
      if (isPhone)
        for (const key of '12.')
          await page.getByTestId('keypad').getByRole('button', { name: key, exact: true }).tap();
      else await page.keyboard.type('12.');
      const thing = await page.getByRole('heading', { level: 2 }).last().innerText();
      await page.close();
      page = await context.newPage();
      hands = handsOf(page);
      page.setDefaultTimeout(15_000);
      await page.goto(`${site.address}/aisle?project=shelter`);
      await done(13);
      await page.getByRole('heading', { name: thing }).waitFor();
      expect(await price().inputValue()).toBe('12.');
      await type('40');
      await done(14);
    });

    test('sold by the foot; not here; and all the rest, to the end', async () => {
      await hands.choose('Sold', 'by the foot');
      await hands.write(price(), '0.85');
      await page.keyboard.press('Enter');
      await done(15);
      await hands.press(button('Not here'));
      await done(16);
      for (let number = 17; number <= 20; number++) {
        await type(`${number}.05`);
        if (number < 20) await done(number);
      }
      await page.getByRole('heading', { name: 'That is all that is needed here.' }).waitFor();
      await hands.press(button('Done here'));
      await page.getByRole('region', { name: 'No price yet' }).getByText(/^for/).waitFor();
      expect(await page.getByRole('region', { name: 'No price yet' }).getByText(/^for/).count()).toBe(1);
    });

    test('the next time: same as last, and out of stock', async () => {
      await hands.press(button('Enter prices in the aisle'));
      const first = page.getByText('0 of 20 done');
      await first.or(button('Fenwick Yard')).first().waitFor();
      if (!(await first.isVisible())) await hands.press(button('Fenwick Yard'));
      await done(0);
      await hands.press(button(/^Same as last time/));
      await done(1);
      await hands.press(button('Out of stock'));
      await done(2);
      await hands.press(button('Back to prices'));
      await page.getByText('out of stock').first().waitFor();
    });

    test('a price half typed in its form comes back with the tab', async () => {
      await hands.press(button('Add a price'));
      await hands.write(page.getByRole('textbox', { name: 'Price on the tag, USD' }), '7.77');
      await hands.write(page.getByRole('textbox', { name: 'Section' }), '2x10');
      await page.close();
      page = await context.newPage();
      hands = handsOf(page);
      page.setDefaultTimeout(15_000);
      await page.goto(`${site.address}/project/shelter/prices`);
      await page.getByRole('button', { name: 'Save the price' }).waitFor();
      expect(await page.getByRole('textbox', { name: 'Price on the tag, USD' }).inputValue()).toBe('7.77');
      expect(await page.getByRole('textbox', { name: 'Section' }).inputValue()).toBe('2x10');
      await hands.press(button('Close'));
      await page.reload();
      await button('Enter prices in the aisle').waitFor();
      // A form that is brought back is there with the first drawing of the place.
      await expect(button('Save the price')).toHaveCount(0);
    });
  });
