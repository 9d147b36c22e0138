import { appendFileSync, cpSync, rmSync } from 'node:fs';
import path from 'node:path';
import { expect, test, type Browser } from '@playwright/test';
import { launch, PHONE, serve, visit } from '../harness/browser';
import { folder } from './steps';

let browser: Browser;
test.beforeAll(async () => {
  browser = await launch();
});
test.afterAll(() => browser?.close());

test.describe('without a signal', () => {
  test('every view opens again from what is kept, and a price can be entered', async () => {
    const site = await serve();
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
      ['/project/compost-station/compare', 'All cedar'],
      ['/rack', 'Nothing is on it yet.'],
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
    const site = await serve({}, build);
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
