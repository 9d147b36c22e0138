import fc from 'fast-check';
import { formatLength, fromInches, fromMm, type LengthUnit } from '../units';
import { apply, emptyProject, resolve, valuesOf, type Project } from '../project';
import { counter, must } from '../testing';
import { HELPERS, helperOf, previewMade, sizesOf, toldBefore, usualAnswers, type HelperInput } from '.';

const newId = counter();
const made = (
  id: string,
  told: HelperInput = {},
  unit: LengthUnit = 'in',
  project = emptyProject('p', 'Case', unit, 'USD'),
) => {
  const helper = helperOf(id);
  if (!helper) throw new Error(`no helper ${id}`);
  const preview = must(
    previewMade(
      helper,
      { ...usualAnswers(helper, unit), ...told },
      { project, groupName: helper.title, materials: [], newId },
    ),
  );
  const sizes = sizesOf(preview.project, preview.group, preview.option);
  return { ...preview, helper, sizes, part: sizes.part, measure: sizes.measure };
};
const inches = (ticks: number) => ticks / 8128;
const problemsOf = (project: Project) => resolve(project).problems.map(({ sentence }) => sentence);

describe.each(['in', 'mm'] as const)('in %s', (unit) => {
  test.each(HELPERS.map(({ id }) => [id]))(
    '%s: its usual answers give parts, rows that come out even and drawings',
    (id) => {
      const { project, option, sizes, helper } = made(id, {}, unit);
      expect(problemsOf(project)).toEqual([]);
      expect(option.parts.length).toBeGreaterThan(0);
      for (const row of helper.rows?.(sizes) ?? []) {
        expect(Math.abs(row.total - row.span)).toBeLessThanOrEqual(60);
        if (row.gap !== null && row.largestGap !== null) expect(row.gap).toBeLessThanOrEqual(row.largestGap);
      }
      const corners = helper.draw(sizes).flatMap(({ shapes }) => shapes.flatMap((shape) => shape.corners));
      expect(corners.length).toBeGreaterThan(3);
      expect(corners.flat().every(Number.isFinite)).toBe(true);
      for (const note of helper.notes?.(sizes, (ticks) => formatLength(ticks, unit)) ?? [])
        expect(note).not.toMatch(/NaN|undefined/);
    },
  );
});

// The checks below are common practice.
describe('the arithmetic of the trade: common practice', () => {
  test('leg length is height less the top: 36 in bench with a 3 in top, 33 in', () => {
    expect(inches(made('legs', { height: '36', top: '3' }).part('leg').length)).toBe(33);
    expect(inches(made('legs', { height: '30 1/2', top: '1 1/2' }).part('leg').length)).toBe(29);
  });

  test('a rail between two others is the whole less two thicknesses: 600 mm over all of 30 mm boards, 540 mm', () => {
    const { part } = made('frame', { width: '600', board: '30x90mm' }, 'mm');
    expect(part('short_side').length).toBe(fromMm(540));
  });

  test('a panel of four 2x10 is 37 in wide', () => {
    expect(inches(made('panel', { by: 'count', boards: '4', board: '2x10' }).measure('panel_width'))).toBe(
      37,
    );
  });

  test('two rows of pickets make an 11 in wall', () => {
    const { measure, part } = made('raised-box', { board: '5/8x5-1/2in', rows: '2' });
    expect(inches(measure('wall'))).toBe(11);
    expect(part('long_board').count).toBe(4);
  });

  test.each([
    ['2', 15, 2],
    ['1 1/2', 17, 1.3125],
  ])('slats over 80 1/2 in, 3 1/2 in wide, gaps of at most %s in: %d with %d in', (largest, count, gap) => {
    const { part, measure } = made('slats', { span: '80 1/2', slat: '1x4', largest_gap: largest });
    expect(part('slat').count).toBe(count);
    expect(inches(measure('gap'))).toBe(gap);
  });

  test('a brace at 45 degrees: long edge is leg x sqrt 2 and its slant', () => {
    const { part, option } = made('braces', { brace_leg: '24', board: '2x4' });
    expect(inches(part('brace').length)).toBeCloseTo(24 * Math.SQRT2 + 3.5, 3);
    expect(option.parts[0]?.ends).toBe('mitre 45');
  });
});

