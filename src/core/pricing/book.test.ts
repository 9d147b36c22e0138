import fc from 'fast-check';
import { daysBetween, MICROS, TICKS_PER_MM } from '../units';
import {
  emptyBook,
  emptyStore,
  measure,
  resolve,
  type Book,
  type Item,
  type Price,
  type PriceUnit,
} from '../project';
import { fromCsv } from '../testing';
import {
  allCompared,
  amountOf,
  convert,
  currentOffers,
  priceOutlier,
  dressedPrice,
  isStale,
  needsOf,
  offerAt,
  perPurchase,
  piecesByWeight,
  seriesOf,
  thinnable,
  trendOf,
  usualPieces,
  weigh,
  withDressed,
} from '.';

const board = (section: string, length: string, material = 'pine'): Item => ({
  kind: 'board',
  name: '',
  section,
  length: measure(length, 'in'),
  width: null,
  material,
});
const price = (id: string, fields: Partial<Price> = {}): Price => ({
  id,
  storeId: 's',
  item: board('2x4', "8'"),
  price: 4 * MICROS,
  unit: 'each',
  pack: 1,
  minQty: 1,
  available: null,
  date: null,
  source: 'file',
  note: '',
  ...fields,
});
const bookOf = (...prices: Price[]): Book => ({
  ...emptyBook(),
  stores: { s: emptyStore('s', 'Yard', 'USD'), t: emptyStore('t', 'Mill', 'USD') },
  prices: Object.fromEntries(prices.map((entry) => [entry.id, entry])),
});
const only = (book: Book) => {
  const [offer] = currentOffers(book);
  if (!offer) throw new Error('no offer');
  return offer;
};

describe('as sold and as compared', () => {
  test('board feet are on the nominal size of PS 20, cubic metres on the actual size', () => {
    // A board foot is 1 in x 12 in x 1 ft nominal: a 1x12 a foot long has one, a 2x6x12 twelve.
    expect(amountOf(board('1x12', '1ft'), 'bf')).toBe(1);
    expect(amountOf(board('2x6', '12ft'), 'bf')).toBe(12);
    expect(amountOf(board('4x4', '9ft'), 'bf')).toBe(12);
    // 1 m3 is 1e9 mm3; a 2x4 is 38.1 x 88.9 mm.
    expect(amountOf(board('2x4', '1m'), 'm3')).toBeCloseTo(38.1 * 88.9 * 1000 * 1e-9, 12);
    expect(amountOf(board('20x95mm', '4m'), 'm2')).toBeCloseTo(0.095 * 4, 12);
  });

  test('converting there and back loses nothing', () => {
    const units = fc.constantFrom<PriceUnit>('each', 'ft', 'm', 'bf', 'm3', 'sqft', 'm2');
    const sections = fc.constantFrom('1x2', '2x4', '5/4x6', '6x6', '30x90mm', '1-1/2x1-1/2in');
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e9 }),
        units,
        units,
        sections,
        fc.integer({ min: 100, max: 6000 }),
        (micros, from, to, section, mm) => {
          const item = { ...board(section, '1m'), length: { text: `${mm}mm`, ticks: mm * TICKS_PER_MM } };
          const there = convert(micros, item, from, to) ?? NaN;
          expect(Math.round(convert(there, item, to, from) ?? NaN)).toBe(micros);
          // As compared per piece is what one purchase costs, where a purchase is one piece.
          expect(Math.round(convert(micros, item, from, 'each') ?? NaN)).toBe(
            perPurchase({ item, price: micros, unit: from }),
          );
        },
      ),
    );
  });

  test('a board is told per piece, per foot and per board foot; in metric per metre and per cubic metre', () => {
    const offer = only(bookOf(price('a')));
    expect(allCompared(offer, 'in', 'USD')).toEqual(['$4.00 a piece', '$0.50 a foot', '$0.75 a board foot']);
    expect(allCompared(offer, 'mm', 'EUR').map((text) => text.replace(/^\D*[\d.]+ /, ''))).toEqual([
      'a piece',
      'a metre',
      'a cubic metre',
    ]);
  });

  test('a pack by weight brings pieces by the pound: 215 deck screws in 2 lb (common practice)', () => {
    const perPound = usualPieces('coated deck screws #8 x 2 1/2', 'lb') ?? NaN;
    expect(piecesByWeight({ amount: 2, unit: 'lb', pieces: perPound })).toBe(215);
    expect(usualPieces('deck screw 2 1/2 in', 'kg')).toBe(237);
    expect(usualPieces('finish nail 2 in', 'lb')).toBeNull();
    // Part of a piece holds nothing, and a pack is never empty.
    expect(piecesByWeight({ amount: 0.5, unit: 'kg', pieces: 3 })).toBe(1);
    expect(piecesByWeight({ amount: 0.1, unit: 'kg', pieces: 3 })).toBe(1);
  });
});

