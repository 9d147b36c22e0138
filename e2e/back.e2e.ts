import { expect, test } from '@playwright/test';
import { PHONE, visit, WIDE } from '../harness/browser';
import { atSite } from './steps';
import { keyboard, thumb } from './hands';

const at = atSite();

for (const [name, size, handsOf] of [
  ['on a phone, by touch', PHONE, thumb],
  ['on a wide screen, by keyboard', WIDE, keyboard],
] as const)
  test(`${name}: Back and Escape close what is open, what opened last first, and the place stays`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(20_000);
    const { press, write } = handsOf(page);
    const dialogs = page.getByRole('dialog');
    await page.goto(`${at.site.address}/`);
    await press(page.getByRole('link', { name: /^Sandpit/ }).first());
    await page.getByTestId('money-strip').first().waitFor();
    await page
      .getByRole('button', { name: /^Change / })
      .first()
      .waitFor();
    const place = page.url();
    // A panel, and another in its place: one step back for both.
    const rows = page.getByRole('button', { name: /^Change \d/ });
    await press(rows.nth(0));
    await dialogs.first().waitFor();
    if (size === WIDE) await press(rows.nth(1));
    await page.goBack();
    await expect(dialogs).toHaveCount(0);
    expect(page.url()).toBe(place);
    // A sheet, closed by its own button, leaves no step behind.
    await press(page.getByRole('button', { name: 'Build from measures' }));
    await dialogs.first().waitFor();
    await press(dialogs.first().getByRole('button', { name: 'Close' }));
    await expect(dialogs).toHaveCount(0);
    // A menu, and a sheet of it.
    await press(page.getByRole('button', { name: 'More for this project' }));
    await page.getByRole('menu').waitFor();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('menu')).toHaveCount(0);
    await press(page.getByRole('button', { name: 'Paste a list' }));
    await dialogs.first().waitFor();
    await write(page.getByRole('textbox', { name: /^One part a line/ }), '3 2x4 30 stretcher');
    await page.goBack();
    await expect(dialogs).toHaveCount(0);
    // What is half typed is there again, until it is thrown away.
    await press(page.getByRole('button', { name: 'Paste a list' }));
    await expect(page.getByRole('textbox', { name: /^One part a line/ })).toHaveValue('3 2x4 30 stretcher');
    await press(page.getByRole('button', { name: 'Cancel' }));
    await press(page.getByRole('button', { name: 'Paste a list' }));
    await expect(page.getByRole('textbox', { name: /^One part a line/ })).toHaveValue('');
    await page.goBack();
    await expect(dialogs).toHaveCount(0);
    expect(page.url()).toBe(place);
    // With nothing open it goes where one came from.
    await page.goBack();
    await page.getByRole('list', { name: 'Projects' }).waitFor();
    await page.goForward();
    await page.getByTestId('money-strip').first().waitFor();
    expect(complaints).toEqual([]);
    await context.close();
  });

for (const [what, size] of [
  ['a phone', PHONE],
  ['a wide screen', WIDE],
] as const)
  test(`a tab is in the address: there again after a reload, and after a step away and back: ${what}`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(20_000);
    const project = `${at.site.address}/project/compost-station`;
    const tabs = [
      ['compare', 'Ways to save'],
      ['saw', 'Cut sheet'],
      ['spend', 'Charts'],
      ['prices', 'Stores'],
      // There is room for both beside each other on a wide screen.
      ...(size === PHONE ? [['buy', 'Boards'] as const] : []),
    ] as const;
    for (const [place, name] of tabs) {
      await page.goto(`${project}/${place}`);
      const tab = page.getByRole('tab', { name });
      await tab.click();
      await expect(page).toHaveURL(/\?view=\w+$/);
      await page.reload();
      await expect(tab).toHaveAttribute('aria-selected', 'true');
      await page.getByRole('link', { name: 'Parts', exact: true }).click();
      await expect(page).toHaveURL(`${project}/parts`);
      await page.goBack();
      await expect(tab).toHaveAttribute('aria-selected', 'true');
      await page.getByRole('tab').first().click();
      await expect(page).toHaveURL(`${project}/${place}`);
    }
    expect(complaints).toEqual([]);
    await context.close();
  });

for (const [what, size, handsOf] of [
  ['a phone, by thumb', PHONE, thumb],
  ['a wide screen, by keyboard', WIDE, keyboard],
] as const)
  test(`what is open stands in the address beside its tab, and is open again after a reload: ${what}`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(20_000);
    const { press, write } = handsOf(page);
    const project = `${at.site.address}/project/compost-station`;
    const button = (name: string | RegExp) => page.getByRole('button', { name }).first();
    const dialogs = page.getByRole('dialog');
    const what = page.getByRole('textbox', { name: 'What was bought' });
    const cases = [
      [`${project}/spend?view=costs`, button('Target')],
      [`${project}/spend`, button(/^Change .+, \$/)],
      [`${project}/compare`, button('Add a way')],
      [`${project}/prices?view=stores`, button(/^Change /)],
      [`${at.site.address}/prices?view=materials`, button(/^Look at /)],
    ] as const;
    for (const [address, opener] of cases) {
      await page.goto(address);
      await press(opener);
      await dialogs.first().waitFor();
      const title = await dialogs.first().getAttribute('aria-label');
      await expect(page).toHaveURL(/[?&]open=/);
      await page.reload();
      await expect(dialogs.first()).toHaveAttribute('aria-label', title ?? '');
      await page.keyboard.press('Escape');
      await expect(dialogs).toHaveCount(0);
      await expect(page).toHaveURL(address);
    }
    // A purchase half written is there again, too.
    await page.goto(`${project}/spend`);
    await press(button('Record something bought'));
    await write(what, 'borrowed clamps');
    await page.reload();
    await expect(what).toHaveValue('borrowed clamps');
    expect(complaints).toEqual([]);
    await context.close();
  });
