import { expect, test } from '@playwright/test';
import { PHONE, visit, WIDE } from '../harness/browser';
import { keyboard, thumb } from './hands';
import { atSite } from './steps';

const at = atSite();

for (const [name, size, handsOf] of [
  ['on a phone, by touch', PHONE, thumb],
  ['on a wide screen, by keyboard', WIDE, keyboard],
] as const)
  test(`${name}: a project once more, with nothing bought, and back with one undo`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(20_000);
    const hands = handsOf(page);
    const button = (label: string) => page.getByRole('button', { name: label }).first();
    const spent = (sum: string) => page.getByTestId('money-strip').getByText(`${sum} spent`).waitFor();
    await page.goto(`${at.site.address}/project/compost-station/parts`);
    await spent('$75.01');
    await hands.press(button('More for this project'));
    await hands.pick(page.getByRole('menuitem', { name: 'Duplicate' }));
    await page.getByRole('heading', { name: 'Compost station 2' }).waitFor();
    await spent('$0.00');
    await button('Change 2 Post').waitFor();
    // What was bought is with the first alone.
    await page.goBack();
    await page.getByRole('heading', { name: 'Compost station', exact: true }).waitFor();
    await spent('$75.01');
    await hands.press(page.getByRole('button', { name: 'Undo' }).last());
    await page.goto(at.site.address);
    await page.getByText('Compost station').first().waitFor();
    await expect(page.getByText('Compost station 2')).toHaveCount(0);
    expect(complaints).toEqual([]);
    await context.close();
  });

for (const [name, size, handsOf] of [
  ['on a phone, by touch', PHONE, thumb],
  ['on a wide screen, by keyboard', WIDE, keyboard],
] as const)
  test(`${name}: a group goes into another project, and back with one undo`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(20_000);
    const hands = handsOf(page);
    const group = page.getByRole('button', { name: 'Change group Wall frames' });
    await page.goto(`${at.site.address}/project/compost-station/parts`);
    await hands.press(group);
    await page
      .getByRole('img', { name: /drawn to scale: A Post, B Side rail/ })
      .first()
      .waitFor();
    await hands.press(page.getByRole('button', { name: 'Copy the group' }));
    await hands.pick(page.getByRole('menuitem', { name: 'Into Record shelf' }));
    await page.getByRole('heading', { name: 'Record shelf', exact: true }).waitFor();
    await page.getByText('Record shelf has Wall frames now, with measures of its own.').waitFor();
    await page.getByRole('button', { name: /^Change 2 Post, 2x4 · 36"/ }).waitFor();
    await hands.press(page.getByRole('button', { name: 'Undo', exact: true }).last());
    await expect(group).toHaveCount(0);
    await page.goto(`${at.site.address}/project/compost-station/parts`);
    await group.waitFor();
    // Once a part is changed by hand, a drawing of its measures would be false.
    await hands.press(page.getByRole('button', { name: /^Change 2 Side rail/ }));
    await hands.write(page.getByRole('textbox', { name: 'How many', exact: true }), '3');
    await hands.press(page.getByRole('button', { name: 'Done' }).last());
    await hands.press(group);
    await page
      .getByRole('dialog')
      .getByText(/^Its parts were changed by hand/)
      .waitFor();
    await expect(page.getByRole('img', { name: /drawn to scale: A Post, B Side rail/ })).toHaveCount(0);
    expect(complaints).toEqual([]);
    await context.close();
  });
