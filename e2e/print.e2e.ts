import { expect, test } from '@playwright/test';
import { visit, WIDE } from '../harness/browser';
import { atSite } from './steps';

const at = atSite();

/** How wide an A4 page is between its margins, in CSS pixels. */
const A4_WIDTH = 703;

for (const [name, size] of [
  ['from a wide screen', WIDE],
  ['from a phone', { width: 390, height: 844 }],
] as const)
  test(`${name} each place prints whole, without what leads elsewhere`, async () => {
    const { page, context, complaints } = await visit(at.browser, size);
    page.setDefaultTimeout(20_000);
    for (const place of ['parts', 'prices', 'compare', 'buy', 'saw', 'spend']) {
      await page.emulateMedia({ media: 'screen' });
      await page.setViewportSize(size);
      await page.goto(`${at.site.address}/project/compost-station/${place}`);
      await page
        .getByTestId('money-strip')
        .getByRole('img', { name: /[1-9].* to buy/ })
        .waitFor();
      await page.getByTestId('columns').waitFor();
      await page.emulateMedia({ media: 'print' });
      await expect(page.getByRole('navigation')).toBeHidden();
      const cut = await page.evaluate((width) => {
        document.documentElement.style.width = `${width}px`;
        const wide = [...document.querySelectorAll('svg')]
          .filter((svg) => svg.getClientRects().length > 0)
          .map((svg) => Math.round(svg.getBoundingClientRect().right));
        const clipped = [...document.querySelectorAll('#root div')].filter(
          (element) =>
            getComputedStyle(element).overflowY !== 'visible' &&
            element.scrollHeight > element.clientHeight + 1,
        ).length;
        return { beyond: wide.filter((right) => right > width + 1), clipped };
      }, A4_WIDTH);
      expect([place, cut]).toEqual([place, { beyond: [], clipped: 0 }]);
      const pdf = await page.pdf({ format: 'A4' });
      expect(pdf.byteLength).toBeGreaterThan(5_000);
    }
    expect(complaints).toEqual([]);
    await context.close();
  });
