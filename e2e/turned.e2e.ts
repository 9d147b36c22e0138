import { expect, test, type Page } from '@playwright/test';
import { visit } from '../harness/browser';
import { atSite } from './steps';

const at = atSite();

/** A tablet both ways: a rail and two columns one way, a bar and one column the other. */
const ON_ITS_SIDE = { width: 1180, height: 820 };
const UPRIGHT = { width: 820, height: 1180 };

const opens = (name: string | RegExp) => async (page: Page) => {
  await page.getByRole('button', { name }).first().click();
};
const box = (name: string | RegExp) => (page: Page) => page.getByRole('textbox', { name }).first();
const inDialog = (page: Page) => page.getByRole('dialog').last().getByRole('textbox').first();
const nothing = async (): Promise<void> => {};

/** What is typed into, how it is opened, and what stands there half typed. */
const FIELDS: [
  string,
  string,
  (page: Page) => Promise<void>,
  (page: Page) => ReturnType<Page['getByRole']>,
  string,
][] = [
  [
    'a line of parts',
    '/project/compost-station/parts',
    nothing,
    (page) => page.getByLabel(/^Add a part/),
    '3 2x4 20',
  ],
  [
    'something bought',
    '/project/compost-station/spend',
    opens('Record something bought'),
    inDialog,
    'half a bag',
  ],
  ['a target', '/project/compost-station/spend', opens('Target'), inDialog, '333'],
  ['a price', '/project/compost-station/prices', opens('Add a price'), box(/Price/), '12.34'],
  ['the rack', '/rack', nothing, box(/^Put on the rack/), '3 2x4 31'],
  ['a new project', '/', opens('New project'), box('Name'), 'Half a name'],
];

test('what is half typed stays as a tablet is turned and turned back', async () => {
  const { page, context, complaints } = await visit(at.browser, ON_ITS_SIDE);
  page.setDefaultTimeout(20_000);
  for (const [name, path, open, field, text] of FIELDS) {
    await page.goto(at.site.address + path);
    await open(page);
    await field(page).fill(text);
    for (const size of [UPRIGHT, ON_ITS_SIDE]) {
      await page.setViewportSize(size);
      await page
        .getByRole('navigation', { name: 'Places' })
        .getByText('Ctrl K')
        .waitFor({ state: size === UPRIGHT ? 'detached' : 'attached' });
      await expect(field(page), name).toHaveValue(text);
    }
  }
  expect(complaints).toEqual([]);
  await context.close();
});
