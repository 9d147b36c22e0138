import fc from 'fast-check';
import { fromInches } from '../units';
import { SQUARE } from '../lumber';
import { areaOf, edgeOf, flatten, shapeOf, type Operation, type Shape } from '.';
import { distanceToLine, doCross } from './geometry';
import { turnedEndForEnd as turn } from '../cutting/model';
import { headToTail } from './headToTail';
import { CORNERS, EDGES, placesOf, type OperationKind } from './types';

const inches = fromInches;
const board = (length: number, width: number) => ({
  length: inches(length),
  width: inches(width),
  ends: SQUARE,
});
const op = (
  kind: OperationKind,
  place: Operation['place'],
  measures: Partial<Record<'along' | 'across' | 'from', number>> = {},
): Operation => ({
  kind,
  place,
  along: inches(measures.along ?? 0),
  across: inches(measures.across ?? 0),
  from: inches(measures.from ?? 0),
});
const shaped = (blank: ReturnType<typeof board>, ...operations: Operation[]): Shape => {
  const made = shapeOf(blank, operations, 'in');
  if (!made.ok) throw new Error(made.problems[0]?.sentence);
  return made.value;
};
const square = (value: number): number => value / inches(1) ** 2;
const faultOf = (blank: ReturnType<typeof board>, ...operations: Operation[]): string | undefined => {
  const made = shapeOf(blank, operations, 'in');
  return made.ok ? undefined : made.problems[0]?.sentence;
};

describe('areas and edges, by geometry', () => {
  const blank = board(20, 6);
  test.each<[string, Operation[], area: number, edge: number]>([
    ['as it is', [], 120, 52],
    ['a clipped corner', [op('clip', 'top right', { along: 3, across: 4 })], 120 - 6, 52 - 7 + 5],
    ['a notch at a corner', [op('notch', 'bottom left', { along: 2, across: 3 })], 114, 52],
    ['a notch in an edge', [op('notch', 'top', { along: 2, across: 1, from: 8 })], 118, 54],
    ['a notch in an end', [op('notch', 'right', { along: 2, across: 1, from: 2 })], 118, 56],
    ['a taper', [op('taper', 'top right', { from: 8, across: 1 })], 120 - 30, 8 + 20 + 6 + 1 + 13],
    ['a round corner', [op('round', 'top left', { along: 2 })], 120 - 4 + Math.PI, 52 - 4 + Math.PI],
    ['a hole', [op('hole', 'inside', { along: 2, from: 5, across: 3 })], 120 - Math.PI, 52 + 2 * Math.PI],
    // Half a circle of 6 in across: the edge is its half turn.
    ['a hollow end', [op('curve', 'right', { across: 3 })], 120 - 4.5 * Math.PI, 46 + 3 * Math.PI],
    ['a right triangle', [op('clip', 'top right', { along: 20, across: 6 })], 60, 26 + Math.hypot(20, 6)],
  ])('%s', (_, operations, area, edge) => {
    const made = shaped(blank, ...operations);
    expect(square(areaOf(made))).toBeCloseTo(area, 2);
    expect(edgeOf(made) / inches(1)).toBeCloseTo(edge, 2);
  });

  test('slanted ends are part of the outline', () => {
    const mitred = { ...blank, ends: { shape: 'mitre', angle: 45, across: 'face' } as const };
    const made = shapeOf(mitred, [op('hole', 'inside', { along: 1, from: 10, across: 3 })], 'in');
    expect(made.ok && square(areaOf(made.value))).toBeCloseTo(120 - 36 - Math.PI / 4, 2);
  });
});

test.each<[string, Operation[]]>([
  ['reaches past the next corner', [op('clip', 'top right', { along: 21, across: 2 })]],
  [
    'is cut already',
    [op('clip', 'top left', { along: 1, across: 1 }), op('round', 'top left', { along: 1 })],
  ],
  ['stays full for', [op('taper', 'top right', { from: 20, across: 1 })]],
  ['a taper goes to less', [op('taper', 'top right', { from: 2, across: 6 })]],
  ['needs both measures', [op('notch', 'top left', { along: 1 })]],
  ['reaches past', [op('round', 'top left', { along: 7 })]],
  ['at most 10" deep', [op('curve', 'bottom', { across: 11 })]],
  ['not straight and free', [op('notch', 'top', { along: 4, across: 1, from: 18 })]],
  ['wider or longer', [op('notch', 'top', { along: 2, across: 7, from: 5 })]],
  [
    'meets another',
    [
      op('hole', 'inside', { along: 2, from: 5, across: 3 }),
      op('hole', 'inside', { along: 2, from: 6, across: 3 }),
    ],
  ],
  [
    'meets itself',
    [
      op('notch', 'top', { along: 2, across: 4, from: 5 }),
      op('notch', 'bottom', { along: 2, across: 4, from: 5 }),
    ],
  ],
  [
    'does not lie inside',
    [op('hole', 'inside', { along: 2, from: 1, across: 3 })].map((one) => ({ ...one, from: inches(0.5) })),
  ],
])('what cannot be cut says so: %s', (sentence, operations) => {
  expect(faultOf(board(20, 6), ...operations)).toContain(sentence);
});

/** Any operations, many of which fit. */
const operations = (length: number, width: number) =>
  fc.array(
    fc.constantFrom<OperationKind>('clip', 'taper', 'notch', 'round', 'curve', 'hole').chain((kind) =>
      fc.record({
        kind: fc.constant(kind),
        place: fc.constantFrom(...placesOf(kind)),
        along: fc.integer({ min: 0, max: length }),
        across: fc.integer({ min: 0, max: width }),
        from: fc.integer({ min: 0, max: length }),
      }),
    ),
    { maxLength: 4 },
  );
