import type { Page } from '@playwright/test';

/** What the page's browser keeps for Billet, by key, as it is kept. */
export const keptTexts = (page: Page): Promise<Record<string, string>> =>
  page.evaluate(
    () =>
      new Promise<Record<string, string>>((resolve, reject) => {
        const opening = indexedDB.open('billet');
        opening.onerror = () => reject(opening.error ?? new Error('no database'));
        opening.onsuccess = () => {
          const database = opening.result;
          const store = database.transaction('entries').objectStore('entries');
          const [keys, values] = [store.getAllKeys(), store.getAll()];
          values.onsuccess = () => {
            database.close();
            resolve(Object.fromEntries(keys.result.map((key, index) => [String(key), values.result[index]])));
          };
        };
      }),
  );

/** Puts texts in place of what is kept under their keys. */
export const writeKept = (page: Page, texts: Record<string, string>): Promise<void> =>
  page.evaluate(
    (given) =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open('billet');
        opening.onerror = () => reject(opening.error ?? new Error('no database'));
        opening.onsuccess = () => {
          const database = opening.result;
          const writing = database.transaction('entries', 'readwrite');
          for (const [key, text] of Object.entries(given)) writing.objectStore('entries').put(text, key);
          writing.oncomplete = () => {
            database.close();
            resolve();
          };
        };
      }),
    texts,
  );

/** What is kept under a key once it rests, for a second: what was done before is written a moment later. */
export const restingText = async (page: Page, key: string): Promise<string | undefined> => {
  let last = (await keptTexts(page))[key];
  for (let same = 0; same < 4;) {
    await page.waitForTimeout(250);
    const now = (await keptTexts(page))[key];
    same = now === last ? same + 1 : 0;
    last = now;
  }
  return last;
};
