import { expect, test, type Page } from '@playwright/test';
import { PHONE, visit, WIDE } from '../harness/browser';
import { atSite } from './steps';
import { keyboard, thumb, type Hands } from './hands';

const at = atSite();

const TEN_LINES = [
  'Screen:',
  '3 pcs 2x6 @ 48"',
  '(2) 1x4 - 14 1/2',
  'Upright: 4 x 31.5 in 4x4',
  "- 2x4 x 8' (6)",
  '1. Sill, 2x4, 29 1/2", qty 4',
  'Lath\t4\t1x2\t29.5',
  '2 @ 23 1/2" 2x4 long batten',
  '2x6 - 10 @ 72',
  'Cap 2x4 5\' 2"',
  '2 9x9 20',
].join('\n');

for (const [name, size, handsOf] of [
  ['a thumb on a phone', PHONE, thumb],
  ['the keyboard alone on a wide screen', WIDE, keyboard],
] as const)
  test.describe(`an aquarium stand from helpers, with ${name}`, () => {
    let page: Page;
    let hands: Hands;
    let complaints: string[];
    const isPhone = size === PHONE;
    const button = (name: string | RegExp) => page.getByRole('button', { name });
    const field = (name: string) => page.getByRole('textbox', { name, exact: true });
    const stripWords = () =>
      page
        .getByTestId('money-strip')
        .getByRole('img', { name: /to buy/ })
        .getAttribute('aria-label');
    /** Writes a length: on a phone with our keypad, and nothing else. */
    const writeLength = async (label: string, keys: string[]) => {
      if (!isPhone)
        return hands.write(field(label), keys.map((key) => (key.includes('/') ? ` ${key}` : key)).join(''));
      await field(label).tap();
      const pad = page.getByTestId('keypad');
      for (const key of ['Clear', ...keys, 'Set'])
        await pad.getByRole('button', { name: key, exact: true }).tap();
      await pad.waitFor({ state: 'detached' });
    };

    test.describe.configure({ mode: 'serial' });

    test.beforeAll(async () => {
      ({ page, complaints } = await visit(at.browser, size));
      hands = handsOf(page);
      page.setDefaultTimeout(20_000);
      await page.goto(at.site.address);
    });
    test.afterEach(() => expect(complaints).toEqual([]));
    test.afterAll(() => page.context().close());

    test('legs and aprons, drawn with every keystroke, become parts with their fasteners', async () => {
      await hands.press(button('New project'));
      await hands.write(field('Name'), 'Aquarium stand');
      await hands.write(field('Target: what it must not cost more than'), '160');
      await hands.press(button('Make the project'));
      await hands.press(button('Build from measures'));
      await hands.press(button('Legs and aprons'));
      const drawing = page.getByRole('img', { name: /Legs and aprons, drawn to scale: A Leg, B Long apron/ });
      await drawing.getByText('28 1/2"').waitFor();
      await writeLength('Height over all', ['3', '2', '1/2']);
      await drawing.getByText('31"').waitFor();
      await drawing.getByText('32 1/2"').waitFor();
      await hands.write(field('Legs'), '2x4');
      await hands.write(field('Name of the group'), 'Stand');
      await page
        .getByRole('region', { name: 'What it makes' })
        .getByText(/4 × Leg · 2x4 · 31"/)
        .waitFor();
      await hands.press(button('Add the parts'));
      await button(/^Change 4 Leg, 2x4 · 31"/).waitFor();
      await button('Change fasteners Long apron to leg').getByText('8 × pocket screw 2 1/2 in').waitFor();
    });

    test('a shelf of slats whose measures follow from the stand', async () => {
      await hands.press(button('Build from measures'));
      await hands.press(button('Slats'));
      await hands.write(field('They fill a length of'), 'length - 2 * overhang');
      await hands.write(field('Each slat is long'), 'depth');
      await hands.write(field('Bearers under them'), '');
      await hands.write(field('Name of the group'), 'Shelf');
      await hands.press(button('Add the parts'));
      await button(/^Change \d+ Slat, 1x4 · 20"/).waitFor();
      await page
        .getByRole('group', { name: 'Shelf' })
        .getByText('Nothing to join it with yet: add fasteners, or glue.')
        .waitFor();
    });

    test('another height moves parts, boards and money at once', async () => {
      const before = await stripWords();
      if (isPhone) await button(/^Change height, 32 1\/2"/).tap();
      await writeLength('height', ['4', '4']);
      await button(/^Change 4 Leg, 2x4 · 42 1\/2"/).waitFor();
      await page.waitForFunction(
        (old) =>
          document
            .querySelector('[data-testid=money-strip] [role=img][aria-label*="to buy"]')
            ?.getAttribute('aria-label') !== old,
        before,
      );
      await hands.press(page.getByRole('link', { name: 'Buy', exact: true }));
      if (isPhone) await hands.press(page.getByRole('tab', { name: 'Boards' }));
      await page
        .getByRole('img', { name: /A Leg 42 1\/2"/ })
        .first()
        .waitFor();
      await hands.press(page.getByRole('link', { name: 'Parts', exact: true }));
    });

    test('a formula is read back, its faults are told, and a renamed measure is renamed in it', async () => {
      await hands.press(button(/^Change 4 Leg,/));
      await hands.write(field('Length, along the longest edge'), 'height - nothing');
      await page.getByText(/"nothing" is not a length, and there is no measure of that name/).waitFor();
      await hands.write(field('Length, along the longest edge'), 'height - 2 1/2');
      await page.getByText('= 41 1/2"').waitFor();
      await hands.press(button('Done').last());
      await page.getByText('Height: it adds up to 43", and 44" was asked for.').waitFor();
      if (isPhone) await button(/^Change height, 44"/).tap();
      await hands.press(button('Rename or delete height'));
      await hands.write(field('Name of the measure'), 'stand_height');
      await hands.press(button('Done').last());
      await hands.press(button(/^Change 4 Leg,/));
      expect(await field('Length, along the longest edge').inputValue()).toBe('stand_height - 2 1/2');
      await hands.press(button('Done').last());
    });

    test('a length measured on the real thing holds for what is not cut yet', async () => {
      await hands.press(button(/^Change 2 Long apron,/));
      await hands.press(button('Measured on the real thing'));
      await writeLength('As measured', ['4', '2', '7/8']);
      await hands.write(field('Where it was taken'), 'between the legs');
      await hands.write(field('Of them, cut already'), '1');
      await page.getByText('1 of 2 take the measured length.').waitFor();
      await hands.press(button('Done').last());
      await page
        .getByText(
          /measured between the legs: 42 7\/8", 3\/\d+" |measured between the legs: 42 7\/8", .* than planned/,
        )
        .first()
        .waitFor();
    });

    test('ten lines of mixed forms are pasted, each read back before it is taken', async () => {
      await hands.press(button('Paste a list'));
      const box = field('One part a line, as it was written');
      if (isPhone) await box.tap();
      else await hands.write(box, 'x');
      await box.fill(TEN_LINES);
      const lines = page.getByRole('list', { name: 'How each line is read' });
      await lines.getByText('4 × Upright · 4x4 (3 1/2" x 3 1/2") · 31 1/2" · in Screen').waitFor();
      await lines.getByText(/Line 11: Is 9x9 20 a board, a sheet or hardware/).waitFor();
      await hands.press(button('Add the 9 understood'));
      const screen = page.getByRole('group', { name: 'Screen' });
      await screen.getByRole('button', { name: /^Change 10 Board/ }).waitFor();
      expect(await screen.getByRole('button', { name: /^Change \d+ / }).count()).toBe(9);
    });

    test('a mirrored pair stays a pair', async () => {
      await hands.press(button(/^Change 1 Cap,/));
      await hands.press(button('Mirror'));
      await page.getByRole('dialog', { name: /Cap, mirrored/ }).waitFor();
      await hands.press(button('Done').last());
      await hands.press(button(/^Change 1 Cap, 2x4/));
      await hands.write(field('How many'), '3');
      await hands.press(button('Done').last());
      await button(/^Change 3 Cap, mirrored/).waitFor();
    });

    test('the helper is opened again, and its parts follow; undo takes it back', async () => {
      await hands.press(button('Change group Shelf'));
      await hands.press(button('Change its measures'));
      await writeLength('Gaps of at most', ['1/4']);
      await hands.press(button('Change the parts'));
      await hands.press(button('Done').last());
      await button(/^Change 13 Slat, 1x4 · 20"/).waitFor();
      await hands.press(button(/^Undo: make Shelf anew/));
      await button(/^Change 11 Slat, 1x4 · 20"/).waitFor();
    });

    test('a finish for all of it, in cans', async () => {
      await hands.press(button('Add a finish'));
      await hands.write(field('One covers'), '40 ft2');
      await page
        .getByText(/sq ft in 2 coats: \d+ × Finish, 40 ft2 each/)
        .last()
        .waitFor();
      await hands.press(button('Done').last());
      await page.getByRole('group', { name: 'For the whole project' }).waitFor();
    });

    test('after a reload all of it is there', async () => {
      await page.reload();
      await button(/^Change 4 Leg, 2x4 · 41 1\/2"/).waitFor();
      await button(/^Change 3 Cap, mirrored/).waitFor();
    });
  });
