import fc from 'fast-check';
import { MICROS } from '../units';
import { emptyBook, emptyProject, emptyStore, type Price } from '../project';
import { fromCsv } from '../testing';
import { ledgerOf } from '../budget';
import { detectSheet } from './detectSheet';
import { writeLedger } from './ledgerCsv';
import { writeParts } from './partsCsv';
import { writePrices } from './pricesCsv';

/** Our own files, with a name in them that could be of any of the three. */
const filesWith = (name: string): Record<string, string> => {
  const { project } = fromCsv({
    parts: `part,qty,section,length\nRail,2,2x4,30`,
    prices: "store,section,length,material,price\nYard,2x4,8',stud,4",
  });
  const item = { kind: 'hardware' as const, name, section: '', length: null, width: null, material: '' };
  const price: Price = {
    id: 'a',
    storeId: 's',
    item,
    price: MICROS,
    unit: 'pack',
    pack: 1,
    minQty: 1,
    available: null,
    date: '2026-11-20',
    source: 'typed',
    note: '',
  };
  const book = { ...emptyBook(), stores: { s: emptyStore('s', name, 'USD') }, prices: { a: price } };
  const line = { item, pack: 1, quantity: 1, price: 100, tax: 0, category: 'hardware' as const };
  const purchase = { id: 'p', date: '2026-11-20', storeId: 's', store: name, note: '', lines: [line] };
  return {
    parts: writeParts(project),
    prices: writePrices(book, 'USD', 'in'),
    ledger: writeLedger(
      ledgerOf({ ...emptyProject('x', name, 'in', 'USD'), purchases: [purchase] }),
      'USD',
      'in',
    ),
  };
};

test('a file that was written here is known for what it is, whatever stands in it', () => {
  const names = fc.oneof(
    fc.string({ minLength: 1, maxLength: 30 }),
    fc.constantFrom('part,qty', 'store;price', 'date,store,item,paid', '"', '=1+1'),
  );
  fc.assert(
    fc.property(names, (name) => {
      for (const [kind, text] of Object.entries(filesWith(name)))
        expect([kind, detectSheet(text)]).toEqual([kind, kind]);
    }),
  );
});

test('headings count in any order, case and separator, and behind a byte order mark', () => {
  expect(detectSheet('\uFEFFQty;Part;Length\n2;Rail;30')).toBe('parts');
  expect(detectSheet('Item;Paid;Store;Date\nglue;4;Fair;2026-11-02')).toBe('ledger');
  expect(detectSheet('date,store,item,price,tax\n')).toBe('ledger');
  expect(detectSheet('price,store,item,date\n4,Yard,glue,2026-11-02')).toBe('prices');
});

test('what is owned is known by a number and what it is of, with no price and no store', () => {
  for (const text of [
    'section,length,material,qty\n',
    'Qty;Item\n4;hinge',
    'kind,section,length,width,material,qty,item',
  ])
    expect(detectSheet(text)).toBe('owned');
  expect(detectSheet('qty,item,price\n4,hinge,2')).toBeNull();
});

test('what has other headings is nobody’s', () => {
  for (const text of ['', 'Rate,Yard,Board\n3,Yard,2x4', '{"format": "billet-project"}', 'part\nqty\n'])
    expect(detectSheet(text)).toBeNull();
});
