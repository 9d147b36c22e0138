import fc from 'fast-check';
import { writeJournal, writeLedger } from '../io';
import { planInput } from '../plan';
import { firstPlan } from '../plan/planner';
import {
  apply,
  applyToBook,
  withRecordedCharges,
  type Book,
  type BookCommand,
  type Project,
  type Purchase,
  type PurchaseLine,
} from '../project';
import { fromCsv } from '../testing';
import {
  byCategory,
  categoryOf,
  chargesFor,
  ledgerOf,
  paidFor,
  projectMoney,
  searchLedger,
  totalsBy,
  GROUPINGS,
} from '.';

const given = fromCsv({
  parts: 'part,qty,kind,section,length,item\nRail,4,,2x4,40,\nHook,6,hardware,,,hook',
  prices: 'store,kind,section,length,material,price,item\nYard,,2x4,8ft,stud,4,\nPost,hardware,,,,1,hook',
  stores: { Yard: { trip: 420 }, Post: { shipping: { fee: 895, freeFrom: 4900 } } },
});
const [yard, post] = ['Yard', 'Post'].map((name) =>
  Object.values(given.book.stores).find((store) => store.name === name),
);
const lineOf = (name: string, price: number, tax: number, quantity = 1): PurchaseLine => ({
  item: { kind: 'hardware', name, section: '', length: null, width: null, material: '' },
  pack: 1,
  quantity,
  price,
  tax,
  category: categoryOf({ kind: 'hardware', name }),
});
const bought = (id: string, date: string, store: typeof yard, lines: PurchaseLine[]): Purchase => ({
  id,
  date,
  storeId: store?.id ?? '',
  store: store?.name ?? 'elsewhere',
  lines,
  note: '',
});
const withPurchases = (purchases: Purchase[]): Project => ({ ...given.project, purchases });

test('sums are exact to the cent under any order of entry, against a plain big-integer sum', () => {
  const cents = fc.integer({ min: 0, max: 2 ** 40 });
  const purchase = fc.record({
    date: fc.constantFrom('2026-10-30', '2026-11-02', '2026-11-20'),
    store: fc.constantFrom(yard, post, undefined),
    lines: fc.array(
      fc.tuple(
        fc.constantFrom('hook', 'wood stain', 'blade'),
        cents,
        cents,
        fc.option(fc.tuple(cents, cents)),
      ),
      { minLength: 1, maxLength: 4 },
    ),
    receipt: fc.option(fc.record({ total: cents, tax: fc.option(cents) })),
  });
  fc.assert(
    fc.property(fc.array(purchase, { maxLength: 12 }), fc.infiniteStream(fc.nat()), (made, random) => {
      const purchases = made.map(({ date, store, lines, receipt }, index): Purchase => ({
        ...bought(
          `p${index}`,
          date,
          store,
          lines.map(([name, price, tax, back]) => ({
            ...lineOf(name, price, tax),
            ...(back ? { returned: [{ id: 'r', date, quantity: 1, price: back[0], tax: back[1] }] } : {}),
          })),
        ),
        ...(receipt ? { receipt } : {}),
      }));
      const shuffled = [...purchases]
        .map((one) => ({ one, at: random.next().value }))
        .sort((a, b) => a.at - b.at)
        .map(({ one }) => one);
      // A receipt says what was paid; what was taken back came back.
      const plain = purchases.reduce((sum, { lines, receipt }) => {
        const paid = receipt
          ? BigInt(receipt.total)
          : lines.reduce((s, { price, tax }) => s + BigInt(price) + BigInt(tax), 0n);
        return (
          sum +
          lines
            .flatMap(({ returned = [] }) => returned)
            .reduce((s, { price, tax }) => s - BigInt(price) - BigInt(tax), paid)
        );
      }, 0n);
      for (const order of [purchases, shuffled]) {
        const project = withPurchases(order);
        const ledger = ledgerOf(project);
        const lines = ledger.filter(({ kind }) => kind !== 'trip');
        expect(BigInt(lines.reduce((sum, entry) => sum + paidFor(entry), 0))).toBe(plain);
        const all = ledger.reduce((sum, entry) => sum + paidFor(entry), 0);
        expect(all).toBe(projectMoney(project, given.book, null).spent);
        for (const grouping of GROUPINGS)
          expect(totalsBy(ledger, grouping).reduce((sum, { paid }) => sum + paid, 0)).toBe(all);
      }
    }),
  );
});

