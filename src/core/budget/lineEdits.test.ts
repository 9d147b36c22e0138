import fc from 'fast-check';
import {
  keptMoney,
  keptPieces,
  purchaseMoney,
  receiptGap,
  type Purchase,
  type PurchaseLine,
} from '../project';
import { fromCsv } from '../testing';
import { hardwareItem, ledgerOf, paidFor, projectMoney, refundFor, shareLine, splitLine, takeBack } from '.';

const line = (price: number, tax: number, quantity = 4): PurchaseLine => ({
  item: hardwareItem('deck screws'),
  pack: 100,
  quantity,
  price,
  tax,
  category: 'hardware',
});
const bought = (...lines: PurchaseLine[]): Purchase => ({
  id: 'p',
  date: '2026-11-03',
  storeId: '',
  store: 'Fair',
  note: '',
  lines,
});
const cents = fc.integer({ min: 0, max: 1e7 });

test('a line that is split, or shared, adds up to what it was, to the cent', () => {
  fc.assert(
    fc.property(
      cents,
      cents,
      fc.nat(1000),
      fc.double({ min: 0.01, max: 0.99, noNaN: true }),
      (price, tax, share, part) => {
        const purchase = bought(line(price, tax));
        const off = Math.round(((price + tax) * share) / 1000);
        const split = splitLine(purchase, 0, { name: 'deck screws', quantity: 1, paid: off });
        expect(purchaseMoney(split)).toBe(price + tax);
        expect(split.lines.map(({ quantity }) => quantity)).toEqual([3, 1]);
        expect((split.lines[1]?.price ?? 0) + (split.lines[1]?.tax ?? 0)).toBe(off);
        const shared = shareLine(purchase, 0, { part, here: 'Shelter', there: 'Trellis', id: 'q' });
        expect(purchaseMoney(shared?.here ?? purchase) + purchaseMoney(shared?.there ?? purchase)).toBe(
          price + tax,
        );
        // The receipt is of the whole, and goes on agreeing with it.
        expect(
          receiptGap({ ...(shared?.here ?? purchase), receipt: { total: price + tax, tax: null } }),
        ).toEqual({ price: 0, tax: 0 });
      },
    ),
  );
});

test('what was taken back leaves the pieces and the money that were kept, and stands in the ledger by itself', () => {
  const { project, book } = fromCsv({
    parts: 'part,qty,section,length\nRail,1,2x4,40',
    prices: "store,section,length,material,price\nYard,2x4,8',stud,4",
  });
  const purchase = bought(line(4000, 280));
  const refund = refundFor(line(4000, 280), 1);
  const back = takeBack(purchase, 0, { id: 'r', date: '2026-11-09', quantity: 1, refund });
  const [kept] = back.lines;
  expect(kept && [keptPieces(kept), keptMoney(kept)]).toEqual([300, 3210]);
  const held = { ...project, purchases: [back] };
  const entries = ledgerOf(held);
  expect(entries.map((entry) => [entry.date, entry.kind, paidFor(entry)])).toEqual([
    ['2026-11-09', 'returned', -1070],
    ['2026-11-03', 'bought', 4280],
  ]);
  expect(projectMoney(held, book, null).spent).toBe(3210);
});

test('something split off under another name is a thing of its own', () => {
  const [rest, glue] = splitLine(bought(line(3000, 210, 1)), 0, {
    name: 'wood glue',
    quantity: 1,
    paid: 749,
  }).lines;
  expect(glue).toMatchObject({ item: { name: 'wood glue' }, pack: 1, quantity: 1, category: 'consumables' });
  expect(rest).toMatchObject({ quantity: 1, pack: 100 });
});
