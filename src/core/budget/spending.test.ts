import fc from 'fast-check';
import { planInput, type Plan } from '../plan';
import { firstPlan } from '../plan/planner';
import {
  applyToBook,
  emptyExtra,
  withRecordedCharges,
  type Book,
  type Category,
  type Project,
  type Purchase,
} from '../project';
import { fromCsv } from '../testing';
import {
  againstTargets,
  aislesOf,
  aislesWith,
  askedFor,
  baselineOf,
  byCategory,
  typedPriceLines,
  cartLine,
  differencesByCategory,
  differencesOf,
  hardwareItem,
  ledgerOf,
  lineCost,
  projectMoney,
  reasonsOf,
  receiptWords,
  replanWords,
  runLines,
  learnedAisleOrder,
} from '.';

const given = () =>
  fromCsv({
    parts: 'part,qty,section,length,kind,item\nPost,8,2x4,47,,\nScrew,130,,,hardware,deck screws',
    prices:
      "store,section,length,material,price,kind,item,pack\nYard,2x4,8',stud,4,,,\nYard,2x4,12',stud,6.4,,,\nYard,,,,9,hardware,deck screws,100\nBarn,2x4,8',stud,5,,,",
    settings: { tax: 0.1 },
    stores: { Yard: { trip: 420 }, Barn: { trip: 600 } },
  });
/** What is known to be there. */
const there = <T>(value: T | null | undefined): T => {
  if (value === null || value === undefined) throw new Error('it is not there');
  return value;
};
const planOf = (project: Project, book: Book): Plan => firstPlan(planInput(project, book));
const idOf = (book: Book, name: string) =>
  there(Object.values(book.stores).find((store) => store.name === name)?.id);

/** The cart with the line of a name in it, so many at their price or another. */
const taken = (
  project: Project,
  book: Book,
  name: string,
  quantity?: number,
  unitPrice?: number,
): Project => {
  const storeId = idOf(book, 'Yard');
  const line = there(
    runLines(project, book, planOf(project, book), storeId).find((one) => one.name === name),
  );
  const many = quantity ?? line.quantity;
  const paid = lineCost(line, many, { project, book, unitPrice });
  const cart: Purchase = {
    id: `cart-${name}`,
    date: '2026-11-25',
    storeId,
    store: 'Yard',
    note: '',
    isOpen: true,
    lines: [cartLine(line, many, paid, book.stores[storeId], project)],
  };
  return withRecordedCharges({ ...project, purchases: [...project.purchases, cart] }, book.stores);
};

test('a list for one store in the order of its aisles, and the order is learnt from how it was walked', () => {
  const { project, book } = given();
  const yard = there(book.stores[idOf(book, 'Yard')]);
  const plan = planOf(project, book);
  expect(
    runLines(project, book, plan, yard.id).map(({ name, quantity, paid }) => [name, quantity, paid]),
  ).toEqual([
    ['2x4x8 stud', 4, 1760],
    ['deck screws', 2, 1980],
  ]);
  const cart = there(taken(project, book, 'deck screws').purchases[0]);
  const namesIn = (aisles: Category[]) => {
    const after = there(applyToBook(book, { type: 'putStore', store: { ...yard, aisles } }, 0)).document;
    return runLines(project, after, plan, yard.id).map(({ name }) => name);
  };
  expect(namesIn(learnedAisleOrder(cart, yard))).toEqual(['deck screws', '2x4x8 stud']);
  // Or it is said by hand; the other aisles stay in their order.
  const said = aislesWith(yard, 'hardware', 'wood');
  expect(namesIn(said)).toEqual(['deck screws', '2x4x8 stud']);
  expect(said.filter((one) => one !== 'hardware')).toEqual(
    aislesOf(yard).filter((one) => one !== 'hardware'),
  );
  expect(namesIn(aislesWith({ ...yard, aisles: said }, 'wood', 'hardware'))).toEqual([
    '2x4x8 stud',
    'deck screws',
  ]);
});

test('what is in the cart is owned: what is gone is bought otherwise, and the words say what changed by how much', () => {
  const { project, book } = given();
  const storeId = idOf(book, 'Yard');
  const inCart = taken(project, book, 'deck screws');
  const before = planOf(inCart, book);
  const total = projectMoney(inCart, book, before).total;
  const gone = there(
    Object.values(book.prices).find(
      ({ item, storeId: at }) => at === storeId && item.length?.ticks === before.layouts[0]?.length,
    ),
  );
  const without = there(
    applyToBook(
      book,
      { type: 'putPrices', prices: [{ ...gone, id: 'gone', available: 0, date: '2026-11-25' }] },
      0,
    ),
  ).document;
  const after = planOf(inCart, without);
  const words = replanWords(
    { cause: '2x4x8 stud is not there', item: '2x4x8 stud', before: askedFor(before), total },
    after,
    projectMoney(inCart, without, after).total,
    storeId,
  );
  // Four of 4.00 become three of 6.40, with 10 % tax. The screws in the cart stay.
  expect(words).toEqual({
    text: '2x4x8 stud is not there: take 3 × 2x4x12 stud instead. $3.52 more in all.',
    isWorse: true,
  });
});

