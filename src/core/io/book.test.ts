import fc from 'fast-check';
import { MICROS } from '../units';
import { emptyBook, emptyStore, itemName, measure, type Book, type Item, type Price } from '../project';
import { bookFromJson } from '../project/json';
import { counter, must } from '../testing';
import {
  guessColumns,
  packColumns,
  previewPrices,
  readHead,
  readPrices,
  rowsForBook,
  unpackColumns,
  writePrices,
} from '.';

const word = fc.stringMatching(/^[a-zA-Z][a-zA-Z ,;"é-]{0,12}[a-z]$/);
const items: fc.Arbitrary<Item> = fc
  .oneof(
    fc.record({
      kind: fc.constant('board' as const),
      name: fc.oneof(fc.constant(''), word),
      section: fc.constantFrom('2x4', '1x6', '30x90mm', '5/4x6'),
      length: fc.constantFrom('8ft', '96in', '2440mm', '10ft').map((text) => measure(text, 'in')),
      width: fc.constant(null),
      material: word,
    }),
    fc.record({
      kind: fc.constant('sheet' as const),
      name: fc.oneof(fc.constant(''), word),
      section: fc.constantFrom('18mm', '3/4in'),
      length: fc.constantFrom('2440mm', '8ft').map((text) => measure(text, 'in')),
      width: fc.constantFrom('1220mm', '4ft').map((text) => measure(text, 'in')),
      material: word,
    }),
    fc.record({
      kind: fc.constant('hardware' as const),
      name: word,
      section: fc.constant(''),
      length: fc.constant(null),
      width: fc.constant(null),
      material: fc.constant(''),
    }),
  )
  .map((item) => ({
    ...item,
    name: (item.name || itemName(item)).replace(/\s+/g, ' ').trim(),
    material: item.material.replace(/\s+/g, ' ').trim(),
  }));

const prices = fc.record({
  item: items,
  price: fc.integer({ min: 0, max: 1e9 }),
  isByMeasure: fc.boolean(),
  pack: fc.constantFrom(1, 8, 100),
  minQty: fc.constantFrom(1, 10),
  available: fc.constantFrom(null, 0, 3),
  date: fc.constantFrom(null, '2026-01-31', '2025-12-01'),
  note: fc.constantFrom('', 'end caps, warped', 'on "sale"'),
  weight: fc.constantFrom(undefined, { amount: 2.5, unit: 'lb' as const, pieces: 107.5 }),
  rough: fc.constantFrom(undefined, { planing: measure('5mm', 'mm'), waste: 0.25 }),
  extra: fc.constantFrom(undefined, { bay: '12', 'shelf, side': 'left' }),
  source: fc.constantFrom<Price['source'][]>('typed', 'file', 'service', 'sample'),
});

/** Books of any prices, in two stores; the ids in the order in which they lie. */
const books: fc.Arbitrary<Book> = fc.array(prices, { maxLength: 12 }).map((rows) => {
  const stores = {
    a: { ...emptyStore('a', 'Harrow Lumber', 'USD'), trip: 420 },
    b: emptyStore('b', 'Weir; "Mill"', 'USD'),
  };
  const observations = rows.map(({ isByMeasure, weight, rough, extra, ...row }, index): Price => {
    const { kind } = row.item;
    const byMeasure = isByMeasure && kind !== 'hardware';
    return {
      ...row,
      id: `p${index}`,
      storeId: index % 2 === 0 ? 'a' : 'b',
      unit: byMeasure ? (kind === 'board' ? 'bf' : 'sqft') : kind === 'hardware' ? 'pack' : 'each',
      pack: byMeasure ? 1 : row.pack,
      ...(weight && kind === 'hardware' ? { weight } : {}),
      ...(rough && kind === 'board' ? { rough } : {}),
      ...(extra ? { extra } : {}),
    };
  });
  return { stores, prices: Object.fromEntries(observations.map((price) => [price.id, price])) };
});

/** What a file can hold of a price: all but ids and where it came from. Lengths by what they come to. */
const told = (book: Book) =>
  Object.values(book.prices).map(({ id: _, storeId, source: __, item, rough, ...price }) => ({
    ...price,
    ...(rough ? { rough: { ...rough, planing: rough.planing.ticks } } : {}),
    store: book.stores[storeId]?.name,
    item: { ...item, length: item.length?.ticks, width: item.width?.ticks },
  }));

const uniquely = (book: Book) => {
  const seen = new Set<string>();
  return {
    ...book,
    prices: Object.fromEntries(
      Object.entries(book.prices).filter(([, price]) => {
        const { item } = price;
        const key = JSON.stringify([
          price.storeId,
          item.kind,
          item.name.toLowerCase(),
          item.section,
          item.length?.ticks,
          item.width?.ticks,
          item.material.toLowerCase(),
          price.price,
          price.unit,
          price.pack,
          price.minQty,
          price.available,
          price.date,
        ]);
        return !seen.has(key) && !!seen.add(key);
      }),
    ),
  };
};

describe('a price book in files', () => {
  test('prices.csv taken into an empty book is the same book', () => {
    fc.assert(
      fc.property(books.map(uniquely), fc.constantFrom<'in' | 'mm'>('in', 'mm'), (book, unit) => {
        fc.pre(Object.keys(book.prices).length > 0);
        const rows = must(readPrices(writePrices(book, 'USD', unit), 'prices.csv', unit));
        const taken = rowsForBook(rows, emptyBook(), 'USD', counter());
        const read: Book = {
          stores: Object.fromEntries(taken.stores.map((store) => [store.id, store])),
          prices: Object.fromEntries(taken.prices.map((price) => [price.id, price])),
        };
        expect(told(read)).toEqual(told(book));
        // And taken into the book it came from, it adds nothing.
        expect(rowsForBook(rows, book, 'USD', counter()).prices).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });

  test('columns, deflated: the same book to the letter, stores and ids too', () => {
    fc.assert(
      fc.property(books, fc.string(), (book, beside) => {
        const { stores, prices: rows, ...rest } = unpackColumns(packColumns(book, { beside }));
        expect(bookFromJson({ stores, prices: rows })).toEqual(book);
        expect(rest.beside).toEqual({ beside });
      }),
      { numRuns: 60 },
    );
    expect(() => unpackColumns('bm90aGluZw==')).toThrow();
  });
});

describe('a sheet of prices, before it is taken', () => {
  const options = {
    file: 'sheet.csv',
    unit: 'in' as const,
    currency: 'USD',
    today: '2026-11-25',
    newId: counter(),
  };
  const held = () => {
    const rows = must(
      readPrices(
        'store,section,length,material,price,date\nYard,2x4,8ft,stud,3.98,2026-11-01\nYard,2x6,8ft,stud,6.10,2026-11-01',
        'p',
        'in',
      ),
    );
    const taken = rowsForBook(rows, emptyBook(), 'USD', counter());
    return {
      stores: Object.fromEntries(taken.stores.map((store) => [store.id, store])),
      prices: Object.fromEntries(
        taken.prices.map((price) => [price.id, { ...price, source: 'typed' as const }]),
      ),
    };
  };

  test('what is new, changed, in conflict, known and wrong, line by line', () => {
    const text =
      'store,section,length,material,price,date\n' +
      'Yard,2x4,8ft,stud,4.25,2026-11-01\n' + // conflict: the same day
      'yard,2x6,8ft,stud,6.10,2026-11-01\n' + // known
      'Yard,2x8,8ft,stud,8.00,2026-11-01\n' + // new
      'Yard,2x4,8 fathoms,stud,4,2026-11-01\n' + // wrong
      'Mill,2x4,8ft,stud,3.10,\n'; // new, in a new store, without date
    const preview = must(previewPrices(text, held(), options));
    expect(preview.rows.map(({ line, meaning }) => [line, meaning])).toEqual([
      [2, 'conflict'],
      [3, 'same'],
      [4, 'new'],
      [6, 'new'],
    ]);
    expect(preview.counts).toEqual({ new: 2, changed: 0, history: 0, conflict: 1, same: 1 });
    expect(preview.problems.map(({ place }) => place)).toEqual(['sheet.csv:5: length']);
    expect(preview.stores.map(({ name }) => name)).toEqual(['Mill']);
    expect(preview.rows[3]?.price.date).toBe('2026-11-25');
    expect(preview.rows[0]?.held?.price.price).toBe(3.98 * MICROS);
  });

  test('a sheet with headings of its own, decimal commas and currency signs is read by its columns', () => {
    const text =
      'Supplier;Timber species;Profile;Len;Unit Price;Seen on;Shelf\nMill;larch;45x145mm;4m;"21,40 €";2026-11-20;B2';
    const { headings, first } = readHead(text, 3);
    const columns = guessColumns(headings);
    expect(columns).toEqual({
      Supplier: 'store',
      'Timber species': 'material',
      Profile: 'section',
      Len: 'length',
      'Unit Price': 'price',
      'Seen on': 'date',
      Shelf: '',
    });
    expect(first).toHaveLength(1);
    const preview = must(
      previewPrices(text, emptyBook(), {
        ...options,
        unit: 'mm',
        currency: 'EUR',
        reading: { columns, store: '' },
      }),
    );
    expect(preview.problems).toEqual([]);
    expect(preview.rows[0]?.price.price).toBe(21.4 * MICROS);
    expect(preview.rows[0]?.price.extra).toEqual({ Shelf: 'B2' });
  });

  test('rows that name no store are of the store that is told', () => {
    const text = 'section,length,material,price\n2x4,8ft,stud,3.98';
    expect(previewPrices(text, emptyBook(), options).ok).toBe(false);
    const reading = {
      columns: guessColumns(['section', 'length', 'material', 'price']),
      store: 'Corner Mill',
    };
    expect(must(previewPrices(text, emptyBook(), { ...options, reading })).stores[0]?.name).toBe(
      'Corner Mill',
    );
  });
});