describe('rough wood', () => {
  const rough = (fields: Partial<Price> = {}) =>
    price('r', {
      item: { ...board('27x160mm', '3m', 'larch') },
      price: 700 * MICROS,
      unit: 'm3',
      rough: { planing: measure('5mm', 'mm'), waste: 0.25 },
      ...fields,
    });

  test('a needed board costs the rough thickness, its width with planing, and the waste', () => {
    const offer = only(bookOf(rough()));
    const wanted = { thickness: 20 * TICKS_PER_MM, width: 95 * TICKS_PER_MM };
    // 27 mm x 100 mm x 3 m at 700 a cubic metre, and a quarter more.
    expect(dressedPrice(offer, offer.tiers[0]?.unitPrice ?? 0, wanted)).toBe(
      Math.round(0.027 * 0.1 * 3 * 700 * 1.25 * MICROS),
    );
    expect(dressedPrice(offer, 1, { ...wanted, thickness: 23 * TICKS_PER_MM })).toBeNull();
    expect(dressedPrice(offer, 1, { ...wanted, width: 156 * TICKS_PER_MM })).toBeNull();
  });

  test('it is an offer for each thickness that the parts need, as wide as its straight edges leave it', () => {
    const { project, book } = fromCsv({
      parts:
        'part,qty,section,length,material\nSlat,4,20x95mm,800,larch\nPost,2,45x145mm,800,larch\nLath,2,20x45mm,500,pine',
      prices: 'store,section,length,material,price\nYard,20x95mm,4m,larch,9',
      unit: 'mm',
    });
    const { parts } = resolve(project);
    const all = withDressed(currentOffers(bookOf(rough())), parts);
    expect(all.map(({ item, waste }) => [item.section, waste])).toEqual([['20x155mm', 0.25]]);
    expect(all[0]?.name).toContain('from rough 27x160mm');
    expect(needsOf(parts, all).map(({ offers }) => offers.length)).toEqual([0, 0, 0]);
    expect(withDressed(currentOffers(book), parts)).toEqual(currentOffers(book));
  });
});

test('a planed board leads back to the rough wood that it is made from, whatever its section is called', () => {
  const { project } = fromCsv({
    parts: 'part,qty,section,length,material\nSlat,4,5/4x4,30,larch\nLath,2,1-1/2x1-1/2in,20,larch',
    prices: 'store,section,length,material,price\nYard,2x4,8ft,pine,4',
  });
  const item = { ...board('2x8', '8ft', 'larch'), name: 'clips / rough' };
  const book = bookOf(price('r', { item, rough: { planing: measure('0mm', 'mm'), waste: 0 } }));
  const planed = withDressed(currentOffers(book), resolve(project).parts);
  expect(planed.map(({ item: made }) => made.section)).toEqual(['1x7-1/4in', '1-1/2x7-1/4in']);
  for (const { key } of planed) expect(offerAt(book, key)).toBe(only(book));
});

