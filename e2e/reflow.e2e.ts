import { expect, test, type Page } from '@playwright/test';
import { visit } from '../harness/browser';
import { VIEWS } from '../harness/views';
import { atSite } from './steps';

const at = atSite();

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

// WCAG 2.2, 1.4.10: without scrolling in two directions at 320 CSS pixels.
test('at 320 pixels every view has all in reach, and the bar of places scrolls', async () => {
  const size = { width: 320, height: 640 };
  const { page, context, complaints } = await visit(at.browser, size);
  page.setDefaultTimeout(25_000);
  for (const view of VIEWS) {
    await page.goto(at.site.address + view.path);
    await view.ready(page);
    await view.open?.(page);
    const width = await page.evaluate(() => document.documentElement.scrollWidth);
    expect([view.name, width, await outOfReach(page)]).toEqual([view.name, size.width, []]);
  }
  await page.goto(`${at.site.address}/project/compost-station/spend`);
  const here = page.getByRole('navigation').getByRole('link', { name: 'Spend' });
  await expect(here).toBeInViewport({ ratio: 0.95 });
  expect(complaints).toEqual([]);
  await context.close();
});

test('a phone on its side in the aisle: the thing, its field and the keys at once', async () => {
  const { page, context, complaints } = await visit(at.browser, { width: 844, height: 390 });
  page.setDefaultTimeout(25_000);
  const aisle = VIEWS.find(({ name }) => name === 'aisle');
  await page.goto(at.site.address + aisle?.path);
  await aisle?.ready(page);
  await aisle?.open?.(page);
  await expect(page.getByRole('textbox', { name: /^Price, / })).toBeInViewport({ ratio: 0.95 });
  await expect(page.getByRole('heading', { level: 2 }).last()).toBeInViewport({ ratio: 0.95 });
  for (const key of ['7', '0', 'Next'])
    await expect(page.getByTestId('keypad').getByRole('button', { name: key, exact: true })).toBeInViewport({
      ratio: 0.95,
    });
  expect(complaints).toEqual([]);
  await context.close();
});
