import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { PHONE, visit, WIDE } from '../harness/browser';
import { writeKept } from '../harness/kept';
import { atSite } from './steps';

const at = atSite();

const newProject = async (page: Page, name: string, lines: string[]): Promise<void> => {
  await page.goto(at.site.address);
  await page.getByRole('button', { name: 'New project' }).first().click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill(name);
  await page.getByRole('button', { name: 'Make the project' }).click();
  const line = page.getByLabel(/^Add a part/);
  for (const [index, text] of lines.entries()) {
    await line.fill(text);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: /^Change \d+ / })).toHaveCount(index + 1);
  }
};

for (const [name, size] of [
  ['a phone', PHONE],
  ['a wide screen', WIDE],
] as const) {
  test(`on ${name} a first project with things that have no price is proved for the rest, and prices are typed right there`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(20_000);
    await newProject(page, 'Wall rack', ['2 2x4 31 1/2 rail, stud', '8 coat hooks', '2 rubber pads']);
    await page.getByRole('link', { name: 'Buy', exact: true }).click();
    await page.getByText('proved for the rest').waitFor();
    await page.getByText(/without 2 things that have no price yet\.$/).waitFor();
    const unpriced = page.getByRole('region', { name: 'No price yet' });
    const field = unpriced.getByLabel('Coat hooks: price on the tag, $');
    await field.fill('2.50');
    await field.press('Enter');
    await page.getByText(/without 1 thing that has no price yet\.$/).waitFor();
    await page.getByRole('checkbox', { name: /^8 × Coat hooks: bought$/ }).waitFor();
    await unpriced.getByLabel('Rubber pads: price on the tag, $').fill('3');
    await unpriced.getByLabel('Rubber pads: pieces it brings').fill('4');
    await unpriced.getByRole('button', { name: 'Save' }).click();
    await unpriced.waitFor({ state: 'detached' });
    await page.getByText('proved cheapest').waitFor();
    expect(complaints).toEqual([]);
    await context.close();
  });

  test(`on ${name} what was done in the same breath as a reload is kept`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(20_000);
    await newProject(page, 'Boot bench', ['2 2x4 20 leg']);
    await page.getByRole('button', { name: /^Change \d+ Leg/ }).click();
    const howMany = page.getByRole('textbox', { name: 'How many', exact: true });
    for (let count = 3; count < 8; count++) {
      await howMany.fill(String(count));
      // Not a moment for anything to be written behind the screen.
      await Promise.all([page.waitForEvent('load'), page.evaluate(() => window.location.reload())]);
      await page.getByRole('button', { name: new RegExp(`^Change ${count} Leg`) }).waitFor();
      // What was open is open again.
      await expect(howMany).toHaveValue(String(count));
    }
    expect(complaints).toEqual([]);
    await context.close();
  });
}

