import { appendFileSync, cpSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Browser, BrowserContext, Page } from 'playwright-core';
import { readParts, writeProjectFile } from '@/core/formats';
import { emptyBook, emptyProject } from '@/core/project';
import { counter, must } from '@/core/testing';
import { launch, PHONE, serve, visit, WIDE } from './browser';
import { keyboard, thumb, type Hands } from './hands';

jest.setTimeout(180_000);

let browser: Browser;
beforeAll(async () => {
  browser = await launch();
});
afterAll(() => browser?.close());

const folder = mkdtempSync(path.join(tmpdir(), 'billet-'));
const file = (name: string, text: string): string => {
  const place = path.join(folder, name);
  writeFileSync(place, text);
  return place;
};

/** Keeps a picture of what was on screen when a step failed; those after it fail at once. */
const stepsOf = (name: string, page: () => Page) => {
  let failed: string | null = null;
  return (what: string, work: () => Promise<void>) =>
    test(what, async () => {
      if (failed) throw new Error(`it ended at: ${failed}`);
      failed = what;
      await work().catch(async (error) => {
        mkdirSync('e2e/output', { recursive: true });
        await page().screenshot({ path: `e2e/output/${name}.png` });
        throw error;
      });
      failed = null;
    });
};

const pick = async (page: Page, press: () => Promise<void>, place: string) => {
  const asked = page.waitForEvent('filechooser');
  await press();
  await (await asked).setFiles(place);
};

/** A bike shelter of twenty things that have no price yet. */
const shelter = (): string => {
  const lengths = ['41', '29 1/2', '20', '63'];
  const rows = ['2x4', '2x6', '1x4', '1x6', '4x4'].flatMap((section) =>
    ['treated', 'cedar', 'fir', 'pine'].map((material, index) => `${section} ${material},2,${section},${lengths[index]},${material}`),
  ); // prettier-ignore
  const id = counter();
  const groups = must(
    readParts(`part,qty,section,length,material\n${rows.join('\n')}`, 'parts.csv', 'in', id),
  );
  const project = { ...emptyProject('shelter', 'Bike shelter', 'in', 'USD'), groups };
  return writeProjectFile(project, emptyBook());
};

