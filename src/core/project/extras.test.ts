import { fromInches } from '../units';
import { contactOf } from './extras';
import { SQUARE } from '../lumber';
import type { ResolvedPart } from './resolvedPart';

const board = (id: string, length: number, width: number, thickness = 1.5): ResolvedPart => ({
  id,
  name: id,
  group: 'main',
  groupId: 'main',
  kind: 'board',
  count: 1,
  section: null,
  thickness: fromInches(thickness),
  length: fromInches(length),
  width: fromInches(width),
  ends: SQUARE,
  grain: 'any',
  shortOk: 0,
  materials: [],
  item: '',
});
const squareInches = (ticks: number) => ticks / fromInches(1) ** 2;
const meets = (into: 'thickness' | 'width' | 'end', first: ResolvedPart, second: ResolvedPart) =>
  squareInches(contactOf({ into }, first, second));

test('what meets in a joint: laminated faces whole, crossings where they cross, edges and ends as they are', () => {
  const long = board('long', 94, 3.5);
  // Fourteen joints of 94 x 3 1/2 in are 32 square feet.
  expect((14 * meets('thickness', long, long)) / 144).toBeCloseTo(31.99, 2);
  expect(meets('thickness', long, board('other', 92, 5.5))).toBeCloseTo(92 * 3.5, 6);
  const slat = board('slat', 30, 5.5, 0.75);
  expect(meets('thickness', slat, long)).toBeCloseTo(5.5 * 3.5, 6);
  expect(meets('width', slat, long)).toBeCloseTo(5.5 * 1.5, 6);
  expect(meets('end', slat, long)).toBeCloseTo(3.5 * 1.5, 6);
  const back = { ...board('back', 40, 60, 0.25), kind: 'sheet' as const };
  expect(meets('width', back, board('side', 58, 11.25, 0.75))).toBeCloseTo(58 * 0.75, 6);
});
