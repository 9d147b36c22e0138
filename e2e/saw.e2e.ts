import { expect, test } from '@playwright/test';
import { PHONE, visit, WIDE } from '../harness/browser';
import { keyboard, thumb } from './hands';
import { atSite } from './steps';

const at = atSite();

for (const [what, size] of [
  ['a phone, by thumb', PHONE],
  ['a wide screen, by keyboard', WIDE],
] as const)
  test(`boards are sawn one by one, the pile fills, and a reload keeps what is sawn: ${what}`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(20_000);
    const hands = size === PHONE ? thumb(page) : keyboard(page);
    const button = (name: string) => page.getByRole('button', { name, exact: true });
    await page.goto(`${at.site.address}/project/compost-station/saw`);
    const board = page.getByRole('region', { name: 'At the saw' });
    await board.getByText(/^Cut 1 of \d+$/).waitFor();
    const cuts = Number(/of (\d+)$/.exec(await board.getByText(/^Cut 1 of/).innerText())?.[1]);
    await board.getByText(/from the (left end|lower edge) of the (board|sheet)$/).waitFor();
    await hands.press(button('Cut'));
    if (cuts > 1) await board.getByText(`Cut 2 of ${cuts}`).waitFor();
    await hands.press(button('Not cut yet'));
    await board.getByText(`Cut 1 of ${cuts}`).waitFor();
    for (let cut = 1; cut <= cuts; cut++) {
      if (size === PHONE) await hands.press(button('Cut'));
      else {
        await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
        await page.keyboard.press(' ');
      }
      if (cut < cuts) await board.getByText(`Cut ${cut + 1} of ${cuts}`).waitFor();
    }
    await board.getByText('This one is sawn').waitFor();
    await page.getByText(/^1 of \d+ sawn$/).waitFor();
    await page.reload();
    await page.getByText(/^1 of \d+ sawn$/).waitFor();
    // The next board that is not sawn is before the eyes.
    await board.getByText(/^Cut 1 of/).waitFor();
    await hands.press(button('Begin again with all boards'));
    await page.getByText(/^0 of \d+ sawn$/).waitFor();
    expect(complaints).toEqual([]);
    await context.close();
  });

for (const [what, size] of [
  ['a phone, by thumb', PHONE],
  ['a wide screen, by keyboard', WIDE],
] as const)
  test(`the cut sheet has each setting once and every cut, and goes on paper with its boxes: ${what}`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(20_000);
    const hands = size === PHONE ? thumb(page) : keyboard(page);
    await page.goto(`${at.site.address}/project/compost-station/saw`);
    await page.getByRole('region', { name: 'At the saw' }).waitFor();
    await hands.press(page.getByRole('tab', { name: 'Cut sheet' }));
    const sheet = page.getByRole('region', { name: 'Cut sheet' });
    const drawings = sheet.getByRole('listitem');
    await drawings.first().waitFor();
    // What the settings are needed for is as many cuts as the drawings have, times their boards.
    const notes = await sheet.getByText(/^\d+ cuts? · drawings? /).allInnerTexts();
    const bySetting = notes.reduce((sum, note) => sum + Number.parseInt(note, 10), 0);
    const byDrawing = await drawings.evaluateAll((items) =>
      items.reduce((sum, item) => {
        const boards = Number.parseInt((item as HTMLElement).innerText, 10);
        const measures = (item as HTMLElement).innerText.match(/from the (?:left end|lower edge) of the/g);
        return sum + boards * (measures?.length ?? 0);
      }, 0),
    );
    expect([bySetting > 0, byDrawing]).toEqual([true, bySetting]);
    await page.emulateMedia({ media: 'print' });
    await expect(sheet.getByRole('button', { name: 'Print' })).toBeHidden();
    const heights = await sheet
      .getByTestId('box')
      .evaluateAll((boxes) => boxes.map((box) => Math.round(box.getBoundingClientRect().height)));
    expect(heights.length).toBeGreaterThan(await drawings.count());
    expect(Math.min(...heights)).toBeGreaterThanOrEqual(18);
    expect(complaints).toEqual([]);
    await context.close();
  });

