import { expect, test } from '@playwright/test';
import { PHONE, visit, WIDE } from '../harness/browser';
import { keyboard, thumb } from './hands';
import { atSite, cents, total } from './steps';

const at = atSite();

for (const [what, size, handsOf] of [
  ['a phone, by thumb', PHONE, thumb],
  ['a wide screen, by keyboard', WIDE, keyboard],
] as const)
  test(`what prices might do is planned anew, and what is told comes to pass: ${what}`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(20_000);
    const { press, write, choose, pick } = handsOf(page);
    const button = (name: string | RegExp) => page.getByRole('button', { name });
    await page.goto(`${at.site.address}/project/compost-station/prices`);
    const row = (name: string | RegExp) =>
      page
        .getByRole('region', { name: 'What if prices move' })
        .getByRole('listitem')
        .filter({ hasText: name });
    await expect(row('Wood and sheets 10 % dearer')).toContainText(/more: .* the target/);
    // What is no share is told, and nothing is lost.
    await press(button('What else may move'));
    await press(button('See what it does'));
    await expect(page.getByText(/Write a percentage/)).toBeVisible();
    await choose('What may happen', 'A trip costs');
    await press(button(/^To: /));
    await pick(page.getByRole('menuitem', { name: 'Harrow Lumber' }));
    await write(page.getByRole('textbox', { name: /^Then costs/ }), '40');
    await press(button('See what it does'));
    const trip = row('Going to Harrow Lumber costs $40.00');
    await expect(trip).toContainText(/\$[\d.]+, /);
    const told = cents((await trip.getByText(/^\$[\d.]+, /).innerText()).split(',')[0] ?? '');
    expect(told).toBeGreaterThan(0);
    const before = await total(page);
    // Now it comes so.
    await press(page.getByRole('tab', { name: 'Stores' }));
    await press(button('Change Harrow Lumber'));
    await write(page.getByRole('textbox', { name: /^A trip|^What one trip|trip/i }).first(), '40');
    await press(button('Save the store'));
    await expect.poll(() => total(page), { timeout: 30_000 }).toBe(told);
    expect(told).not.toBe(before);
    // From where it is now, the same changes nothing.
    await press(page.getByRole('tab', { name: 'Needed here' }));
    await expect(row('Wood and sheets 10 % dearer')).toContainText(/more/);
    expect(complaints).toEqual([]);
    await context.close();
  });
