import { expect, test } from '@playwright/test';
import { PHONE, visitNew, WIDE } from '../harness/browser';
import { keyboard, thumb } from './hands';
import { atSite } from './steps';

const at = atSite();

for (const [what, size] of [
  ['a phone, by thumb', PHONE],
  ['a wide screen, by keyboard', WIDE],
] as const)
  test(`from nothing to a proved plan of one’s own, and samples that stay apart: ${what}`, async () => {
    const { page, context, complaints } = await visitNew(at.browser, size);
    page.setDefaultTimeout(20_000);
    const hands = size === PHONE ? thumb(page) : keyboard(page);
    const button = (name: string | RegExp) => page.getByRole('button', { name }).first();
    const strip = (name: RegExp) => page.getByTestId('money-strip').getByRole('img', { name }).waitFor();
    await page.goto(at.site.address);
    await hands.press(button('Start my own project'));
    await hands.write(page.getByLabel('Name', { exact: true }), 'Plant stand');
    await hands.write(page.getByLabel('Target: what it must not cost more than'), '40');
    await hands.choose('Unit of lengths', 'Inches');
    await hands.write(page.getByLabel('Sales tax in percent'), '0');
    await hands.write(page.getByLabel('Longest that goes in the car'), '8 ft');
    await hands.choose('A table saw, to rip boards lengthwise', 'No table saw');
    await hands.press(button('Make the project'));
    for (const line of ['4 2x4 30 leg', '4 2x4 12 rail']) {
      await hands.write(page.getByLabel(/^Add a part/), line);
      await page.keyboard.press('Enter');
    }
    await button(/^Change 4 Rail/).waitFor();
    // Nobody sells anything yet: no sum is made of prices that the person never saw.
    await strip(/\$0\.00 to buy/);
    await page.goto(page.url().replace('/parts', '/buy'));
    const unpriced = page.getByRole('region', { name: 'No price yet' });
    await hands.write(unpriced.getByLabel(/price on the tag/), '4.25');
    await page.keyboard.press('Enter');
    // Eight-foot studs: 4 x 30 and 4 x 12 in, two boards.
    await strip(/\$8\.50 to buy/);
    await page.getByText('Proved cheapest').first().waitFor();

    await page.goto(`${at.site.address}/settings`);
    await hands.press(button('Bring the samples'));
    await page.getByText('The sample projects are there.').waitFor();
    await page.goto(at.site.address);
    const own = page.getByRole('list', { name: 'Projects' }).getByRole('listitem');
    await expect(own).toHaveCount(1);
    await own.getByText('$8.50').first().waitFor();
    const samples = page.getByRole('list', { name: 'Samples' }).getByRole('listitem');
    await expect(samples).toHaveCount(3);
    await samples
      .first()
      .getByRole('img', { name: /[1-9].* to buy/ })
      .waitFor();
    await page.goto(`${at.site.address}/prices`);
    await expect(page.getByText('Harrow Lumber')).toHaveCount(0);
    await hands.press(button('See the samples’ prices'));
    await page.getByRole('heading', { name: 'Prices of the samples' }).waitFor();
    await page.goto(at.site.address);
    await hands.press(button('Remove the samples'));
    await expect(page.getByRole('list', { name: 'Samples' })).toHaveCount(0);
    await expect(own).toHaveCount(1);
    await hands.press(button('Undo'));
    await expect(samples).toHaveCount(3);
    await hands.press(button('Remove the samples'));
    await page.reload();
    await own.getByText('$8.50').first().waitFor();
    await expect(page.getByRole('list', { name: 'Samples' })).toHaveCount(0);
    expect(complaints).toEqual([]);
    await context.close();
  });

test('what is typed at a sample’s store stays with the samples', async () => {
  const { page, context, complaints } = await visitNew(at.browser, WIDE);
  page.setDefaultTimeout(20_000);
  await page.goto(at.site.address);
  await page.getByRole('button', { name: 'Look at the samples' }).click();
  await page.getByRole('link', { name: /Compost station/ }).click();
  await page.getByText('A sample: its stores and prices are invented').waitFor();
  await page.goto(`${at.site.address}/project/compost-station/prices`);
  await page.getByRole('button', { name: 'Enter prices in the aisle' }).click();
  await page.getByLabel('Another store, by name').fill('Corner shed');
  await page.getByRole('button', { name: 'I am there' }).click();
  await page.getByText('Corner shed').first().waitFor();
  await page.goto(at.site.address);
  await page.getByRole('button', { name: 'Remove the samples' }).click();
  await page.getByRole('heading', { name: 'My own project' }).waitFor();
  await page.goto(`${at.site.address}/prices`);
  await page.getByRole('heading', { name: 'Price book' }).waitFor();
  await expect(page.getByText('Corner shed')).toHaveCount(0);
  expect(complaints).toEqual([]);
  await context.close();
});
