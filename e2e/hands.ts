import type { Locator, Page } from '@playwright/test';

/** The two ways in which a person works: with a thumb on a phone, with the keyboard alone at a table. */
export interface Hands {
  press: (target: Locator) => Promise<void>;
  /** Replaces what a field holds. */
  write: (target: Locator, text: string) => Promise<void>;
  /** Picks one of a group of radio buttons. */
  choose: (group: string, option: string) => Promise<void>;
  /** Picks from a menu that is open. */
  pick: (item: Locator) => Promise<void>;
  /** Moves a part one place down by its handle. */
  moveDown: (handle: Locator) => Promise<void>;
}

export const thumb = (page: Page): Hands => ({
  press: (target) => target.tap(),
  write: async (target, text) => {
    await target.tap();
    await target.fill(text);
  },
  choose: (group, option) =>
    page.getByRole('radiogroup', { name: group }).getByRole('radio', { name: option, exact: true }).tap(),
  pick: (item) => item.tap(),
  moveDown: async (handle) => {
    const box = await handle.boundingBox();
    if (!box) throw new Error('the handle is not on screen');
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    for (let step = 1; step <= 8; step++) await page.mouse.move(x, y + step * 11, { steps: 2 });
    await page.mouse.up();
  },
});

export const keyboard = (page: Page): Hands => ({
  press: async (target) => {
    await tabTo(page, target);
    await page.keyboard.press('Enter');
  },
  write: async (target, text) => {
    await tabTo(page, target);
    await page.keyboard.press('Control+a');
    if (text === '') await page.keyboard.press('Delete');
    else await page.keyboard.type(text);
  },
  choose: async (group, option) => {
    const radios = page.getByRole('radiogroup', { name: group });
    await tabTo(page, radios.locator('[role=radio][tabindex="0"]'));
    const wanted = radios.getByRole('radio', { name: option, exact: true });
    for (let step = 0; step < 12 && (await wanted.getAttribute('aria-checked')) !== 'true'; step++)
      await page.keyboard.press('ArrowRight');
  },
  pick: async (item) => {
    await item.waitFor();
    for (let step = 0; step < 12 && !(await hasFocus(item)); step++) await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
  },
  moveDown: async (handle) => {
    await tabTo(page, handle);
    // Each step is announced to those who do not see it.
    await announced(page, () => page.keyboard.press('Space'));
    await announced(page, () => page.keyboard.press('ArrowDown'));
    await announced(page, () => page.keyboard.press('Space'));
  },
});

const ANNOUNCER = '[id^=DndLiveRegion]';

/** Does one step of a drag, and waits until it is announced. */
const announced = async (page: Page, step: () => Promise<void>): Promise<void> => {
  const before = await page.locator(ANNOUNCER).first().textContent();
  await step();
  await page.waitForFunction(([place, was]) => document.querySelector(place ?? '')?.textContent !== was, [
    ANNOUNCER,
    before,
  ] as const);
};

const hasFocus = (target: Locator): Promise<boolean> =>
  target.evaluate((element) => element === document.activeElement);

const MAX_TABS = 220;

/** Presses Tab until `target` has the focus: what cannot be reached so fails. */
const tabTo = async (page: Page, target: Locator): Promise<void> => {
  await target.waitFor();
  for (let tabs = 0; tabs < MAX_TABS; tabs++) {
    if (await hasFocus(target)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`not reached by keyboard: ${target}`);
};
