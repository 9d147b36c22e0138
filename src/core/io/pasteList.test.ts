import { formatLength } from '../units';
import { readPastedList, type PastedLine } from './pasteList';

const said = ({ reading }: PastedLine): string => {
  if ('heading' in reading) return `heading ${reading.heading}`;
  if (!reading.ok) return `? ${reading.problems[0]?.sentence ?? ''}`;
  const { quantity, section, length, name, kind } = reading.value.part;
  return [
    quantity,
    kind === 'hardware' ? 'hardware' : section,
    length ? formatLength(length.ticks, 'in') : '',
    name,
  ]
    .filter((word) => word !== '')
    .join(' ');
};
const read = (text: string) => readPastedList(text, 'in').map(said);

test.each([
  ['3 pcs 2x6 @ 48"', '3 2x6 48" Board'],
  ['(2) 1x4 - 14 1/2', '2 1x4 14 1/2" Board'],
  ['Post: 4 x 31.5 in 4x4', '4 4x4 31 1/2" Post'],
  ['4 2x4 31 1/2 post', '4 2x4 31 1/2" Post'],
  ["- 2x4 x 8' (6)", '6 2x4 96" Board'],
  ['2x4x8 x 3', '3 2x4 96" Board'],
  ['1. Side rail, 2x4, 29 1/2", qty 4', '4 2x4 29 1/2" Side rail'],
  ['Leg\t4\t2x2\t29.5', '4 2x2 29 1/2" Leg'],
  ['| Shelf | 1x10 | 36 in | 5 |', '5 1x10 36" Shelf'],
  ['2 @ 23 1/2" 2x4 long rails', '2 2x4 23 1/2" Rails'],
  ['2x6 - 10 @ 72', '10 2x6 72" Board'],
  ['6× 1x6 36" slat', '6 1x6 36" Slat'],
  ['4 pieces of 1-1/2x1-1/2in at 35 1/2 stake', '4 1-1/2x1-1/2in 35 1/2" Stake'],
  ['Apron 2x4 5\' 2"', '1 2x4 62" Apron'],
  ['48 deck screws', '48 hardware Deck screws'],
  ['2 3/4 24 x 36 shelf', '2 3/4in 24" Shelf'],
])('%s', (line, wanted) => expect(read(line)).toEqual([wanted]));

test('a section over lengths holds for all of them (a worked list: common practice)', () => {
  expect(read('2x6: 3@48, 3@45, 2@25, 2@21 1/2')).toEqual([
    '3 2x6 48" Board',
    '3 2x6 45" Board',
    '2 2x6 25" Board',
    '2 2x6 21 1/2" Board',
  ]);
  expect(read('2x4:\n4 @ 23 1/2\n2 @ 48')).toEqual(['4 2x4 23 1/2" Board', '2 2x4 48" Board']);
});

test('headings name groups, blank lines are left out, and what is not understood says why', () => {
  const lines = readPastedList('Frame:\n\n4 2x4 30 leg\nsomething else\n3 9x9 20\n2x4 rail', 'in');
  expect(lines.map(({ line }) => line)).toEqual([1, 3, 4, 5, 6]);
  expect(lines.map(said)).toEqual([
    'heading Frame',
    '4 2x4 30" Leg',
    '1 hardware Something else',
    expect.stringMatching(/^\? Is 9x9 20 a board, a sheet or hardware/),
    expect.stringMatching(/^\? How long/),
  ]);
});

test('metric lists', () => {
  const [line] = readPastedList('4 x 45x95mm 600 Bein', 'mm');
  expect(line && 'ok' in line.reading && line.reading.ok && line.reading.value.part).toMatchObject({
    quantity: 4,
    section: '45x95mm',
    name: 'Bein',
    length: { ticks: 600 * 320 },
  });
});