test('what is not there is bought where it costs least in all, the trip to another store included', () => {
  // One store has a longer board, the other the same one: which is cheaper turns on the trip.
  for (const [trip, text] of [
    [500, 'take 1 × 2x4x12 stud instead. $5.00 more in all.'],
    [100, 'take 1 × 2x4x8 stud at Mill instead. $2.00 more in all.'],
  ] as const) {
    const { project, book } = fromCsv({
      parts: 'part,kind,qty,section,length,item\nPost,board,1,2x4,90,\nScrews,hardware,1,,,screws',
      prices: [
        'store,item,kind,section,length,material,price,unit,pack',
        "Yard,,board,2x4,8',stud,4,,",
        "Yard,,board,2x4,12',stud,9,,",
        "Mill,,board,2x4,8',stud,5,,",
        'Yard,screws,hardware,,,,6,pack,1',
      ].join('\n'),
      stores: { Mill: { trip } },
    });
    const before = planOf(project, book);
    const total = projectMoney(project, book, before).total;
    expect(total).toBe(1000);
    const gone = there(Object.values(book.prices).find(({ price }) => price === 4_000_000));
    const without = { ...book, prices: { ...book.prices, [gone.id]: { ...gone, available: 0 } } };
    const after = planOf(project, without);
    const words = replanWords(
      { cause: '2x4x8 stud is not there', item: '2x4x8 stud', before: askedFor(before), total },
      after,
      projectMoney(project, without, after).total,
      idOf(book, 'Yard'),
    );
    // 9.00 here, or 5.00 and the trip there.
    expect(projectMoney(project, without, after).total).toBe(600 + Math.min(900, 500 + trip));
    expect(words.text).toContain(text);
  }
});

test('where nothing else will do, the words say what is missing', () => {
  const { project, book } = given();
  const before = planOf(project, book);
  const nowhere = Object.fromEntries(
    Object.entries(book.prices).filter(([, { item }]) => item.name !== 'deck screws'),
  );
  const after = planOf(project, { ...book, prices: nowhere });
  const words = replanWords(
    { cause: 'deck screws are gone', item: 'deck screws', before: askedFor(before), total: 0 },
    after,
    0,
    idOf(book, 'Yard'),
  );
  expect(words.text).toMatch(/^deck screws are gone: .*deck screws/i);
  expect(words.isWorse).toBe(true);
});

test('plan against paid: price, quantity and what was forgotten add up to the whole difference, whatever is paid', () => {
  const { project: bare, book } = given();
  const project = { ...bare, baseline: baselineOf(bare, book, planOf(bare, book), '2026-11-20') };
  const planned = projectMoney(bare, book, planOf(bare, book)).total;
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 9 }),
      fc.integer({ min: 1_000_000, max: 9_000_000 }),
      fc.integer({ min: 0, max: 5000 }),
      fc.option(fc.integer({ min: 0, max: 99999 })),
      (many, unitPrice, other, receipt) => {
        const bought = taken(project, book, '2x4x8 stud', many, unitPrice);
        const glue: Purchase = {
          id: 'glue',
          date: '2026-11-25',
          storeId: '',
          store: 'Fair',
          note: '',
          lines: [
            {
              item: hardwareItem('wood glue'),
              pack: 1,
              quantity: 1,
              price: other,
              tax: 0,
              category: 'consumables',
            },
          ],
          ...(receipt === null ? {} : { receipt: { total: receipt, tax: null } }),
        };
        const now = { ...bought, purchases: [...bought.purchases, glue] };
        const plan = planOf(now, book);
        const differences = differencesOf(now, book, plan);
        const sum = differences.reduce(
          (all, { priceVariance, quantityVariance, forgotten }) =>
            all + priceVariance + quantityVariance + forgotten,
          0,
        );
        expect(sum).toBe(projectMoney(now, book, plan).total - planned);
        expect(reasonsOf(differences, 'USD', 'in').reduce((all, reason) => all + reason.sum, 0)).toBe(sum);
        expect(
          differencesByCategory(differences).reduce((all, { now: is, planned: was }) => all + is - was, 0),
        ).toBe(sum);
      },
    ),
  );
});

