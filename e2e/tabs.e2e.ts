import { expect, test } from '@playwright/test';
import { visit, WIDE } from '../harness/browser';
import { atSite } from './steps';

const at = atSite();

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
