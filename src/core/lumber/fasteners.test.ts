import { fromInches, fromMm } from '../units';
import { besideBolt, fastenerFault, fastenerItem, fastenerLength, fastenersEach, type Fastening } from '.';

const meeting = (first: number, second: number) => ({ first: fromInches(first), second: fromInches(second) });

// Common practice.
test.each<[Fastening, number, number, number]>([
  ['through', 1.5, 1.5, 2.5],
  ['through', 5 / 8, 1.5, 1.625],
  ['through', 3 / 4, 3 / 4, 1.25],
  ['pocket', 3 / 4, 1.5, 1.25],
  ['pocket', 1.5, 3.5, 2.5],
  ['bolt', 1.5, 1.5, 3.5],
  ['bolt', 1.5, 3.5, 5.5],
])('%s: %d in to %d in takes %d in', (how, first, second, length) => {
  expect(fastenerLength(how, meeting(first, second), 'in')).toBe(fromInches(length));
});

test('a through fastener is longer than the first piece and shorter than both, for all usual stock', () => {
  for (const how of ['through', 'nail'] as const)
    for (const first of [1 / 4, 1 / 2, 5 / 8, 3 / 4, 1, 1.5, 2.5])
      for (const second of [3 / 4, 1, 1.5, 2.5, 3.5, 30]) {
        const length = fastenerLength(how, meeting(first, second), 'in');
        expect([how, first, second, fastenerFault(how, length, meeting(first, second), 'in')]).toEqual([
          how,
          first,
          second,
          null,
        ]);
      }
});

test('metric lengths', () => {
  expect(fastenerLength('through', { first: fromMm(20), second: fromMm(45) }, 'mm')).toBe(fromMm(50));
  expect(fastenerItem('through', fromMm(50), 'mm', 'coated ')).toBe('coated deck screw 50 mm');
  expect(fastenerItem('bolt', fromInches(3.5), 'in', '')).toBe('3/8 bolt 3 1/2 in');
});

test('what pokes through or does not hold is a sentence', () => {
  expect(fastenerFault('through', fromInches(3), meeting(1.5, 1.5), 'in')).toMatch(/pokes through 3"/);
  expect(fastenerFault('nail', fromInches(0.75), meeting(0.75, 3), 'in')).toMatch(/nail does not hold/);
  expect(fastenerFault('bolt', fromInches(2.5), meeting(1.5, 1.5), 'in')).toMatch(/too short/);
  expect(fastenerFault('pocket', fromInches(2.5), meeting(0.75, 0.75), 'in')).toMatch(/pokes through/);
});

test('one for narrow pieces, two for most, three for wide ones', () => {
  expect([1.5, 3.5, 5.5, 7.25].map((width) => fastenersEach(fromInches(width)))).toEqual([1, 2, 2, 3]);
});

test('a bolt brings its nut and two washers, of its size and coating; a set is one line', () => {
  expect(besideBolt('coated 3/8 bolt 3 1/2 in')).toEqual([
    { item: 'coated 3/8 nut', each: 1 },
    { item: 'coated 3/8 washer', each: 2 },
  ]);
  expect(besideBolt('M10 bolt 90 mm').map(({ item }) => item)).toEqual(['M10 nut', 'M10 washer']);
  expect(besideBolt('3/8 bolt set 3 1/2 in')).toEqual([]);
  expect(besideBolt('carriage bolt with nut 3/8 x 4')).toEqual([]);
});