test('the reasons are said in words from the figures', () => {
  const { project: bare, book } = given();
  const project = { ...bare, baseline: baselineOf(bare, book, planOf(bare, book), '2026-11-20') };
  const dear = taken(project, book, '2x4x8 stud', 4, 4_800_000);
  const glue: Purchase = {
    id: 'glue',
    date: '2026-11-25',
    storeId: '',
    store: 'Fair',
    note: '',
    lines: [
      { item: hardwareItem('wood glue'), pack: 1, quantity: 1, price: 700, tax: 49, category: 'consumables' },
    ],
  };
  const now = { ...dear, purchases: [...dear.purchases, glue] };
  const reasons = reasonsOf(differencesOf(now, book, planOf(now, book)), 'USD', 'in');
  expect(reasons).toEqual([
    { sum: 749, text: 'Wood glue was not in the plan' },
    { sum: 352, text: '2x4x8 stud cost $0.88 more each than planned' },
  ]);
});

test('boards of several lengths are one thing, by their length', () => {
  const { project: bare, book } = given();
  const project = { ...bare, baseline: baselineOf(bare, book, planOf(bare, book), '2026-11-20') };
  const long = taken({ ...project, groups: project.groups }, book, 'deck screws');
  const twelve = there(Object.values(book.prices).find(({ item }) => item.name === '2x4x12 stud'));
  const line = {
    ...there(there(long.purchases[0]).lines[0]),
    item: twelve.item,
    pack: 1,
    quantity: 3,
    price: 1920,
    tax: 192,
    category: 'wood' as const,
  };
  const now = {
    ...long,
    purchases: [...long.purchases, { ...there(long.purchases[0]), id: 'long', trip: 0, lines: [line] }],
  };
  // 36 ft for 21.12 in place of 32 ft for 17.60: 4 ft more at the planned price, and each foot dearer.
  expect(reasonsOf(differencesOf(now, book, planOf(now, book)), 'USD', 'in')).toEqual([
    { sum: 220, text: '48" more of 2x4 stud than planned' },
    { sum: 132, text: '2x4 stud cost $0.04 more a foot than planned' },
  ]);
});

test('three prices that add to 37.24, where a head says about 30 (common practice)', () => {
  const { project, book } = given();
  const lines = [375, 375, 375, 1099, 1500].map((price) => ({
    item: hardwareItem('thing'),
    pack: 1,
    quantity: 1,
    price,
    tax: 0,
    category: 'other' as const,
  }));
  const bought = {
    ...project,
    purchases: [{ id: 'p', date: '2026-11-25', storeId: '', store: 'Fair', note: '', lines }],
  };
  expect(projectMoney(bought, book, null).spent).toBe(3724);
});

test('a target by category with a contingency, for each of several', () => {
  const { project, book } = given();
  const plan = planOf(project, book);
  const budget = { byCategory: { wood: 2000, hardware: 1500 }, reserve: 0.1, isEach: false, date: null };
  const money = projectMoney({ ...project, budget }, book, plan);
  expect(money).toMatchObject({
    target: 3500,
    toBuy: 1760 + 1980 + 420,
    reserve: 416,
    forecast: 4576,
    left: -1076,
  });
  expect(
    projectMoney({ ...project, builds: 3, budget: { ...budget, isEach: true } }, book, plan).target,
  ).toBe(10500);
  const rows = againstTargets({ ...project, budget }, byCategory(ledgerOf(project), plan));
  expect(rows.map(({ category, left }) => [category, left])).toEqual([
    ['wood', 240],
    ['hardware', -480],
    ['trips', null],
  ]);
});

test('what has a typed price is to buy until it is bought; what is owned costs nothing', () => {
  const { project, book } = given();
  const hire = { ...emptyExtra('e'), name: 'auger hire', amount: '2', price: 2500 };
  const with2 = {
    ...project,
    extras: [hire, { ...emptyExtra('o'), name: 'oil', amount: '1', isOwned: true }],
  };
  expect(typedPriceLines(with2, book)).toMatchObject([
    { item: 'auger hire', quantity: 2, costWithTax: 5000, category: 'tools' },
  ]);
  const line = {
    item: hardwareItem('Auger hire'),
    pack: 1,
    quantity: 1,
    price: 2600,
    tax: 0,
    category: 'tools' as const,
  };
  const once = {
    ...with2,
    purchases: [{ id: 'p', date: '2026-11-25', storeId: '', store: 'Fair', note: '', lines: [line] }],
  };
  expect(typedPriceLines(once, book)).toMatchObject([{ quantity: 1, costWithTax: 2500 }]);
  const plan = planOf(once, book);
  expect(projectMoney(once, book, plan).toBuy).toBe(plan.total + 2500);
});

test('a receipt is told to agree, to be rounded, or to hold something else', () => {
  expect(receiptWords({ price: 0, tax: 0 }, 3, 'USD')).toBe('');
  expect(receiptWords({ price: 2, tax: 0 }, 3, 'USD')).toMatch(/^\$0.02 more .*rounding/);
  expect(receiptWords({ price: -400, tax: -28 }, 3, 'USD')).toMatch(/^\$4.28 less .*Its tax is \$0.28 less/);
  expect(receiptWords({ price: -5, tax: 5 }, 3, 'USD')).toMatch(/^The total agrees. Its tax is \$0.05 more/);
});
