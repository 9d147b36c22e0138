import { emptyBook, emptyStore, type Price } from '@/core/project';
import { mergeBook } from './mergeBook';

const price = (id: string, storeId: string): Price => ({
  id,
  storeId,
  item: { kind: 'hardware', name: 'hinge', section: '', length: null, width: null, material: '' },
  price: 1,
  unit: 'each',
  pack: 1,
  minQty: 1,
  available: null,
  date: null,
  source: 'typed',
  note: '',
});

test('a file’s stores are known by id, or by name and currency; what is here stays as it is', () => {
  const held = {
    stores: { a: { ...emptyStore('a', 'Yard', 'USD'), trip: 500 }, b: emptyStore('b', 'Mill', 'USD') },
    prices: { x: price('x', 'a') },
  };
  const own = {
    stores: {
      a: emptyStore('a', 'Yard', 'USD'),
      other: emptyStore('other', ' mill', 'USD'),
      euro: emptyStore('euro', 'Mill', 'EUR'),
    },
    prices: { x: { ...price('x', 'a'), price: 9 }, y: price('y', 'other'), z: price('z', 'euro') },
  };
  const merged = mergeBook(held, own);
  expect(merged.stores.map(({ id }) => id)).toEqual(['euro']);
  expect(merged.prices.map(({ id, storeId }) => [id, storeId])).toEqual([
    ['y', 'b'],
    ['z', 'euro'],
  ]);
  expect(mergeBook(emptyBook(), own).prices).toHaveLength(3);
});
