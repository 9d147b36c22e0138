import type { Page } from '@playwright/test';

/** The main views, and how one gets there from the address; used by the tests of all views and by the screenshots. */
export interface View {
  name: string;
  path: string;
  /** What shows that the view is there. */
  ready: (page: Page) => Promise<unknown>;
  open?: (page: Page) => Promise<unknown>;
}

const strip = (page: Page) =>
  page
    .getByTestId('money-strip')
    .getByRole('img', { name: /[1-9].* to buy/ })
    .waitFor();
/** Every way has its price. */
const compared = (page: Page) =>
  page
    .getByText(/(over target|cheaper|dearer)/)
    .nth(4)
    .waitFor();
const press = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).first().click();

/** A measure is a word to press on a phone and a field where there is room: whichever of the two is there. */
const openMeasure = async (page: Page, name: string): Promise<void> => {
  const word = page.getByRole('button', { name: new RegExp(`^Change ${name}, `) });
  const field = page.getByRole('textbox', { name, exact: true });
  await word.or(field).first().waitFor();
  if (await word.isVisible()) await word.click();
  else await field.focus();
};

export const VIEWS: View[] = [
  {
    name: 'projects',
    path: '/',
    ready: (page) =>
      page
        .getByRole('img', { name: /left of the target/ })
        .first()
        .waitFor(),
  },
  {
    name: 'new-project',
    path: '/',
    ready: (page) => page.getByRole('listitem').first().waitFor(),
    open: (page) => press(page, 'New project'),
  },
  { name: 'parts', path: '/project/compost-station/parts', ready: strip },
  {
    name: 'quick-line',
    path: '/project/compost-station/parts',
    ready: strip,
    open: (page) => page.getByLabel(/^Add a part/).fill('6 2x4 41 1/2 mitre 45 rail'),
  },
  {
    name: 'part',
    path: '/project/compost-station/parts',
    ready: strip,
    open: (page) => press(page, /^Change 3 Brace/),
  },
  {
    name: 'shape',
    path: '/project/compost-station/parts',
    ready: strip,
    open: async (page) => {
      await press(page, /^Change 3 Back batten/);
      await page.getByRole('button', { name: 'Template', exact: true }).scrollIntoViewIfNeeded();
    },
  },
  {
    name: 'group',
    path: '/project/compost-station/parts',
    ready: strip,
    open: (page) => press(page, 'Change group Side slats'),
  },
  {
    name: 'helpers',
    path: '/project/compost-station/parts',
    ready: strip,
    open: (page) => press(page, 'Build from measures'),
  },
  {
    name: 'helper',
    path: '/project/compost-station/parts',
    ready: strip,
    open: async (page) => {
      await press(page, 'Build from measures');
      await press(page, 'Legs and aprons');
    },
  },
  {
    name: 'paste',
    path: '/project/compost-station/parts',
    ready: strip,
    open: async (page) => {
      await press(page, 'Paste a list');
      await page
        .getByRole('textbox', { name: 'One part a line, as it was written' })
        .fill('Gate:\n3 pcs 2x6 @ 48"\n(2) 1x4 - 14 1/2\nPost: 4 x 31.5 in 4x4\n2 9x9 20');
    },
  },
  {
    name: 'measure',
    path: '/project/compost-station/parts',
    ready: strip,
    open: async (page) => {
      await openMeasure(page, 'length');
      await press(page, 'Rename or delete length');
    },
  },
  {
    name: 'keypad',
    path: '/project/compost-station/parts',
    ready: strip,
    open: (page) => openMeasure(page, 'length'),
  },
  {
    name: 'fasteners',
    path: '/project/compost-station/parts',
    ready: strip,
    open: (page) => press(page, 'Change fasteners Side rail to post'),
  },
  {
    name: 'finish',
    path: '/project/record-shelf/parts',
    ready: strip,
    open: (page) => press(page, 'Change Clear finish'),
  },
  { name: 'prices', path: '/project/compost-station/prices', ready: strip },
  {
    name: 'price',
    path: '/project/compost-station/prices',
    ready: strip,
    open: (page) => press(page, /^Add another price for 2x4/),
  },
  {
    name: 'stores',
    path: '/project/compost-station/prices',
    ready: strip,
    open: (page) => page.getByRole('tab', { name: 'Stores' }).click(),
  },
  {
    name: 'offer',
    path: '/project/compost-station/prices',
    ready: strip,
    open: async (page) => {
      await press(page, /^2x4x8 treated, Harrow Lumber/);
      await page.getByRole('img', { name: /^Prices over time/ }).waitFor();
    },
  },
  {
    name: 'book',
    path: '/prices',
    ready: (page) => page.getByRole('tab', { name: 'All prices' }).waitFor(),
    open: (page) => page.getByRole('tab', { name: 'All prices' }).click(),
  },
  {
    name: 'followed',
    path: '/prices',
    ready: (page) => page.getByRole('tab', { name: 'Stores' }).waitFor(),
    open: async (page) => {
      await page.getByRole('tab', { name: 'Stores' }).click();
      await press(page, 'Follow Millrace Lumber');
      await press(page, 'Look at them');
      await page.getByRole('dialog').getByRole('checkbox').first().waitFor();
    },
  },
  {
    name: 'aisle',
    path: '/aisle?project=compost-station',
    ready: (page) => page.getByRole('button', { name: 'Harrow Lumber' }).waitFor(),
    open: async (page) => {
      await press(page, 'Harrow Lumber');
      await page.getByRole('textbox', { name: 'Price, $' }).fill('53.5');
      await page.keyboard.press('Enter');
      await page.getByRole('alert').waitFor();
    },
  },
  {
    name: 'by-unit',
    path: '/prices',
    ready: (page) => page.getByRole('tab', { name: 'By unit' }).waitFor(),
    open: async (page) => {
      await page.getByRole('tab', { name: 'By unit' }).click();
      await page.getByRole('group', { name: '2x4 treated' }).waitFor();
    },
  },
  {
    name: 'material',
    path: '/prices',
    ready: (page) => page.getByRole('tab', { name: 'Materials' }).waitFor(),
    open: async (page) => {
      await page.getByRole('tab', { name: 'Materials' }).click();
      await press(page, 'Look at cedar picket');
      await page.getByRole('list', { name: 'Where it is fit' }).waitFor();
    },
  },
  {
    name: 'rack',
    path: '/rack',
    ready: (page) => page.getByRole('heading', { name: 'Rack' }).waitFor(),
    open: async (page) => {
      const entries = page.getByRole('list', { name: 'On the rack' }).getByRole('listitem');
      for (const [index, line] of ['3 2x4 31 1/2 treated', '40 deck screws'].entries()) {
        await page.getByLabel(/^Put on the rack/).fill(line);
        await page.getByRole('button', { name: 'Add', exact: true }).click();
        await entries.nth(index).waitFor();
      }
    },
  },
  { name: 'compare', path: '/project/compost-station/compare', ready: compared },
  {
    name: 'compared',
    path: '/project/compost-station/compare',
    ready: compared,
    open: async (page) => {
      const card = page.getByRole('button', { name: /^. All cedar|^., All cedar/ });
      if (await card.count()) await card.first().click();
    },
  },
  {
    name: 'add-a-way',
    path: '/project/compost-station/compare',
    ready: compared,
    open: async (page) => {
      await press(page, 'Add a way');
      await page
        .getByRole('button', { name: /^Compare / })
        .first()
        .waitFor();
    },
  },
  {
    name: 'save',
    path: '/project/compost-station/compare',
    ready: compared,
    open: async (page) => {
      await page.getByRole('tab', { name: 'Ways to save' }).click();
      await page.getByText(/^Each saving is the difference/).waitFor();
    },
  },
  {
    name: 'build-or-buy',
    path: '/project/record-shelf/compare',
    ready: compared,
    open: async (page) => {
      await page.getByRole('tab', { name: 'Build or buy' }).click();
      await page.getByLabel('Ready made, $').fill('620');
      await page.getByLabel('Seen at').fill('a catalogue');
      await press(page, 'Add a ready-made price');
      await page.getByText(/^Building saves/).waitFor();
    },
  },
  {
    name: 'care',
    path: '/project/compost-station/buy',
    ready: strip,
    open: async (page) => {
      await press(page, /^Take care/);
      await page.getByText(/^Wear gloves/).waitFor();
    },
  },
  { name: 'buy', path: '/project/compost-station/buy', ready: strip },
  {
    name: 'boards',
    path: '/project/record-shelf/buy',
    ready: strip,
    open: async (page) => {
      const tab = page.getByRole('tab', { name: 'Boards' });
      if (await tab.count()) await tab.click();
    },
  },
  {
    name: 'bought',
    path: '/project/compost-station/buy',
    ready: strip,
    open: (page) => press(page, /cedar picket.*bought at another price/),
  },
  { name: 'spend', path: '/project/compost-station/spend', ready: strip },
  {
    name: 'charts',
    path: '/project/compost-station/spend',
    ready: strip,
    open: async (page) => {
      await page.getByRole('tab', { name: 'Charts' }).click();
      await page.getByRole('img', { name: /^Spent over time/ }).waitFor();
      await page.getByRole('img', { name: /^Where the target went/ }).waitFor();
    },
  },
  {
    name: 'reasons',
    path: '/project/compost-station/spend',
    ready: strip,
    open: async (page) => {
      await page.getByRole('tab', { name: 'Reasons' }).click();
      await page.getByText(/than planned on/).waitFor();
    },
  },
  {
    name: 'costs',
    path: '/project/compost-station/spend',
    ready: strip,
    open: async (page) => {
      await page.getByRole('tab', { name: 'Costs' }).click();
      await page.getByLabel('Another tool').fill('Pocket-hole jig');
      await page.getByLabel('Its price, $').fill('40');
      await page.keyboard.press('Enter');
      await page.getByRole('radiogroup', { name: 'How Pocket-hole jig counts all in' }).waitFor();
      await page.getByLabel('Someone offers for one, $').fill('245');
      await page.getByText(/to give it away/).waitFor();
      await page.getByRole('region', { name: 'What it costs' }).scrollIntoViewIfNeeded();
    },
  },
  {
    name: 'target',
    path: '/project/compost-station/spend',
    ready: strip,
    open: async (page) => {
      await press(page, 'Target');
      await page.getByRole('radio', { name: 'By category' }).click();
      await page.getByLabel('Consumables, $').waitFor();
    },
  },
  {
    name: 'take',
    path: '/project/sandpit/buy',
    ready: strip,
    open: async (page) => {
      await press(page, /^Shop at /);
      await press(page, /other price or number/);
      await page.getByLabel('How many', { exact: true }).waitFor();
    },
  },
  {
    name: 'report',
    path: '/project/sandpit/report',
    ready: (page) => page.frameLocator('iframe').getByText('What it costs').waitFor(),
  },
  {
    name: 'forgotten',
    path: '/project/sandpit/buy',
    ready: strip,
    open: async (page) => {
      await press(page, /^Often forgotten/);
      await page
        .getByRole('button', { name: /^I have it/ })
        .first()
        .waitFor();
    },
  },
  {
    name: 'entry',
    path: '/project/compost-station/spend',
    ready: strip,
    open: async (page) => {
      await press(page, /^Change strap hinge/);
      await press(page, 'Take some back');
      await page.getByRole('button', { name: 'Taken back' }).waitFor();
    },
  },
  {
    name: 'saw',
    path: '/project/compost-station/saw',
    ready: (page) => page.getByText(/^Cut 1 of \d/).waitFor(),
    open: (page) => press(page, 'Cut'),
  },
  {
    name: 'cut-sheet',
    path: '/project/compost-station/saw?view=sheet',
    ready: (page) => page.getByRole('region', { name: 'Cut sheet' }).waitFor(),
  },
  {
    name: 'labels',
    path: '/project/compost-station/saw?view=labels',
    ready: (page) =>
      page.getByRole('list', { name: 'A label for each piece' }).getByRole('listitem').first().waitFor(),
  },
  {
    name: 'assembly',
    path: '/project/compost-station/saw?view=assembly',
    ready: (page) => page.getByRole('list', { name: 'In this order' }).waitFor(),
  },
  {
    name: 'menu',
    path: '/project/sandpit/parts',
    ready: strip,
    open: (page) => press(page, 'More for this project'),
  },
  {
    name: 'settings',
    path: '/settings',
    ready: (page) => page.getByRole('button', { name: 'Start empty' }).waitFor(),
  },
  // These change what others show.
  {
    name: 'run',
    path: '/project/compost-station/run?store=harrow',
    ready: (page) => page.getByText(/^\d to take/).waitFor(),
    open: async (page) => {
      await page.getByText('still looking for a cheaper way').waitFor({ state: 'detached' });
      await page
        .getByRole('checkbox', { name: /cedar picket/ })
        .first()
        .click();
      await page.getByText('In the cart', { exact: true }).waitFor();
      await press(page, /^\d+ × 2x4x1\d treated: other price/);
      await page.getByRole('button', { name: 'Not there', exact: true }).click();
      await page.getByText(/is not there: /).waitFor();
    },
  },
  {
    name: 'till',
    path: '/project/record-shelf/buy',
    ready: strip,
    open: async (page) => {
      await press(page, /^Shop at /);
      await page
        .getByRole('checkbox', { name: /in the cart$/ })
        .first()
        .click();
      await press(page, /^To the till/);
      await page.getByLabel('Total on the receipt, $').fill('200');
      await page.getByText(/look for a line that is missing/).waitFor();
    },
  },
  {
    name: 'tools',
    path: '/rack',
    ready: (page) => page.getByRole('heading', { name: 'Rack', exact: true }).waitFor(),
    open: async (page) => {
      await press(page, 'I own: Table saw');
      await page.getByText(/^With a table saw/).waitFor();
    },
  },
];
