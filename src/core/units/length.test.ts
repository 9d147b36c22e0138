import fc from 'fast-check';
import {
  formatLength,
  formatStockLength,
  fromMm,
  parseLength,
  TICKS_PER_FOOT,
  TICKS_PER_INCH,
  toMm,
  writeLength,
  type LengthUnit,
} from '.';

const ticksOf = (text: string, unit: LengthUnit = 'in'): number => {
  const length = parseLength(text, unit);
  if (!length.ok) throw new Error(length.problems[0]?.sentence);
  return length.value;
};

// The international inch is 25.4 mm exactly (international yard and pound agreement, 1959).
test('a tick holds the sixty-fourth of an inch and the millimetre exactly', () => {
  expect(ticksOf('1/64in')).toBe(127);
  expect(ticksOf('1mm')).toBe(320);
  expect(toMm(ticksOf('1in'))).toBe(25.4);
  expect(toMm(127)).toBe(0.396875);
});

test.each([
  ['29 1/2', 29.5],
  ['29-1/2"', 29.5],
  ['29 - 1/2 in', 29.5],
  ['29.5in', 29.5],
  ['29½', 29.5],
  ['29 ½″', 29.5],
  ['29 1⁄2', 29.5],
  ["6'", 72],
  ['6\' 2 1/2"', 74.5],
  ['6\'2"', 74],
  ['6′ 2″', 74],
  ['5ft 3 1/4in', 63.25],
  ['5 ft. 3 in.', 63],
  ["6' 2", 74],
  ["1 1/2'", 18],
  ['0,125in', 0.125],
  ['3/4', 0.75],
  ['.5"', 0.5],
  ['12 inches', 12],
])('%s is %d inches', (text, inches) => {
  expect(ticksOf(text)).toBe(Math.round(inches * TICKS_PER_INCH));
});

test.each([
  ['740mm', 740],
  ['74cm', 740],
  ['1.2m', 1200],
  ['1,2 m', 1200],
  ['1,250 m', 1250],
  ['12,5', 12.5],
  ['600', 600],
])('%s in a metric project is %d mm', (text, mm) => {
  expect(toMm(ticksOf(text, 'mm'))).toBe(mm);
});

test.each([
  '',
  'abc',
  '29 1/x',
  '1/0',
  '-5',
  '29 1/2 1/2',
  '5 furlongs',
  '1,200',
  '6in 2ft',
  '12 m m',
  '1e3',
  '9999999m',
])('"%s" is refused with the text and a good form', (text) => {
  const length = parseLength(text, 'in');
  expect(length.ok).toBe(false);
  if (!length.ok)
    expect(length.problems[0]?.sentence).toMatch(
      text === '' ? /29 1\/2/ : new RegExp(text.replace(/[/-]/g, '.')),
    );
});

test('what people read: fractions to a sixteenth, a thirty-second where exact, a mark where rounded', () => {
  expect(formatLength(ticksOf('29 1/2'), 'in')).toBe('29 1/2"');
  expect(formatLength(ticksOf('29.53125'), 'in')).toBe('29 17/32"');
  expect(formatLength(ticksOf('3/4'), 'in')).toBe('3/4"');
  expect(formatLength(ticksOf('1/64in'), 'in')).toBe('≈0"');
  expect(formatLength(ticksOf('100mm'), 'in')).toBe('≈3 15/16"');
  expect(formatLength(ticksOf('740', 'mm'), 'mm')).toBe('740 mm');
  expect(formatLength(ticksOf('74,25cm', 'mm'), 'mm')).toBe('742.5 mm');
  expect(formatLength(ticksOf('1in'), 'mm')).toBe('25.4 mm');
  expect(formatLength(ticksOf('1/64in'), 'mm')).toBe('≈0.4 mm');
  expect(formatStockLength(8 * TICKS_PER_FOOT, 'in')).toBe("8'");
  expect(formatStockLength(ticksOf('92 5/8'), 'in')).toBe('92 5/8"');
});

const anyTicks = fc.integer({ min: 0, max: 6_000_000 });
const anyUnit = fc.constantFrom<LengthUnit>('in', 'mm');

test('a written length reads back as the same ticks, in any unit', () => {
  fc.assert(
    fc.property(
      anyTicks,
      anyUnit,
      anyUnit,
      (ticks, unit, other) => ticksOf(writeLength(ticks, unit), other) === ticks,
    ),
  );
});

test('a length that is shown without ≈ reads back as the same ticks', () => {
  fc.assert(
    fc.property(anyTicks, anyUnit, (ticks, unit) => {
      const shown = formatLength(ticks, unit);
      return shown.startsWith('≈') || ticksOf(shown, unit) === ticks;
    }),
  );
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 20000 }),
      (count) => ticksOf(formatLength(count * 508, 'in')) === count * 508,
    ),
  );
});

test('ticks survive the way to JSON and back', () => {
  fc.assert(fc.property(anyTicks, (ticks) => fromMm(toMm(ticks)) === ticks));
});
