import { expect, test } from '@playwright/test';
import { PHONE, visit, WIDE } from '../harness/browser';
import { keyboard, thumb } from './hands';
import { atSite } from './steps';

const at = atSite();

for (const [what, size] of [
  ['a phone, by thumb', PHONE],
  ['a wide screen, by keyboard', WIDE],
] as const)
  test(`a slat is cut to fit: sawn long and last, asked for when its group is put together: ${what}`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(30_000);
    const { press, write } = size === PHONE ? thumb(page) : keyboard(page);
    const button = (name: string | RegExp) => page.getByRole('button', { name, exact: true });
    await page.goto(`${at.site.address}/project/compost-station/parts`);
    await press(button(/^Change 2 Side rail/));
    await press(button('Cut to fit, measured on the piece'));
    await write(page.getByRole('textbox', { name: 'Cut to fit: sawn longer by' }), '3/8');
    await press(button('Done'));
    await button(/^Change 2 Side rail, .* · cut to fit/).waitFor();
    await page.goto(`${at.site.address}/project/compost-station/saw?view=sheet`);
    const note = page
      .getByRole('note')
      .filter({ hasText: /^Cut to fit, B Side rail: it is sawn 3\/8" too long/ });
    await note.first().waitFor();
    // Its boards come last.
    const drawings = page.getByRole('listitem').filter({ hasText: 'Drawing' });
    await expect(drawings.last()).toContainText('Cut to fit, B Side rail');
    await press(page.getByRole('tab', { name: 'Assembly' }));
    await page.getByText('Measure on the piece: B Side rail').waitFor();
    await press(page.getByRole('link', { name: 'Write down the length of B Side rail' }));
    await press(button('Measured on the real thing'));
    await write(page.getByRole('textbox', { name: 'As measured' }), '27 3/8');
    await press(button('Done'));
    await page.goto(`${at.site.address}/project/compost-station/saw?view=sheet`);
    await page.getByRole('region', { name: 'Cut sheet' }).waitFor();
    await expect(note).toHaveCount(0);
    expect(complaints).toEqual([]);
    await context.close();
  });
