import { expect, test } from '@playwright/test';
import { visit } from '../harness/browser';
import { VIEWS } from '../harness/views';
import { atSite } from './steps';

const at = atSite();

test('at 320 pixels the bar of places scrolls to where one is', async () => {
  const { page, context, complaints } = await visit(at.browser, { width: 320, height: 640 });
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
