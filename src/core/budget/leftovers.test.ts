import fc from 'fast-check';
import { formatLength } from '../units';
import { againstProject, planInput } from '../plan';
import { checkPlan, firstPlan } from '../plan/planner';
import { parseSection } from '../lumber';
import {
  emptyExtra,
  itemKey,
  rackName,
  tagName,
  type Book,
  type Project,
  type PurchaseLine,
} from '../project';
import { fromCsv } from '../testing';
import { typedPriceLines, hardwareItem, inThePieceOfAll, leftoversOf, needlessOf } from '.';

const given = fromCsv({
  parts: 'part,qty,kind,section,length,item\nRail,2,,2x4,40,\nHook,6,hardware,,,hook',
  prices:
    'store,kind,section,length,material,price,item,pack\nYard,,2x4,8ft,stud,4,,\nYard,hardware,,,,1,hook,10',
});
const [board, hook] = Object.values(given.book.prices);
const lineOf = (price: typeof board, pack: number, quantity: number): PurchaseLine => ({
  item: price?.item as PurchaseLine['item'],
  pack,
  quantity,
  price: 400,
  tax: 0,
  category: 'wood',
});
const project: Project = {
  ...given.project,
  purchases: [
    {
      id: 'a',
      date: '2026-11-20',
      storeId: board?.storeId ?? '',
      store: 'Yard',
      note: '',
      lines: [lineOf(board, 1, 3), lineOf(hook, 10, 1)],
    },
  ],
};

test('what is left: the offcut with its length, boards that were not cut, hooks beyond those needed', () => {
  const plan = firstPlan(planInput(project, given.book));
  expect(plan.total).toBe(0);
  const left = leftoversOf(project, given.book, plan);
  // 96 less two rails of 40 and their two kerfs: 15 3/4 in.
  expect(
    left.map(({ item, quantity }) => [
      quantity,
      tagName(item),
      item.length && formatLength(item.length.ticks, 'in'),
    ]),
  ).toEqual([
    [1, '2x4 x 15 3/4in stud', '15 3/4"'],
    [2, '2x4x8 stud', '96"'],
    [4, 'hook', null],
  ]);
});

test('boards of another section that are as long and of the same wood are not taken for those that are cut', () => {
  const twoSections = fromCsv({
    parts: 'part,qty,section,length\nRail,2,2x4,90\nSlat,1,1x4,90',
    prices: 'store,section,length,material,price\nYard,2x4,8ft,pine,4\nYard,1x4,8ft,pine,2',
  });
  const lines = Object.values(twoSections.book.prices).map((price) => lineOf(price, 1, 3));
  const bought = {
    ...project,
    groups: twoSections.project.groups,
    purchases: [{ ...project.purchases[0]!, lines }],
  };
  const left = leftoversOf(bought, twoSections.book, firstPlan(planInput(bought, twoSections.book)));
  const whole = left.filter(({ item }) => item.length && formatLength(item.length.ticks, 'in') === '96"');
  expect(Object.fromEntries(whole.map(({ item, quantity }) => [item.section, quantity]))).toEqual({
    '2x4': 1,
    '1x4': 2,
  });
});

test('a ripped rest is a section of its own, which reads back as one', () => {
  const ripped = fromCsv({
    parts: 'part,qty,section,length\nBar,1,2x2,90',
    prices: 'store,section,length,material,price\nYard,2x4,8ft,stud,4',
    settings: { tools: ['mitre-saw', 'table-saw'] },
  });
  const plan = firstPlan(planInput(ripped.project, ripped.book));
  const left = leftoversOf(ripped.project, ripped.book, plan);
  const narrow = left.find(({ item }) => item.section !== '2x4');
  const section = parseSection(narrow?.item.section ?? '');
  // 3 1/2 less 1 1/2 and a kerf of 1/8: 1 7/8 in.
  expect(section.ok && formatLength(section.value.width, 'in')).toBe('1 7/8"');
  expect(itemKey(narrow?.item as PurchaseLine['item'])).not.toBe(
    itemKey(board?.item as PurchaseLine['item']),
  );
});

test('what is left is worth its share of what it was bought as', () => {
  const left = leftoversOf(project, given.book, firstPlan(planInput(project, given.book)));
  // Three boards came to 4.00 together: 15 3/4 in of one, and two whole ones; ten hooks to 4.00.
  expect(left.map(({ item, worth }) => [tagName(item), worth])).toEqual([
    ['2x4 x 15 3/4in stud', Math.round((133 * 15.75) / 96)],
    ['2x4x8 stud', 133],
    ['hook', 40],
  ]);
});

