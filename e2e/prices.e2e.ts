import { expect, test, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { launch, PHONE, serve, visit, WIDE, type Site } from '../harness/browser';
import { keptTexts, restingText } from '../harness/kept';
import { file, pick } from './steps';

let browser: Browser;
test.beforeAll(async () => {
  browser = await launch();
});
test.afterAll(() => browser?.close());

test.describe('a store that tells its prices', () => {
  test.describe.configure({ mode: 'serial' });
  let site: Site | undefined;
  let page: Page;
  let context: BrowserContext;
  let answer = '';
  const button = (name: string | RegExp) => page.getByRole('button', { name, exact: true });
  const status = () => page.getByRole('status', { name: 'Price services' });
  /** The same store on another day. */
  const onDay = async (day: string) => {
    await site?.stop();
    site = await serve({ BILLET_TODAY: day, BILLET_FEED_SWITCHES: '1' }, 'dist', site?.port);
    await page?.clock.setFixedTime(`${day}T10:00:00`);
    await page?.evaluate(() => document.dispatchEvent(new Event('visibilitychange')));
  };

  test.beforeAll(async () => {
    await onDay('2026-11-17');
    ({ page, context } = await visit(browser, PHONE));
    page.setDefaultTimeout(15_000);
    await page.clock.setFixedTime('2026-11-17T10:00:00');
    await page.route('**/api/**', (route) =>
      route.continue({
        url: `${route.request().url()}${route.request().url().includes('?') ? '&' : '?'}${answer}`,
      }),
    );
    await page.goto(`${site?.address}/prices`);
  });
  test.afterAll(async () => {
    await context.close();
    await site?.stop();
  });

  test('is followed, looked through, and taken but for some', async () => {
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

  test('a week later what changed is told with its worth; what was typed is not ticked', async () => {
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

  test('nonsense and a cut answer are refused whole, and the book is untouched', async () => {
    const kept = () => restingText(page, 'billet/book');
    // What the test before it changed is written by then, on a busy machine too.
    await page.reload();
    await page.getByRole('tab', { name: 'All prices' }).waitFor();
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

  test('without a signal the book works, and the store is asked once there is one', async () => {
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

test.describe('a sheet of prices', () => {
  test.describe.configure({ mode: 'serial' });
  let site: Site;
  let page: Page;
  let context: BrowserContext;
  let complaints: string[];
  const sheet = () => page.getByRole('dialog');
  const take = async (name: string, text: string) => {
    await page.getByRole('button', { name: 'Files' }).click();
    await page.getByRole('menuitem', { name: 'Take prices from a file' }).click();
    await pick(page, () => sheet().getByRole('button', { name: 'Choose a file' }).click(), file(name, text));
  };

  test.beforeAll(async () => {
    site = await serve();
    ({ page, context, complaints } = await visit(browser, WIDE));
    page.setDefaultTimeout(15_000);
    await page.goto(`${site?.address}/prices`);
  });
  test.afterEach(() => expect(complaints).toEqual([]));
  test.afterAll(async () => {
    await context.close();
    await site?.stop();
  });

  test('with faults: what is new, in conflict and wrong is shown, and only what is right is taken', async () => {
    await take(
      'yard.csv',
      'store,section,length,material,price,date\n' +
        'Harrow Lumber,2x4,8ft,treated,6.66,2026-11-09\n' +
        'Harrow Lumber,2x8,8ft,treated,9.95,2026-11-20\n' +
        'Harrow Lumber,2x8,8 spans,treated,9.95,2026-11-20\n' +
        'Harrow Lumber,2x8,8ft,treated,"nine",2026-11-20\n',
    );
    await sheet().getByRole('group', { name: 'new' }).getByText('1 new').waitFor();
    await sheet()
      .getByRole('group', { name: 'in conflict' })
      .getByText(/line 2.*\$6\.66 each.*was \$5\.35/)
      .waitFor();
    const wrong = sheet().getByRole('group', { name: 'wrong' });
    await wrong.getByText('2 lines that cannot be read').waitFor();
    await wrong.getByText('yard.csv:4: length').waitFor();
    await wrong.getByText('yard.csv:5: price').waitFor();
    await sheet().getByRole('button', { name: 'Take 1 price' }).click();
    await page.getByText('1 price taken from yard.csv.').waitFor();
    await page.getByRole('tab', { name: 'All prices' }).click();
    await page.getByRole('textbox', { name: /^Find/ }).fill('2x8x8 treated');
    await page.getByRole('button', { name: /^2x8x8 treated at Harrow Lumber: \$9\.95/ }).waitFor();
  });

  test('with headings of its own: matched by guess and by hand, with decimal commas', async () => {
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

  test('what does not fit into the browser is told, stays on screen, and is kept once there is room', async () => {
    // The browser's database refuses as it does where its disk is full.
    const room = (isFull: boolean) =>
      page.evaluate((full) => {
        const store = IDBObjectStore.prototype as IDBObjectStore & { put0?: IDBObjectStore['put'] };
        store.put0 ??= store.put;
        store.put = full
          ? () => {
              throw new DOMException('full', 'QuotaExceededError');
            }
          : store.put0;
      }, isFull);
    const before = await restingText(page, 'billet/book');
    await room(true);
    // Names that no compression makes short.
    const random = (row: number) =>
      Array.from({ length: 40 }, (_, index) =>
        ((row * 7919 + index * 104_729 + row * row * index) % 36).toString(36),
      ).join('');
    const rows = Array.from(
      { length: 8000 },
      (_, row) => `Harrow Lumber,${random(row)} ${row},hardware,${(row % 900) + 1}.05`,
    );
    await take('long.csv', `store,item,kind,price\n${rows.join('\n')}`);
    await sheet().getByRole('button', { name: 'Take 8000 prices' }).click();
    await page.getByText(/^The browser has no room left for Billet/).waitFor();
    await sheet().waitFor({ state: 'detached' });
    expect((await keptTexts(page))['billet/book']).toBe(before);
    await room(false);
    await page.getByText(/^The browser has no room left for Billet/).waitFor({ state: 'detached' });
  });

  test('a file that is no sheet is refused with its fault', async () => {
    await take('empty.csv', 'store,price\n');
    await sheet().getByText('there is a header and nothing below it').waitFor();
    await page.keyboard.press('Escape');
  });
});
