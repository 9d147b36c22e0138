import { expect, test, type Page } from '@playwright/test';
import { PHONE, visit, WIDE } from '../harness/browser';
import { atSite, cents, total } from './steps';
import { keyboard, thumb } from './hands';

const at = atSite();

/** Waits until the head tells another sum than `before`, and that it is the one expected. */
const becomes = async (page: Page, expected: number): Promise<void> => {
  await expect.poll(() => total(page), { timeout: 45_000 }).toBe(expected);
};

test.describe('on a phone, by touch', () => {
  test('ways side by side, the difference told, one chosen with one tap and undone', async () => {
    const { page, context, complaints } = await visit(at.browser, PHONE);
    page.setDefaultTimeout(45_000);
    const { press } = thumb(page);
    await page.goto(`${at.site.address}/project/sandpit/compare`);
    const cards = page.getByRole('list', { name: 'Ways to do it, cheapest first' }).getByRole('listitem');
    await cards
      .filter({ hasText: 'All treated' })
      .getByText(/dearer/)
      .waitFor();
    expect(await cards.count()).toBeGreaterThanOrEqual(5);
    // The chart says the same in words.
    await page
      .getByRole('img', { name: /^At the till, target €180\.00\..*As it is now: €167\.92/ })
      .waitFor();
    // What is not fit says why.
    await cards
      .filter({ hasText: 'As it is now' })
      .getByText(/^Not fit\. .* touches the ground\.$/)
      .waitFor();
    const before = await total(page);
    const card = cards.filter({ hasText: 'All treated' });
    const price = cents(
      (await card
        .getByText(/^€[\d.]+$/)
        .first()
        .innerText()) ?? '',
    );
    expect(price).toBeGreaterThan(before);
    await card.getByText(/36\.94 over target/).waitFor();
    await press(card.getByRole('button', { name: /All treated.*: all of it$/ }));
    await card.getByText('10 to 20 years').last().waitFor();
    await press(page.getByRole('button', { name: 'Choose All treated' }));
    await becomes(page, price);
    await cards.filter({ hasText: 'As it is now' }).getByText('10 to 20 years').first().waitFor();
    // What was decided stands there, with what today's prices say of it; one undo takes it away too.
    const decided = page.getByRole('region', { name: 'What was decided' });
    await decided.getByText(/^Chosen on .* then, and .* without it\.$/).waitFor();
    await decided.getByText(/^At today’s prices it costs .* more than without it\.$/).waitFor();
    await press(page.getByRole('button', { name: 'Undo', exact: true }));
    await expect(decided).toHaveCount(0);
    await becomes(page, before);
    expect(complaints).toEqual([]);
    await context.close();
  });

  test('a way is added with two taps and taken out again, and both are kept', async () => {
    const { page, context, complaints } = await visit(at.browser, PHONE);
    page.setDefaultTimeout(45_000);
    const { press } = thumb(page);
    await page.goto(`${at.site.address}/project/compost-station/compare`);
    const list = page.getByRole('list', { name: 'Ways to do it, cheapest first' });
    await list.getByText('All cedar').waitFor();
    await press(page.getByRole('button', { name: 'Add a way' }));
    await press(page.getByRole('button', { name: 'Compare Braces in cedar' }));
    await list
      .getByRole('listitem')
      .filter({ hasText: 'Braces in cedar' })
      .getByText(/dearer/)
      .waitFor();
    await page.reload();
    const added = list.getByRole('listitem').filter({ hasText: 'Braces in cedar' });
    await added.getByText(/dearer/).waitFor();
    await press(added.getByRole('button', { name: /Braces in cedar.*: all of it$/ }));
    await press(page.getByRole('button', { name: 'Take out Braces in cedar' }));
    await added.waitFor({ state: 'detached' });
    // Two groups in one way.
    await press(page.getByRole('button', { name: 'Add a way' }));
    await press(page.getByRole('button', { name: 'Put several together' }));
    await press(page.getByRole('checkbox', { name: 'Braces in cedar' }));
    await press(page.getByRole('checkbox', { name: 'Side slats in treated picket' }));
    await press(page.getByRole('button', { name: 'Compare these 2 together' }));
    const both = list
      .getByRole('listitem')
      .filter({ hasText: 'Side slats in treated picket, Braces in cedar' });
    await list
      .getByRole('listitem')
      .filter({ hasText: /Braces in cedar, Side slats in treated picket/ })
      .or(both)
      .first()
      .getByText(/dearer|cheaper/)
      .waitFor();
    // Price break-even, in the words of the shelf.
    await list
      .getByText(/^Wins at or below \$[\d.]+ for .* at .*, now \$[\d.]+, all else as it is\.$/)
      .first()
      .waitFor();
    expect(complaints).toEqual([]);
    await context.close();
  });

  test('five ways to save or more, dearest catch and all; taking one changes the sum by what it says', async () => {
    const { page, context, complaints } = await visit(at.browser, PHONE);
    page.setDefaultTimeout(45_000);
    const { press } = thumb(page);
    for (const id of ['compost-station', 'record-shelf', 'sandpit']) {
      await page.goto(`${at.site.address}/project/${id}/compare`);
      await press(page.getByRole('tab', { name: 'Ways to save' }));
      await page.getByText(/^Each saving is the difference of two checked plans\. Savings/).waitFor();
      expect(await page.getByRole('button', { name: /^Take: / }).count()).toBeGreaterThanOrEqual(5);
    }
    const way = page
      .getByRole('list', { name: 'Ways to save' })
      .getByRole('listitem')
      .filter({ hasText: 'Box, length' });
    const saves = cents(await way.getByText(/^−€/).innerText());
    const before = await total(page);
    await press(way.getByRole('button', { name: /^Compare: / }));
    await page
      .getByRole('list', { name: 'Ways to do it, cheapest first' })
      .getByRole('listitem')
      .filter({ hasText: 'Box, length' })
      .getByText(/cheaper/)
      .waitFor();
    await press(page.getByRole('tab', { name: 'Ways to save' }));
    await press(way.getByRole('button', { name: /^Take: / }));
    await becomes(page, before - saves);
    await press(page.getByRole('button', { name: 'Undo', exact: true }));
    await becomes(page, before);
    expect(complaints).toEqual([]);
    await context.close();
  });

  test('what is on the rack is used by the plan at once', async () => {
    const { page, context, complaints } = await visit(at.browser, PHONE);
    page.setDefaultTimeout(45_000);
    const { press, write } = thumb(page);
    await page.goto(`${at.site.address}/project/compost-station/buy`);
    await page.getByText('proved cheapest').waitFor();
    const before = await total(page);
    await press(page.getByRole('button', { name: 'Back to projects' }));
    await press(page.getByRole('link', { name: 'Rack', exact: true }));
    await write(page.getByLabel(/^Put on the rack/), '6 2x4 36 1/2');
    await press(page.getByRole('button', { name: 'Add', exact: true }));
    await page.getByText(/^Of what wood\?/).waitFor();
    await write(page.getByLabel(/^Put on the rack/), '6 2x4 36 1/2 treated');
    await press(page.getByRole('button', { name: 'Add', exact: true }));
    await page
      .getByRole('list', { name: 'On the rack' })
      .getByText(/treated$/)
      .waitFor();
    await press(page.getByRole('link', { name: 'Projects', exact: true }));
    await press(page.getByText('Compost station', { exact: true }).first());
    await press(page.getByRole('link', { name: 'Buy', exact: true }));
    await expect.poll(() => total(page), { timeout: 45_000 }).toBeLessThan(before);
    await press(page.getByRole('tab', { name: 'Boards' }));
    await page
      .getByText(/^from the rack/)
      .first()
      .waitFor();
    expect(complaints).toEqual([]);
    await context.close();
  });
});

