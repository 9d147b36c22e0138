import fc from 'fast-check';
import { hardwareItem, ledgerOf, paidFor, projectMoney, takeBack } from '../budget';
import { measure, type Item, type Project, type Purchase } from '../project';
import { counter, fromCsv, must } from '../testing';
import { readLedger, takeLedger, writeLedger } from '.';

const { project, book } = fromCsv({
  parts: 'part,qty,section,length\nRail,1,2x4,40',
  prices: "store,section,length,material,price\nYard,2x4,8',stud,4",
  stores: { Yard: { trip: 420 } },
});
const yard = Object.values(book.stores)[0];
const board: Item = {
  kind: 'board',
  name: '2x4x8 stud',
  section: '2x4',
  length: measure("8'", 'in'),
  width: null,
  material: 'stud',
};
const readIn = (text: string, into: Project = project) =>
  takeLedger(must(readLedger(text, 'ledger.csv', 'in', 'USD')), into, book, counter());

test('a ledger that was saved comes back as it was, returns and all; taken in twice it changes nothing', () => {
  const cents = fc.integer({ min: 1, max: 1e6 });
  const purchase = fc.record({
    date: fc.constantFrom('2026-10-30', '2026-11-02'),
    store: fc.constantFrom('Yard', 'The "old" mill; north'),
    lines: fc.array(fc.tuple(fc.boolean(), fc.integer({ min: 1, max: 9 }), cents, cents, fc.boolean()), {
      minLength: 1,
      maxLength: 4,
    }),
  });
  fc.assert(
    fc.property(fc.array(purchase, { minLength: 1, maxLength: 6 }), (made) => {
      const purchases = made.map(({ date, store, lines }, index): Purchase => {
        const bought: Purchase = {
          id: `p${index}`,
          date,
          storeId: store === 'Yard' ? (yard?.id ?? '') : '',
          store,
          note: '',
          lines: lines.map(([isBoard, quantity, price, tax]) => ({
            item: isBoard ? board : hardwareItem('hook, large'),
            pack: isBoard ? 1 : 10,
            quantity,
            price,
            tax,
            category: isBoard ? 'wood' : 'hardware',
          })),
        };
        const back = lines.findIndex(([, , , , isReturned]) => isReturned);
        return back < 0
          ? bought
          : takeBack(bought, back, { id: 'r', date: '2026-11-20', quantity: 1, refund: 7 });
      });
      const full = { ...project, purchases };
      const text = writeLedger(ledgerOf(full), 'USD', 'in');
      const taken = readIn(text);
      const again = { ...project, purchases: taken.purchases };
      expect(projectMoney(again, book, null).spent).toBe(projectMoney(full, book, null).spent);
      const told = (of: Project) =>
        ledgerOf(of)
          .map((entry) =>
            [
              entry.date,
              entry.store,
              entry.item,
              entry.quantity,
              entry.pack,
              paidFor(entry),
              entry.tax,
              entry.category,
            ].join(),
          )
          .sort();
      expect(told(again)).toEqual(told(full));
      const twice = readIn(text, again);
      expect([twice.added, twice.purchases]).toEqual([[], []]);
    }),
  );
});

test('lengths mean the same where bare numbers mean another unit', () => {
  const bare = { ...board, length: measure('96', 'in') };
  const purchase: Purchase = {
    id: 'p',
    date: '2026-11-02',
    storeId: '',
    store: 'Fair',
    note: '',
    lines: [{ item: bare, pack: 1, quantity: 2, price: 800, tax: 0, category: 'wood' }],
  };
  const text = writeLedger(ledgerOf({ ...project, purchases: [purchase] }), 'USD', 'in');
  const rows = must(readLedger(text, 'ledger.csv', 'mm', 'USD'));
  expect(rows.map(({ item }) => item.length?.ticks)).toEqual([bare.length.ticks]);
});

test('a plain list of date, store, item and what was paid is enough; tax is told apart by the rate', () => {
  const taxed = { ...project, settings: { ...project.settings, tax: 0.07 } };
  const { purchases } = readIn(
    'Date;Store;Item;Paid\n2026-11-02;Fair;wood glue;10,70\n2026-11-02;Fair;saw blade;20',
    taxed,
  );
  expect(purchases).toHaveLength(1);
  expect(purchases[0]?.lines.map(({ price, tax, category }) => [price, tax, category])).toEqual([
    [1000, 70, 'consumables'],
    [1869, 131, 'tools'],
  ]);
});

test('every fault is told at once, with its line, and nothing is taken', () => {
  const read = readLedger(
    'date,store,item,price,tax,paid,category,qty\n2 Nov,Fair,glue,1,0,1,wood,1\n2026-11-02,,glue,1,0.07,2,nails,0\n2026-11-02,Fair,glue,,,,,',
    'ledger.csv',
    'in',
    'USD',
  );
  expect(
    read.ok ? [] : read.problems.map(({ place, sentence }) => `${place}: ${sentence.slice(0, 24)}`),
  ).toEqual([
    'ledger.csv:2: date: "2 Nov" is not a date; w',
    'ledger.csv:3: store: the store is missing; an',
    'ledger.csv:3: paid: 2 is not the sum of pric',
    'ledger.csv:3: qty: "0" is not a count; writ',
    'ledger.csv:3: category: "nails" is not known; wr',
    'ledger.csv:4: paid: what was paid is missing',
  ]);
});

test('what cannot be taken says why, and the rest is taken', () => {
  const { added, passed } = readIn(
    'date,store,item,qty,paid,row\n2026-11-02,Fair,hook,-1,-3,returned\n2026-11-02,Yard,trip and shipping,1,4.20,trip\n2026-11-02,Fair,glue,1,3,',
  );
  expect(added.map(({ line }) => line)).toEqual([4]);
  expect(passed.map(({ row, sentence }) => [row.line, sentence])).toEqual([
    [2, 'No hook was bought at Fair that could be taken back.'],
    [3, 'Billet reckons trips and shipping from the price book.'],
  ]);
});
