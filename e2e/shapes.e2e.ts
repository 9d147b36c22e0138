import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { PHONE, visit, WIDE } from '../harness/browser';
import { keyboard, thumb } from './hands';
import { atSite } from './steps';

const at = atSite();

const sizes = [
  ['a phone, by thumb', PHONE],
  ['a wide screen, by keyboard', WIDE],
] as const;

/** What a page needs to be worked: its buttons, its fields, its menus. */
const handsOn = (page: Page, size: typeof PHONE) => ({
  ...(size === PHONE ? thumb(page) : keyboard(page)),
  button: (name: string | RegExp) => page.getByRole('button', { name, exact: true }),
  field: (name: string) => page.getByRole('textbox', { name, exact: true }),
  item: (name: string) => page.getByRole('menuitem', { name, exact: true }),
});

for (const [what, size] of sizes)
  test(`a tapered pair lies head to tail, on its board, at the saw and on the cut sheet: ${what}`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(30_000);
    const { press, write, button } = handsOn(page, size);
    await page.goto(`${at.site.address}/project/compost-station/parts`);
    await write(page.getByLabel(/^Add a part/), '4 2x4 25 taper 5 to 1 1/2 stay');
    await page.keyboard.press('Enter');
    await button(/^Change 4 Stay, 2x4 · 25" · taper 5" to 1 1\/2" top right/).waitFor();
    await press(page.getByRole('link', { name: 'Buy', exact: true }));
    await page.getByText(/saw shaped parts as rectangles, all alone or all in pairs/).waitFor();
    if (size === PHONE) await press(page.getByRole('tab', { name: 'Boards' }));
    // Others are shaped too.
    const note = page.getByRole('note', { name: 'Then by hand' }).filter({ hasText: 'Stay' }).first();
    await expect(note).toContainText('Stay: taper 5" to 1 1/2" top right. Two lie head to tail');
    await press(page.getByRole('link', { name: 'Saw', exact: true }));
    await page.getByText(/Stay/).first().waitFor();
    // In the pile each counts for itself.
    await expect(page.getByRole('region', { name: 'The pile' })).toContainText(/Stay.*0 of 4/);
    await press(page.getByRole('tab', { name: 'Cut sheet' }));
    await expect(note).toContainText('head to tail');
    expect(complaints).toEqual([]);
    await context.close();
  });

for (const [what, size] of sizes)
  test(`a floor board is notched round a post and a corner is clipped; what does not fit says so; its template measures: ${what}`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(30_000);
    const { press, write, pick, button, field, item } = handsOn(page, size);
    await page.goto(`${at.site.address}/project/compost-station/parts`);
    await write(page.getByLabel(/^Add a part/), '2 2x4 40 floor board');
    await page.keyboard.press('Enter');
    await press(button(/^Change 2 Floor board/));
    await press(button('Shape it'));
    await pick(item('Notch'));
    const notch = page.getByRole('group', { name: 'Notch', exact: true });
    await press(notch.getByRole('button', { name: /^Where:/ }));
    await pick(item('Bottom right'));
    await write(notch.getByRole('textbox', { name: 'Along the length' }), '41');
    await expect(notch.getByRole('alert')).toContainText('reaches past the next corner');
    await write(notch.getByRole('textbox', { name: 'Along the length' }), '3 1/2');
    await expect(notch.getByRole('alert')).toHaveCount(0);
    await write(notch.getByRole('textbox', { name: 'Across the width' }), '1 3/4');
    await press(button('Shape it further'));
    await pick(item('Clip a corner off'));
    await page
      .getByRole('img', {
        name: /^Floor board, to scale: notch 3 1\/2" x 1 3\/4" bottom right, clip .* top right$/,
      })
      .waitFor();
    const saved = page.waitForEvent('download');
    await press(button('Template'));
    await pick(item('A template to print at true size'));
    const html = readFileSync(await (await saved).path(), 'utf8');
    await press(button('Leave out: Corner clipped'));
    await press(button('Done'));
    await button(/^Change 2 Floor board, 2x4 · 40" · notch 3 1\/2" x 1 3\/4" bottom right$/).waitFor();
    await expect(field('Name')).toBeHidden();
    expect(complaints).toEqual([]);
    // On paper: 40 in are five sheets across or upright, each with its line of 100 mm; a millimetre is 96 / 25.4 px, and the page is not scaled.
    const paper = await context.newPage();
    await paper.setContent(html);
    const perMillimetre = await paper
      .locator('#check-1-1')
      .evaluate((line) => (line as unknown as SVGGraphicsElement).getScreenCTM()?.a ?? 0);
    expect((perMillimetre * 25.4) / 96).toBeCloseTo(1, 3);
    await expect(paper.locator('#check-1-1')).toHaveAttribute('d', /h100M/);
    const pdf = (await paper.pdf({ preferCSSPageSize: true })).toString('latin1');
    const sheets = html.match(/<svg /g)?.length ?? 0;
    expect(sheets).toBeGreaterThan(3);
    expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(sheets);
    await context.close();
  });
