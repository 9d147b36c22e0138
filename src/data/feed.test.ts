import { MICROS } from '@/core/units';
import { normalisedPrice } from '@/core/pricing';
import { isLike } from './drafts';
import { observationsOf, type FeedAnswer } from './feed';
import { validateStorePrices, validateStores } from './feedSchemas';

jest.mock('nanoid', () => ({ nanoid: () => 'an id' }));

const store = {
  id: 'millrace',
  name: 'Millrace Lumber',
  kind: 'lumber yard' as const,
  currency: 'USD',
  trip: 4,
};
const board = {
  item: '2x4x8 stud',
  kind: 'board' as const,
  section: '2x4',
  length: 2438.4,
  width: null,
  material: 'stud',
  unit: 'each' as const,
  pack: 1,
  price: 3.98,
  available: null,
  date: '2026-11-20',
};
const answer = {
  format: 'billet-store-prices',
  version: 1,
  store,
  asOf: '2026-11-25',
  since: null,
  prices: [board],
};

test('what a service tells becomes observations of the store of the book', () => {
  const [price] = observationsOf(answer as FeedAnswer, 'held');
  expect(price).toMatchObject({
    storeId: 'held',
    price: 3.98 * MICROS,
    source: 'service',
    date: '2026-11-20',
    minQty: 1,
  });
  expect(price && normalisedPrice(price)?.unitPrice).toBe(3.98 * MICROS);
  expect(price?.item.length?.ticks).toBe(96 * 8128);
});

test('only an answer of the schema is taken: one price that is none refuses it whole', () => {
  expect(validateStorePrices(answer)).toBe(true);
  for (const wrong of [
    { price: 'free' },
    { price: -1 },
    { date: 'Tuesday' },
    { kind: 'plank' },
    { pack: 0 },
    { extra: 1 },
  ])
    expect(validateStorePrices({ ...answer, prices: [board, { ...board, ...wrong }] })).toBe(false);
  expect(validateStores({ format: 'billet-stores', version: 1, stores: [store] })).toBe(true);
  expect(validateStores({ format: 'billet-stores', version: 1, stores: [{ ...store, id: '' }] })).toBe(false);
});

test('a half-typed entry of another Billet is not taken for one of this', () => {
  const isEntry = isLike({ price: '', storeId: null, pack: 1 });
  expect(isEntry({ price: '3', storeId: 's', pack: 2, more: true })).toBe(true);
  expect(isEntry({ price: '3', storeId: null, pack: 2 })).toBe(true);
  expect(isEntry({ price: 3, storeId: 's', pack: 2 })).toBe(false);
  expect(isEntry({ price: '3', pack: 2 })).toBe(false);
  expect(isEntry(null)).toBe(false);
});
