import { expect, test, type Page } from '@playwright/test';
import { PHONE, visit, WIDE } from '../harness/browser';
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
    for (let count = 3; count < 8; count++) {
      await page.getByRole('button', { name: /^Change \d+ Leg/ }).click();
      await page.getByRole('textbox', { name: 'How many', exact: true }).fill(String(count));
      // Not a moment for anything to be written behind the screen.
      await page.evaluate(() => window.location.reload());
      await page.getByRole('button', { name: new RegExp(`^Change ${count} Leg`) }).waitFor();
    }
    expect(complaints).toEqual([]);
    await context.close();
  });
}