for (const [what, size] of [
  ['a phone, by thumb', PHONE],
  ['a wide screen, by keyboard', WIDE],
] as const)
  test(`each piece has its label, also on paper, and what to mind is told until it is known: ${what}`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(20_000);
    const hands = size === PHONE ? thumb(page) : keyboard(page);
    await page.goto(`${at.site.address}/project/record-shelf/saw`);
    const minded = page.getByRole('note').filter({ hasText: 'Long board.' });
    await minded.waitFor();
    await hands.press(page.getByRole('button', { name: 'Long board: I know that' }));
    await expect(minded).toHaveCount(0);
    await page.reload();
    await page.getByRole('region', { name: 'At the saw' }).waitFor();
    await expect(minded).toHaveCount(0);
    const pile = await page.getByText(/^\d+ to cut$/).innerText();
    await hands.press(page.getByRole('tab', { name: 'Labels' }));
    const labels = page.getByRole('list', { name: 'A label for each piece' }).getByRole('listitem');
    await expect(labels).toHaveCount(Number.parseInt(pile, 10));
    await expect(labels.first()).toContainText('A1');
    await hands.choose('Size of a label', '99 x 57 mm');
    await expect(page).toHaveURL(/view=labels/);
    await page.emulateMedia({ media: 'print' });
    await expect(page.getByTestId('project-head')).toBeHidden();
    // Two of 99 mm side by side, at the edge of the sheet.
    const [first, second] = await labels.evaluateAll((all) =>
      all.slice(0, 2).map((one) => one.getBoundingClientRect()),
    );
    expect(Math.round(((first?.width ?? 0) / 96) * 25.4)).toBe(99);
    if (size === WIDE) expect(second?.top).toBe(first?.top);
    // Two by five on a sheet of A4, and no empty sheet after the last.
    const pdf = (await page.pdf({ format: 'A4' })).toString('latin1');
    expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(Math.ceil((await labels.count()) / 10));
    expect(complaints).toEqual([]);
    await context.close();
  });

test('with nothing planned it says where boards come from', async () => {
  const { page, context, complaints } = await visit(at.browser, PHONE);
  await page.goto(at.site.address);
  await page.getByRole('button', { name: 'New project' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Stool');
  await page.getByRole('button', { name: 'Make the project' }).click();
  await page.getByRole('link', { name: 'Saw', exact: true }).click();
  await page.getByText(/^Nothing to saw yet/).waitFor();
  expect(complaints).toEqual([]);
  await context.close();
});

for (const [what, size] of [
  ['a phone, by thumb', PHONE],
  ['a wide screen, by keyboard', WIDE],
] as const)
  test(`boards as they are: a knot, a short board and a piece cut wrong are planned around, and all is kept: ${what}`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(45_000);
    const { press, write } = size === PHONE ? thumb(page) : keyboard(page);
    const button = (name: string) => page.getByRole('button', { name, exact: true });
    await page.goto(`${at.site.address}/project/record-shelf/buy`);
    await page.getByText('proved cheapest').first().waitFor();
    const open = page.getByRole('checkbox', { name: /: bought$/, checked: false });
    for (let left = await open.count(); left > 0; left--) {
      await press(open.first());
      await expect(open).toHaveCount(left - 1);
    }
    await page.getByRole('link', { name: 'Saw', exact: true }).click();
    const board = page.getByRole('region', { name: 'At the saw' });
    await board.getByText(/^Cut 1 of/).waitFor();
    // Shorter than it was sold, and with a knot that no part may hold.
    await press(button('Measure this board'));
    const form = page.getByRole('form', { name: 'The board as it is' });
    const field = (name: string) => form.getByRole('textbox', { name, exact: true });
    await write(field('It measures'), '119 1/2');
    await write(field('From'), '32');
    await write(field('To'), '30');
    await press(button('Mark this stretch'));
    await form.getByText('A stretch ends after it begins: measure both from the left end.').waitFor();
    await write(field('To'), '32 1/2');
    await write(field('From'), '30');
    await press(button('Mark this stretch'));
    await form.getByText('Knot, 30" to 32 1/2"').waitFor();
    await press(button('Plan with this board'));
    await page.getByText(/^Planned anew: \d+ boards? (is|are) cut otherwise now/).waitFor();
    await page.getByText(/^Of the board that measures 119 1\/2", its stretch from/).waitFor();
    await page.getByText(/^The boards that are there are not enough\. Still to buy: 1 × 1x2x8/).waitFor();
    // One piece comes out too short: it is made again, and what is left of it is of use.
    await board.getByText(/^Cut 1 of 1$/).waitFor();
    await press(button('Cut'));
    await board.getByText('This one is sawn').waitFor();
    const cut = page.getByRole('region', { name: 'The pile' }).getByText(/^1 of \d+$/);
    await cut.waitFor();
    await press(button('A piece was cut wrong'));
    await write(page.getByRole('textbox', { name: 'Too short by', exact: true }), '1/4');
    await press(button('Plan it anew'));
    await cut.waitFor({ state: 'detached' });
    await board.getByText('This one is sawn').waitFor();
    await page.reload();
    await page.getByText(/^1 of \d+ sawn$/).waitFor();
    await page.getByText('Still to buy:', { exact: false }).waitFor();
    await page.goto(at.site.address);
    await page.getByText(/1 board begun at the saw/).waitFor();
    expect(complaints).toEqual([]);
    await context.close();
  });
