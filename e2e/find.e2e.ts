import { expect, test } from '@playwright/test';
import { PHONE, visit, WIDE } from '../harness/browser';
import { atSite } from './steps';

const at = atSite();

test('by keys alone: a part, a price, a place and what to do are found by their name', async () => {
  const { page, context, complaints } = await visit(at.browser, WIDE);
  page.setDefaultTimeout(20_000);
  const box = page.getByRole('group', { name: 'Found' });
  const found = box.getByRole('button');
  await page.goto(`${at.site.address}/project/compost-station/buy`);
  await page.getByText('Proved cheapest').first().waitFor();
  await page.keyboard.press('Control+k');
  await page.getByLabel('A part, a price, a place, a project, or what to do').waitFor();
  await page.keyboard.type('post');
  const part = await found.first().innerText();
  await page.keyboard.press('Enter');
  await expect(box).toHaveCount(0);
  // The part is open, and stands in the address: a reload brings it back.
  await expect(page).toHaveURL(/\/parts\?open=part(:|%3A)/);
  const name = part.split('\n')[0]?.replace(/^[A-Z]+ /, '') ?? '';
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue(name);
  await page.reload();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue(name);
  await page.keyboard.press('Escape');
  await expect(page).toHaveURL(/\/parts$/);
  // Found from the place it is in, and again when it was closed.
  for (const wanted of ['Side rail', 'Post', 'Post']) {
    await page.keyboard.press('Control+k');
    await page.getByLabel('A part, a price, a place, a project, or what to do').waitFor();
    await page.keyboard.type(wanted);
    await expect(found.first()).toContainText(wanted);
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue(wanted);
    await page.keyboard.press('Escape');
    await expect(page.getByLabel('Name', { exact: true })).toHaveCount(0);
  }
  await page.keyboard.press('Control+k');
  await page.keyboard.type('build from');
  await expect(page.getByLabel('A part, a price, a place, a project, or what to do')).toHaveValue(
    'build from',
  );
  await page.keyboard.press('Enter');
  await page.getByText('What are you building?').waitFor();
  await page.keyboard.press('Escape');
  await expect(page).toHaveURL(/\/parts$/);
  // A digit goes to a place, where no field has the focus.
  await page.getByRole('heading', { name: 'Compost station' }).click();
  await page.keyboard.press('3');
  await expect(page).toHaveURL(/\/compare$/);
  await page.keyboard.press('?');
  const keys = page.getByText('Find a part, a price, a place, a project, or what to do');
  await keys.waitFor();
  await page.keyboard.press('Escape');
  await expect(keys).toHaveCount(0);
  await page.keyboard.press('Control+k');
  await page.keyboard.type('cut sheet');
  await expect(page.getByLabel('A part, a price, a place, a project, or what to do')).toHaveValue(
    'cut sheet',
  );
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/saw\?view=sheet$/);
  // Arrows move through what is found.
  await page.keyboard.press('Control+k');
  await page.keyboard.type('2x4');
  await expect(found.first()).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(box).toHaveCount(0);
  expect(complaints).toEqual([]);
  await context.close();
});

test('on a phone: from the menu of a project', async () => {
  const { page, context, complaints } = await visit(at.browser, PHONE);
  page.setDefaultTimeout(20_000);
  await page.goto(`${at.site.address}/project/compost-station/parts`);
  await page.getByRole('button', { name: 'More for this project' }).tap();
  await page.getByRole('menuitem', { name: 'Find' }).tap();
  await page.getByLabel('A part, a price, a place, a project, or what to do').fill('sandpit');
  await page
    .getByRole('group', { name: 'Found' })
    .getByRole('button', { name: /^Sandpit/ })
    .first()
    .tap();
  await expect(page).toHaveURL(/\/project\/sandpit\/parts$/);
  // The name and the money above the parts are those of the project that was gone to.
  await page.getByRole('heading', { name: /^Sandpit/ }).waitFor();
  await page.getByTestId('money-strip').getByText(/^€/).first().waitFor();
  await expect(page.getByRole('heading', { name: 'Compost station' })).toHaveCount(0);
  await page.goBack();
  await page.getByRole('heading', { name: 'Compost station' }).waitFor();
  expect(complaints).toEqual([]);
  await context.close();
});
