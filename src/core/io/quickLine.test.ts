import { fromInches, fromMm, type LengthUnit } from '../units';
import { must } from '../testing';
import { readQuickLine } from './quickLine';

const read = (line: string, unit: LengthUnit = 'in') => {
  const { part } = must(readQuickLine(line, unit));
  return { ...part, length: part.length?.ticks, width: part.width?.ticks };
};

test.each([
  ['4 2x4 31 1/2 post', { quantity: 4, section: '2x4', length: fromInches(31.5), name: 'Post' }],
  ['2x4 31 1/2 post', { quantity: 1, section: '2x4', length: fromInches(31.5), name: 'Post' }],
  [
    '4x 2x4 31 1/2" corner post',
    { quantity: 4, section: '2x4', length: fromInches(31.5), name: 'Corner post' },
  ],
  ['4 pcs 2x4 6\' 2 1/2" rail', { quantity: 4, length: fromInches(74.5), name: 'Rail' }],
  ['3 2 x 4 48', { quantity: 3, section: '2x4', length: fromInches(48), name: 'Board' }],
  ['2 5/4x6 5ft 3 1/4in board', { quantity: 2, section: '5/4x6', length: fromInches(63.25), name: 'Board' }],
  ['2 2x4 33 mitre 45 brace', { ends: 'mitre 45', name: 'Brace', length: fromInches(33) }],
  ['2 2x4 33 brace parallel 22.5', { ends: 'parallel 22.5', name: 'Brace' }],
  ['6 2x4 41 1/2 rail, cedar|larch', { quantity: 6, name: 'Rail', materials: ['cedar', 'larch'] }],
  ['2 30x90mm 74cm leg', { section: '30x90mm', length: fromMm(740), name: 'Leg' }],
  [
    '2 3/4 24 x 36 shelf',
    {
      kind: 'sheet',
      quantity: 2,
      section: '3/4in',
      length: fromInches(24),
      width: fromInches(36),
      name: 'Shelf',
    },
  ],
  ['2 3/4in 24 1/2x36 1/4 shelf', { kind: 'sheet', length: fromInches(24.5), width: fromInches(36.25) }],
  ['48 deck screws 2 1/2', { kind: 'hardware', quantity: 48, name: 'Deck screws 2 1/2' }],
  ['hinge', { kind: 'hardware', quantity: 1, name: 'Hinge' }],
] as const)('%s', (line, expected) => {
  expect(read(line)).toMatchObject(expected);
});

test.each([
  ['4 30x90 600 post', { kind: 'board', quantity: 4, section: '30x90mm', length: fromMm(600), name: 'Post' }],
  ['4 30x90 1,2 m rail', { length: fromMm(1200), name: 'Rail' }],
  ['2 18 600x400 shelf', { kind: 'sheet', section: '18mm', length: fromMm(600), width: fromMm(400) }],
  ['2 18mm 600 x 400', { kind: 'sheet', width: fromMm(400), name: 'Panel' }],
] as const)('%s in a metric project', (line, expected) => {
  expect(read(line, 'mm')).toMatchObject(expected);
});

test('what is missing is asked for', () => {
  const sentence = (line: string) => {
    const reading = readQuickLine(line, 'in');
    return reading.ok ? '' : reading.problems[0]?.sentence;
  };
  expect(sentence('')).toMatch(/how many/);
  expect(sentence('4 2x4')).toMatch(/How long/);
  expect(sentence('4 2x4 post')).toMatch(/How long\? Write a length behind 2x4/);
  expect(sentence('0 2x4 31 post')).toMatch(/not a count/);
});

test('every word of the line is accounted for', () => {
  const { tokens } = must(readQuickLine('6 2x4 41 1/2 mitre 45 rail, cedar', 'in'));
  expect(tokens.map(({ role, text }) => [role, text])).toEqual([
    ['quantity', '6'],
    ['section', '2x4'],
    ['length', '41 1/2'],
    ['ends', 'mitre 45'],
    ['name', 'rail'],
    ['material', 'cedar'],
  ]);
});

describe('shapes in a line', () => {
  const shaped = (text: string) => {
    const read = readQuickLine(text, 'in');
    if (!read.ok) return read.problems[0]?.sentence;
    const { name, section, length, width, shape = [], note } = read.value.part;
    return [
      name,
      section,
      ...[length, width].flatMap((measure) => (measure ? [measure.text] : [])),
      ...shape.map(({ kind, place, along, across, from }) =>
        [kind, place, along?.text, across?.text, from?.text].filter((word) => word !== undefined).join(' '),
      ),
      ...(note === '' ? [] : [`note: ${note}`]),
    ].join(' | ');
  };

  test.each([
    ['6 2x8 triangle 14 x 7 1/4', 'Triangle | 2x8 | 14 | clip top right 14 7 1/4'],
    ['6 2x8 triangle 14 x 7 1/4 trough end', 'Trough end | 2x8 | 14 | clip top right 14 7 1/4'],
    ['2 3/4 ply triangle 20 x 12', 'Triangle | 3/4in | 20 | 12 | clip top right 20 12'],
    ['2 2x6 25 taper 5 to 1 1/2', 'Board | 2x6 | 25 | taper top right 1 1/2 5'],
    ['2 2x6 25 taper 5 to 1 1/2 back brace', 'Back brace | 2x6 | 25 | taper top right 1 1/2 5'],
    ['2 2x6 25 brace, tapered to 2', 'Brace | 2x6 | 25 | taper top right 2 0'],
    ['4 1x6 30 slat, rounded 1 top left', 'Slat | 1x6 | 30 | round top left 1'],
    [
      '1 2x6 40 floor board, notch 3 1/2 x 3 1/2 bottom at 12',
      'Floor board | 2x6 | 40 | notch bottom 3 1/2 3 1/2 12',
    ],
    ['2 2x6 60 cross piece, corners clipped', 'Cross piece | 2x6 | 60 | note: corners clipped'],
    ['1 2x4 rail 48, notched for the post', 'Rail | 2x4 | 48 | note: notched for the post'],
    ['12 round hook 2', 'Round hook 2 | '],
    [
      '3 2x4 triangle 14 x 7',
      'A 2x4 is 3 1/2" wide: write the triangle as so long x 3 1/2", or cut it from a sheet.',
    ],
  ])('%s', (text, meant) => {
    expect(shaped(text)).toBe(meant);
  });
});