/** A project with so much to oil: `cans` of it are used up. */
const oiled = (cans: number, fields: Partial<Project> = {}, price?: number): Project => ({
  ...given.project,
  groups: [],
  extras: [
    {
      ...emptyExtra('e'),
      name: 'oil',
      rule: 'area',
      amount: `${cans * 60} ft * 1 ft`,
      covers: '60 ft2',
      ...(price === undefined ? {} : { price }),
    },
  ],
  ...fields,
});
const sold = fromCsv({
  parts: 'part,qty,kind,item\nOil,1,hardware,oil',
  prices: 'store,kind,price,item\nYard,hardware,15,oil',
}).book;
const withCan = (share: number, sum = 0): Book => ({
  ...sold,
  rack: {
    c: {
      id: 'c',
      item: hardwareItem('oil'),
      quantity: 1,
      share,
      from: '',
      ...(sum > 0 ? { value: { sum, currency: 'USD' } } : {}),
    },
  },
});
const toBuy = (project: Project, book: Book): number => {
  const plan = firstPlan(planInput(project, book));
  expect(checkPlan(plan, againstProject(project, book))).toEqual([]);
  expect(plan.lowerBound).toBeLessThanOrEqual(plan.total);
  return plan.buys.reduce((sum, { qty }) => sum + qty, 0);
};

test('a can that is not used up is left with how full it is, and what it is worth', () => {
  const line: PurchaseLine = {
    item: hardwareItem('oil'),
    pack: 1,
    quantity: 2,
    price: 3000,
    tax: 0,
    category: 'finish',
  };
  const bought = oiled(1.5, {
    purchases: [{ id: 'o', date: '2026-11-20', storeId: '', store: 'Fair', note: '', lines: [line] }],
  });
  const [left] = leftoversOf(bought, sold, firstPlan(planInput(bought, sold)));
  expect(left).toEqual({ item: hardwareItem('oil'), quantity: 1, share: 0.5, worth: 750 });
  expect(left && rackName(left)).toBe('oil, about 50 % left');
});

test('the next plan uses an opened can, and buys whole ones for the rest', () => {
  expect(toBuy(oiled(1.2), sold)).toBe(2);
  expect(toBuy(oiled(1.2), withCan(0.5))).toBe(1);
  expect(toBuy(oiled(0.4), withCan(0.5))).toBe(0);
  expect(toBuy(oiled(1.6), withCan(0.5))).toBe(2);
  expect(toBuy(oiled(1.2, { leavesRack: true }), withCan(0.5))).toBe(2);
  // At a typed price, too.
  expect(
    typedPriceLines(oiled(1.2, {}, 1400), withCan(0.5)).map(({ quantity, costWithTax }) => [
      quantity,
      costWithTax,
    ]),
  ).toEqual([[1, 1400]]);
  expect(typedPriceLines(oiled(0.4, {}, 1400), withCan(0.5))).toEqual([]);
});

test('in the piece is what is used up of a can, from the rack at what it is worth', () => {
  const inPiece = (project: Project, book: Book) =>
    inThePieceOfAll(project, firstPlan(planInput(project, book)), book);
  expect(inPiece(oiled(1.5), sold)).toBe(2250);
  expect(inPiece(oiled(0.25), withCan(0.5, 500))).toBe(250);
  expect(inPiece(oiled(0.25), withCan(0.5))).toBe(0);
});

test('whatever is used of one kind of can by however many, and whatever is open: as many as are lacking, and none more', () => {
  const tenths = fc.integer({ min: 1, max: 39 });
  fc.assert(
    fc.property(
      fc.array(tenths, { minLength: 1, maxLength: 4 }),
      fc.array(fc.integer({ min: 1, max: 9 }), { maxLength: 3 }),
      (used, open) => {
        const extras = used.flatMap((cans, index) =>
          oiled(cans / 10).extras.map((extra) => ({ ...extra, id: `e${index}` })),
        );
        const rack = Object.fromEntries(
          open.map((share, index) => [
            `c${index}`,
            { id: `c${index}`, item: hardwareItem('oil'), quantity: 1, share: share / 10, from: '' },
          ]),
        );
        const sum = (all: number[]) => all.reduce((a, b) => a + b, 0);
        expect(toBuy(oiled(0, { extras }), { ...sold, rack })).toBe(
          Math.max(0, Math.ceil((sum(used) - sum(open)) / 10)),
        );
      },
    ),
  );
});

test('what was taken back is not left over', () => {
  const [hooks] = project.purchases[0]?.lines.slice(1) ?? [];
  if (!hooks) throw new Error('no hooks');
  const returned = [{ id: 'r', date: '2026-11-21', quantity: 1, price: 400, tax: 0 }];
  const back: Project = {
    ...project,
    purchases: [
      {
        ...(project.purchases[0] as Project['purchases'][number]),
        lines: [{ ...hooks, quantity: 2, returned }],
      },
    ],
  };
  const left = leftoversOf(back, given.book, firstPlan(planInput(back, given.book)));
  expect(left.find(({ item }) => item.name === 'hook')?.quantity).toBe(4);
});

test('a bought board that nothing is cut from is needless; a spare that is wanted is not', () => {
  // Two rails of 40 are cut from one of three boards.
  const plan = firstPlan(planInput(project, given.book));
  expect(needlessOf(project, plan).map(({ item, quantity }) => [item.section, quantity])).toEqual([
    ['2x4', 2],
  ]);
  const withSpare = { ...project, settings: { ...project.settings, spare: { stud: 0.1 } } };
  expect(needlessOf(withSpare, plan).map(({ quantity }) => quantity)).toEqual([1]);
  expect(needlessOf(given.project, firstPlan(planInput(given.project, given.book)))).toEqual([]);
});
