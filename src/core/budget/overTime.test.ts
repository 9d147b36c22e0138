import fc from 'fast-check';
import type { Entry } from './ledger';
import { spentOverTime } from './overTime';

const paid = (date: string, price: number): Entry => ({
  kind: 'bought',
  purchaseId: 'p',
  line: 0,
  date,
  storeId: '',
  store: 'Fair',
  item: 'hook',
  thing: null,
  quantity: 1,
  pack: 1,
  price,
  tax: 0,
  category: 'hardware',
  note: '',
  isOpen: false,
  share: null,
});

test('it grows from what was paid first to what is forecast, today where the two meet', () => {
  const points = spentOverTime(
    [paid('2026-11-20', 1000), paid('2026-11-23', 500)],
    2500,
    '2026-11-25',
    '2026-11-30',
  );
  expect(points[0]).toEqual({ date: '2026-11-20', spent: 1000, forecast: null });
  expect(points.find(({ date }) => date === '2026-11-25')).toEqual({
    date: '2026-11-25',
    spent: 1500,
    forecast: 1500,
  });
  expect(points.at(-1)).toEqual({ date: '2026-11-30', spent: null, forecast: 2500 });
  expect(spentOverTime([], 2500, '2026-11-25', null)).toEqual([]);
});

test('whatever was paid when, few points tell it, the last of today the whole', () => {
  const day = fc
    .integer({ min: 0, max: 900 })
    .map((days) => new Date(Date.UTC(2024, 0, 1) + days * 86_400_000).toISOString().slice(0, 10));
  fc.assert(
    fc.property(fc.array(fc.tuple(day, fc.nat(10_000)), { minLength: 1 }), fc.nat(10_000), (made, more) => {
      const entries = made.map(([date, price]) => paid(date, price));
      const all = made.reduce((sum, [, price]) => sum + price, 0);
      const points = spentOverTime(entries, all + more, '2026-11-25', null);
      expect(points.length).toBeLessThanOrEqual(46);
      expect(points.find(({ date }) => date === '2026-11-25')?.spent).toBe(all);
      expect(points.at(-1)?.forecast).toBe(all + more);
    }),
  );
});
