import { expect, test } from '@playwright/test';
import { PHONE, visit, visitNew, WIDE } from '../harness/browser';
import { keyboard, thumb } from './hands';
import { atSite } from './steps';

const at = atSite();

for (const [name, size, handsOf] of [
  ['on a phone, by touch', PHONE, thumb],
  ['on a wide screen, by keyboard', WIDE, keyboard],
] as const)
  test(`${name}: what has no price is priced where one is, and ripped where there is a saw for it`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(20_000);
    const hands = handsOf(page);
    const region = page.getByRole('region', { name: 'No price yet' });
    const fold = (count: string) => page.getByRole('button', { name: `${count} without a price: type` });
    await page.goto(`${at.site.address}/project/compost-station/parts`);
    for (const line of ['3 2x3 20 batten', '4 lid handles']) {
      await hands.write(page.getByLabel(/^Add a part/), line);
      await page.keyboard.press('Enter');
      await expect(page.getByLabel(/^Add a part/)).toHaveValue('');
    }
    await fold('2 things').waitFor();
    // The same in Compare, and in the store.
    await page.goto(`${at.site.address}/project/compost-station/compare`);
    await hands.press(fold('2 things'));
    await region.getByText('4 × Lid handles').waitFor();
    await page.goto(`${at.site.address}/project/compost-station/parts`);
    await hands.press(fold('2 things'));
    await hands.press(region.getByRole('button', { name: 'Rip 2x3 from 2x4: I have a table saw' }));
    await expect(region.getByText(/2x3/)).toHaveCount(0);
    await hands.write(region.getByLabel(/^Lid handles: price on the tag/), '2.50');
    await page.keyboard.press('Enter');
    await expect(region).toHaveCount(0);
    await page.goto(`${at.site.address}/project/compost-station/buy`);
    await page.getByText('Proved cheapest').first().waitFor();
    await page
      .getByText(/lid handles/i)
      .first()
      .waitFor();
    expect(complaints).toEqual([]);
    await context.close();
  });

test('with nothing priced no sum stands for the whole in Compare and Prices; with the first price ways stand there', async () => {
  const { page, context, complaints } = await visitNew(at.browser, PHONE);
  page.setDefaultTimeout(20_000);
  const { press, write } = thumb(page);
  const button = (name: string | RegExp) => page.getByRole('button', { name });
  const place = (name: string) => page.getByRole('link', { name, exact: true });
  await page.goto(at.site.address);
  await press(button('Start my own project'));
  await write(page.getByLabel('Name', { exact: true }), 'Bench');
  await press(button('Make the project'));
  await write(page.getByLabel(/^Add a part/), '4 2x4 30 leg');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel(/^Add a part/)).toHaveValue('');
  await press(place('Prices'));
  await page.getByRole('region', { name: 'No price yet' }).first().waitFor();
  await expect(page.getByRole('region', { name: 'What if prices move' })).toHaveCount(0);
  await press(place('Compare'));
  await page.getByText(/^Nothing has a price yet/).waitFor();
  await expect(page.getByText('no wood')).toHaveCount(0);
  await expect(page.getByRole('list', { name: 'Ways to do it, cheapest first' })).toHaveCount(0);
  await press(button('Divide the cost'));
  await write(page.getByLabel('By what'), 'seat');
  await write(page.getByLabel('How much of it there is'), '2,5');
  await expect(page.getByText('2.5: $0.00 per seat, so far.')).toBeVisible();
  await press(button('Divide by it'));
  await press(button(/without a price: type/));
  const material = page.getByLabel(/of what wood/);
  if ((await material.inputValue()) === '') await write(material, 'pine');
  await write(page.getByLabel(/price on the tag/), '4');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Ways to do it, cheapest first' })).toBeVisible();
  expect(complaints).toEqual([]);
  await context.close();
});