test.describe('at a table, by keyboard', () => {
  test('columns with their rows; one is chosen', async () => {
    const { page, context, complaints } = await visit(at.browser, WIDE);
    page.setDefaultTimeout(45_000);
    const { press } = keyboard(page);
    await page.goto(`${at.site.address}/project/compost-station/compare`);
    const table = page.getByRole('table', { name: 'Ways side by side' });
    await table
      .getByText(/dearer/)
      .nth(3)
      .waitFor();
    for (const row of [
      'At the till',
      'In the piece',
      'A year of its life',
      'Wood only',
      'Finish it wants',
      'Hardware it wants',
      'Weighs',
      'To carry home',
      'Fit for its place',
      'To prepare',
      'Stores',
      'Left over',
    ])
      await table.getByRole('rowheader', { name: row }).waitFor();
    const before = await total(page);
    await press(page.getByRole('button', { name: 'Choose All treated' }));
    await becomes(page, before - 954);
    await page.keyboard.press('Control+z');
    await becomes(page, before);
    expect(complaints).toEqual([]);
    await context.close();
  });

  test('an unfit material is flagged with what would do, a group is made another way, and both can be compared', async () => {
    const { page, context, complaints } = await visit(at.browser, WIDE);
    page.setDefaultTimeout(45_000);
    const { press, write } = keyboard(page);
    await page.goto(`${at.site.address}/project/sandpit/parts`);
    await page.getByText(/^spruce: Spruce-pine-fir rots .* Fit: .*treated pine/).waitFor();
    await press(page.getByRole('button', { name: 'Change group Box' }));
    await page.getByText(/^spruce is not fit here/).waitFor();
    await press(page.getByRole('button', { name: 'Use treated pine' }).first());
    await page.getByText(/^spruce is not fit here/).waitFor({ state: 'detached' });
    await press(page.getByRole('button', { name: 'Make it another way' }));
    await write(page.getByRole('textbox', { name: 'Name of this way' }), 'With taller sides');
    await page.getByRole('radio', { name: 'With taller sides' }).waitFor();
    await press(page.getByRole('link', { name: 'Compare', exact: true }));
    // The way it was made before stands in Compare unasked; a copy that is not changed yet is told as what it is.
    await page
      .getByRole('region', { name: 'The same as another' })
      .getByText(/^The same boards and money as it is now: “Box: Raised box”/)
      .waitFor();
    expect(complaints).toEqual([]);
    await context.close();
  });

  test('what the user says of a material holds: a brown lumber that is treated wants coated screws and is fit for the ground', async () => {
    const { page, context, complaints } = await visit(at.browser, WIDE);
    page.setDefaultTimeout(45_000);
    const { press, write, choose } = keyboard(page);
    await page.goto(`${at.site.address}/prices`);
    await press(page.getByRole('tab', { name: 'Materials' }));
    await write(page.getByLabel('Another material, as its tag says'), 'Brown lumber');
    await press(page.getByRole('button', { name: 'Add', exact: true }));
    const fit = page.getByRole('list', { name: 'Where it is fit' });
    await fit.getByText('Not fit').waitFor();
    await choose('Stands decay', 'Treated');
    await fit.getByText(/Read its tag/).waitFor();
    await page.reload();
    await press(page.getByRole('tab', { name: 'Materials' }));
    await page
      .getByRole('button', { name: 'Look at Brown lumber' })
      .getByText(/pressure-treated/)
      .waitFor();
    await press(page.getByRole('tab', { name: 'By unit' }));
    const lengths = page.getByRole('group', { name: '2x4 treated' });
    await lengths.getByText('cheapest').waitFor();
    await choose('What is cheapest today', 'Ripped');
    await page
      .getByText(/ripped, \d strips of each/)
      .first()
      .waitFor();
    expect(complaints).toEqual([]);
    await context.close();
  });

  test('build or buy: the three costs, a ready-made price, and what an hour earns', async () => {
    const { page, context, complaints } = await visit(at.browser, WIDE);
    page.setDefaultTimeout(45_000);
    const { press, write } = keyboard(page);
    await page.goto(`${at.site.address}/project/record-shelf/compare`);
    await press(page.getByRole('tab', { name: 'Build or buy' }));
    await press(page.getByRole('button', { name: 'Add a ready-made price' }));
    await page.getByText(/^Say where you saw it/).waitFor();
    await write(page.getByLabel('Ready made, $'), '620');
    await write(page.getByLabel('Seen at'), 'a catalogue');
    await write(page.getByLabel('Hours it takes'), '10');
    await press(page.getByRole('button', { name: 'Add a ready-made price' }));
    // 620.00 less 323.45 at the till, for ten hours.
    await page.getByText('Building saves 48 %. An hour of it earns $29.66.').waitFor();
    await write(page.getByLabel('An hour counts as, $'), '20');
    await page.getByRole('region', { name: 'What building costs' }).getByText('$523.45').waitFor();
    await page.getByText('Building saves 16 %. An hour of it earns $29.66.').waitFor();
    expect(complaints).toEqual([]);
    await context.close();
  });
});

