import {
  cubicMm,
  fromInches,
  GALLON,
  parseArea,
  parseVolume,
  SQUARE_FOOT,
  squareMm,
  formatArea,
  formatWeight,
  formatVolume,
} from '../units';
import { inThePiece } from '../budget';
import { planInput } from '../plan';
import { firstPlan } from '../plan/planner';
import { fromCsv, must, planCsv } from '../testing';
import { woodWeight } from '../lumber';
import {
  apply,
  measure,
  resolve,
  surface,
  valuesOf,
  weightOf,
  type Command,
  type Extra,
  type Joint,
  type Project,
} from '.';

const after = (project: Project, ...commands: Command[]): Project =>
  commands.reduce((held, command) => apply(held, command, 0)?.document ?? held, project);
const PARTS = 'part,qty,section,length\nRail,2,2x4,40\nPost,4,2x4,30';
const PRICES =
  'store,item,kind,section,length,material,price,pack\nYard,,,2x4,8ft,treated,3,\nYard,coated deck screw 2 1/2 in,hardware,,,,5,50\nYard,oil,hardware,,,,12,';
const { project, book } = fromCsv({ parts: PARTS, prices: PRICES });
const group = project.groups[0]!;
const [rail, post] = group.options[0]!.parts;
const sentences = (of: Project) => resolve(of).problems.map(({ sentence }) => sentence);
const partNamed = (of: Project, name: string) =>
  of.groups[0]!.options[0]!.parts.find((part) => part.name === name)!;
const variable = (name: string, formula: string, kind: 'length' | 'number' = 'length') => ({
  id: name,
  name,
  formula,
  kind,
  note: '',
});
const height = variable('height', '36');
const joint: Joint = {
  id: 'j',
  name: 'Rail to post',
  how: 'through',
  first: rail!.id,
  second: post!.id,
  through: 'thickness',
  into: 'thickness',
  quantity: 4,
  each: 2,
  item: '',
};

describe('formulas in a project', () => {
  const linked = after(
    project,
    { type: 'addVariable', variable: height },
    { type: 'editPart', partId: post!.id, fields: { length: { text: 'height - rail.thickness', ticks: 0 } } },
    { type: 'editPart', partId: rail!.id, fields: { formulas: { quantity: 'post.count / 2' } } },
  );

  test('a changed variable changes all that follows, and is one step of undo', () => {
    expect(partNamed(linked, 'Post').length).toEqual({
      text: 'height - rail.thickness',
      ticks: fromInches(34.5),
    });
    const higher = after(linked, { type: 'editVariable', variableId: 'height', fields: { formula: '40' } });
    expect(partNamed(higher, 'Post').length?.ticks).toBe(fromInches(38.5));
    const more = after(linked, { type: 'editPart', partId: post!.id, fields: { quantity: 8 } });
    expect(partNamed(more, 'Rail').quantity).toBe(4);
  });

  test('renaming a variable or a part renames it everywhere', () => {
    const renamed = after(
      linked,
      { type: 'editVariable', variableId: 'height', fields: { name: 'tall' } },
      { type: 'editPart', partId: rail!.id, fields: { name: 'Cross rail' } },
      { type: 'editPart', partId: post!.id, fields: { name: 'Leg' } },
    );
    expect(partNamed(renamed, 'Leg').length?.text).toBe('tall - cross_rail.thickness');
    expect(partNamed(renamed, 'Cross rail').formulas).toEqual({ quantity: 'leg.count / 2' });
    expect(sentences(renamed)).toEqual([]);
  });

  test('a deleted variable leaves its value where it stood', () => {
    const without = after(linked, { type: 'removeVariable', variableId: 'height' });
    expect(partNamed(without, 'Post').length).toEqual({
      text: '36in - rail.thickness',
      ticks: fromInches(34.5),
    });
  });

  test('another unit for the project changes no length', () => {
    const more = after(linked, {
      type: 'addVariable',
      variable: variable('half', 'round(height / 2 + 1 1/2) + ceil(height / 7)'),
    });
    const metric = after(more, { type: 'editProject', fields: { unit: 'mm' } });
    expect(metric.variables[0]?.formula).toBe('36in');
    expect(partNamed(metric, 'Post').length?.ticks).toBe(fromInches(34.5));
    expect(valuesOf(metric).variables['half']).toEqual(valuesOf(more).variables['half']);
  });

  test('faults are told with their place, circles with their round, and the last good value stays', () => {
    const wrong = after(linked, {
      type: 'editPart',
      partId: post!.id,
      fields: { length: { text: 'rail.length - top.length', ticks: 0 } },
    });
    expect(sentences(wrong)).toEqual(['Post, length: there is no part top.']);
    const round = after(
      linked,
      { type: 'addVariable', variable: variable('depth', 'width * 2') },
      { type: 'addVariable', variable: variable('width', 'depth + 1') },
      { type: 'editPart', partId: rail!.id, fields: { length: { text: 'depth', ticks: 5 } } },
    );
    expect(sentences(round)[0]).toMatch(
      /goes round in a circle: (depth → width → depth|width → depth → width)/,
    );
    const uneven = after(linked, { type: 'editPart', partId: post!.id, fields: { quantity: 3 } });
    expect(sentences(uneven)).toEqual([
      'Rail, how many: it comes to 1.5, not a whole number; use ceil, floor or round.',
    ]);
  });
});