test('the trip and the shipping that purchases were recorded with are lines of the ledger', () => {
  const project = withRecordedCharges(
    withPurchases([
      bought('a', '2026-11-02', yard, [lineOf('hook', 300, 21)]),
      bought('b', '2026-11-09', yard, [lineOf('wood stain', 1000, 70)]),
      bought('c', '2026-11-05', post, [lineOf('blade', 900, 0)]),
    ]),
    given.book.stores,
  );
  const trips = ledgerOf(project).filter(({ category }) => category === 'trips');
  expect(trips.map(({ store, date, price, purchaseId }) => [store, date, price, purchaseId])).toEqual([
    ['Post', '2026-11-05', 895, 'c'],
    ['Yard', '2026-11-02', 420, 'a'],
  ]);
});

test('what was spent is a record: no later change of the price book moves it', () => {
  const change = fc.record({
    what: fc.constantFrom('trip', 'shipping', 'price', 'removeStore', 'tax'),
    store: fc.constantFrom(yard, post),
    sum: fc.nat(5000),
  });
  fc.assert(
    fc.property(fc.array(change, { minLength: 1, maxLength: 6 }), fc.nat(2), (changes, more) => {
      const lines = Array.from({ length: more + 1 }, (_, index) => lineOf(`hook ${index}`, 300, 21));
      const record = (store: typeof yard, id: string, project: Project): Project => {
        const purchase = bought(id, '2026-11-02', store, lines);
        const charges = chargesFor(project, given.book, firstPlan(planInput(project, given.book)), purchase);
        return apply(project, { type: 'recordPurchase', purchase, charges }, 0)?.document ?? project;
      };
      const project = record(post, 'b', record(yard, 'a', withPurchases([])));
      const { spent } = projectMoney(project, given.book, null);
      let book: Book = given.book;
      const put = (command: BookCommand) => {
        book = applyToBook(book, command, 0)?.document ?? book;
      };
      for (const { what, store: at, sum } of changes) {
        const store = at?.id ?? '';
        const [price] = Object.values(book.prices).filter(({ storeId }) => storeId === store);
        if (what === 'trip') put({ type: 'editStore', storeId: store, fields: { trip: sum } });
        if (what === 'shipping')
          put({ type: 'editStore', storeId: store, fields: { shipping: { fee: sum, freeFrom: sum } } });
        if (what === 'tax')
          put({ type: 'editStore', storeId: store, fields: { taxRate: 0.2, discount: 0.1 } });
        if (what === 'price' && price)
          put({ type: 'putPrices', prices: [{ ...price, price: sum * 10_000 }] });
        if (what === 'removeStore') put({ type: 'removeStore', storeId: store });
      }
      const plan = firstPlan(planInput(project, book));
      expect(projectMoney(project, book, plan).spent).toBe(spent);
      expect(ledgerOf(project).reduce((sum, entry) => sum + paidFor(entry), 0)).toBe(spent);
    }),
  );
});

test('a purchase that goes leaves its trip with another of the same store', () => {
  const project = withRecordedCharges(
    withPurchases([
      bought('a', '2026-11-02', yard, [lineOf('hook', 300, 21)]),
      bought('b', '2026-11-09', yard, [lineOf('wood stain', 1000, 70)]),
    ]),
    given.book.stores,
  );
  const without = (id: string) =>
    apply(project, { type: 'removePurchase', purchaseId: id }, 0)?.document.purchases.map(({ trip }) => trip);
  expect(without('a')).toEqual([420]);
  expect(without('b')).toEqual([420]);
});