for (const [what, size, handsOf] of [
  ['a phone, by thumb', PHONE, thumb],
  ['a wide screen, by keyboard', WIDE, keyboard],
] as const)
  test(`the cost is divided by what matters, and every way follows: ${what}`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(45_000);
    const { press, write, choose, pick } = handsOf(page);
    const button = (name: string | RegExp) => page.getByRole('button', { name, exact: true });
    await page.goto(`${at.site.address}/project/sandpit/compare`);
    // Only those that are fit, beside what is chosen.
    const ways = page.getByText(/\d+ of \d+ ways/);
    await press(page.getByRole('button', { name: 'Show: all ways' }));
    await pick(page.getByRole('menuitem', { name: 'fit for its place' }));
    await expect(ways).toBeVisible();
    await expect(page.getByText('All spruce', { exact: true })).toHaveCount(0);
    await expect(page.getByText('As it is now', { exact: true }).first()).toBeVisible();
    await press(page.getByRole('button', { name: 'Show: fit for its place' }));
    await pick(page.getByRole('menuitem', { name: 'all ways' }));
    await expect(ways).toHaveCount(0);
    await press(button('Divide the cost'));
    await press(button('Divide by it'));
    // What is missing is told, and what was typed stays.
    await expect(page.getByText('Give it a name, such as seat, shelf or bed.')).toBeVisible();
    await write(page.getByRole('textbox', { name: 'By what' }), 'sand');
    await choose('It is', 'An area');
    await write(page.getByRole('textbox', { name: 'How much of it there is' }), 'length * 1600mm');
    const read = page.getByText(/ m²: €[\d.]+ per m² of sand\./);
    await expect(read).toBeVisible();
    const [, amount = '', each = ''] = /^([\d.]+) m²: €([\d.]+)/.exec(await read.innerText()) ?? [];
    expect(Math.abs((await total(page)) / Number(amount) - cents(each))).toBeLessThan(60);
    await press(button('Divide by it'));
    if (size === PHONE) await press(page.getByRole('button', { name: /As it is now.*: all of it/ }));
    await expect(page.getByText('Per m² of sand').last()).toBeVisible();
    await expect(page.getByText(`€${each}`).first()).toBeVisible();
    await page.reload();
    await press(button('Per m² of sand'));
    await expect(page.getByRole('textbox', { name: 'How much of it there is' })).toHaveValue(
      'length * 1600mm',
    );
    await press(button('Divide no more'));
    await expect(button('Divide the cost')).toBeVisible();
    expect(complaints).toEqual([]);
    await context.close();
  });
