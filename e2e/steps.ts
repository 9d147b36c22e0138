import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Browser, Page } from 'playwright-core';
import { launch, serve } from './browser';

/** A folder of this run's own, for files that a test makes. */
export const folder = mkdtempSync(path.join(tmpdir(), 'billet-'));

/** Writes a file there; gives its place. */
export const file = (name: string, text: string): string => {
  const place = path.join(folder, name);
  writeFileSync(place, text);
  return place;
};

/** Keeps a picture of what was on screen when a step failed; those after it fail at once. */
export const stepsOf = (name: string, page: () => Page) => {
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

/** Presses what asks for a file, and gives it one. */
export const pick = async (page: Page, press: () => Promise<void>, place: string) => {
  const asked = page.waitForEvent('filechooser');
  await press();
  await (await asked).setFiles(place);
};

/** For the tests of a file: the built app, served on a port of its own, and a browser; both end with them. */
export const atSite = (port: number) => {
  const held = {} as { browser: Browser; site: Awaited<ReturnType<typeof serve>> };
  beforeAll(async () => {
    held.site = await serve(port);
    held.browser = await launch();
  });
  afterAll(async () => {
    await held.browser?.close();
    held.site?.stop();
  });
  return held;
};