test('by category: spent and to buy add up to the money of the project, a finish told by its name', () => {
  const project = withPurchases([bought('b', '2026-11-09', yard, [lineOf('wood stain', 1000, 70)])]);
  const plan = firstPlan(planInput(project, given.book));
  const money = projectMoney(project, given.book, plan);
  const rows = byCategory(ledgerOf(project), plan);
  expect(rows.reduce((sum, { spent }) => sum + spent, 0)).toBe(money.spent);
  expect(rows.reduce((sum, { toBuy }) => sum + toBuy, 0)).toBe(money.toBuy);
  expect(rows.find(({ category }) => category === 'finish')?.spent).toBe(1070);
});

test('a search takes all its words, in any order', () => {
  const project = withPurchases([
    bought('a', '2026-11-02', yard, [lineOf('hook', 300, 21), lineOf('wood stain', 1000, 70)]),
  ]);
  const found = (words: string) => searchLedger(ledgerOf(project), words).map(({ item }) => item);
  expect(found('yard STAIN')).toEqual(['wood stain']);
  expect(found('2026-11 hook')).toEqual(['hook']);
  expect(found('nothing')).toEqual([]);
});

test('as CSV with quotes where they are needed, and as a journal whose every transaction balances', () => {
  const project = withPurchases([
    bought('a', '2026-11-02', yard, [
      lineOf('hook, 1" "strong"', 300, 21),
      lineOf('blade: fine; thin', 5, 0),
    ]),
    bought('b', '2026-10-01', yard, [lineOf('wood stain', 1000, 70)]),
  ]);
  const ledger = ledgerOf(project);
  const csv = writeLedger(ledger, 'USD', 'in');
  expect(csv).toContain('2026-11-02,Yard,"hook, 1"" ""strong""",1,1,3.00,0.21,3.21,hardware,');
  expect(csv.split('\r\n')[1]).toMatch(/^2026-10-01/);
  const journal = writeJournal(ledger, 'USD', 'Bike: shelter');
  for (const transaction of journal.trim().split('\n\n')) {
    const [head, ...postings] = transaction.split('\n');
    expect(head).toMatch(/^\d{4}-\d\d-\d\d \S/);
    const sums = postings.map((posting) => {
      const [, account = '', sum = ''] = /^ {4}(\S.*?) {2,}USD (-?\d+\.\d\d)/.exec(posting) ?? [];
      expect(account).toMatch(/^(Expenses:Bike shelter:\w+|Assets:Cash)$/);
      return Math.round(Number(sum) * 100);
    });
    expect(sums.reduce((a, b) => a + b, 0)).toBe(0);
  }
  expect(journal).toContain('; 1 x blade fine thin');
});

test('a journal reads as meant, whatever things, stores and the project are called', () => {
  const name = fc.string({
    minLength: 1,
    maxLength: 30,
    unit: fc.constantFrom(...' \t\n*!();:"@[]{}=|#%2026-x'),
  });
  fc.assert(
    fc.property(
      fc.array(fc.tuple(name, name, fc.integer({ min: 1, max: 99999 })), { minLength: 1, maxLength: 5 }),
      name,
      (rows, title) => {
        const project = {
          ...given.project,
          purchases: rows.map(([store, item, price], index): Purchase => ({
            ...bought(`p${index}`, '2026-11-02', yard, [lineOf(item, price, 0)]),
            storeId: '',
            store,
          })),
        };
        const ledger = ledgerOf(project);
        const journal = writeJournal(ledger, 'USD', title);
        const spent = journal.split('\n').reduce((sum, line) => {
          if (line === '') return sum;
          // A payee: a date, a blank, and no flag or code after it.
          if (!line.startsWith(' ')) expect(line).toMatch(/^\d{4}-\d\d-\d\d [^*!( ]/);
          const [, account = '', amount = ''] =
            /^ {4}([^;\t]+?)(?: {2,}|\t)USD (-?\d+\.\d\d)(?: {2}; .*)?$/.exec(line) ?? [];
          expect(account).toMatch(line.startsWith(' ') ? /^(Expenses:[^:]+:\w+|Assets:Cash)$/ : /^$/);
          return account.startsWith('Expenses') ? sum + Math.round(Number(amount) * 100) : sum;
        }, 0);
        expect(spent).toBe(ledger.reduce((sum, entry) => sum + paidFor(entry), 0));
      },
    ),
  );
});
