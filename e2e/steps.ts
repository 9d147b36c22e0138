import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { test, type Browser, type Page } from '@playwright/test';
import { launch, serve, type Site } from '../harness/browser';

/** A folder of this run's own, for files that a test makes. */
export const folder = mkdtempSync(path.join(tmpdir(), 'billet-'));

/** Writes a file there; gives its place. */
export const file = (name: string, text: string): string => {
  const place = path.join(folder, name);
  writeFileSync(place, text);
  return place;
};

/** Presses what asks for a file, and gives it one. */
export const pick = async (page: Page, press: () => Promise<void>, place: string) => {
  const asked = page.waitForEvent('filechooser');
  await press();
  await (await asked).setFiles(place);
};

/** For the tests of a file: the built app, served on a port of its own, and a browser; both end with them. */
export const atSite = () => {
  const held = {} as { browser: Browser; site: Site };
  test.beforeAll(async () => {
    held.site = await serve();
    held.browser = await launch();
  });
  test.afterAll(async () => {
    await held.browser?.close();
    held.site?.stop();
  });
  return held;
};

/** A sum of money as it is written, in cents. */
export const cents = (text: string): number => Math.round(Number(text.replace(/[^\d.]/g, '')) * 100);

/** The whole sum at the head of the project, in cents: what is spent and to buy. */
export const total = async (page: Page): Promise<number> => {
  const words = await page.getByTestId('money-strip').getByRole('img').first().getAttribute('aria-label');
  const [, spent = '', toBuy = ''] = /([\d,.]+) spent, .?([\d,.]+) to buy/.exec(words ?? '') ?? [];
  return cents(spent) + cents(toBuy);
};