const sized = fc
  .record({ length: fc.integer({ min: 3000, max: 900_000 }), width: fc.integer({ min: 3000, max: 120_000 }) })
  .chain((size) => fc.record({ size: fc.constant(size), steps: operations(size.length, size.width) }));

describe('laws', () => {
  test('no shape leaves its board, and it is no more than its rectangle', () => {
    let made = 0;
    fc.assert(
      fc.property(sized, ({ size, steps }) => {
        const shape = shapeOf({ ...size, ends: SQUARE }, steps, 'mm');
        if (!shape.ok) return;
        made++;
        const area = areaOf(shape.value);
        expect(area).toBeGreaterThan(0);
        expect(area).toBeLessThanOrEqual(size.length * size.width + 1);
        for (const [x, y] of flatten(shape.value.outline)) {
          expect(x).toBeGreaterThanOrEqual(-2);
          expect(y).toBeGreaterThanOrEqual(-2);
          expect(x).toBeLessThanOrEqual(size.length + 2);
          expect(y).toBeLessThanOrEqual(size.width + 2);
        }
      }),
      { numRuns: 400 },
    );
    expect(made).toBeGreaterThan(50);
  });

  test('turned twice it is the same, and two head to tail are never longer than two', () => {
    fc.assert(
      fc.property(sized, fc.integer({ min: 0, max: 2000 }), ({ size, steps }, kerf) => {
        const shape = shapeOf({ ...size, ends: SQUARE }, steps, 'mm');
        if (!shape.ok) return;
        const points = flatten(shape.value.outline);
        expect(turn(turn(points, size.length, size.width), size.length, size.width)).toEqual(points);
        const pair = headToTail(points, size.length, size.width, kerf);
        if (pair) expect(pair.length).toBeLessThan(2 * size.length + kerf);
        if (pair) expect(pair.length).toBeGreaterThanOrEqual(size.length);
      }),
      { numRuns: 300 },
    );
  });
});

describe('head to tail', () => {
  const kerf = inches(1 / 8);

  test('right triangles from a strip as wide need half the length of single ones and a kerf over the sine', () => {
    fc.assert(
      fc.property(fc.integer({ min: 4, max: 60 }), fc.integer({ min: 2, max: 12 }), (a, b) => {
        const outline = flatten(
          shaped(board(a, b), op('clip', 'top right', { along: a, across: b })).outline,
        );
        const pair = headToTail(outline, inches(a), inches(b), kerf);
        const wanted = inches(a) + kerf / Math.sin(Math.atan2(b, a));
        if (wanted >= inches(2 * a) + kerf) return;
        expect(Math.abs((pair?.length ?? 0) - wanted)).toBeLessThan(4);
      }),
    );
  });

  test('two braces that stay full for 5 in and taper from 5 1/2 to 1 1/2 share a board', () => {
    const outline = flatten(
      shaped(board(25, 5.5), op('taper', 'top right', { from: 5, across: 1.5 })).outline,
    );
    const pair = headToTail(outline, inches(25), inches(5.5), kerf);
    // By hand: the slopes meet where the widths of both come to 5 1/2 with a kerf between: 37 1/2 and a kerf along.
    expect((pair?.length ?? 0) / inches(1)).toBeGreaterThan(37.5);
    expect((pair?.length ?? 0) / inches(1)).toBeLessThan(38.3);
    const other = flatten(shaped(board(25, 5.5), op('taper', 'top left', { from: 5, across: 1.5 })).outline);
    expect(headToTail(other, inches(25), inches(5.5), kerf)?.length).toBe(pair?.length);
  });

  test('law: the second lies a kerf away, and no nearer place would do', () => {
    const gap = (outline: [number, number][], shift: number, length: number, width: number): number => {
      const second = turn(outline, length, width).map(([x, y]): [number, number] => [x + shift, y]);
      const sides = (points: [number, number][]) =>
        points.map((point, index): [[number, number], [number, number]] => [
          point,
          points[(index + 1) % points.length] ?? point,
        ]);
      if (sides(outline).some(([a, b]) => sides(second).some(([c, d]) => doCross(a, b, c, d)))) return 0;
      return Math.min(
        ...outline.flatMap((point) => sides(second).map(([a, b]) => distanceToLine(point, a, b))),
        ...second.flatMap((point) => sides(outline).map(([a, b]) => distanceToLine(point, a, b))),
      );
    };
    let pairs = 0;
    fc.assert(
      fc.property(sized, fc.integer({ min: 100, max: 2000 }), ({ size: { length, width }, steps }, saw) => {
        const shape = shapeOf({ length, width, ends: SQUARE }, steps, 'mm');
        const pair = shape.ok ? headToTail(flatten(shape.value.outline), length, width, saw) : null;
        if (!pair) return;
        pairs++;
        const shift = pair.length - length;
        expect(gap(pair.outline, shift, length, width)).toBeGreaterThan(saw - 3);
        if (shift > 8) expect(gap(pair.outline, shift - 8, length, width)).toBeLessThan(saw + 3);
      }),
      { numRuns: 500 },
    );
    expect(pairs).toBeGreaterThan(20);
  });

  test('what is hollow, or fills its rectangle, lies alone', () => {
    const hollow = flatten(shaped(board(20, 6), op('curve', 'bottom', { across: 2 })).outline);
    expect(headToTail(hollow, inches(20), inches(6), kerf)).toBeNull();
    const whole = flatten(shaped(board(20, 6)).outline);
    expect(headToTail(whole, inches(20), inches(6), kerf)).toBeNull();
  });
});

test('every place is one of a corner, an edge or the inside', () => {
  expect(placesOf('notch')).toEqual([...CORNERS, ...EDGES]);
});
