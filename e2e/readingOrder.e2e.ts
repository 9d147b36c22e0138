import { expect, test } from '@playwright/test';
import { PHONE, visitNew } from '../harness/browser';
import { outOfOrder } from './readingOrder';
import { atSite } from './steps';

const at = atSite();

const page = (style: string) =>
  `<main><div style="display: flex; flex-direction: column; ${style}"><p>first</p><p>second</p></div>
  <div style="height: 60px; overflow: auto"><p>third</p><p style="margin-top: 90px">out of sight</p></div><p>last</p></main>`;

test('what is read out in another order than it stands is told, and what has scrolled away is not', async () => {
  const visitor = await visitNew(at.browser, PHONE);
  await visitor.page.setContent(page(''));
  expect(await outOfOrder(visitor.page)).toEqual([]);
  await visitor.page.setContent(page('flex-direction: column-reverse'));
  expect(await outOfOrder(visitor.page)).toEqual(['“second” is read after “first”, and stands above it']);
  await visitor.context.close();
});
