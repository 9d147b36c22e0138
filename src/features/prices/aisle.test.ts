import { currentOffers, needsOf } from '@/core/pricing';
import { fromInches, MICROS } from '@/core/units';
import { emptyStore, resolve, type Book } from '@/core/project';
import { fromCsv } from '@/core/testing';
import { asksOf, blankEntry, doubtAbout, lengthsOf, readEntry, unitsFor, type Ask } from './aisle';
import type { PriceBookView } from './priceBookView';

const { project, book } = fromCsv({
  parts:
    'part,kind,qty,section,length,material,item\nPost,board,4,2x4,36,cedar,\nRail,board,2,2x4,80,cedar,\nHook,hardware,6,,,,screw hook',
  prices:
    "store,item,kind,section,length,material,price,unit,pack,date\nYard,,board,2x4,10',cedar,0.9,ft,1,2026-11-01\nYard,,board,2x4,8',cedar,7.2,each,1,2026-11-01\nMill,screw hook,hardware,,,,4.5,pack,25,2026-11-01",
});
const yard = Object.values(book.stores).find(({ name }) => name === 'Yard')?.id ?? '';
const deskOf = (held: Book): PriceBookView => {
  const offers = currentOffers(held);
  return {
    book: held,
    open: null,
    project,
    projects: [project],
    unit: 'in',
    currency: 'USD',
    currencies: ['USD'],
    setCurrency: () => {},
    side: 'own',
    otherSide: null,
    setSide: () => {},
    terms: project.settings,
    staleAfter: 60,
    today: '2026-11-25',
    stores: Object.values(held.stores),
    offers,
    needs: needsOf(resolve(project).parts, offers),
    inPlan: new Set(),
    dispatch: () => {},
    undo: () => {},
  };
};
const asks = () => asksOf(deskOf(book), yard);
const first = (): Ask => {
  const [ask] = asks();
  if (!ask) throw new Error('an ask was meant');
  return ask;
};

test('asks: every size seen here, the shorter first, and what only others have', () => {
  expect(asks().map(({ item, last, for: names }) => [item.name, last !== null, names])).toEqual([
    ['2x4x8 cedar', true, ['Post', 'Rail']],
    ['2x4x10 cedar', true, ['Post', 'Rail']],
    ['screw hook', false, ['Hook']],
  ]);
});

test('a thing keeps its place in the list once it is priced', () => {
  const hook = asks()[2];
  const read =
    hook &&
    readEntry(hook, { price: '5', unit: 'pack', length: '', pack: '20', material: '' }, 'in', '2026-11-25');
  if (!read?.ok) throw new Error('a price was meant');
  const priced: Book = {
    ...book,
    prices: { ...book.prices, new: { ...read.value, id: 'new', storeId: yard } },
  };
  const after = asksOf(deskOf(priced), yard);
  expect(after.map(({ key }) => key)).toEqual(asks().map(({ key }) => key));
  expect(after[2]?.last?.pack).toBe(20);
});

test('an entry begins as the last tag was written, and is read as an observation of today', () => {
  const ten = asks()[1];
  if (!ten) throw new Error('an ask was meant');
  expect(blankEntry(ten, 'in')).toEqual({
    price: '',
    unit: 'ft',
    length: "10'",
    pack: '1',
    material: 'cedar',
  });
  expect(unitsFor(ten, 'in')).toEqual(['each', 'ft']);
  const read = readEntry(
    ten,
    { price: '0,95', unit: 'ft', length: "10'", pack: '1', material: 'cedar' },
    'in',
    '2026-11-25',
  );
  expect(read.ok && read.value).toMatchObject({
    price: 0.95 * MICROS,
    unit: 'ft',
    date: '2026-11-25',
    source: 'typed',
    available: null,
  });
});

test('another length is another thing, with its own name', () => {
  const read = readEntry(
    first(),
    { price: '10', unit: 'each', length: '12ft', pack: '1', material: 'cedar' },
    'in',
    '2026-11-25',
  );
  expect(read.ok && read.value.item.name).toBe('2x4x12 cedar');
});

test('what cannot be read is told at its field', () => {
  const place = (fields: object) => {
    const read = readEntry(
      first(),
      { ...blankEntry(first(), 'in'), price: '7', ...fields },
      'in',
      '2026-11-25',
    );
    return read.ok ? null : read.problems[0]?.place;
  };
  expect(place({})).toBeNull();
  expect(place({ price: '' })).toBe('price');
  expect(place({ price: '0' })).toBe('price');
  expect(place({ price: 'seven' })).toBe('price');
  expect(place({ length: '8 spans' })).toBe('length');
  expect(place({ pack: '0' })).toBe('pack');
  expect(place({ material: ' ' })).toBe('material');
});

test('a slipped point is doubted against the last tag, or against the neighbours in another length', () => {
  const offers = currentOffers(book);
  const entry = (price: string, length = "8'") =>
    readEntry(first(), { price, unit: 'each', length, pack: '1', material: 'cedar' }, 'in', '2026-11-25');
  const doubt = (read: ReturnType<typeof entry>) =>
    read.ok ? doubtAbout(read.value, first(), yard, offers) : null;
  expect(doubt(entry('7.50'))).toBeNull();
  expect(doubt(entry('75'))).toMatchObject({ against: 'last' });
  expect(doubt(entry('11', '12ft'))).toBeNull();
  expect(doubt(entry('110', '12ft'))).toMatchObject({ against: 'neighbours' });
});

test('of a store that was never asked, everything is asked for in the size that others sell', () => {
  const corner = emptyStore('corner', 'Corner', 'USD');
  const empty: Book = { ...book, stores: { ...book.stores, corner } };
  const found = asksOf(deskOf(empty), 'corner');
  expect(found.map(({ last }) => last)).toEqual([null, null]);
  expect(found[0]?.item.section).toBe('2x4');
});

test('lengths in a row: those mostly sold and those that were seen, each with its own price here', () => {
  const cells = (storeId: string) =>
    lengthsOf(deskOf(book), storeId, first(), 'Cedar').map(({ length, last }) => [
      length.ticks / fromInches(12),
      last !== null,
    ]);
  const feet = [8, 10, 12, 14, 16];
  expect(cells(yard)).toEqual(feet.map((length) => [length, length <= 10]));
  expect(cells('elsewhere')).toEqual(feet.map((length) => [length, false]));
  expect(lengthsOf(deskOf(book), yard, first(), 'pine').every(({ last }) => last === null)).toBe(true);
});

test('what no part says the wood of is named by its tag', () => {
  const open = fromCsv({
    parts: 'part,kind,qty,section,length,material\nRail,board,2,2x6,80,',
    prices:
      'store,item,kind,section,length,material,price,unit,pack,date\nYard,nail,hardware,,,,1,pack,1,2026-11-01',
  });
  const desk = { ...deskOf(open.book), needs: needsOf(resolve(open.project).parts, []) };
  const [ask] = asksOf(desk, yard);
  if (!ask) throw new Error('an ask was meant');
  expect(ask.isOpen).toBe(true);
  const read = readEntry(
    ask,
    { ...blankEntry(ask, 'in'), price: '9', material: 'larch' },
    'in',
    '2026-11-25',
  );
  expect(read.ok && read.value.item).toMatchObject({ name: '2x6x8 larch', material: 'larch' });
});
