import { MICROS } from '@/core/units';
import { emptyStore, type Store } from '@/core/project';
import { draftOfStore, readStore, type StoreDraft } from './storeDraft';

const blank = emptyStore('s', 'Corner Mill', 'USD');
const read = (fields: Partial<StoreDraft>, held: Store = blank, others: Store[] = []) =>
  readStore({ ...draftOfStore(held, 'in'), ...fields }, held, others);
const places = (fields: Partial<StoreDraft>, others: Store[] = []): string[] => {
  const result = read(fields, blank, others);
  return result.ok ? [] : result.problems.map(({ place }) => place);
};

test('a store comes back from its draft as it was', () => {
  const full: Store = {
    ...blank,
    kind: 'sawmill',
    trip: 450,
    way: { distance: 15, unit: 'mi', rate: 0.3 * MICROS },
    taxRate: 0.0825,
    discount: 0.05,
    shipping: { fee: 895, freeFrom: 4900 },
    cuts: 2,
    cutFee: 150,
    note: 'Closed on Sundays.',
    feed: { id: 'mill', taken: '2026-11-20' },
  };
  for (const store of [blank, full]) {
    const back = read({}, store);
    expect(back.ok && back.value).toEqual(store);
  }
});

test('a trip is a sum, or the way there and back at what a mile costs', () => {
  const sum = read({ trip: '6.50' });
  expect(sum.ok && [sum.value.trip, sum.value.way]).toEqual([650, undefined]);
  const way = read({ tripBy: 'km', distance: '24', rate: '0,25' });
  expect(way.ok && [way.value.trip, way.value.way?.unit]).toEqual([600, 'km']);
});

test('tax: as in the project, none, or its own rate', () => {
  const own = read({ tax: 'own', taxRate: '8.25 %' });
  expect(own.ok && [own.value.taxFree, own.value.taxRate]).toEqual([false, 0.0825]);
  const none = read({ tax: 'none', taxRate: '8' });
  expect(none.ok && [none.value.taxFree, none.value.taxRate]).toEqual([true, undefined]);
});

test('what is wrong is told at its field', () => {
  expect(places({ name: ' ' })).toEqual(['name']);
  expect(places({ name: ' corner  mill ' }, [{ ...blank, id: 'other' }])).toEqual(['name']);
  expect(places({ trip: 'far' })).toEqual(['trip']);
  expect(places({ tripBy: 'mi', distance: '', rate: 'much' })).toEqual(['distance', 'rate']);
  expect(places({ discount: '101' })).toEqual(['discount']);
  expect(places({ tax: 'own', taxRate: 'some' })).toEqual(['taxRate']);
  expect(places({ fee: 'x', freeFrom: 'y' })).toEqual(['fee']);
});