describe.each([
  ['a thumb on a phone', PHONE, thumb],
  ['the keyboard alone on a wide screen', WIDE, keyboard],
] as const)('twenty prices in the aisle, with %s', (_name, size, handsOf) => {
  let site: Awaited<ReturnType<typeof serve>>;
  let page: Page;
  let context: BrowserContext;
  let hands: Hands;
  let complaints: string[];
  const isPhone = size === PHONE;
  const step = stepsOf(`aisle-${isPhone ? 'phone' : 'wide'}`, () => page);
  const button = (name: string | RegExp) => page.getByRole('button', { name, exact: true });
  const price = () => page.getByRole('textbox', { name: 'Price, $' });
  const done = (number: number) => page.getByText(`${number} of 20 done`).waitFor();
  /** Types a price at the shelf, and goes on. */
  const type = async (text: string) => {
    if (isPhone) {
      for (const key of text) await page.getByTestId('keypad').getByRole('button', { name: key, exact: true }).tap();
      await button('Next').tap();
    } else {
      // The keyboard is at the price already.
      await page.waitForFunction(() => document.activeElement?.getAttribute('aria-label') === 'Price, $');
      await page.keyboard.type(text);
      await page.keyboard.press('Enter');
    }
  }; // prettier-ignore

  beforeAll(async () => {
    site = await serve(4397);
    ({ page, context, complaints } = await visit(browser, size));
    hands = handsOf(page);
    page.setDefaultTimeout(15_000);
    await page.goto(site.address);
    await pick(page, () => hands.press(button('Open a file')), file('shelter.billet.json', shelter()));
    await page.getByRole('heading', { name: 'Bike shelter' }).waitFor();
  });
  afterEach(() => expect(complaints).toEqual([]));
  afterAll(async () => {
    await context.close();
    site.stop();
  });

  step('the store is picked once, and price follows price', async () => {
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

  step('a slipped decimal point is asked about, by the prices of its neighbours', async () => {
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

  step('the tab is closed in the middle of a price, and brings it back', async () => {
    if (isPhone) for (const key of '12.') await page.getByTestId('keypad').getByRole('button', { name: key, exact: true }).tap();
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
  }); // prettier-ignore

  step('sold by the foot; not here; and all the rest, to the end', async () => {
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

  step('the next time: same as last, and out of stock', async () => {
    await hands.press(button('Enter prices in the aisle'));
    if (!(await page.getByText('0 of 20 done').isVisible())) await hands.press(button('Fenwick Yard'));
    await done(0);
    await hands.press(button(/^Same as last time/));
    await done(1);
    await hands.press(button('Out of stock'));
    await done(2);
    await hands.press(button('Back to prices'));
    await page.getByText('out of stock').first().waitFor();
  });

  step('a price half typed in its form comes back with the tab', async () => {
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
    await page.waitForTimeout(300);
    expect(await button('Save the price').count()).toBe(0);
  });
});

describe('a store that tells its prices', () => {
  const PORT = 4398;
  let site: Awaited<ReturnType<typeof serve>>;
  let page: Page;
  let context: BrowserContext;
  let answer = '';
  const step = stepsOf('feed', () => page);
  const button = (name: string | RegExp) => page.getByRole('button', { name, exact: true });
  const status = () => page.getByRole('status', { name: 'Price services' });
  /** The same store on another day. */
  const onDay = async (day: string) => {
    site?.stop();
    await new Promise((resolve) => setTimeout(resolve, 300));
    site = await serve(PORT, { BILLET_TODAY: day, BILLET_FEED_SWITCHES: '1' });
    await page?.clock.setFixedTime(`${day}T10:00:00`);
    await page?.evaluate(() => document.dispatchEvent(new Event('visibilitychange')));
  };

  beforeAll(async () => {
    await onDay('2026-11-17');
    ({ page, context } = await visit(browser, PHONE));
    page.setDefaultTimeout(15_000);
    await page.clock.setFixedTime('2026-11-17T10:00:00');
    await page.route('**/api/**', (route) =>
      route.continue({
        url: `${route.request().url()}${route.request().url().includes('?') ? '&' : '?'}${answer}`,
      }),
    );
    await page.goto(`${site.address}/prices`);
  });
  afterAll(async () => {
    await context.close();
    site.stop();
  });

  step('is followed, looked through, and taken but for some', async () => {
    await page.getByRole('tab', { name: 'Stores' }).tap();
    await button('Follow Millrace Lumber').tap();
    await status()
      .getByText(/prices to look at: .* on your open projects|no difference/)
      .waitFor();
    await button('Look at them').tap();
    const sheet = page.getByRole('dialog', { name: 'Prices the stores told' });
    const all = Number(/\d+/.exec(await sheet.getByRole('button', { name: /^Take \d+/ }).innerText())?.[0]);
    expect(all).toBeGreaterThan(350);
    await sheet
      .getByRole('checkbox', { name: /^Take 2x4x8 treated/ })
      .first()
      .tap();
    await sheet.getByRole('button', { name: `Take ${all - 1} prices` }).tap();
    await status().waitFor({ state: 'detached' });
    await page
      .getByRole('button', { name: 'Change Millrace Lumber' })
      .getByText(`${all - 1} prices`)
      .waitFor();
  });

  step('a week later what changed is told with its worth; what was typed is not ticked', async () => {
    // A price typed after the store was last looked at.
    await page.getByRole('tab', { name: 'All prices' }).tap();
    await page.getByRole('textbox', { name: /^Find/ }).fill('2x4x10 fir');
    await page.getByRole('button', { name: /^2x4x10 fir, Millrace/ }).tap();
    await button('Change the price').tap();
    await page.getByRole('textbox', { name: 'Price on the tag, USD' }).fill('1.11');
    await button('Save the price').tap();
    await onDay('2026-11-24');
    await page.reload();
    await status()
      .getByText(/\d+ prices changed since 17 Nov: [+−]\$[\d.]+ on your open projects|no difference/)
      .waitFor();
    await button('Look at them').tap();
    const sheet = page.getByRole('dialog', { name: 'Prices the stores told' });
    const own = sheet.getByRole('checkbox', { name: /^Take 2x4x10 fir/ });
    if (await own.count()) expect(await own.getAttribute('aria-checked')).toBe('false');
    await sheet.getByRole('button', { name: /^Take \d+ price/ }).tap();
    await status().waitFor({ state: 'detached' });
    await page.getByRole('tab', { name: 'All prices' }).tap();
    await page.getByRole('textbox', { name: /^Find/ }).fill('2x4x10 fir');
    await page
      .getByRole('button', { name: /^2x4x10 fir, Millrace/ })
      .getByText('$1.11', { exact: true })
      .waitFor();
  });

  step('nonsense and a cut answer are refused whole, and the book is untouched', async () => {
    const kept = () => page.evaluate(() => localStorage.getItem('billet/book'));
    const before = await kept();
    for (const [how, says] of [
      ['answer=nonsense', /no price list; it was refused whole/],
      ['answer=cut', /cut off, and was refused whole/],
    ] as const) {
      answer = how;
      await page.reload();
      await status().getByText(says).waitFor();
    }
    answer = 'answer=error';
    await page.reload();
    // It is asked three times before that is told.
    await status()
      .getByText(/does not answer now \(503\)/)
      .waitFor();
    answer = '';
    await button('Ask again').tap();
    await status().waitFor({ state: 'detached' });
    expect(await kept()).toBe(before);
  });

  step('without a signal the book works, and the store is asked once there is one', async () => {
    await onDay('2026-11-28');
    await context.setOffline(true);
    await page.getByRole('tab', { name: 'All prices' }).tap();
    await page.getByText(/prices at \d+ stores/).waitFor();
    await context.setOffline(false);
    await status()
      .getByText(/changed since Tuesday/)
      .waitFor();
  });
});

describe('a sheet of prices', () => {
  let site: Awaited<ReturnType<typeof serve>>;
  let page: Page;
  let context: BrowserContext;
  let complaints: string[];
  const step = stepsOf('sheet', () => page);
  const sheet = () => page.getByRole('dialog');
  const take = async (name: string, text: string) => {
    await page.getByRole('button', { name: 'Files' }).click();
    await page.getByRole('menuitem', { name: 'Take prices from a file' }).click();
    await pick(page, () => sheet().getByRole('button', { name: 'Choose a file' }).click(), file(name, text));
  };

  beforeAll(async () => {
    site = await serve(4400);
    ({ page, context, complaints } = await visit(browser, WIDE));
    page.setDefaultTimeout(15_000);
    await page.goto(`${site.address}/prices`);
  });
  afterEach(() => expect(complaints).toEqual([]));
  afterAll(async () => {
    await context.close();
    site.stop();
  });

  step('with faults: what is new, in conflict and wrong is shown, and only what is right is taken', async () => {
    await take(
      'yard.csv',
      'store,section,length,material,price,date\n' +
        'Harrow Lumber,2x4,8ft,treated,6.66,2026-11-09\n' +
        'Harrow Lumber,2x8,8ft,treated,9.95,2026-11-20\n' +
        'Harrow Lumber,2x8,8 spans,treated,9.95,2026-11-20\n' +
        'Harrow Lumber,2x8,8ft,treated,"nine",2026-11-20\n',
    );
    await sheet().getByRole('group', { name: 'new' }).getByText('1 new').waitFor();
    await sheet().getByRole('group', { name: 'in conflict' }).getByText(/line 2.*\$6\.66 each.*was \$5\.35/).waitFor();
    const wrong = sheet().getByRole('group', { name: 'wrong' });
    await wrong.getByText('2 lines that cannot be read').waitFor();
    await wrong.getByText('yard.csv:4: length').waitFor();
    await wrong.getByText('yard.csv:5: price').waitFor();
    await sheet().getByRole('button', { name: 'Take 1 price' }).click();
    await page.getByText('1 price taken from yard.csv.').waitFor();
    await page.getByRole('tab', { name: 'All prices' }).click();
    await page.getByRole('textbox', { name: /^Find/ }).fill('2x8x8 treated');
    await page.getByRole('button', { name: /^2x8x8 treated at Harrow Lumber: \$9\.95/ }).waitFor();
  }); // prettier-ignore

  step('with headings of its own: matched by guess and by hand, with decimal commas', async () => {
    await take('maple.csv', 'Profile;Len;Species;Unit cost;Comment\n1x4;8ft;maple;"12,40 $";knotty\n');
    await sheet().getByRole('button', { name: 'is: length' }).waitFor();
    await sheet().getByRole('button', { name: 'is: price' }).waitFor();
    await sheet().getByRole('button', { name: 'is: nothing here' }).click();
    await page.getByRole('menuitem', { name: 'item, as on the tag' }).click();
    await sheet().getByRole('textbox', { name: 'All these prices are from the store' }).fill('Orchard Mill');
    await sheet().getByRole('button', { name: 'Read it' }).click();
    await sheet().getByText('New stores: Orchard Mill.').waitFor();
    await sheet().getByRole('button', { name: 'Take 1 price' }).click();
    await page.getByRole('textbox', { name: /^Find/ }).fill('knotty');
    await page.getByRole('button', { name: /^knotty at Orchard Mill: \$12\.40/ }).waitFor();
  });

  step('what does not fit into the browser is refused before anything is taken, with how much would', async () => {
    await page.evaluate(() => localStorage.setItem('filler', 'x'.repeat(5_000_000 - 140_000 - JSON.stringify(localStorage).length))); // prettier-ignore
    const before = await page.evaluate(() => localStorage.getItem('billet/book'));
    // Names that no compression makes short.
    const random = (row: number) => Array.from({ length: 40 }, (_, index) => ((row * 7919 + index * 104_729 + row * row * index) % 36).toString(36)).join(''); // prettier-ignore
    const rows = Array.from({ length: 8000 }, (_, row) => `Harrow Lumber,${random(row)} ${row},hardware,${(row % 900) + 1}.05`); // prettier-ignore
    await take('long.csv', `store,item,kind,price\n${rows.join('\n')}`);
    await sheet().getByRole('button', { name: 'Take 8000 prices' }).click();
    const told = sheet().getByText(/^There is not enough room in this browser: about \d+ of these 8000 prices would fit/);
    await told.waitFor();
    const fitting = Number(/about (\d+)/.exec(await told.innerText())?.[1]);
    expect(fitting).toBeGreaterThan(0);
    expect(fitting).toBeLessThan(8000);
    expect(await page.evaluate(() => localStorage.getItem('billet/book'))).toBe(before);
    await page.evaluate(() => localStorage.removeItem('filler'));
    await page.keyboard.press('Escape');
  }); // prettier-ignore

  step('a file that is no sheet is refused with its fault', async () => {
    await take('empty.csv', 'store,price\n');
    await sheet().getByText('there is a header and nothing below it').waitFor();
    await page.keyboard.press('Escape');
  });
});

describe('without a signal', () => {
  test('every view opens again from what is kept, and a price can be entered', async () => {
    const site = await serve(4401);
    const { page, context } = await visit(browser, PHONE, 'light', 'allow');
    page.setDefaultTimeout(20_000);
    await page.goto(site.address);
    await page.getByRole('listitem').first().waitFor();
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    // The worker takes the page over once it has all files.
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    site.stop();
    await context.setOffline(true);
    for (const [place, sees] of [
      ['/', 'Compost station'],
      ['/prices', 'Needed'],
      ['/aisle', 'Which store are you in?'],
      ['/settings', 'Settings'],
      ['/project/compost-station/parts', 'Compost station'],
      ['/project/compost-station/prices', 'The prices in the plan'],
      ['/project/compost-station/buy', 'Harrow Lumber'],
      ['/project/sandpit/parts', 'Sandpit'],
    ] as const) {
      await page.goto(site.address + place);
      await page.getByText(sees).first().waitFor();
      await page.reload();
      await page.getByText(sees).first().waitFor();
    }
    await page.goto(`${site.address}/aisle?project=compost-station`);
    await page.getByRole('button', { name: 'Harrow Lumber' }).tap();
    await page.getByRole('button', { name: /^Same as last time/ }).tap();
    await page.getByText(/^1 of/).waitFor();
    await context.close();
  });

  test('a new version announces itself, and waits while something is half typed', async () => {
    const build = path.join(folder, 'dist');
    cpSync('dist', build, { recursive: true });
    const site = await serve(4403, {}, build);
    const { page, context } = await visit(browser, PHONE, 'light', 'allow');
    page.setDefaultTimeout(20_000);
    await page.goto(`${site.address}/project/compost-station/parts`);
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    // The next build: its service worker is another.
    appendFileSync(path.join(build, 'sw.js'), '\n// a later build\n');
    for (const ending of ['.br', '.gz']) rmSync(path.join(build, `sw.js${ending}`), { force: true });
    await page.reload();
    await page.getByText('A new Billet is here. It waits until you want it.').waitFor();
    const line = page.getByLabel(/^Add a part/);
    await line.fill('4 2x4 30 post');
    await page.getByRole('button', { name: 'Use it now' }).tap();
    await page.getByText(/^Finish or close what is open first/).waitFor();
    expect(await line.inputValue()).toBe('4 2x4 30 post');
    await line.fill('');
    await page.getByRole('button', { name: 'Back to projects' }).tap();
    await page.getByRole('link', { name: 'Settings' }).tap();
    const reloaded = page.waitForEvent('load');
    await page.getByRole('button', { name: 'Use the new Billet' }).tap();
    await reloaded;
    await page.getByRole('heading', { name: 'Settings' }).waitFor();
    expect(await page.getByRole('button', { name: 'Use the new Billet' }).count()).toBe(0);
    await context.close();
    site.stop();
  });
});
