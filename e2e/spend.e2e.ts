import { readFileSync } from 'node:fs';
import { PHONE, visit, WIDE } from './browser';
import { keyboard, thumb } from './hands';
import { atSite } from './steps';

jest.setTimeout(120_000);

const at = atSite(4407);

test.each([
  ['with a thumb on a phone', PHONE, thumb],
  ['with the keyboard alone on a wide screen', WIDE, keyboard],
] as const)('%s: something bought is recorded, mended, deleted and had back, and the money follows', async (_name, size, handsOf) => {
  const { page, context, complaints } = await visit(at.browser, size);
  page.setDefaultTimeout(15_000);
  const { press, write, choose } = handsOf(page);
  const button = (name: string | RegExp) => page.getByRole('button', { name, exact: true });
  const spent = (sum: string) => page.getByTestId('money-strip').getByRole('img', { name: `${sum} spent`, exact: false }).waitFor();
  await page.goto(`${at.site.address}/project/compost-station/parts`);
  await spent('$75.01');
  await press(page.getByRole('link', { name: 'Spend', exact: true }));
  await page.getByText(/still to buy: \$257\.02 when it is done, \$22\.98 under target\.$/).waitFor();
  await press(button('Record something bought'));
  await press(button('Record it'));
  await page.getByText('Say what it is, as the receipt does.').waitFor();
  await write(page.getByRole('textbox', { name: 'What was bought' }), 'Saw blade');
  await write(page.getByRole('textbox', { name: 'Paid in all, with tax, $' }), '30');
  await write(page.getByRole('textbox', { name: 'Store', exact: true }), 'A flea market');
  await choose('What it is for', 'Tools');
  await press(button('Record it'));
  await spent('$105.01');
  await page.getByText(/\$7\.02 over target\.$/).waitFor();
  await press(page.getByRole('button', { name: 'Change Saw blade, $30.00' }));
  await write(page.getByRole('textbox', { name: 'Paid in all, with tax, $' }), '12.34');
  await press(button('Save'));
  await spent('$87.35');
  // Its tax at the project's rate is told apart.
  await page.getByRole('button', { name: 'Change Saw blade, $12.34' }).getByText('tax $0.81').waitFor();
  // It is written a moment after it is shown.
  await page.waitForTimeout(400);
  await page.reload();
  await write(page.getByLabel('Find in the ledger'), 'blade flea');
  await page.getByText(/^1 of \d+, \$12\.34$/).waitFor();
  await press(page.getByRole('tab', { name: 'Sums' }));
  await page.getByText('Tools', { exact: true }).waitFor();
  await choose('Summed by', 'Store');
  await page.getByText('A flea market', { exact: true }).waitFor();
  await press(page.getByRole('tab', { name: 'Ledger' }));
  await press(button('Files'));
  const download = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Save as CSV' }).click();
  const csv = readFileSync((await (await download).path()) ?? '', 'utf8');
  expect(csv).toMatch(/^date,store,item,qty,pack,price,tax,paid,category,note\r\n/);
  expect(csv).toMatch(/,A flea market,Saw blade,1,1,11\.53,0\.81,12\.34,tools,/);
  await press(page.getByRole('button', { name: 'Change Saw blade, $12.34' }));
  await press(button('Delete'));
  await spent('$75.01');
  await press(button('Undo'));
  await spent('$87.35');
  expect(complaints).toEqual([]);
  await context.close();
}); // prettier-ignore

test('when all is bought, what is left goes on the rack with one tap, and comes off with undo', async () => {
  const { page, context, complaints } = await visit(at.browser, PHONE);
  page.setDefaultTimeout(15_000);
  const { press } = thumb(page);
  const button = (name: string | RegExp) => page.getByRole('button', { name, exact: true });
  await page.goto(`${at.site.address}/project/sandpit/buy`);
  await page.getByText('proved cheapest').waitFor();
  const ticks = page.getByRole('checkbox', { checked: false });
  for (let left = await ticks.count(); left > 0; left = await ticks.count()) {
    await press(ticks.first());
    await page.getByText(/: bought for/).waitFor();
    await page.waitForTimeout(600);
  }
  await page.getByText('All that is needed is bought.').waitFor();
  const rest = page.getByRole('region', { name: 'Left over' });
  await rest.getByText(/coated deck screw 30 mm$/).waitFor();
  await press(button('Put it on the rack'));
  await rest.waitFor({ state: 'detached' });
  await press(button('Undo'));
  await rest.waitFor();
  await press(button('Put it on the rack'));
  await press(button('Back to projects'));
  await press(page.getByRole('link', { name: 'Rack', exact: true }));
  await page.getByText('left from Sandpit with a folding lid').first().waitFor();
  expect(complaints).toEqual([]);
  await context.close();
});
