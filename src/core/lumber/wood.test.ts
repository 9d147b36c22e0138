import { fromInches, fromMm, SQUARE_FOOT, TICKS_PER_FOOT } from '../units';
import {
  actualThickness,
  boardFeet,
  coverage,
  describeSection,
  isFinish,
  meanLength,
  parseEnds,
  parseMaterials,
  parseSection,
  parseThickness,
  reach,
  slantOffset,
  thicknessName,
  woodTone,
  writeEnds,
} from '.';

const section = (text: string, bare: 'in' | 'mm' | null = null) => {
  const read = parseSection(text, bare);
  if (!read.ok) throw new Error(read.problems[0]?.sentence);
  return read.value;
};

// American Softwood Lumber Standard, PS 20: nominal to actual inches, dry and dressed.
test.each([
  ['1x2', 0.75, 1.5],
  ['1x6', 0.75, 5.5],
  ['5/4x6', 1, 5.5],
  ['2x2', 1.5, 1.5],
  ['2x3', 1.5, 2.5],
  ['2x4', 1.5, 3.5],
  ['2x5', 1.5, 4.5],
  ['2x6', 1.5, 5.5],
  ['2x8', 1.5, 7.25],
  ['2x10', 1.5, 9.25],
  ['2x12', 1.5, 11.25],
  ['3x4', 2.5, 3.5],
  ['4x4', 3.5, 3.5],
  ['6x6', 5.5, 5.5],
])('%s is %d x %d inches (PS 20)', (name, thickness, width) => {
  expect(section(name)).toMatchObject({ name, thickness: fromInches(thickness), width: fromInches(width) });
});

test('actual sizes, written either way round and with any sign between', () => {
  expect(section('30x90mm')).toMatchObject({ name: '30x90mm', thickness: fromMm(30), width: fromMm(90) });
  expect(section('9 cm × 3 cm')).toMatchObject({ name: '30x90mm' });
  expect(section('1-1/2x1-1/2in')).toMatchObject({
    name: '1-1/2x1-1/2in',
    thickness: fromInches(1.5),
    width: fromInches(1.5),
  });
  expect(section('5/8 x 5 1/2 in')).toMatchObject({ name: '5/8x5-1/2in' });
  expect(section('4x2').name).toBe('2x4');
  expect(section(section('5/8x5-1/2in').name).width).toBe(fromInches(5.5));
});

test('a size without unit is a trade size or, in a metric project, millimetres', () => {
  expect(section('30x90', 'mm').name).toBe('30x90mm');
  expect(section('2x4', 'mm').name).toBe('2x4');
  const bare = parseSection('30x90');
  expect(!bare.ok && bare.problems[0]?.sentence).toMatch(/unit, such as 30x90mm/);
  for (const wrong of ['', '2', '2x', 'x4', '7x9', '0x90mm', '2x4x8', '6x8'])
    expect(parseSection(wrong).ok).toBe(false);
});

test('a 2x4 eight feet long is 5 1/3 board feet (PS 20)', () => {
  expect(boardFeet(section('2x4'), 8 * TICKS_PER_FOOT)).toBeCloseTo(16 / 3, 12);
  expect(boardFeet(section('1x12'), TICKS_PER_FOOT)).toBe(1);
});

test('plywood is thinner than its name (PS 1), other panels are not', () => {
  expect(actualThickness(fromInches(0.75), 'birch plywood')).toBe(fromInches(23 / 32));
  expect(actualThickness(fromInches(0.625), 'plywood')).toBe(fromInches(19 / 32));
  expect(actualThickness(fromInches(0.5), 'Ply')).toBe(fromInches(15 / 32));
  expect(actualThickness(fromInches(0.75), 'MDF')).toBe(fromInches(0.75));
  expect(actualThickness(fromMm(18), 'birch plywood')).toBe(fromMm(18));
});

test('sheet thicknesses keep their trade name', () => {
  for (const name of ['3/4in', '18mm', '12mm', '1/4in']) {
    const read = parseThickness(name);
    expect(read.ok && thicknessName(read.value)).toBe(name);
  }
  expect(parseThickness('3/4').ok).toBe(false);
  expect(parseThickness('3/4', 'in').ok).toBe(true);
});

test('ends are read and written alike', () => {
  for (const text of ['square', 'mitre 45', 'parallel 22.5', 'one 30', 'mitre 45 edge']) {
    const ends = parseEnds(text);
    expect(ends.ok && writeEnds(ends.value)).toBe(text);
  }
  for (const wrong of ['mitre', 'mitre 0', 'mitre 61', 'round 4', '45'])
    expect(parseEnds(wrong).ok).toBe(false);
});

test('slants against trigonometry: at 45 degrees the offset is the width, and a trapezoid takes its mean length', () => {
  const ends = { shape: 'mitre', angle: 45, across: 'face' } as const;
  const [thickness, width] = [fromInches(1.5), fromInches(3.5)];
  expect(slantOffset(ends, width)).toBe(width);
  // planner.md, rule 3: a 33 in trapezoid of 2x4 takes 29 1/2 in.
  expect(meanLength(ends, fromInches(33), thickness, width)).toBe(fromInches(29.5));
  expect(meanLength({ ...ends, across: 'edge' }, fromInches(33), thickness, width)).toBe(fromInches(31.5));
  expect(reach({ ...ends, shape: 'parallel' }, fromInches(31), thickness, width)).toBe(fromInches(34.5));
  expect(reach(ends, fromInches(33), thickness, width)).toBe(fromInches(33));
});

test('names', () => {
  expect(parseMaterials(' pine |  white   cedar|')).toEqual(['pine', 'white cedar']);
  expect(woodTone('Treated pine')).toBe('treated');
  expect(woodTone('stud')).toBe('softwood');
  expect(describeSection(section('2x4'), 'in')).toBe('2x4 (1 1/2" x 3 1/2")');
  expect(describeSection(section('30x90mm'), 'mm')).toBe('30x90mm');
});

test.each([
  ['exterior oil 1 gal', 240],
  ['deck stain, gallon', 240],
  ['deck stain 5 gal', 1200],
  ['outdoor oil, 1 quart', 60],
  ['teak oil 1 qt', 60],
  ['stain, 1/2 pint', 15],
  ['spar urethane 32 oz', 60],
  ['glaze 3.785411784 l', 240],
  ['Danish oil 946.352946 ml', 60],
])('one coat of %s covers about %d sq ft (common practice: 240 a gallon; the label wins)', (name, feet) => {
  expect(isFinish(name)).toBe(true);
  expect((coverage(name) ?? 0) / SQUARE_FOOT).toBeCloseTo(feet, 3);
});

test('a tag without a volume covers nobody knows how much', () =>
  expect(coverage('exterior paint')).toBeNull());
