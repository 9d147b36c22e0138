import { expect, test } from '@playwright/test';
import { visit } from '../harness/browser';
import { atSite } from './steps';

const at = atSite();
const SIDEWAYS = { width: 844, height: 390 };

for (const [id, unit] of [
  ['compost-station', 'inches'],
  ['sandpit', 'millimetres'],
] as const)
  test(`a phone on its side, in ${unit}: each place has room, and the keys leave their field in sight`, async () => {
    const { page, context, complaints } = await visit(at.browser, SIDEWAYS);
    page.setDefaultTimeout(20_000);
    for (const place of ['parts', 'prices', 'compare', 'buy', 'spend']) {
      await page.goto(`${at.site.address}/project/${id}/${place}`);
      const strip = page.getByTestId('money-strip');
      await strip.getByRole('img', { name: /[1-9].* to buy/ }).waitFor();
      const [head, foot] = [await strip.boundingBox(), await page.getByRole('navigation').boundingBox()];
      // More than half of the screen is what the place is for.
      expect((foot?.y ?? 0) - ((head?.y ?? 0) + (head?.height ?? 0))).toBeGreaterThan(SIDEWAYS.height / 2);
    }
    await page.goto(`${at.site.address}/project/${id}/parts`);
    await page
      .getByRole('button', { name: /^Change \d+ / })
      .first()
      .click();
    const field = page.getByRole('textbox', { name: /^Length/ }).first();
    await field.click();
    const pad = page.getByTestId('keypad');
    await pad.waitFor();
    await expect
      .poll(async () => {
        const [box, keys] = [await field.boundingBox(), await pad.boundingBox()];
        return (box?.y ?? 0) > 0 && (box?.y ?? 0) + (box?.height ?? 0) <= (keys?.y ?? 0);
      })
      .toBe(true);
    await field.fill('');
    for (const key of ['3', '0']) await pad.getByRole('button', { name: key, exact: true }).click();
    await expect(field).toHaveValue('30');
    for (const key of await pad.getByRole('button').all())
      expect((await key.boundingBox())?.height).toBeGreaterThanOrEqual(44);
    expect(complaints).toEqual([]);
    await context.close();
  });