// Geometry against trigonometry: the corners of such a brace touch all four sides of the field.
test('a brace from corner to corner fills its field exactly', () => {
  fc.assert(
    fc.property(fc.integer({ min: 30, max: 90 }), fc.integer({ min: 12, max: 60 }), (run, rise) => {
      const { part, measure } = made('braces', {
        form: 'field',
        run: `${run}`,
        rise: `${rise}`,
        board: '2x4',
      });
      const angle = (measure('slope') * Math.PI) / 180;
      fc.pre(angle > 0.02 && angle < Math.PI / 3);
      expect(run * Math.tan(angle) + 3.5 / Math.cos(angle)).toBeCloseTo(rise, 4);
      expect(inches(part('brace').length) * Math.cos(angle)).toBeCloseTo(run, 3);
    }),
    { numRuns: 40 },
  );
});

test('steps are even and add up to the rise; the stringer is longer than the slope', () => {
  const { measure, part } = made('steps', { rise: '28', largest_step: '7 3/4', tread: '11' });
  expect(measure('number')).toBe(4);
  expect(inches(measure('step'))).toBe(7);
  expect(inches(part('stringer').length)).toBeCloseTo(Math.hypot(28, 33) + 11.25, 3);
});

test('liner and fill are those of the inside', () => {
  const { project } = made('raised-box', {
    length: '6ft',
    width: '3ft',
    sizes: 'inside',
    rows: '2',
    liner: 'yes',
    fill: 'yes',
    board: '2x6',
    stake_spacing: '',
  });
  // Volume by definition: 6 x 3 x 11/12 cubic feet, 1.5 a bag. Walls: 18 x 11/12 square feet, 50 a roll.
  const count = (name: string) => resolve(project).parts.find((part) => part.name === name)?.count;
  expect(count('Bag of fill')).toBe(Math.ceil((6 * 3 * (11 / 12)) / 1.5));
  expect(count('Liner')).toBe(1);
});

describe('laws', () => {
  const span = fc.integer({ min: 200, max: 400_0 }).map((sixteenths) => `${sixteenths / 16}`);
  const ends = fc.constantFrom('flush', 'inset');

  test('slats and gaps add up to the span, and no gap is larger than allowed', () => {
    fc.assert(
      fc.property(span, fc.integer({ min: 2, max: 64 }), ends, (length, gap, end) => {
        const { sizes, helper, measure } = made('slats', {
          span: length,
          largest_gap: `${gap / 16}`,
          ends: end,
        });
        const [row] = helper.rows?.(sizes) ?? [];
        // The gap is kept in whole ticks: half a tick a gap is all that may be missing.
        expect(Math.abs((row?.total ?? 0) - (row?.span ?? 1))).toBeLessThanOrEqual(sizes.part('slat').count);
        expect(measure('gap')).toBeLessThanOrEqual(fromInches(gap / 16));
      }),
      { numRuns: 60 },
    );
  });

  test("a frame's parts add up to its outside size", () => {
    fc.assert(
      fc.property(
        span,
        span,
        fc.constantFrom('2x4', '1x3', '30x90mm'),
        fc.constantFrom('edge', 'flat'),
        (length, width, board, stand) => {
          const { part, measure } = made('frame', { length, width, board, stand });
          const side = part('long_side')[stand === 'flat' ? 'width' : 'thickness'];
          fc.pre(part('short_side').length > 0);
          expect(part('short_side').length + 2 * side).toBe(measure('width'));
          expect(part('long_side').length).toBe(measure('length'));
        },
      ),
      { numRuns: 40 },
    );
  });

  test('shelves, uprights and sides add up to the width', () => {
    fc.assert(
      fc.property(span, fc.integer({ min: 0, max: 5 }), (width, uprights) => {
        const { sizes, helper } = made('shelves', { width, uprights: `${uprights}` });
        fc.pre(sizes.part('shelf').length > 0);
        for (const { total, span: wanted } of helper.rows?.(sizes) ?? [])
          expect(Math.abs(total - wanted)).toBeLessThanOrEqual(uprights + 1);
      }),
      { numRuns: 40 },
    );
  });
});

test('a mitred frame has mitred ends that reach over all', () => {
  const { option, part } = made('frame', { corners: 'mitre', stand: 'flat', width: '24' });
  expect(option.parts.map(({ ends }) => ends)).toEqual(['mitre 45', 'mitre 45', 'square']);
  expect(inches(part('short_side').length)).toBe(24);
});

