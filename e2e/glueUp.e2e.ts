import { expect, test } from '@playwright/test';
import { PHONE, visit, WIDE } from '../harness/browser';
import { keyboard, thumb } from './hands';
import { atSite } from './steps';

const at = atSite();

for (const [what, size] of [
  ['a phone, by thumb', PHONE],
  ['a wide screen, by keyboard', WIDE],
] as const)
  test(`a slab glued up of boards on edge: its boards, its glue by what is glued, and no fasteners: ${what}`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(45_000);
    const { press, write, choose } = size === PHONE ? thumb(page) : keyboard(page);
    const button = (name: string | RegExp) => page.getByRole('button', { name, exact: true });
    const field = (name: string) => page.getByRole('textbox', { name, exact: true });
    await page.goto(at.site.address);
    await press(button('New project'));
    await write(field('Name'), 'Bench');
    await press(button('Make the project'));
    await press(button('Build from measures'));
    await press(button('Slab or post, glued up'));
    await choose('Make it', 'Of so many boards');
    await write(field('How many boards'), '15');
    await write(field('Finished length'), '94');
    await write(field('Longer at each end, cut off after'), '');
    await page.getByText('15 boards make 22 1/2".').waitFor();
    await page.getByText('It is 3 1/4" thick once it is planed, of boards 3 1/2" wide.').waitFor();
    await press(button('Add the parts'));
    await button(/^Change 15 Board, 2x4 · 94"/).waitFor();
    // Fourteen joints of 94 x 3 1/2 in are 32 square feet.
    await page.getByText(/^32 sq ft: 3 × Wood glue/).waitFor();
    await button('Change fasteners Board to board').getByText('glued in 14 places').waitFor();
    await press(button('Change fasteners Board to board'));
    await page.getByText(/^Glued in 14 places, clamped until it holds/).waitFor();
    await expect(field('How many in each')).toBeHidden();
    await choose('Fastened by', 'Bolts');
    await field('How many in each').waitFor();
    await choose('Fastened by', 'Glue alone');
    await expect(field('How many in each')).toBeHidden();
    await press(button('Done'));
    await press(page.getByRole('link', { name: 'Buy', exact: true }));
    await page
      .getByText(/^proved/i)
      .first()
      .waitFor();
    await expect(page.getByText(/bolt/)).toHaveCount(0);
    expect(complaints).toEqual([]);
    await context.close();
  });
