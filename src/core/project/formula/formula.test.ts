import fc from 'fast-check';
import { TICKS_PER_INCH, TICKS_PER_MM, type LengthUnit } from '../../units';
import { fail, ok, type Result } from '../../result';
import { must } from '../../testing';
import {
  evaluateAs,
  lengthOf,
  numberOf,
  readFormula,
  valueOf,
  writeFormula,
  type Formula,
  type Quantity,
} from '.';

const names: Record<string, Quantity> = {
  height: lengthOf(36 * TICKS_PER_INCH),
  'top.thickness': lengthOf(3 * TICKS_PER_INCH),
  'frame.side_rail.length': lengthOf(20 * TICKS_PER_INCH),
  n: numberOf(3),
};
const lookUp = ([...path]: string[]): Result<Quantity> => {
  const held = names[path.join('.')];
  return held ? ok(held) : fail('name', `there is no ${path.join('.')}`);
};
const value = (text: string, dimension = 1, unit: LengthUnit = 'in'): number =>
  valueOf(must(evaluateAs(must(readFormula(text)), dimension, { unit, lookUp })));
const inches = (text: string): number => value(text) / TICKS_PER_INCH;
const fault = (text: string, dimension = 1): string => {
  const formula = readFormula(text);
  const result = formula.ok ? evaluateAs(formula.value, dimension, { unit: 'in', lookUp }) : formula;
  return result.ok ? '' : (result.problems[0]?.sentence ?? '');
};

// leg length = height − top thickness: 36 in bench, 3 in top, 33 in legs (common practice).
test('leg length is height less the top: common practice', () => {
  expect(inches('height - top.thickness')).toBe(33);
  expect(inches('29 + 2x4.thickness')).toBe(30.5);
  expect(value('600 - 2 * 30x90mm.thickness', 1, 'mm')).toBe(540 * TICKS_PER_MM);
});

test.each([
  ['height - 1 1/2', 34.5],
  ['height - 1-1/2', 34.5],
  ['height - 3/4', 35.25],
  ['height/2', 18],
  ['height / 3 * 3', 36],
  ['(height - 2*1 1/2) / 4', 8.25],
  ['-top.thickness + height', 33],
  ['2 × height', 72],
  ['2 height_', NaN],
  ['height - 1\' 6"', 18],
  ['height - 6in', 30],
  ['height + 25.4mm', 37],
  ['height + 1,5 in', 37.5],
  ['max(height, 40)', 40],
  ['min(height; 40; 50mm * 10)', 500 / 25.4],
  ['frame.side_rail.length + 1', 21],
  ['round(height / 7, 1/16)', 5.125],
  ['round(height / 7)', 5.125],
  ['ceil(height / 7)', 6],
  ['floor(height / 7)', 5],
  ['floor(height / 7, 2in)', 4],
  ['sqrt(height * height)', 36],
  ['top.thickness * sqrt(2)', 4.242640687],
  ['tan(45) * height', 36],
  ['height * cos(60)', 18],
  ['height * sin(30)', 18],
  ['abs(top.thickness - height)', 33],
])('%s is %d inches', (text, wanted) => {
  if (Number.isNaN(wanted)) expect(readFormula(text).ok).toBe(false);
  else expect(inches(text)).toBeCloseTo(wanted, 4);
});

test('counts, angles, areas and volumes', () => {
  expect(value('ceil((80 1/2 + 2) / (3 1/2 + 2))', 0)).toBe(15);
  expect(value('ceil((80 1/2in + 2) / (2x4.width + 2))', 0)).toBe(15);
  expect(value('n * 2 + 1', 0)).toBe(7);
  expect(value('96 / frame.side_rail.length', 0)).toBeCloseTo(4.8, 9);
  expect(value('atan(top.thickness / top.thickness)', 0)).toBeCloseTo(45, 6);
  expect(value('height * height', 2)).toBe((36 * TICKS_PER_INCH) ** 2);
  expect(value('10 * height * 2in', 2)).toBe(720 * TICKS_PER_INCH ** 2);
});

// Thirds are exact: the sum of three is the whole, whatever the length.
test('dividing and multiplying back is exact in ticks', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 2_000_000 }), fc.integer({ min: 1, max: 97 }), (ticks, parts) => {
      const scope = { unit: 'mm' as const, lookUp: () => ok(lengthOf(ticks)) };
      const formula = must(readFormula(`length / ${parts} * ${parts}`));
      expect(valueOf(must(evaluateAs(formula, 1, scope)))).toBe(ticks);
    }),
  );
});

test.each([
  ['height -', /something is missing at its end/],
  ['height - (2', /cannot be read|missing/],
  ['height + nothing', /there is no nothing/],
  ['height / 0', /divides by nothing/],
  ['height * height', /an area, and a length is needed/],
  ['height + n', /a length and a number do not go together/],
  ['sum(1, 2)', /no function sum; there are min, max/],
  ['round()', /round takes 1 to 2 values/],
  ['tan(90)', /no tangent of 90/],
  ['sqrt(-4)', /no root of less/],
  ['tan(height)', /takes a number/],
  ['height > 2', /not \+ - \* or \//],
  ['height[0]', /a point stands only between names/],
  ['1/0in', /cannot be read/],
  ['$0 + 1', /\$/],
  ['', /empty/],
])('%s is refused: %s', (text, why) => expect(fault(text)).toMatch(why));

const anyFormula: fc.Arbitrary<Formula> = fc.letrec<{ formula: Formula }>((tie) => ({
  formula: fc.oneof(
    { maxDepth: 4 },
    fc.constantFrom('7', '29.5', '1 1/2', '.25').map((text) => must(readFormula(text))),
    fc.constantFrom('29 1/2"', '740mm', '6\' 2 1/2"', '3/4in', '1.2m').map((text) => must(readFormula(text))),
    fc
      .constantFrom('height', 'top.thickness', 'frame.side_rail.length')
      .map((text) => must(readFormula(text))),
    fc.constantFrom('2x4.width', '30x90mm.thickness').map((text) => must(readFormula(text))),
    tie('formula').map((of): Formula => ({ type: 'negative', of })),
    fc
      .tuple(fc.constantFrom('+', '-', '*', '/'), tie('formula'), tie('formula'))
      .map(([sign, left, right]): Formula => ({ type: 'binary', sign: sign as '+', left, right })),
    fc
      .tuple(fc.constantFrom('min', 'max'), fc.array(tie('formula'), { minLength: 1, maxLength: 3 }))
      .map(([name, inputs]): Formula => ({ type: 'call', name: name as 'min', inputs })),
    tie('formula').map((of): Formula => ({ type: 'call', name: 'ceil', inputs: [of] })),
  ),
})).formula;

test('a formula that is written out and read again is the same', () => {
  fc.assert(
    fc.property(anyFormula, (formula) => {
      expect(must(readFormula(writeFormula(formula)))).toEqual(formula);
    }),
  );
});
