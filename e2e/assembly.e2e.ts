import { expect, test } from '@playwright/test';
import { PHONE, visit, WIDE } from '../harness/browser';
import { keyboard, thumb } from './hands';
import { atSite } from './steps';

const at = atSite();

for (const [what, size] of [
  ['a phone, by thumb', PHONE],
  ['a wide screen, by keyboard', WIDE],
] as const)
  test(`groups are put together in an order of one’s own, ticked off, and still so after a reload: ${what}`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(30_000);
    const { press } = size === PHONE ? thumb(page) : keyboard(page);
    await page.goto(`${at.site.address}/project/compost-station/saw`);
    await press(page.getByRole('tab', { name: 'Assembly' }));
    const list = page.getByRole('list', { name: 'In this order' });
    const first = list.getByRole('listitem').first();
    await first.getByText('1 · Wall frames').waitFor();
    // 36 x 34 1/2: by Pythagoras 49.86 in.
    await expect(first).toContainText('Square: both diagonals ≈49 7/8"');
    await expect(first).toContainText(/: pocket screws, in \d+ places/);
    await press(page.getByRole('button', { name: 'Wall frames: later' }));
    await expect(first).toContainText('1 · Side slats');
    await press(page.getByRole('checkbox', { name: 'Side slats: put together' }));
    await page.getByText(/^1 of 4 groups put together/).waitFor();
    await page.reload();
    await expect(first).toContainText('1 · Side slats');
    await expect(page.getByRole('checkbox', { name: 'Side slats: put together' })).toBeChecked();
    expect(complaints).toEqual([]);
    await context.close();
  });
