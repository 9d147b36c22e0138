import AxeBuilder from '@axe-core/playwright';
import type { Page } from 'playwright-core';
import { PHONE, visit, WIDE } from './browser';
import { atSite } from './steps';
import { VIEWS } from './views';

jest.setTimeout(120_000);

const at = atSite(4392);

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

describe.each([
  ['phone', PHONE, 'light'],
  ['wide', WIDE, 'dark'],
] as const)('%s, %o, %s', (_name, size, theme) => {
  let visitor: Awaited<ReturnType<typeof visit>>;
  beforeAll(async () => {
    visitor = await visit(at.browser, size, theme);
  });
  afterAll(() => visitor.context.close());
  test.each(VIEWS)(
    '$name: axe finds nothing serious, all is reached by keyboard and large enough to touch',
    async ({ path, ready, open }) => {
      const { page, complaints } = visitor;
      page.setDefaultTimeout(25_000);
      await page.goto(at.site.address + path);
      await ready(page);
      await open?.(page);
      await page.waitForTimeout(300);
      // What lies over the rest is looked at alone: the rest has a view of its own.
      const isDialog = await page.getByRole('dialog').isVisible();
      const axe = new AxeBuilder({ page });
      const { violations } = await (isDialog ? axe.include('[role=dialog]') : axe).analyze();
      const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
      expect(
        serious.map(({ id, nodes }) => [
          id,
          nodes.slice(0, 3).map(({ html, failureSummary }) => `${html.slice(0, 300)} ${failureSummary}`),
        ]),
      ).toEqual([]);
      expect(await smallTargets(page)).toEqual([]);
      expect(await unreachable(page)).toEqual([]);
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(size.width);
      expect(complaints.splice(0)).toEqual([]);
    },
  );
});

test('two tabs: what one changes the other shows, and a reload finds it', async () => {
  const { page, context, complaints } = await visit(at.browser, WIDE);
  await page.goto(`${at.site.address}/project/sandpit/parts`);
  await page.getByRole('button', { name: /^Change 4 Long side/ }).waitFor();
  const other = await context.newPage();
  await other.goto(`${at.site.address}/project/sandpit/parts`);
  await other.getByRole('button', { name: /^Change 4 Long side/ }).click();
  await other.getByRole('textbox', { name: 'How many', exact: true }).fill('6');
  await page.getByRole('button', { name: /^Change 6 Long side/ }).waitFor();
  // The first tab goes on from the newer state.
  await page.getByLabel(/^Add a part/).fill('2 45x45 300 peg');
  await page.keyboard.press('Enter');
  await other.getByRole('button', { name: /^Change 2 Peg/ }).waitFor();
  await other.reload();
  await other.getByRole('button', { name: /^Change 2 Peg/ }).waitFor();
  await other.getByRole('button', { name: /^Change 6 Long side/ }).waitFor();
  expect(complaints).toEqual([]);
  await context.close();
});

test('a changed length moves parts, boards and money at once, and the screen stays live meanwhile', async () => {
  const { page, context, complaints } = await visit(at.browser, WIDE);
  await page.goto(`${at.site.address}/project/compost-station/parts`);
  const strip = page.getByTestId('money-strip').getByRole('img', { name: /to buy/ });
  await page.getByRole('button', { name: /^Change 2 Post/ }).click();
  const before = await strip.getAttribute('aria-label');
  await page.getByRole('textbox', { name: 'Length, along the longest edge' }).fill('70');
  await page.waitForFunction(
    (old) =>
      document.querySelector('[data-testid=money-strip] [role=img]')?.getAttribute('aria-label') !== old,
    before,
  );
  await page.getByRole('link', { name: 'Buy', exact: true }).click();
  await page
    .getByRole('img', { name: /treated: .*Post 70"/ })
    .first()
    .waitFor();
  expect(complaints).toEqual([]);
  await context.close();
});
