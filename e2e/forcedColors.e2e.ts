import { expect, test } from '@playwright/test';
import { visit, WIDE } from '../harness/browser';
import { atSite } from './steps';

const at = atSite();

test('where the reader sets the colours, what is chosen has a frame and bars keep theirs', async () => {
  const { page, context, complaints } = await visit(at.browser, WIDE);
  page.setDefaultTimeout(20_000);
  await page.emulateMedia({ forcedColors: 'active' });
  await page.goto(`${at.site.address}/project/compost-station/compare`);
  await page.getByRole('table', { name: 'Ways side by side' }).getByText('All treated').first().waitFor();
  const outlineOf = (name: string) =>
    page.getByRole('tab', { name }).evaluate((tab) => getComputedStyle(tab).outlineStyle);
  expect([await outlineOf('Side by side'), await outlineOf('Ways to save')]).toEqual(['solid', 'none']);
  // The woods of the bars above the ways, told apart.
  await expect
    .poll(() =>
      page
        .getByTestId('chart')
        .first()
        .evaluate((chart) => {
          const drawn = [...chart.querySelectorAll('div')].filter(({ children }) => children.length === 0);
          return new Set(drawn.map((bar) => getComputedStyle(bar).backgroundColor)).size;
        }),
    )
    .toBeGreaterThan(3);
  expect(complaints).toEqual([]);
  await context.close();
});