describe('what joints need', () => {
  const joined = after(
    { ...project, groups: [{ ...group, exposure: 'outdoors' }] },
    { type: 'addJoint', groupId: group.id, joint },
  );

  test('screws by the rule, coated outdoors, with spares by type, and what they cost', () => {
    const screws = resolve(joined).parts.filter(({ kind }) => kind === 'hardware');
    expect(screws.map(({ name, item, count }) => [name, item, count])).toEqual([
      ['Rail to post', 'coated deck screw 2 1/2 in', 8],
      ['Spare coated deck screw 2 1/2 in', 'coated deck screw 2 1/2 in', 1],
    ]);
    const plan = firstPlan(planInput(joined, book));
    expect(plan.buys.find(({ kind }) => kind === 'hardware')?.qty).toBe(1);
    expect(inThePiece(joined, plan)['j']).toBe(Math.round((8 * 500) / 50));
  });

  test('a joint whose part is gone says so', () => {
    const gone = after(joined, { type: 'removePart', partId: post!.id });
    expect(sentences(gone)).toEqual([
      expect.stringMatching(/Rail to post: one of the two parts it fastens is gone/),
    ]);
  });
});

describe('what covers, fills and weighs', () => {
  const extra = (fields: Partial<Extra>): Extra => ({
    id: 'e',
    name: 'Oil',
    item: 'oil',
    rule: 'finish',
    groupId: null,
    amount: '',
    faces: 'all',
    coats: 2,
    covers: '10 ft2',
    note: '',
    ...fields,
  });
  const rails = resolve(project).parts[0]!;

  // By definition: 2 (lw + lt + wt).
  test('surface of a board by definition, and of the face and edges that show', () => {
    const [l, w, t] = [40, 3.5, 1.5].map((inches) => inches * 25.4) as [number, number, number];
    expect(surface(rails, 'all')).toBeCloseTo(2 * (l * w + l * t + w * t), 3);
    expect(surface(rails, 'front')).toBeCloseTo(l * w + 2 * t * (l + w), 3);
    expect(surface(rails, 'none')).toBe(0);
  });

  test('cans for two coats of everything', () => {
    const oiled = after(project, { type: 'addExtra', extra: extra({}) });
    // 2 (40·3.5 + 40·1.5 + 3.5·1.5) = 410.5 in² a rail, 310.5 in² a post: 2063 in², 14.3 ft², twice: 28.7, ten a can.
    expect(resolve(oiled).parts.at(-1)).toMatchObject({ name: 'Oil', item: 'oil', count: 3 });
    const noWord = after(project, { type: 'addExtra', extra: extra({ covers: '' }) });
    expect(sentences(noWord)).toEqual(['Oil: say what one covers, such as 60 ft2 or 5 m2.']);
  });

  test('weight from density: a 2x4 of spruce, 8 ft, by its formula', () => {
    const volume = cubicMm(fromInches(1.5) * fromInches(3.5) * fromInches(96));
    // 0.2917 ft³ x 0.42 x 62.4 x 1.12 = 8.56 lb.
    expect(woodWeight(volume, 'stud') / 0.45359237).toBeCloseTo(
      ((1.5 * 3.5 * 96) / 1728) * 0.42 * 62.4 * 1.12,
      6,
    );
    expect(weightOf(rails)).toBeGreaterThan(0);
  });

  test('areas and volumes against their definitions', () => {
    expect(must(parseArea('250 sq ft'))).toBeCloseTo(250 * 304.8 ** 2, 6);
    expect(must(parseArea('10 m²'))).toBe(1e7);
    expect(must(parseVolume('1 gal')) / 16387.064).toBeCloseTo(231, 9);
    expect(must(parseVolume('40 l'))).toBe(4e7);
    expect(GALLON / 4).toBeCloseTo(must(parseVolume('1 qt')), 6);
    expect(squareMm(fromInches(12) ** 2)).toBeCloseTo(SQUARE_FOOT, 6);
    expect([
      formatArea(12.5 * SQUARE_FOOT, 'in'),
      formatVolume(9e7, 'mm'),
      formatWeight(67.13, 'in'),
    ]).toEqual(['12.5 sq ft', '90 l', '148 lb']);
    for (const wrong of ['', '12', 'ft2', '0 m2', '3 stone'])
      expect([parseArea(wrong).ok, parseVolume(wrong).ok]).toEqual([false, false]);
  });
});

test('a length measured on the real thing holds for what is not cut yet', () => {
  const taken = after(project, {
    type: 'editPart',
    partId: rail!.id,
    fields: { measured: { length: measure('36 7/8', 'in'), where: 'between the posts', cut: 1 } },
  });
  const rails = resolve(taken).parts.filter(({ id }) => id === rail!.id);
  expect(rails.map(({ count, length }) => [count, length])).toEqual([
    [1, fromInches(40)],
    [1, fromInches(36.875)],
  ]);
  const plan = firstPlan(planInput(taken, book));
  const lengths = plan.layouts
    .flatMap(({ pieces, count }) => Array.from({ length: count }, () => pieces).flat())
    .filter(({ part }) => part === 'Rail')
    .map(({ outline }) => Math.max(...outline.map(([x]) => x)) - Math.min(...outline.map(([x]) => x)));
  expect(lengths.sort((a, b) => a - b)).toEqual([fromInches(36.875), fromInches(40)]);
  expect(planCsv({ parts: PARTS, prices: PRICES }).status).not.toBe('infeasible');
});
