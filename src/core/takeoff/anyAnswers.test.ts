import fc from 'fast-check';
import { formatLength, type LengthUnit } from '../units';
import { apply, emptyProject, resolve, valuesOf, type Part, type Project } from '../project';
import { counter } from '../testing';
import {
  checksOf,
  HELPERS,
  isAsked,
  previewMade,
  sizesOf,
  toldBefore,
  weightsOf,
  type Ask,
  type Helper,
  type HelperInput,
} from '.';

const newId = counter();

/** Anything that a person may answer: small, large, uneven, and blank where that is an answer. */
const anyAnswer = (ask: Ask, unit: LengthUnit): fc.Arbitrary<string> => {
  const blank = ask.blank === undefined ? [] : [fc.constant('')];
  switch (ask.kind) {
    case 'choice':
      return fc.constantFrom(...(ask.choices ?? []).map(({ value }) => value));
    case 'section':
      return fc.constantFrom('2x4', '1x2', '4x4', '2x12', '5/8x5-1/2in', '45x95mm', '20x95mm');
    case 'sheet':
      return fc.constantFrom('1/4in', '3/4in', '18mm');
    case 'count':
      return fc.oneof(fc.integer({ min: 1, max: 12 }).map(String), ...blank);
    case 'length':
      return fc.oneof(
        fc
          .integer({ min: 1, max: 2400 })
          .map((sixteenths) => (unit === 'in' ? `${sixteenths / 16}` : `${sixteenths}`)),
        ...blank,
      );
  }
};

const anyTold = (helper: Helper, unit: LengthUnit): fc.Arbitrary<HelperInput> =>
  fc.record(Object.fromEntries(helper.asks.map((ask) => [ask.key, anyAnswer(ask, unit)])));

const preview = (
  helper: Helper,
  told: HelperInput,
  unit: LengthUnit,
  project = emptyProject('p', 'Case', unit, 'USD'),
) => previewMade(helper, told, { project, groupName: helper.title, materials: ['treated'], newId });

const inUnits = (['in', 'mm'] as const).flatMap((unit) =>
  HELPERS.map((helper) => [helper.id, unit, helper] as const),
);

test.each(inUnits)(
  '%s in %s: whatever is answered, it is parts or a sentence, and a drawing that can be drawn',
  (_id, unit, helper) => {
    fc.assert(
      fc.property(anyTold(helper, unit), (told) => {
        const made = preview(helper, told, unit);
        if (!made.ok) {
          for (const { place, sentence } of made.problems) {
            expect(helper.asks.some((ask) => ask.key === place && isAsked(ask, told))).toBe(true);
            expect(sentence).not.toBe('');
          }
          return;
        }
        const { project, group, option } = made.value;
        const sizes = sizesOf(project, group, option);
        const drawn = helper
          .draw(sizes)
          .flatMap(({ shapes, dimensions }) => [
            ...shapes.flatMap(({ corners }) => corners.flat()),
            ...dimensions.flatMap(({ from, to, ticks }) => [...from, ...to, ticks]),
          ]);
        expect(drawn.every(Number.isFinite)).toBe(true);
        for (const note of helper.notes?.(sizes, (ticks) => formatLength(Math.abs(ticks), unit)) ?? [])
          expect(note).not.toMatch(/NaN|undefined|Infinity/);
        // What cannot be made is told in a sentence; nothing is made of less than nothing.
        const { parts, problems } = resolve(project);
        for (const { sentence } of problems) expect(sentence).toMatch(/[a-z].*\.?$/i);
        for (const part of parts) {
          expect(part.count).toBeGreaterThan(0);
          if (part.kind !== 'hardware') expect(part.length).toBeGreaterThan(0);
        }
        checksOf(project, () => null);
        expect(Number.isFinite(weightsOf(project).all)).toBe(true);
      }),
      { numRuns: 25 },
    );
  },
);