for (const [name, size] of [
  ['a phone', PHONE],
  ['a wide screen', WIDE],
] as const) {
  test(`on ${name} every sum opens to its parts, down to the tag, and the verdict to its bound`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(20_000);
    await page.goto(`${at.site.address}/project/compost-station/buy`);
    await page.getByText('proved cheapest').waitFor();
    await page.getByRole('button', { name: 'Where these sums come from' }).click();
    const sheet = page.getByRole('dialog', { name: 'Where it comes from' });
    await sheet
      .getByRole('button', { name: /^To buy, \$182\.01/ })
      .first()
      .click();
    await sheet
      .getByRole('button', { name: /^Harrow Lumber, \$182\.01/ })
      .first()
      .click();
    await sheet
      .getByText(/8 at \$6\.80: \$54\.40 on the shelf\. The tag says \$0\.68 a foot\. Seen 9 Nov 2026/)
      .waitFor();
    // By keyboard too: closed by Escape, and the verdict opened by Enter.
    await page.keyboard.press('Escape');
    await sheet.waitFor({ state: 'detached' });
    await page.getByRole('button', { name: /^proved cheapest: / }).focus();
    await page.keyboard.press('Enter');
    await page.getByText('This plan costs $182.01. No plan can cost less than $182.01.').waitFor();
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Where the sum to buy comes from' }).click();
    await page.getByRole('dialog', { name: 'What is to buy' }).getByText('To buy').first().waitFor();
    await page.keyboard.press('Escape');
    await page.goto(`${at.site.address}/project/compost-station/compare`);
    if (size === PHONE) await page.getByRole('button', { name: /As it is now.*: all of it$/ }).click();
    await page.getByRole('button', { name: 'As it is now: where its sum comes from' }).first().click();
    await page.getByRole('dialog', { name: 'As it is now' }).getByText('In all').waitFor();
    expect(complaints).toEqual([]);
    await context.close();
  });

  test(`on ${name} a name that is written otherwise finds its price, and a near one is offered`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(20_000);
    await newProject(page, 'Hall rack', ['2 2x4 31 1/2 rail, stud', '8 coat hooks']);
    await page.getByRole('link', { name: 'Buy', exact: true }).click();
    const unpriced = page.getByRole('region', { name: 'No price yet' });
    await unpriced.getByLabel('Coat hooks: price on the tag, $').fill('2.50');
    await unpriced.getByRole('button', { name: 'Save' }).click();
    await unpriced.waitFor({ state: 'detached' });
    // Another project asks for the same thing in other words.
    await newProject(page, 'Shed rack', ['1 2x4 31 1/2 rail, stud', '4 coat hook', '3 brass coat hook']);
    await page.getByRole('link', { name: 'Buy', exact: true }).click();
    await page.getByRole('checkbox', { name: /^4 × Coat hooks: bought$/ }).waitFor();
    await page.getByText(/without 1 thing that has no price yet\.$/).waitFor();
    await page.getByRole('button', { name: 'It is “Coat hooks”, which has a price' }).click();
    await page.getByRole('checkbox', { name: /^7 × Coat hooks: bought$/ }).waitFor();
    await page.getByText('proved cheapest').waitFor();
    expect(complaints).toEqual([]);
    await context.close();
  });

  test(`on ${name} what a shared price moves in other projects is told`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(30_000);
    await newProject(page, 'Porch shelf', ['8 coat hooks']);
    await newProject(page, 'Boot shelf', ['2 coat hooks']);
    await page.getByRole('link', { name: 'Buy', exact: true }).click();
    const field = page.getByLabel('Coat hooks: price on the tag, $');
    await field.fill('2.50');
    await field.press('Enter');
    await page.getByRole('checkbox', { name: /^2 × Coat hooks: bought$/ }).waitFor();
    // It had nothing to buy before: by so much more is what it comes to now.
    await page.getByText(/Moved with it: Porch shelf (\$[\d.]+) more, now \1\.$/).waitFor();
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await field.waitFor();
    expect(complaints).toEqual([]);
    await context.close();
  });

  test(`on ${name} a wood that rots where it stands is told with what would not, its price, and one tap`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(30_000);
    await page.goto(`${at.site.address}/project/sandpit/buy`);
    const unfit = page.getByRole('region', { name: 'Not fit where it stands' });
    await unfit.getByText(/^Spruce is not fit for Box: /).waitFor();
    await unfit.getByRole('button', { name: /^Take treated pine: €[\d.]+ more$/ }).click();
    await unfit.getByText(/^Spruce is not fit for Box: /).waitFor({ state: 'detached' });
    await page.getByText('Box in treated pine.').waitFor();
    expect(complaints).toEqual([]);
    await context.close();
  });

  test(`on ${name} of one leftover in two plans a touch says who has it, and the other is planned without`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(30_000);
    await page.goto(`${at.site.address}/rack`);
    await page.getByLabel(/^Put on the rack/).fill('1 1x3 47 poplar');
    await page.keyboard.press('Enter');
    await page
      .getByRole('list', { name: 'On the rack' })
      .getByText(/poplar/)
      .waitFor();
    for (const project of ['Arbour', 'Porch shelf']) {
      await newProject(page, project, ['1 1x3 46 lath, poplar', '4 coat hooks']);
      await page.getByRole('link', { name: 'Buy', exact: true }).click();
      await page.getByRole('heading', { name: '$0.00 to buy, so far' }).waitFor();
      // Nothing is in its plan that has a price: it is kept with the project, and met by the other.
      await page.getByText('1 thing has no price yet; nothing else is left to buy.').waitFor();
    }
    await page.getByText(/poplar from the rack is in the plan of Arbour too\. Who has it\?$/).waitFor();
    await page.getByRole('button', { name: 'Keep it here' }).click();
    await page.getByText(/is in the plan of Arbour too/).waitFor({ state: 'detached' });
    await page.goto(`${at.site.address}/rack`);
    await page.getByText('1 kept for Porch shelf').waitFor();
    await page.goto(at.site.address);
    await page.getByText('Arbour', { exact: true }).first().click();
    await page.getByRole('link', { name: 'Buy', exact: true }).click();
    await page.getByText('2 things have no price yet; nothing else is left to buy.').waitFor();
    expect(complaints).toEqual([]);
    await context.close();
  });
}

test('a price book and settings that cannot be read are told, lie aside, and can be saved as they were', async () => {
  const { page, context, complaints } = await visit(at.browser, PHONE);
  page.setDefaultTimeout(20_000);
  await page.goto(`${at.site.address}/settings`);
  await page.getByText(/of the room is taken/).waitFor();
  // Opened again, nothing waits to be written.
  await page.reload();
  await page.getByText(/of the room is taken/).waitFor();
  await writeKept(page, { 'billet/book': 'billet-book 3 nonsense', 'billet/settings': 'null' });
  await page.reload();
  const aside = page.getByRole('region', { name: 'Set aside' });
  await aside.getByText(/^A price book, set aside /).waitFor();
  await aside.getByText(/^Settings, set aside /).waitFor();
  const saved = page.waitForEvent('download');
  await aside.getByRole('button', { name: 'Save it as a file' }).first().click();
  const place = await (await saved).path();
  expect(readFileSync(place, 'utf8')).toBe('billet-book 3 nonsense');
  await aside.getByRole('button', { name: 'Take it away' }).first().click();
  await page.getByText('Take it away for good?').waitFor();
  await page.getByRole('button', { name: 'Take it away' }).last().click();
  await expect(aside.getByText(/^A price book, set aside /)).toHaveCount(0);
  await page.reload();
  await aside.getByText(/^Settings, set aside /).waitFor();
  expect(complaints).toEqual([]);
  await context.close();
});
