import fc from 'fast-check';
import { emptyBook, type Book } from '../project';
import { packBook, unpackOwnBook } from '../io/packedBook';
import { readPrices, writePrices } from '../io';
import { fromInches } from '../units';
import { must, planCsv } from '../testing';

const HEAD = 'store,section,length,material,price,unusable,kind,width';

test('two pieces of 35 in do not come out of a picket of 72 in with 2 in of pointed top', () => {
  const parts = 'part,qty,section,length\nSlat,2,1x6,35';
  const boards = (unusable: string) =>
    planCsv({ parts, prices: `${HEAD}\nYard,1x6,72in,cedar,3,${unusable},,` }).layouts.reduce(
      (sum, { count }) => sum + count,
      0,
    );
  expect(boards('')).toBe(1);
  expect(boards('1 7/8in')).toBe(1);
  expect(boards('2in')).toBe(2);
});

test('a length of which some cannot be used is worth what one is that lacks it, boards, strips and sheets', () => {
  const piece = fc.record({ qty: fc.integer({ min: 1, max: 5 }), length: fc.integer({ min: 8, max: 40 }) });
  fc.assert(
    fc.property(
      fc.array(piece, { minLength: 1, maxLength: 4 }),
      fc.integer({ min: 1, max: 20 }),
      fc.constantFrom('1-1/2x5-1/2in', '1-1/2x1-1/2in', 'sheet'),
      (pieces, lost, section) => {
        const isSheet = section === 'sheet';
        const rows = pieces.map(({ qty, length }, index) =>
          isSheet
            ? `p${index},${qty},3/4in,${length},20,sheet`
            : `p${index},${qty},${section},${length},,board`,
        );
        const parts = ['part,qty,section,length,width,kind', ...rows].join('\n');
        const sold = (length: number, unusable: string) =>
          isSheet
            ? `Yard,3/4in,${length}in,ply,40,${unusable},sheet,48in`
            : `Yard,2x6,${length}in,stud,7,${unusable},,`;
        const settings = { tools: ['table-saw'] };
        const plan = (row: string) => planCsv({ parts, prices: `${HEAD}\n${row}`, settings });
        const whole = plan(sold(96, `${lost}in`));
        expect(whole.total).toBe(plan(sold(96 - lost, '')).total);
        for (const { pieces: cut } of whole.layouts)
          for (const { outline } of cut)
            expect(Math.max(...outline.map(([x]) => x))).toBeLessThanOrEqual(fromInches(96 - lost));
      },
    ),
    { numRuns: 40 },
  );
});

test('it goes through prices.csv and the stored book, and all of a length is refused', () => {
  const text = `${HEAD}\nYard,1x6,72in,cedar,3,2in,,`;
  const [row] = must(readPrices(text, 'prices.csv', 'in'));
  const price = { ...row!.price, id: 'a', storeId: 's' };
  expect(price.item.unusable).toEqual({ text: '2in', ticks: fromInches(2) });
  const store = {
    ...emptyBook().stores,
    s: { id: 's', name: 'Yard', currency: 'USD' },
  } as unknown as Book['stores'];
  const book: Book = { ...emptyBook(), prices: { a: price }, stores: store };
  expect(writePrices(book, 'USD', 'in')).toContain('2in');
  const kept = unpackOwnBook(
    packBook({ book, history: { past: [], future: [] } }, { tag: 't', parent: null }),
  );
  expect(kept.prices['a']?.item.unusable).toEqual(price.item.unusable);
  const refused = readPrices(`${HEAD}\nYard,1x6,72in,cedar,3,72in,,`, 'prices.csv', 'in');
  expect(refused.ok ? '' : refused.problems[0]?.sentence).toMatch(/all of its length/);
});
