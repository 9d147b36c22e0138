import { expect, test, type Page } from '@playwright/test';
import { PHONE, visit, WIDE } from '../harness/browser';
import { atSite } from './steps';

const at = atSite();

const startProject = async (page: Page, name: string): Promise<void> => {
  await page.goto(at.site.address);
  await page.getByRole('button', { name: 'New project' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill(name);
  await page.getByRole('button', { name: 'Make the project' }).click();
};

for (const [name, size] of [
  ['a phone', PHONE],
  ['a wide screen', WIDE],
] as const)
  test(`on ${name} the first plan is followed by the cheapest, with its proof; a change starts anew`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(20_000);
    await startProject(page, 'Aquarium stand');
    for (const line of ['4 2x4 31 1/2 post', '6 2x4 22 rail', '3 2x4 40 1/4 long rail']) {
      await page.getByLabel(/^Add a part/).fill(line);
      await page.keyboard.press('Enter');
      await page
        .getByRole('button', { name: new RegExp(`^Change \\d+ ${line.split(' ').at(-1)}`, 'i') })
        .first()
        .waitFor();
    }
    await page.getByRole('link', { name: 'Buy', exact: true }).click();
    await page.getByText('proved cheapest').waitFor();
    await page.getByText(/^No way to buy and cut it costs less at these prices/).waitFor();
    await page.getByText(/^By hand, one store, one length: \$[\d.]+\. This plan saves \$[\d.]+\.$/).waitFor();
    // Slanted parts nest, are drawn slanted, and are part of the proof.
    await page.getByRole('link', { name: 'Parts', exact: true }).click();
    await page.getByLabel(/^Add a part/).fill('2 2x4 20 mitre 45 brace');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: /^Change 2 Brace/i }).waitFor();
    await page.getByRole('link', { name: 'Buy', exact: true }).click();
    await page.getByText('proved cheapest').waitFor();
    if (size === PHONE) await page.getByRole('tab', { name: 'Boards' }).click();
    // A piece shows its part, and the other boards it is on.
    await page
      .getByRole('button', { name: /Brace: where its pieces are/ })
      .first()
      .click();
    await page.getByText(/^Brace \(.*\): 2 in all, \d on this one\./).waitFor();
    await page.getByRole('tab', { name: '8 ×' }).click();
    await page
      .getByRole('group', { name: /, enlarged$/ })
      .first()
      .waitFor();
    if (size === PHONE) await page.getByRole('tab', { name: 'List' }).click();
    await page.getByRole('button', { name: 'What if you build several?' }).click();
    const several = page.getByRole('region', { name: 'Build several' });
    await several
      .getByText(/\$[\d.,]+ each/)
      .nth(4)
      .waitFor();
    expect(complaints).toEqual([]);
    await context.close();
  });

/** Panels that take the planner a while: many sizes, each but a few times. */
const PANELS = [
  'part,kind,qty,section,length,width,material',
  ...Array.from(
    { length: 24 },
    (_, index) =>
      `p${index},sheet,${2 + (index % 3)},3/4in,${9 + ((index * 17) % 31)},${7 + ((index * 5) % 17)},birch ply`,
  ),
].join('\n');

test('the page tells how far the search is, and what it can be at the most when it is stopped', async () => {
  const { page, context, complaints } = await visit(at.browser, PHONE);
  page.setDefaultTimeout(40_000);
  await startProject(page, 'Many panels');
  await page.getByLabel(/^Add a part/).waitFor();
  await page.getByRole('button', { name: 'More for this project' }).click();
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('menuitem', { name: 'Import parts.csv' }).click();
  await (await chooser).setFiles({ name: 'parts.csv', mimeType: 'text/csv', buffer: Buffer.from(PANELS) });
  await page.getByRole('button', { name: 'Add to the parts' }).click();
  await page.getByRole('link', { name: 'Buy', exact: true }).click();
  await page.getByText(/\$[\d,.]+ so far, none can be below \$[\d,.]+\./).waitFor();
  await page.getByRole('button', { name: 'Stop looking' }).click();
  await page.getByText('not proved', { exact: true }).waitFor();
  await page.getByText(/^At most \$[\d,.]+ above the best possible\.$/).waitFor();
  expect(await page.getByRole('button', { name: 'Stop looking' }).count()).toBe(0);
  expect(complaints).toEqual([]);
  await context.close();
});
