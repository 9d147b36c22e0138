import fc from 'fast-check';
import { defaultSettings, emptyStore, type Purchase, type PurchaseLine, type Store } from '@/core/project';
import { must } from '@/core/testing';
import { writeMoney } from '@/core/units';
import {
  draftOfPurchase,
  proposedSum,
  readPurchase,
  type PurchaseAt,
  type PurchaseContext,
  type PurchaseDraft,
} from './purchaseDraft';

const yard: Store = { ...emptyStore('yard', 'Yard', 'USD'), taxRate: 0.1 };
const fair: Store = { ...emptyStore('fair', 'Saturday Fair', 'USD'), taxFree: true };

const purchaseOf = (fields: Partial<PurchaseLine> = {}, more: Partial<Purchase> = {}): Purchase => ({
  id: 'p',
  date: '2026-11-20',
  storeId: 'yard',
  store: 'Yard',
  note: '',
  lines: [
    {
      item: { kind: 'hardware', name: 'deck screws', section: '', length: null, width: null, material: '' },
      pack: 1,
      quantity: 2,
      price: 1000,
      tax: 100,
      category: 'hardware',
      ...fields,
    },
  ],
  ...more,
});

const contextOf = (
  purchase: Purchase,
  fields: Partial<PurchaseAt> = {},
  isPlanned = false,
): PurchaseContext => ({
  at: { purchase, line: 0, isNew: false, ...fields },
  isPlanned,
  stores: [yard, fair],
  settings: defaultSettings('in'),
  currency: 'USD',
});

const read = (context: PurchaseContext, fields: Partial<PurchaseDraft> = {}) =>
  readPurchase({ ...draftOfPurchase(context.at, context.isPlanned, 'USD'), ...fields }, context);

const places = (context: PurchaseContext, fields: Partial<PurchaseDraft>): string[] => {
  const result = read(context, fields);
  return result.ok ? [] : result.problems.map(({ place }) => place);
};

const lines = fc.record({
  quantity: fc.integer({ min: 1, max: 50 }),
  price: fc.nat(1_000_000),
  tax: fc.nat(100_000),
});

test('a purchase that is opened and saved untouched is what it was, to the cent', () => {
  fc.assert(
    fc.property(lines, (fields) => {
      const purchase = purchaseOf(fields);
      expect(must(read(contextOf(purchase)))).toEqual(purchase);
    }),
  );
});

test('price and tax of what is written are what was paid, however it was told', () => {
  fc.assert(
    fc.property(
      lines,
      fc.nat(1_000_000),
      fc.option(fc.double({ min: 0, max: 1, noNaN: true })),
      (fields, paid, share) => {
        const purchase = purchaseOf(fields);
        const tax = share === null ? '' : writeMoney(Math.round(paid * share), 'USD');
        const [line] = must(read(contextOf(purchase), { paid: writeMoney(paid, 'USD'), tax })).lines;
        expect((line?.price ?? 0) + (line?.tax ?? 0)).toBe(paid);
        expect(line?.tax).toBeGreaterThanOrEqual(0);
      },
    ),
  );
});

test('until a sum is typed it follows the quantity, in proportion', () => {
  fc.assert(
    fc.property(lines, fc.integer({ min: 1, max: 9 }), (fields, times) => {
      const line = purchaseOf(fields).lines[0] as PurchaseLine;
      expect(proposedSum(line, String(line.quantity * times))).toBe((line.price + line.tax) * times);
      expect(proposedSum(line, 'some')).toBe(line.price + line.tax);
    }),
  );
});

test('the tax follows the rate of the store that is named; a market stall has none', () => {
  const context = contextOf(purchaseOf({ quantity: 1, price: 0, tax: 0 }, { storeId: '', store: '' }), {
    isNew: true,
  });
  const at = (store: string) => must(read(context, { item: 'oil', store, paid: '11' }));
  expect(at('yard').lines[0]).toMatchObject({ price: 1000, tax: 100 });
  expect(at('yard')).toMatchObject({ storeId: 'yard', store: 'Yard' });
  expect(at('Saturday Fair').lines[0]).toMatchObject({ price: 1100, tax: 0 });
  expect(at(' a neighbour ')).toMatchObject({ storeId: '', store: 'a neighbour' });
});

test('of what was planned, thing, store and tax are not asked; its share of a lot follows what was paid', () => {
  const shared = purchaseOf({ share: { with: 'other', part: 0.5, whole: 2200 } });
  const planned = contextOf(shared, {}, true);
  expect(must(read(planned, { tax: 'nonsense' }))).toEqual(shared);
  const [line] = must(read(planned, { paid: '12' })).lines;
  expect(line?.share?.whole).toBe(2200 - 1100 + 1200);
});

test('what is wrong is told at its field, and nothing is written', () => {
  const context = contextOf(purchaseOf());
  expect(places(context, { item: ' ', store: '' })).toEqual(['item', 'store']);
  expect(places(context, { paid: '', quantity: 'x', date: '2026-02-30' })).toEqual([
    'paid',
    'quantity',
    'date',
  ]);
  expect(places(context, { tax: 'much' })).toEqual(['tax']);
  expect(places(context, { paid: '5', tax: '6' })).toEqual(['tax']);
  expect(places({ ...context, at: { ...context.at, line: 4 } }, { item: 'x', paid: '1' })).toEqual([]);
  expect(read({ ...context, at: { ...context.at, line: 4 } }, { item: 'x', paid: '1' }).ok).toBe(false);
});