test.each(inUnits)('%s in %s: told again what it was told, it makes the same', (_id, unit, helper) => {
  fc.assert(
    fc.property(anyTold(helper, unit), (told) => {
      const made = preview(helper, told, unit);
      if (!made.ok) return;
      const { project, group, option } = made.value;
      const again = previewMade(helper, toldBefore(helper, option, project), {
        project,
        groupName: group.name,
        groupId: group.id,
        materials: group.materials,
        newId,
      });
      expect(again.ok).toBe(true);
      if (again.ok) expect(again.value.option.parts).toEqual(option.parts);
    }),
    { numRuns: 12 },
  );
});

/** Fasteners aside: they are called by the unit that the project is read in. */
const lengthsOf = (project: Project) => {
  const values = valuesOf(project);
  return {
    parts: resolve(project)
      .parts.filter(({ kind }) => kind !== 'hardware')
      .map(({ name, count, length, width }) => [name, count, length, width]),
    measures: project.variables.map(({ id, kind }) =>
      kind === 'length' && values.variables[id]?.ok ? values.variables[id] : null,
    ),
  };
};

test.each(inUnits)('%s in %s: another unit for the project changes no size', (_id, unit, helper) => {
  fc.assert(
    fc.property(anyTold(helper, unit), (told) => {
      const made = preview(helper, told, unit);
      if (!made.ok) return;
      const other = apply(
        made.value.project,
        { type: 'editProject', fields: { unit: unit === 'in' ? 'mm' : 'in' } },
        0,
      )?.document;
      // Sections without a unit are trade sizes or millimetres, by the project: those with one are meant here.
      if (made.value.option.parts.some(({ section }) => !/mm|in$/.test(section) && unit === 'mm')) return;
      expect(other && lengthsOf(other)).toEqual(lengthsOf(made.value.project));
    }),
    { numRuns: 12 },
  );
});

/** Sides of a rectangle that is drawn square on; null: it is none. */
const sidesOfBox = (corners: [number, number][]): [number, number] | null => {
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
  const [width, height] = [xs, ys].map((all) => Math.max(...all) - Math.min(...all));
  const isBox = new Set(xs).size === 2 && new Set(ys).size === 2;
  return isBox && width !== undefined && height !== undefined ? [width, height] : null;
};

/** A length that is less than nothing comes to none. */
const isImpossible = ({ kind, length }: Part): boolean => kind !== 'hardware' && (length?.ticks ?? 0) <= 0;

/** Sheets and boards that are ripped to fill are told so in a note: their last piece is drawn as it is ripped. */
const isRipped = (note: string): boolean => /rip/i.test(note);

test.each(inUnits)(
  '%s in %s: what is drawn is what is listed: no piece is drawn smaller than it is cut',
  (_id, unit, helper) => {
    fc.assert(
      fc.property(anyTold(helper, unit), (told) => {
        const made = preview(helper, told, unit);
        if (!made.ok) return;
        const { project, group, option } = made.value;
        // What cannot be made is told in a sentence, and drawn as well as can be.
        if (resolve(project).problems.length > 0 || option.parts.some(isImpossible)) return;
        const sizes = sizesOf(project, group, option);
        const notes = new Map(option.parts.map(({ role, note }) => [role, note]));
        for (const { title, shapes } of helper.draw(sizes))
          for (const { role, corners } of shapes) {
            const sides = sidesOfBox(corners);
            const { length, width, thickness, count } = sizes.part(role);
            // A stringer is cut in steps: what is drawn is what is left of its board.
            if (!sides || count === 0 || role === 'stringer' || isRipped(notes.get(role) ?? '')) continue;
            const known = [length, width, thickness];
            for (const side of sides)
              expect([title, role, known.some((one) => Math.abs(one - side) <= 2), side, known]).toEqual([
                title,
                role,
                true,
                side,
                known,
              ]);
          }
      }),
      { numRuns: 25 },
    );
  },
);