describe('age, trend and history', () => {
  const seen = [
    price('1', { date: '2026-01-05', price: 3 * MICROS }),
    price('2', { date: '2026-01-20', price: 3.2 * MICROS }),
    price('3', { date: '2026-03-01', price: 4 * MICROS }),
    price('4', { date: '2026-03-20', price: 4 * MICROS }),
    price('ten', { date: '2026-02-01', price: 2 * MICROS, minQty: 10 }),
  ];

  test('days between, and when a price is old', () => {
    expect(daysBetween('2026-02-27', '2026-03-01')).toBe(2);
    expect(isStale('2026-01-01', '2026-03-02', 60)).toBe(false);
    expect(isStale('2026-01-01', '2026-03-03', 60)).toBe(true);
    expect(isStale(null, '2026-03-03', 60)).toBe(true);
  });

  test('the trend is against the last other price; the series has the tier that is shown', () => {
    const book = bookOf(...seen);
    expect(trendOf(only(book), book)).toEqual({ way: 'up', share: 0.25, since: '2026-01-20' });
    expect(seriesOf(only(book), book).map(({ unitPrice }) => unitPrice / MICROS)).toEqual([3, 3.2, 4, 4]);
    const one = bookOf(price('a', { date: '2026-01-01' }));
    expect(trendOf(only(one), one)).toBeNull();
  });

  test('thinning keeps what holds, one of each month, and all that is recent', () => {
    const book = bookOf(...seen);
    expect(thinnable(book, '2026-03-10')).toEqual(['1', '3']);
    expect(thinnable(book, '2026-01-01')).toEqual([]);
    const left = bookOf(...seen.filter(({ id }) => !thinnable(book, '2027-01-01').includes(id)));
    expect(only(left).tiers.map(({ price: { id } }) => id)).toEqual(['4', 'ten']);
    expect(only(left).tiers).toEqual(only(book).tiers);
  });
});

describe('a typed price that may have a slipped point', () => {
  const typed = (sum: number, item = board('2x4', "8'")) => ({
    price: sum * MICROS,
    unit: 'each' as const,
    item,
    pack: 1,
  });

  test('more than 40 % off the last one is asked about, and exactly 40 % is not', () => {
    const last = only(bookOf(price('a', { price: 5 * MICROS })));
    expect(priceOutlier(typed(7), last, [])).toBeNull();
    expect(priceOutlier(typed(3), last, [])).toBeNull();
    expect(priceOutlier(typed(50), last, [])).toEqual({ against: 'last', expected: 5 * MICROS });
    expect(priceOutlier(typed(0.5), last, [])?.expected).toBeCloseTo(5 * MICROS);
  });

  test('without a last one, the price per foot of its neighbours decides', () => {
    const offers = currentOffers(
      bookOf(
        price('10', { item: board('2x4', '10ft'), price: 5 * MICROS }),
        price('12', { item: board('2x4', '12ft'), price: 6 * MICROS, storeId: 't' }),
        price('6', { item: board('2x6', '8ft'), price: 90 * MICROS }),
      ),
    );
    expect(priceOutlier(typed(4.2), null, offers)).toBeNull();
    expect(priceOutlier(typed(42), null, offers)).toEqual({ against: 'neighbours', expected: 4 * MICROS });
    expect(priceOutlier(typed(42, board('1x2', '8ft')), null, offers)).toBeNull();
  });

  test('a price by the foot or by the pack is held against the piece', () => {
    const last = only(bookOf(price('a', { price: 4 * MICROS })));
    expect(priceOutlier({ ...typed(0.5), unit: 'ft' }, last, [])).toBeNull();
    expect(priceOutlier({ ...typed(5), unit: 'ft' }, last, [])?.expected).toBeCloseTo(0.5 * MICROS);
  });
});

describe('observations from outside', () => {
  const held = price('h', { date: '2026-05-01', source: 'service' });
  const meaning = (observation: Partial<Price>, against = held) =>
    weigh([price('o', observation)], bookOf(against))[0]?.meaning;

  test('newer and other is a change, older is history, the same day and other a conflict', () => {
    expect(meaning({ date: '2026-05-02', price: 5 * MICROS })).toBe('changed');
    expect(meaning({ date: '2026-05-02' })).toBe('same');
    expect(meaning({ date: '2026-05-02', available: 0 })).toBe('changed');
    expect(meaning({ date: '2026-04-02', price: 5 * MICROS })).toBe('history');
    expect(meaning({ date: '2026-05-01', price: 5 * MICROS })).toBe('conflict');
    expect(meaning({ date: '2026-05-01' })).toBe('same');
    expect(meaning({ item: board('2x6', '8ft'), date: '2026-05-01' })).toBe('new');
  });

  test('what a person typed is never changed unasked, and a row twice is once', () => {
    const typed: Price = { ...held, source: 'typed' };
    expect(meaning({ date: '2026-05-02', price: 5 * MICROS }, typed)).toBe('conflict');
    const twice = weigh(
      [
        price('x', { date: '2026-06-01', price: 9 * MICROS }),
        price('y', { date: '2026-06-01', price: 9 * MICROS }),
      ],
      bookOf(held),
    );
    expect(twice.map((change) => change.meaning)).toEqual(['changed', 'same']);
  });
});
