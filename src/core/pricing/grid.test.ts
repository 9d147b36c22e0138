import { fromCsv } from '../testing';
import { resolve, type Book } from '../project';
import { currentOffers, filteredRows, gridRows, knownOn, needsOf, NO_FILTER, type GridFilter } from '.';

const { project, book } = fromCsv({
  parts:
    'part,kind,qty,section,length,material,item\nPost,board,2,2x4,60,cedar,\nHook,hardware,4,,,,screw hook',
  prices:
    'store,item,kind,section,length,material,price,unit,pack,available,date\n' +
    "Yard,,board,2x4,8',cedar,9,each,1,,2026-11-20\n" +
    'Mill,,board,2x4,96in,Cedar,1,ft,1,,2026-08-01\n' +
    "Yard,,board,1x4,8',pine,3,each,1,,2026-11-20\n" +
    "Yard,,board,2x10,8',pine,15,each,1,,\n" +
    'Yard,screw hook,hardware,,,,5,pack,20,,2026-11-20\n' +
    'Mill,screw hook,hardware,,,,3,pack,20,0,2026-11-20\n' +
    'Post,screw hook,hardware,,,,20,pack,100,,2026-11-20',
});
const rowsOf = (held: Book = book, staleAfter = 60) => {
  const offers = currentOffers(held);
  const needs = needsOf(resolve(project).parts, offers);
  return gridRows(offers, held, { unit: 'in', today: '2026-11-25', staleAfter, needs });
};
const named = (rows: { name: string }[]) => rows.map(({ name }) => name);

test('spellings of one thing are one row; what is needed comes first, then by kind, section and material', () => {
  expect(named(rowsOf())).toEqual(['2x4x8 cedar', 'screw hook', '1x4x8 pine', '2x10x8 pine']);
  expect(Object.keys(rowsOf()[0]?.cells ?? {})).toHaveLength(2);
});

test('the cheapest is by the piece among those in stock, and only where there is a choice', () => {
  const [cedar, hook, pine] = rowsOf();
  const storeOf = (key: string | null | undefined) => book.stores[(key ?? '').split('/')[0] ?? '']?.name;
  expect(storeOf(cedar?.cheapest)).toBe('Mill');
  // The mill's packs are cheaper and out of stock; by the piece the post's hundred costs 20 cents, the yard's 25.
  expect(storeOf(hook?.cheapest)).toBe('Post');
  expect(pine?.cheapest).toBeNull();
  expect(cedar?.least).toBe(1_000_000);
});

test('an old price marks its row, and so does one of no known day', () => {
  expect(
    rowsOf()
      .filter(({ isStale }) => isStale)
      .map(({ name }) => name),
  ).toEqual(['2x4x8 cedar', '2x10x8 pine']);
  expect(
    rowsOf(book, 365)
      .filter(({ isStale }) => isStale)
      .map(({ name }) => name),
  ).toEqual(['2x10x8 pine']);
});

test('what a followed store told holds until it was last looked at', () => {
  const [id = '', price] = Object.entries(book.prices).find(([, { date }]) => date === '2026-08-01') ?? [];
  if (!price) throw new Error('a price was meant');
  const store = book.stores[price.storeId];
  if (!store) throw new Error('a store was meant');
  const followed: Book = {
    stores: { ...book.stores, [store.id]: { ...store, feed: { id: 'mill', taken: '2026-11-24' } } },
    prices: { ...book.prices, [id]: { ...price, source: 'service' } },
  };
  const offer = currentOffers(followed).find((candidate) => candidate.tiers[0]?.price.id === id);
  expect(offer && knownOn(offer, followed)).toBe('2026-11-24');
  expect(rowsOf(followed)[0]?.isStale).toBe(false);
});

test('words, section, material, store and age narrow it; orders', () => {
  const yard = Object.values(book.stores).find(({ name }) => name === 'Mill')?.id ?? '';
  const shown = (filter: Partial<GridFilter>, order: 'needed' | 'name' | 'price' = 'needed') =>
    named(filteredRows(rowsOf(), { ...NO_FILTER, ...filter }, order, 3));
  expect(shown({ words: ' PINE  2x10' })).toEqual(['2x10x8 pine']);
  expect(shown({ section: '1x4' })).toEqual(['1x4x8 pine']);
  expect(shown({ material: 'cedar' })).toEqual(['2x4x8 cedar']);
  expect(shown({ storeId: yard })).toEqual(['2x4x8 cedar', 'screw hook']);
  expect(shown({ age: 'old' })).toEqual(['2x4x8 cedar', '2x10x8 pine']);
  expect(shown({ age: 'missing' })).toEqual(['2x4x8 cedar', '1x4x8 pine', '2x10x8 pine']);
  expect(shown({}, 'name')).toEqual(['1x4x8 pine', '2x4x8 cedar', '2x10x8 pine', 'screw hook']);
  expect(shown({}, 'price')).toEqual(['screw hook', '1x4x8 pine', '2x4x8 cedar', '2x10x8 pine']);
  expect(shown({ words: 'granite' })).toEqual([]);
});
