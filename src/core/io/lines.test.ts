/** Lines as they are written at the bench, and what each must mean; `?`: it is asked about, and nothing is taken. */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { formatLength, fromInches, toMm, type LengthUnit, type Ticks } from '../units';
import type { QuickReading } from './quickTypes';
import { readQuickLines } from './pasteList';

const ROWS = readFileSync(path.join(__dirname, 'fixtures/lines.txt'), 'utf8')
  .trim()
  .split('\n')
  .map((row) => {
    const [, unit = 'in', line = '', meaning = ''] = /^(in|mm) \| (.*) => (.*)$/.exec(row) ?? [];
    return { unit: unit as LengthUnit, line, meaning };
  });

const size = (ticks: Ticks, unit: LengthUnit): string =>
  unit === 'mm' ? String(Number(toMm(ticks).toFixed(2))) : formatLength(ticks, 'in').replace('"', '');

/** `4 2x4 31 1/2 Post [mitre 45] (cedar) {a note}` */
const said = ({ part }: QuickReading, unit: LengthUnit): string =>
  [
    part.quantity,
    part.kind === 'hardware' ? 'hw' : part.kind === 'sheet' ? `sheet ${part.section}` : part.section,
    part.length && size(part.length.ticks, unit),
    part.width && `x ${size(part.width.ticks, unit)}`,
    part.name,
    part.ends !== '' && part.ends !== 'square' && `[${part.ends}]`,
    part.materials.length > 0 && `(${part.materials.join('|')})`,
    part.note !== '' && `{${part.note}}`,
  ]
    .filter(Boolean)
    .join(' ');

const meant = (line: string, unit: LengthUnit): string => {
  const read = readQuickLines(line, unit);
  return read.ok ? read.value.map((reading) => said(reading, unit)).join(' + ') : '?';
};

test('there are three hundred lines and more, few of them asked about', () => {
  expect(ROWS.length).toBeGreaterThan(350);
  expect(ROWS.filter(({ meaning }) => meaning === '?').length).toBeLessThan(40);
});

test.each(ROWS)('$unit: $line', ({ unit, line, meaning }) => {
  expect(meant(line, unit)).toBe(meaning);
});

test.each(ROWS.filter(({ meaning }) => meaning === '?'))(
  '$unit: $line is asked about in a sentence',
  ({ unit, line }) => {
    const read = readQuickLines(line, unit);
    expect(read.ok ? '' : read.problems[0]?.sentence).toMatch(/[.?]$|write/);
  },
);

test('a length may follow from a measure of the project', () => {
  const lengthOf = (text: string) =>
    ({ 'height - 3 1/4': 4000, height: 5000, 'height - 3': 4500 })[text] ?? null;
  const read = readQuickLines('4 1x6 height - 3 1/4 slat, cedar', 'in', lengthOf);
  expect(read.ok && read.value[0]?.part).toMatchObject({
    quantity: 4,
    section: '1x6',
    length: { text: 'height - 3 1/4', ticks: 4000 },
    name: 'Slat',
    materials: ['cedar'],
  });
});

const FRACTIONS = { '': 0, ' 1/2': 0.5, ' 3/8': 0.375, ' 15/16': 0.9375, '.5': 0.5 };

test('a board that is written out reads back as itself, whatever its numbers', () => {
  const section = fc.constantFrom('2x4', '1x6', '5/4x6', '4x4', '2x12', '3/4x1 1/2', '5/8x5 1/2');
  const fraction = fc.constantFrom(...(Object.keys(FRACTIONS) as (keyof typeof FRACTIONS)[]));
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 60 }),
      section,
      fc.integer({ min: 25, max: 200 }),
      fraction,
      fc.constantFrom('rail', 'side rail', 'leg', 'seat board'),
      fc.constantFrom('', ', both ends 45', ' 45/45'),
      (count, of, inches, part, name, ends) => {
        const line = `${count} ${of} ${inches}${part} ${name}${ends}`;
        const read = readQuickLines(line, 'in');
        const [found] = read.ok ? read.value : [];
        expect([line, found?.part.quantity, found?.part.length?.ticks]).toEqual([
          line,
          count,
          fromInches(inches + FRACTIONS[part]),
        ]);
        expect(found?.part.ends).toBe(ends === '' ? 'square' : 'mitre 45');
      },
    ),
  );
});