test('measures are named after what they are, and a second group has its own', () => {
  const first = made('legs');
  const second = made('slats', { span: 'length - 2', length: 'depth' }, 'in', first.project);
  expect(problemsOf(second.project)).toEqual([]);
  // The depth is that of the legs; the span follows from their length.
  expect(second.option.made?.answers['length']).toMatch(/^@/);
  expect(inches(second.part('slat').length)).toBe(20);
  expect(inches(second.measure('span'))).toBe(46);
  const names = second.project.variables.map(({ name }) => name);
  expect(new Set(names).size).toBe(names.length);
});

test('made anew, it keeps ids, names and what was added by hand, and takes the new measures', () => {
  const { project, group, option, helper } = made('legs');
  const leg = option.parts[0];
  const renamed: Project = {
    ...project,
    groups: [
      {
        ...group,
        options: [
          {
            ...option,
            parts: [
              { ...leg!, name: 'Post', note: 'the straight ones' },
              ...option.parts.slice(1),
              { ...option.parts[1]!, id: 'own', name: 'Peg', role: undefined },
            ],
          },
        ],
      },
    ],
  };
  const told = { ...toldBefore(helper, option, project), height: '40' };
  const again = must(
    previewMade(helper, told, {
      project: renamed,
      groupName: group.name,
      groupId: group.id,
      materials: [],
      newId,
    }),
  );
  const post = again.option.parts.find(({ id }) => id === leg?.id);
  expect(post).toMatchObject({ name: 'Post', note: 'the straight ones' });
  expect(inches(post?.length?.ticks ?? 0)).toBe(38.5);
  expect(again.option.parts.some(({ id }) => id === 'own')).toBe(true);
  expect(again.project.variables).toHaveLength(project.variables.length);
  // Formulas mean the renamed part by its new name.
  expect(again.option.parts[1]?.length?.text).toContain('post.width');
  expect(Object.values(valuesOf(again.project).variables).every(({ ok }) => ok)).toBe(true);
});

test('answers that are missing or wrong are told, each at its place', () => {
  const helper = helperOf('slats');
  const result = previewMade(
    helper!,
    { ...usualAnswers(helper!, 'in'), span: '', slat: '9x9', largest_gap: 'wide' },
    { project: emptyProject('p', 'Case', 'in', 'USD'), groupName: 'Slats', materials: [], newId: counter() },
  );
  expect(!result.ok && result.problems.map(({ place }) => place)).toEqual(['span', 'slat', 'largest_gap']);
});

test('a deleted group takes its measures along, but those that others use', () => {
  const first = made('legs');
  const second = made('slats', { span: 'length', length: '20' }, 'in', first.project);
  const after = apply(second.project, { type: 'removeGroup', groupId: first.group.id }, 0)?.document;
  const names = after?.variables.map(({ name }) => name) ?? [];
  expect(names).toContain('length');
  expect(names).not.toContain('overhang');
  expect(problemsOf(after!)).toEqual([]);
});

test('a top of sixteen 2x4 on edge is 24 in wide and 3 1/4 thick once planed, and its glue is that of fifteen faces', () => {
  const { project, measure, sizes, helper } = made(
    'slab',
    { by: 'count', boards: '16', length: '94', board: '2x4', plane: '1/8', trim: '' },
    'in',
  );
  expect(inches(measure('glued_width'))).toBe(24);
  expect(inches(measure('slab_thickness'))).toBe(3.25);
  expect(helper.notes?.(sizes, String).join(' ')).toMatch(/About 11 clamps/);
  const glued = (boards: string) => {
    const of = made('slab', { by: 'count', boards, length: '94', board: '2x4', trim: '' }, 'in').project;
    const [glue] = resolve(of).parts.filter(({ kind }) => kind === 'hardware');
    return (glue?.fractionalQuantity ?? 0) * 12;
  };
  // Fourteen joints of 94 x 3 1/2 in: 32 square feet (common practice); by geometry 31.99.
  expect(glued('15')).toBeCloseTo((14 * 94 * 3.5) / 144, 2);
  expect(problemsOf(project)).toEqual([]);
});

test('a slab that is to be so wide has boards enough for it with every glued face planed', () => {
  const { option, measure, project } = made(
    'slab',
    { by: 'fill', width: '23', board: '2x4', face: '1/16' },
    'in',
  );
  const boards = valuesOf(project).parts[option.parts[0]?.id ?? '']?.quantity;
  expect(boards).toEqual({ ok: true, value: Math.ceil(23 / 1.375) });
  expect(inches(measure('glued_width'))).toBeCloseTo(17 * 1.375, 6);
});
