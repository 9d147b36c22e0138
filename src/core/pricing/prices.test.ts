import { MICROS, TICKS_PER_FOOT } from '../units';
import { emptyBook, emptyStore, measure, type Book, type Item, type Price, type PriceUnit } from '../project';
import { asCompared, currentOffers, needsOf, perPiece, perPurchase, tierFor } from '.';
import { resolve } from '../project';
import { fromCsv } from '../testing';

const board = (section: string, length: string): Item => ({
  kind: 'board',
  name: '',
  section,
  length: measure(length, 'in'),
  width: null,
  material: 'pine',
});
const sheet: Item = {
  kind: 'sheet',
  name: '',
  section: '18mm',
  length: measure('2440mm', 'mm'),
  width: measure('1220mm', 'mm'),
  material: 'birch ply',
};
const cost = (item: Item, price: number, unit: PriceUnit) =>
  (perPurchase({ item, price: price * MICROS, unit }) ?? NaN) / MICROS;

test('what one purchase costs, by every unit', () => {
  const eight = board('2x4', "8'");
  expect(cost(eight, 3.98, 'each')).toBe(3.98);
  expect(cost(eight, 0.5, 'ft')).toBe(4);
  expect(cost(eight, 1, 'm')).toBe(2.4384);
  // PS 20 nominal size: a 2x4x8 is 5 1/3 board feet.
  expect(cost(eight, 0.75, 'bf')).toBe(4);
  // A metric section has no trade name: 45 x 145 x 4000 mm is 0.0261 cubic metres.
  expect(cost(board('45x145mm', '4m'), 1000, 'm3')).toBe(26.1);
  expect(cost(board('1x12', "4'"), 2, 'sqft')).toBe(2 * 4 * (11.25 / 12));
  expect(cost(sheet, 10, 'm2')).toBeCloseTo(10 * 2.44 * 1.22, 6);
  expect(cost(sheet, 1000, 'm3')).toBeCloseTo(1000 * 2.44 * 1.22 * 0.018, 6);
});

test('a unit that the item lacks the size for has no price', () => {
  const screws: Item = {
    kind: 'hardware',
    name: 'screws',
    section: '',
    length: null,
    width: null,
    material: '',
  };
  expect(perPurchase({ item: screws, price: MICROS, unit: 'ft' })).toBeNull();
  expect(perPurchase({ item: { ...sheet, width: null }, price: MICROS, unit: 'm2' })).toBeNull();
});

const price = (id: string, fields: Partial<Price>): Price => ({
  id,
  storeId: 's',
  item: board('2x4', "8'"),
  price: 4 * MICROS,
  unit: 'each',
  pack: 1,
  minQty: 1,
  available: null,
  date: null,
  source: 'typed',
  note: '',
  ...fields,
});
const book = (...prices: Price[]): Book => ({
  ...emptyBook(),
  stores: { s: emptyStore('s', 'Yard', 'USD') },
  prices: Object.fromEntries(prices.map((entry) => [entry.id, entry])),
});

test('the newest observation counts; without dates the later; other quantities are tiers of the same offer', () => {
  const [dated] = currentOffers(
    book(
      price('new', { date: '2026-11-02', price: 5 * MICROS }),
      price('old', { date: '2026-11-01' }),
      price('none', {}),
    ),
  );
  expect(dated?.tiers.map(({ price: seen }) => seen.id)).toEqual(['new']);
  expect(currentOffers(book(price('a', {}), price('b', {})))[0]?.tiers[0]?.price.id).toBe('b');
  const [tiered] = currentOffers(book(price('ten', { minQty: 10, price: 3 * MICROS }), price('one', {})));
  expect(tiered?.tiers.map(({ minQty }) => minQty)).toEqual([1, 10]);
  expect(tierFor(tiered?.tiers ?? [], 9)?.unitPrice).toBe(4 * MICROS);
  expect(tierFor(tiered?.tiers ?? [], 10)?.unitPrice).toBe(3 * MICROS);
});

test('rows that differ in name, pack, size or material are different offers; spellings of one are not', () => {
  const premium = { ...board('2x4', "8'"), name: 'premium 2x4x8' };
  const spelt = { ...board('2x4', '96in'), material: ' Pine ' };
  expect(currentOffers(book(price('a', {}), price('b', { item: spelt })))).toHaveLength(1);
  expect(
    currentOffers(
      book(
        price('a', { item: premium }),
        price('b', {
          item: { ...premium, name: ' Premium  2x4x8', material: 'PINE', length: measure('8ft', 'in') },
        }),
      ),
    ),
  ).toHaveLength(1);
  expect(
    currentOffers(book(price('a', {}), price('b', { item: premium }), price('c', { pack: 8 }))),
  ).toHaveLength(3);
});

test('a price as compared: per foot of a board, per square foot of a sheet, per piece of a pack', () => {
  const first = (entry: Price) => currentOffers(book(entry))[0];
  const offer = first(price('a', { price: 5.36 * MICROS }));
  expect(offer && asCompared(offer, 'in', 'USD')).toBe('$0.67 a foot');
  const pack = first(
    price('a', {
      price: 11.5 * MICROS,
      pack: 100,
      unit: 'pack',
      item: { kind: 'hardware', name: 'screws', section: '', length: null, width: null, material: '' },
    }),
  );
  expect(pack && perPiece(pack)).toBe(0.115 * MICROS);
  expect(pack && asCompared(pack, 'in', 'USD')).toBe('$0.115 a piece');
});

test('needs gather parts of one section and material, with the offers that fit', () => {
  const { project, book: priced } = fromCsv({
    parts:
      'part,qty,section,length,material,kind,item\nPost,4,2x4,36,treated,,\nRail,2,2x4,40,treated,,\nSlat,3,1x4,30,,,\nHinge,2,,,,hardware,strap hinge',
    prices:
      "store,section,length,material,price,kind,item\nYard,2x4,8',Treated,4,,\nYard,2x4,8',stud,3,,\nPost,,,,2,hardware,Strap  Hinge",
  });
  const needs = needsOf(resolve(project).parts, currentOffers(priced));
  expect(needs.map(({ name, count, offers }) => [name, count, offers.length])).toEqual([
    ['2x4', 6, 1],
    ['1x4', 3, 0],
    ['strap hinge', 2, 1],
  ]);
  expect(needs[0]?.longest).toBe((40 / 12) * TICKS_PER_FOOT);
});

test('with a table saw a wider board serves a strip, and its price is not missing', () => {
  const { project, book } = fromCsv({
    parts: 'part,qty,section,length\nSlat,4,1-1/2x1-1/2in,40\nWide,1,1-1/2x5in,40',
    prices: "store,section,length,material,price\nYard,2x4,8',stud,4\nYard,1x4,8',stud,3",
  });
  const { parts } = resolve(project);
  const ripped = (tools?: string[]) =>
    needsOf(parts, currentOffers(book), tools).map((need) => [
      need.offers.length,
      need.ripped.map(({ item }) => item.section),
    ]);
  expect(ripped()).toEqual([
    [0, []],
    [0, []],
  ]);
  // Of 1 1/2 in thick boards alone, and none narrower than the part.
  expect(ripped(['table-saw'])).toEqual([
    [0, ['2x4']],
    [0, []],
  ]);
});
