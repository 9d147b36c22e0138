import { expect, test } from '@playwright/test';
import { visit } from '../harness/browser';
import { atSite } from './steps';

const at = atSite();
const SIDEWAYS = { width: 844, height: 390 };

for (const [id, unit] of [
  ['compost-station', 'inches'],
  ['sandpit', 'millimetres'],
] as const)
  test(`a phone on its side, in ${unit}: each place has room, and the keys leave their field in sight`, async () => {
    const { page, context, complaints } = await visit(at.browser, SIDEWAYS);
    page.setDefaultTimeout(20_000);
    for (const place of ['parts', 'prices', 'compare', 'buy', 'spend']) {
      await page.goto(`${at.site.address}/project/${id}/${place}`);
      const strip = page.getByTestId('money-strip');
      await strip.getByRole('img', { name: /[1-9].* to buy/ }).waitFor();
      const [head, foot] = [await strip.boundingBox(), await page.getByRole('navigation').boundingBox()];
      // More than half of the screen is what the place is for.
      expect((foot?.y ?? 0) - ((head?.y ?? 0) + (head?.height ?? 0))).toBeGreaterThan(SIDEWAYS.height / 2);
    }
    await page.goto(`${at.site.address}/project/${id}/parts`);
    await page
      .getByRole('button', { name: /^Change \d+ / })
      .first()
      .click();
    const field = page.getByRole('textbox', { name: /^Length/ }).first();
    await field.click();
    const pad = page.getByTestId('keypad');
    await pad.waitFor();
    await expect
      .poll(async () => {
        const [box, keys] = [await field.boundingBox(), await pad.boundingBox()];
        return (box?.y ?? 0) > 0 && (box?.y ?? 0) + (box?.height ?? 0) <= (keys?.y ?? 0);
      })
      .toBe(true);
    await field.fill('');
    for (const key of ['3', '0']) await pad.getByRole('button', { name: key, exact: true }).click();
    await expect(field).toHaveValue('30');
    for (const key of await pad.getByRole('button').all())
      expect((await key.boundingBox())?.height).toBeGreaterThanOrEqual(44);
    expect(complaints).toEqual([]);
    await context.close();
  });

test('a menu that is longer than a low window scrolls inside of it, and shows that it does', async () => {
  const { page, context, complaints } = await visit(at.browser, { width: 1280, height: 400 });
  page.setDefaultTimeout(20_000);
  await page.goto(`${at.site.address}/project/compost-station/parts`);
  await page.getByRole('button', { name: 'More for this project' }).click();
  const menu = page.getByRole('menu');
  await menu.waitFor();
  const box = await menu.boundingBox();
  expect(box?.y).toBeGreaterThan(0);
  expect((box?.y ?? 0) + (box?.height ?? 0)).toBeLessThanOrEqual(400);
  expect(await menu.evaluate((list) => list.scrollHeight > list.clientHeight)).toBe(true);
  // At the edge behind which there is more it is darker than where it ends.
  const darkest = async (y: number) => {
    const clip = { x: (box?.x ?? 0) + 4, y, width: 8, height: 1 };
    const shot = (await page.screenshot({ clip })).toString('base64');
    return page.evaluate(async (png) => {
      const image = new Image();
      image.src = `data:image/png;base64,${png}`;
      await image.decode();
      const canvas = document.createElement('canvas');
      const context = canvas.getContext('2d');
      context?.drawImage(image, 0, 0);
      return [...(context?.getImageData(0, 0, 8, 1).data ?? [])]
        .filter((_, index) => index % 4 !== 3)
        .sort()[0];
    }, shot);
  };
  const [top, bottom] = [(box?.y ?? 0) + 3, (box?.y ?? 0) + (box?.height ?? 0) - 4];
  const [first, last] = [await darkest(top), await darkest(bottom)];
  expect(last).toBeLessThan((first ?? 0) - 8);
  // Its first and its last are both reached by keyboard.
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('menuitem').last()).toBeInViewport({ ratio: 1 });
  await expect(page.getByRole('menuitem').last()).toBeFocused();
  expect(await darkest(top)).toBeLessThan((await darkest(bottom)) ?? 0);
  expect(complaints).toEqual([]);
  await context.close();
});
