import { fromInches, SQUARE_FOOT } from '../units';
import { fromCsv } from '../testing';
import {
  emptyExtra,
  movedParts,
  movedWords,
  resolve,
  surfaceFor,
  withChanges,
  type Extra,
  type Joint,
  type Project,
  type Variable,
} from '.';
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
const PRICES = 'store,section,length,material,price\nYard,2x4,8ft,stud,4';
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

test('of what shows, glued edges are none; of all faces they are', () => {
  const { project } = fromCsv({
    parts: 'part,qty,section,length\nStave,16,2x4,60',
    prices: PRICES,
  });
  const [group] = project.groups;
  const [option] = group?.options ?? [];
  const [part] = option?.parts ?? [];
  if (!group || !option || !part) throw new Error('no part');
  const joint: Joint = {
    id: 'j',
    name: '',
    first: part.id,
    second: part.id,
    how: 'nail',
    through: 'thickness',
    into: 'thickness',
    quantity: 15,
    each: 1,
    item: '',
  };
  const glued: Project = {
    ...project,
    groups: [{ ...group, options: [{ ...option, joints: [joint] }] }],
  };
  const { parts } = resolve(glued);
  const area = (of: Project, faces: Extra['faces']) =>
    surfaceFor({ ...emptyExtra('e'), rule: 'finish', faces }, of, parts) / SQUARE_FOOT;
  // Fifteen joints of 60 x 3 1/2 in, on both sides.
  expect(area(project, 'showing') - area(glued, 'showing')).toBeCloseTo((2 * 15 * 60 * 3.5) / 144, 3);
  expect(area(glued, 'all')).toBeCloseTo(area(project, 'all'), 6);
});

test('a changed measure names the parts that moved with it, and no others', () => {
  const { project } = fromCsv({
    parts: 'part,qty,section,length\nRail,2,2x4,60\nPost,2,2x4,30',
    prices: PRICES,
  });
  const [group] = project.groups;
  const [option] = group?.options ?? [];
  const [rail, post] = option?.parts ?? [];
  if (!group || !option || !rail || !post) throw new Error('no parts');
  const width: Variable = { id: 'w', name: 'width', kind: 'length', formula: '60', note: '' };
  const before: Project = {
    ...project,
    variables: [width],
    groups: [
      {
        ...group,
        options: [
          { ...option, parts: [{ ...rail, length: rail.length && { ...rail.length, text: 'width' } }, post] },
        ],
      },
    ],
  };
  const after = withChanges(before, [{ type: 'editVariable', variableId: 'w', fields: { formula: '48' } }]);
  expect(movedParts(before, after)).toEqual(['Rail']);
  expect(movedWords(['Rail'])).toBe('Rail moved with it.');
  expect(movedWords(['Rail', 'Post', 'Slat', 'Leg'])).toBe('Rail, Post and 2 more moved with it.');
  expect(movedParts(before, before)).toEqual([]);
});
