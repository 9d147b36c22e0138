import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { visit, type PHONE } from '../harness/browser';
import { outOfOrder } from './readingOrder';
import { atSite } from './steps';
import { VIEWS } from '../harness/views';

/** What can be touched and is smaller than a thumb. A word in a sentence may be; there is none. */
const smallTargets = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [
      ...document.querySelectorAll<HTMLElement>(
        'button, a, input, textarea, [role=button], [role=radio], [role=checkbox], [role=tab], [role=menuitem]',
      ),
    ]
      .filter(
        (element) =>
          element.getClientRects().length > 0 && getComputedStyle(element).visibility === 'visible',
      )
      .map((element) => ({
        box: element.getBoundingClientRect(),
        name: element.getAttribute('aria-label') ?? element.innerText,
      }))
      .filter(({ box }) => box.width < 43.5 || box.height < 43.5)
      .map(({ box, name }) => `${name}: ${Math.round(box.width)} x ${Math.round(box.height)}`),
  );

/** What can be pressed and is passed over by Tab: not a part of a group that arrow keys move in. */
const unreachable = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('[role=button], [role=tab], [role=checkbox], button, a')]
      .filter(
        (element) =>
          element.tabIndex < 0 &&
          element.getAttribute('aria-disabled') !== 'true' &&
          // With a keyboard one types into the field itself.
          !element.closest('[data-testid=keypad]') &&
          !element.hasAttribute('disabled'),
      )
      .map((element) => element.outerHTML.slice(0, 200)),
  );

/** What can be touched and stands beyond the sides of the screen, and nothing that scrolls brings in. */
const outOfReach = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const isScrolledIn = (element: Element): boolean => {
      for (let above = element.parentElement; above; above = above.parentElement)
        if (/auto|scroll/.test(getComputedStyle(above).overflowX) && above.scrollWidth > above.clientWidth)
          return true;
      return false;
    };
    return [
      ...document.querySelectorAll<HTMLElement>('button, a, input, [role=button], [role=tab], [role=radio]'),
    ]
      .filter((element) => element.getClientRects().length > 0)
      .map((element) => ({ element, box: element.getBoundingClientRect() }))
      .filter(({ box }) => box.right > window.innerWidth + 1 || box.left < -1)
      .filter(({ element }) => !isScrolledIn(element))
      .map(({ element }) => element.getAttribute('aria-label') ?? element.innerText);
  });

/**
 * WCAG 2.2, 1.4.10 and 1.4.12: without scrolling in two directions at 320 CSS pixels, and so with the spacing
 * of text that somebody who reads badly sets. The page is narrowed with the view open, as by zooming in.
 */
const holdsWhenNarrow = async (page: Page, size: typeof PHONE): Promise<void> => {
  const narrow = { width: 320, height: 640 };
  await page.setViewportSize(narrow);
  for (const isSpaced of [false, true]) {
    await page.evaluate((is) => {
      const sheet = new CSSStyleSheet();
      if (is)
        sheet.replaceSync(
          '* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important }',
        );
      document.adoptedStyleSheets = [sheet];
    }, isSpaced);
    await expect
      .poll(async () => [
        await page.evaluate(() => document.documentElement.scrollWidth),
        await outOfReach(page),
        isSpaced,
      ])
      .toEqual([narrow.width, [], isSpaced]);
  }
  await page.setViewportSize(size);
};

const settled = (page: Page) =>
  page.waitForFunction(() => document.getAnimations().every(({ playState }) => playState !== 'running'));

/** All that axe finds wrong. What lies over the rest is looked at alone: the rest has a view of its own. */
const findings = async (page: Page): Promise<string[]> => {
  const isDialog = await page.getByRole('dialog').isVisible();
  // One frame, and only what is wrong in it: a fifth of the time.
  const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] });
  const { violations } = await (isDialog ? axe.include('[role=dialog]') : axe).analyze();
  return violations.flatMap(({ id, nodes }) =>
    nodes.slice(0, 3).map(({ html, failureSummary }) => `${id}: ${html.slice(0, 300)} ${failureSummary}`),
  );
};

/** Every main view of the samples in a browser of a size, and turned or drawn to `others`: what axe says of it, whether a thumb and a keyboard reach all, and whether it is read out in the order in which it stands. */
export const lookAtEveryView = (
  name: string,
  size: typeof PHONE,
  theme: 'light' | 'dark',
  others: (typeof PHONE)[],
): void => {
  const at = atSite();
  test.describe(`${name}, ${theme}`, () => {
    let visitor: Awaited<ReturnType<typeof visit>>;
    test.beforeAll(async () => {
      visitor = await visit(at.browser, size, theme);
    });
    test.afterAll(() => visitor.context.close());
    for (const view of VIEWS)
      test(`${view.name}: axe finds nothing, all is reached by keyboard, read in order and large enough to touch`, async () => {
        const { path, ready, open } = view;
        const { page, complaints } = visitor;
        page.setDefaultTimeout(25_000);
        await page.goto(at.site.address + path);
        await ready(page);
        await open?.(page);
        await settled(page);
        expect(await findings(page)).toEqual([]);
        expect(await smallTargets(page)).toEqual([]);
        expect(await unreachable(page)).toEqual([]);
        expect(await outOfOrder(page)).toEqual([]);
        expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(
          size.width,
        );
        if (size.width < 400) await holdsWhenNarrow(page, size);
        for (const other of others) {
          await page.setViewportSize(other);
          // What is drawn otherwise there comes a moment later.
          await expect
            .poll(
              async () => {
                await settled(page);
                return [other.width, await findings(page).catch(String)];
              },
              { timeout: 60_000 },
            )
            .toEqual([other.width, []]);
          expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(
            other.width,
          );
        }
        await page.setViewportSize(size);
        expect(complaints.splice(0)).toEqual([]);
      });
  });
};
