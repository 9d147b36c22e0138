import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { PHONE, visit, WIDE } from '../harness/browser';
import { keptTexts, restingText, writeKept } from '../harness/kept';
import { keyboard, thumb } from './hands';
import { atSite, file, pick } from './steps';

const at = atSite();

const addPart = async (page: Page, text: string): Promise<void> => {
  await page.getByLabel(/^Add a part/).fill(text);
  await page.keyboard.press('Enter');
};

test('what an earlier version kept is carried over whole, and stays where it was as a copy', async () => {
  const { page, context, complaints } = await visit(at.browser, PHONE);
  page.setDefaultTimeout(20_000);
  const before: Record<string, string> = {};
  for (const [key, file] of [
    ['billet/project/kept', 'project-version-1.txt'],
    ['billet/book', 'book-version-2.txt'],
    ['billet/settings', 'settings-version-1.txt'],
  ] as const)
    before[key] = readFileSync(`src/state/fixtures/${file}`, 'utf8').trimEnd();
  // As it stood there before this version was ever opened.
  await page.addInitScript((texts) => {
    for (const [key, text] of Object.entries(texts)) window.localStorage.setItem(key, text);
  }, before);
  await page.goto(at.site.address);
  await page.getByText('Puppet stage').first().click();
  await page.getByTestId('money-strip').getByText('$59.15 spent').waitFor();
  await expect.poll(async () => Object.keys(await keptTexts(page))).toContain('billet/project/kept');
  const copy = await page.evaluate(() => window.localStorage.getItem('billet/book'));
  expect(copy).toBe(before['billet/book']);
  expect(complaints).toEqual([]);
  await context.close();
});

test('a page that breaks down right after an edit has lost nothing when Billet is opened again', async () => {
  const { page, context } = await visit(at.browser, PHONE);
  page.setDefaultTimeout(20_000);
  await page.goto(`${at.site.address}/project/sandpit/parts`);
  await page.getByRole('button', { name: /^Change 4 Long side/ }).waitFor();
  await addPart(page, '2 45x45 300 peg');
  const session = await context.newCDPSession(page);
  // It answers no more: what it was at is gone.
  void session.send('Page.crash').catch(() => undefined);
  const again = await context.newPage();
  await again.goto(`${at.site.address}/project/sandpit/parts`);
  await again.getByRole('button', { name: /^Change 2 Peg/ }).waitFor();
  // What was taken up is struck off once it is in.
  await expect
    .poll(() =>
      again.evaluate(() => Object.keys(window.localStorage).filter((key) => key.includes('/journal/'))),
    )
    .toEqual([]);
  await context.close();
});

test('a slow browser says what is not kept yet as long as it is so, and takes no way back away', async () => {
  const { page, context, complaints } = await visit(at.browser, PHONE);
  page.setDefaultTimeout(20_000);
  await page.goto(`${at.site.address}/project/sandpit/buy`);
  await page.getByText('proved cheapest').waitFor();
  // A write of anything else holds the store for as long as it is asked for again and again.
  await page.evaluate(async () => {
    const [{ name = '', version }] = (await indexedDB.databases()) as [IDBDatabaseInfo];
    const opened = await new Promise<IDBDatabase>((done) => {
      const opening = indexedDB.open(name, version);
      opening.onsuccess = () => done(opening.result);
    });
    const store = [...opened.objectStoreNames][0] ?? '';
    const holding = opened.transaction(store, 'readwrite').objectStore(store);
    const until = performance.now() + 5000;
    const again = () => {
      if (performance.now() < until) holding.get('nothing').onsuccess = again;
    };
    again();
  });
  await page.getByRole('checkbox', { checked: false }).first().tap();
  await page.getByText(/: bought for/).waitFor();
  await page
    .getByRole('status')
    .getByText(/^The last change is not kept yet: the browser is slow/)
    .waitFor();
  await page.getByText(/: bought for/).waitFor();
  await page.getByText(/^The last change is not kept yet/).waitFor({ state: 'detached' });
  await page.getByRole('button', { name: 'Paid otherwise' }).tap();
  await page.getByLabel(/^Paid in all/).waitFor();
  expect(complaints).toEqual([]);
  await context.close();
});

