import fc from 'fast-check';
import { faceOf, sidesOf } from './outline';
import { fromInches, fromMm } from '../units';
import { measure } from '../project';
import { planCsv, type Case } from '../testing';

const inches = (text: string) => measure(text, 'in');
const first = (given: Case) => {
  const plan = planCsv(given);
  const layout = (plan.rest ?? plan).layouts[0];
  if (!layout) throw new Error('nothing was planned');
  return { plan, layout };
};
const PRICES =
  "store,section,length,material,price,kind,width\nYard,2x4,8',stud,4,,\nYard,18mm,2440mm,ply,50,sheet,1220mm";

test('crosscuts stand at the right end of each piece, the offcut begins a kerf behind the last', () => {
  const { layout } = first({ parts: 'part,qty,section,length\na,2,2x4,30', prices: PRICES });
  expect(layout.cuts).toEqual([
    { kind: 'crosscut', at: fromInches(30) },
    { kind: 'crosscut', at: fromInches(60.125) },
  ]);
  expect(layout.offcuts).toEqual([
    { x: fromInches(60.25), y: 0, length: fromInches(35.75), width: fromInches(3.5) },
  ]);
});

test('a board used up to the last tick needs no last cut and leaves nothing', () => {
  const { layout } = first({ parts: 'part,qty,section,length\na,1,2x4,96', prices: PRICES });
  expect(layout.cuts).toEqual([]);
  expect(layout.offcuts).toEqual([]);
});

test('what is trimmed off the ends comes off first', () => {
  const { layout } = first({
    parts: 'part,qty,section,length\na,1,2x4,30',
    prices: PRICES,
    settings: { endTrim: inches('1/2') },
  });
  expect(layout.pieces[0]?.outline[0]).toEqual([fromInches(0.5), 0]);
  expect(layout.cuts[0]).toEqual({ kind: 'crosscut', at: fromInches(0.5) });
  expect(layout.cuts.at(-1)).toEqual({ kind: 'crosscut', at: fromInches(95.5) });
});

test('two halves of a board share what is missing: 47 15/16 in each (planner.md, rule 2)', () => {
  const { plan, layout } = first({
    parts: 'part,qty,section,length,short_ok\na,2,2x4,48,1/16',
    prices: PRICES,
  });
  expect(layout.cuts).toEqual([{ kind: 'crosscut', at: fromInches(47.9375) }]);
  expect(layout.pieces[1]?.outline[0]).toEqual([fromInches(48.0625), 0]);
  expect(plan.short).toEqual([
    { partId: expect.any(String), part: 'a', group: 'main', by: fromInches(0.0625), count: 2 },
  ]);
});

test('trapezoids nest, one turned over; a slanted kerf is wider along the board: kerf / cos A', () => {
  const { layout } = first({ parts: 'part,qty,section,length,ends\na,2,2x4,40,mitre 60', prices: PRICES });
  const [left, right] = layout.pieces.map(({ outline }) => outline);
  // The corners of the cut: where the first ends and the second begins, along both edges of the board.
  expect((right?.[0]?.[0] ?? 0) - (left?.[1]?.[0] ?? 0)).toBe(fromInches(0.25));
  expect((right?.[3]?.[0] ?? 0) - (left?.[2]?.[0] ?? 0)).toBe(fromInches(0.25));
});

test('a sheet is ripped into rows, a row crosscut, a low piece ripped to its width', () => {
  const { layout } = first({
    unit: 'mm',
    parts:
      'part,qty,section,length,width,kind,grain\nwide,1,18mm,1000,600,sheet,length\nlow,1,18mm,800,500,sheet,length',
    prices: PRICES,
    settings: { kerf: measure('3mm', 'mm') },
  });
  expect(layout.cuts).toEqual([
    { kind: 'rip', at: fromMm(600) },
    { kind: 'crosscut', at: fromMm(1000), on: 'strip 1' },
    { kind: 'crosscut', at: fromMm(1803), on: 'strip 1' },
    { kind: 'rip', at: fromMm(500), on: 'low' },
  ]);
  expect(layout.offcuts).toEqual([
    { x: 0, y: fromMm(603), length: fromMm(2440), width: fromMm(617) },
    { x: fromMm(1806), y: 0, length: fromMm(634), width: fromMm(600) },
    { x: fromMm(1003), y: fromMm(503), length: fromMm(800), width: fromMm(97) },
  ]);
});

test('like boards are counted, not repeated', () => {
  const { plan } = first({ parts: 'part,qty,section,length\na,6,2x4,40', prices: PRICES });
  expect(plan.layouts.map(({ count, pieces }) => [count, pieces.length])).toEqual([[3, 2]]);
});

test('a trapezoid holds its mean length of a board; a parallelogram is as long as its edge', () => {
  const { layout } = first({ parts: 'part,qty,section,length,ends\na,1,2x4,40,mitre 45', prices: PRICES });
  const outline = layout.pieces[0]?.outline ?? [];
  expect(faceOf(outline)).toBe(fromInches(36.5) * fromInches(3.5));
  expect(sidesOf(outline)).toEqual({ along: fromInches(40), across: fromInches(3.5) });
  const slanted = first({ parts: 'part,qty,section,length,ends\na,1,2x4,40,parallel 45', prices: PRICES });
  expect(sidesOf(slanted.layout.pieces[0]?.outline ?? []).along).toBe(fromInches(40));
});

test('different slants share a board: of their offsets only the largest is lost (planner.md, rule 3)', () => {
  const slanted = fc.record({
    shape: fc.constantFrom('mitre', 'parallel'),
    angle: fc.constantFrom(10, 22.5, 30, 45, 55),
    length: fc.integer({ min: 20, max: 60 }),
    qty: fc.integer({ min: 1, max: 3 }),
  });
  const square = fc.record({
    shape: fc.constant('square'),
    angle: fc.constant(0),
    length: fc.integer({ min: 3, max: 30 }),
    qty: fc.integer({ min: 1, max: 2 }),
  });
  fc.assert(
    fc.property(fc.array(fc.oneof(slanted, slanted, square), { minLength: 1, maxLength: 5 }), (pieces) => {
      const kerf = 0.125;
      const offset = (angle: number) => 3.5 * Math.tan((angle * Math.PI) / 180);
      // Mean lengths, kerfs over cos A, and one loss; the board is a hundredth of an inch longer, for rounding.
      const long = pieces.reduce(
        (sum, { shape, angle, length, qty }) =>
          sum +
          qty * (length - (shape === 'mitre' ? offset(angle) : 0) + kerf / Math.cos((angle * Math.PI) / 180)),
        Math.max(...pieces.map(({ angle }) => offset(angle))) - kerf + 0.01,
      );
      const rows = pieces.map(
        ({ shape, angle, length, qty }, index) =>
          `p${index},${qty},2x4,${length},${shape}${shape === 'square' ? '' : ` ${angle}`}`,
      );
      const { plan } = first({
        parts: ['part,qty,section,length,ends', ...rows].join('\n'),
        prices: `store,section,length,material,price\nYard,2x4,${long.toFixed(4)}in,stud,4`,
        settings: { kerf: inches('1/8') },
      });
      expect(plan.status).not.toBe('infeasible');
      expect(plan.layouts.reduce((sum, { count }) => sum + count, 0)).toBe(1);
    }),
    { numRuns: 150 },
  );
});