for (const [name, size, handsOf] of [
  ['a phone', PHONE, thumb],
  ['a wide screen', WIDE, keyboard],
] as const)
  test(`on ${name} everything is saved as one file, and taken in by another browser`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(20_000);
    const { press, choose } = handsOf(page);
    await page.goto(`${at.site.address}/project/sandpit/parts`);
    await page.getByRole('button', { name: /^Change 4 Long side/ }).waitFor();
    await addPart(page, '2 45x45 300 peg');
    await page.getByRole('button', { name: /^Change 2 Peg/ }).waitFor();
    await page.goto(`${at.site.address}/settings`);
    await choose('Unit of lengths', 'Millimetres');
    const download = page.waitForEvent('download');
    await press(page.getByRole('button', { name: 'Save everything to a file' }));
    const saved = file('all.json', readFileSync((await (await download).path()) ?? '', 'utf8'));
    await context.close();

    const other = await visit(at.browser, size);
    const hands = handsOf(other.page);
    other.page.setDefaultTimeout(20_000);
    await other.page.goto(`${at.site.address}/settings`);
    await hands.press(other.page.getByRole('button', { name: 'Start empty' }));
    await hands.press(other.page.getByRole('button', { name: 'Start empty' }).last());
    await other.page.goto(at.site.address);
    await pick(other.page, () => hands.press(other.page.getByRole('button', { name: 'Open a file' })), saved);
    const sheet = other.page.getByRole('dialog');
    await expect(sheet.getByText('not here', { exact: true })).toHaveCount(3);
    // Another unit was chosen there: it holds here once it is asked for.
    await hands.press(sheet.getByRole('checkbox', { name: 'Take its settings too' }));
    await hands.press(sheet.getByRole('button', { name: 'Take 3 that are missing' }));
    await other.page.getByText('Sandpit with a folding lid').first().click();
    await other.page.getByTestId('money-strip').getByText('€167.92', { exact: true }).waitFor();
    await other.page.getByRole('button', { name: /^Change 2 Peg/ }).waitFor();
    await expect(other.page).toHaveTitle('Parts · Sandpit with a folding lid · Billet');
    await other.page.goto(`${at.site.address}/settings`);
    await other.page
      .getByRole('radiogroup', { name: 'Unit of lengths' })
      .getByRole('radio', { name: 'Millimetres', checked: true })
      .waitFor();
    expect([...complaints, ...other.complaints]).toEqual([]);
    await other.context.close();
  });

test('what a newer Billet wrote can be looked at, says so, and is not changed', async () => {
  const { page, context, complaints } = await visit(at.browser, PHONE);
  page.setDefaultTimeout(20_000);
  await page.goto(`${at.site.address}/project/sandpit/parts`);
  await page.getByRole('button', { name: /^Change 4 Long side/ }).waitFor();
  const text = ((await restingText(page, 'billet/project/sandpit')) ?? '')
    .replace('"version":2', '"version":3')
    .replace('"builds":', '"curves":[1],"builds":');
  await writeKept(page, { 'billet/project/sandpit': text });
  await page.reload();
  await page.getByText(/^Written by a newer Billet: here it can be looked at/).waitFor();
  await page.getByRole('button', { name: /^Change 4 Long side/ }).waitFor();
  await addPart(page, '2 45x45 300 peg');
  await page.getByText(/^Sandpit with a folding lid was written by a newer Billet/).waitFor();
  await expect(page.getByRole('button', { name: /^Change 2 Peg/ })).toHaveCount(0);
  await expect(page.getByLabel(/^Add a part/)).toHaveValue('2 45x45 300 peg');
  expect((await keptTexts(page))['billet/project/sandpit']).toBe(text);
  expect(complaints).toEqual([]);
  await context.close();
});

test('two tabs that write at the same time keep what both did', async () => {
  const { page, context, complaints } = await visit(at.browser, WIDE);
  page.setDefaultTimeout(30_000);
  const other = await context.newPage();
  for (const tab of [page, other]) {
    await tab.goto(`${at.site.address}/project/sandpit/parts`);
    await tab.getByRole('button', { name: /^Change 4 Long side/ }).waitFor();
  }
  const write = async (tab: Page, name: string) => {
    for (let count = 1; count <= 12; count++) {
      await addPart(tab, `${count} 45x45 300 ${name}${count}`);
      // On its own screen at once, whatever the other tab does.
      await tab
        .getByRole('button', { name: new RegExp(`^Change ${count} ${name}${count}\\b`, 'i') })
        .waitFor();
    }
  };
  await Promise.all([write(page, 'left'), write(other, 'right')]);
  for (const tab of [page, other]) {
    await expect(tab.getByRole('button', { name: /^Change \d+ Left\d+/ })).toHaveCount(12);
    await expect(tab.getByRole('button', { name: /^Change \d+ Right\d+/ })).toHaveCount(12);
  }
  await other.close();
  await page.reload();
  await expect(page.getByRole('button', { name: /^Change \d+ (Left|Right)\d+/ })).toHaveCount(24);
  expect(complaints).toEqual([]);
  await context.close();
});

test('a browser that does not open what it keeps is told, nothing is made anew, and it opens again later', async () => {
  const { page, context } = await visit(at.browser, PHONE);
  page.setDefaultTimeout(20_000);
  await page.addInitScript(() => {
    const open = IDBFactory.prototype.open;
    IDBFactory.prototype.open = function (...given) {
      if (window.sessionStorage.getItem('shut') !== null) throw new DOMException('shut', 'UnknownError');
      return open.apply(this, given);
    };
  });
  await page.goto(`${at.site.address}/project/sandpit/parts`);
  await addPart(page, '2 45x45 300 peg');
  await page.getByRole('button', { name: /^Change 2 Peg/ }).waitFor();
  await expect.poll(async () => (await keptTexts(page))['billet/project/sandpit'] ?? '').toContain('eg"');
  await page.evaluate(() => window.sessionStorage.setItem('shut', 'yes'));
  await page.reload();
  await page
    .getByText(/^The browser does not open what it keeps for Billet/)
    .first()
    .waitFor();
  await page.evaluate(() => window.sessionStorage.clear());
  await page.getByRole('button', { name: 'Open Billet anew' }).first().click();
  await page.getByText('Sandpit with a folding lid').first().waitFor();
  await page.goto(`${at.site.address}/project/sandpit/parts`);
  await page.getByRole('button', { name: /^Change 2 Peg/ }).waitFor();
  await context.close();
});
