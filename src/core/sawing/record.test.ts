import fc from 'fast-check';
import { againstProject, soundStretches, type Layout, type Plan } from '../plan';
import { checkPlan } from '../plan/planner';
import { measure, resolve } from '../project';
import { fromInches } from '../units';
import { begunOn, GIVEN, kerf, measuredAs, planOf, PLENTY, withBought } from './testing';
import { sawnBoardOf } from '.';

/** Every board of a plan by itself: what is cut from what. */
const boardsOf = (layouts: Layout[]): string[] =>
  layouts
    .flatMap(({ count, length, section, pieces }) =>
      Array.from({ length: count }, () =>
        JSON.stringify([section, length, pieces.map(({ partId, outline }) => [partId, outline])]),
      ),
    )
    .sort();

const piecesOf = ({ layouts }: Plan): Record<string, number> => {
  const made: Record<string, number> = {};
  for (const { count, pieces } of layouts)
    for (const { part } of pieces) made[part] = (made[part] ?? 0) + count;
  return made;
};
const WANTED = { Rail: 6, Post: 4, Brace: 4, Slat: 7 };

test('whichever boards sawing begins on, in whatever order, the plan stays as it is, holds, and makes all parts', () => {
  const project = withBought(PLENTY);
  const plan = planOf(project);
  fc.assert(
    fc.property(fc.array(fc.nat({ max: 30 }), { minLength: 1, maxLength: 5 }), (picks) => {
      let now = { project, plan };
      for (const [nth, pick] of picks.entries()) {
        const next = begunOn(now, pick);
        if (!next) break;
        now = next;
        expect(checkPlan(now.plan, againstProject(now.project, GIVEN.book))).toEqual([]);
        expect(boardsOf(now.plan.layouts)).toEqual(boardsOf(plan.layouts));
        expect(now.plan.layouts.filter(({ sawn }) => sawn)).toHaveLength(nth + 1);
        expect(piecesOf(now.plan)).toEqual(WANTED);
      }
    }),
    { numRuns: 40 },
  );
});

test('no piece lies over what is marked, whatever is marked on whichever boards; all parts are made, or bought for', () => {
  const marks = fc.array(
    fc.tuple(fc.double({ min: 0, max: 110, noNaN: true }), fc.double({ min: 0.05, max: 20, noNaN: true })),
    { maxLength: 3 },
  );
  const board = fc.record({ of: fc.nat({ max: 2 }), off: fc.integer({ min: -40, max: 24 }), marks });
  fc.assert(
    fc.property(fc.array(board, { maxLength: 4 }), (boards) => {
      const project = withBought(PLENTY);
      const measuredBoards = boards.map(({ of, off, marks: marked }, nth) =>
        measuredAs(
          `m${nth}`,
          of,
          off,
          marked.map(([from, long]) => [from, from + long]),
        ),
      );
      const real = { ...project, measuredBoards };
      const plan = planOf(real);
      expect(plan.status).not.toBe('infeasible');
      expect(checkPlan(plan, againstProject(real, GIVEN.book))).toEqual([]);
      expect(piecesOf(plan)).toEqual(WANTED);
      // A marked board is cut only within its sound stretches: each is a stock of its own length, and there is no other.
      const there = new Map<number, number>();
      const add = (length: number, count: number) => there.set(length, (there.get(length) ?? 0) + count);
      for (const { item, quantity } of real.purchases[0]?.lines ?? []) add(item.length?.ticks ?? 0, quantity);
      for (const measured of measuredBoards) {
        add(measured.item.length?.ticks ?? 0, -1);
        const sound = soundStretches(measured, kerf);
        for (const { from, to } of sound) {
          add(to - from, 1);
          for (const mark of measured.marks) expect(to <= mark.from || from >= mark.to).toBe(true);
        }
        for (const [index, { from }] of sound.entries())
          expect(from - (sound[index - 1]?.to ?? from - kerf)).toBeGreaterThanOrEqual(kerf);
      }
      for (const { source, length, count } of plan.layouts) if ('owned' in source) add(length, -count);
      expect([...there.values()].every((left) => left >= 0)).toBe(true);
    }),
    { numRuns: 60 },
  );
});

test('a piece cut wrong is made again, from what is left of it where that will do', () => {
  const project = withBought(PLENTY);
  const plan = planOf(project);
  const layout = plan.layouts.find(({ pieces }) => pieces.some(({ part }) => part === 'Rail'));
  const at = layout?.pieces.findIndex(({ part }) => part === 'Rail') ?? -1;
  if (!layout) throw new Error('there is one');
  const board = sawnBoardOf({ ...layout, count: 1 }, 's', kerf, 2);
  const pieces = board.pieces.map((piece, index) =>
    index === at ? { ...piece, spoiled: fromInches(39.75) } : piece,
  );
  const next = { ...project, sawnBoards: [{ ...board, pieces }] };
  const now = planOf(next, { project, plan });
  expect(checkPlan(now, againstProject(next, GIVEN.book))).toEqual([]);
  expect(piecesOf(now)).toEqual(WANTED);
  const sawn = now.layouts.find((one) => one.sawn);
  expect(sawn?.pieces).toHaveLength(layout.pieces.length - 1);
  const isLeft = sawn?.offcuts.some(({ ofUse }) => ofUse === fromInches(39.75));
  const isCutOn = now.layouts.some(({ length }) => length === fromInches(39.75));
  expect(isLeft).toBe(!isCutOn);
});

test('a part that changed after it was sawn is made anew; a board that is given back is no board; nothing is refused', () => {
  const project = withBought(PLENTY);
  const layout = planOf(project).layouts.find(({ pieces }) => pieces.some(({ part }) => part === 'Post'));
  if (!layout) throw new Error('there is one');
  const sawnBoards = [sawnBoardOf({ ...layout, count: 1 }, 's', kerf, 2)];
  const longer = project.groups.map((group) => ({
    ...group,
    options: group.options.map((option) => ({
      ...option,
      parts: option.parts.map((part) =>
        part.name === 'Post' ? { ...part, length: measure('31', 'in') } : part,
      ),
    })),
  }));
  const thicker = { ...project.settings, kerf: measure('3/16', 'in') };
  for (const changed of [
    { ...project, groups: longer, sawnBoards },
    { ...project, settings: thicker, sawnBoards },
    { ...project, purchases: [], sawnBoards },
  ]) {
    const plan = planOf(changed);
    expect(checkPlan(plan, againstProject(changed, GIVEN.book))).toEqual([]);
    expect(piecesOf(plan)).toEqual(WANTED);
    const made = plan.layouts.flatMap(({ pieces }) => pieces.map(({ partId }) => partId));
    expect(new Set(made)).toEqual(new Set(resolve(changed, {}).parts.map(({ id }) => id)));
    expect(plan.layouts.some(({ sawn }) => sawn)).toBe(changed.purchases.length > 0);
  }
});

test('a board that is drawn otherwise than it was sawn, or left out, does not pass the check', () => {
  const project = withBought(PLENTY);
  const [layout] = planOf(project).layouts;
  if (!layout) throw new Error('there is one');
  const next = { ...project, sawnBoards: [sawnBoardOf({ ...layout, count: 1 }, 's', kerf, 1)] };
  const plan = planOf(next);
  const against = againstProject(next, GIVEN.book);
  const faults = (layouts: Layout[]) => checkPlan({ ...plan, layouts }, against).length;
  expect(faults(plan.layouts)).toBe(0);
  expect(faults(plan.layouts.filter(({ sawn }) => !sawn))).toBeGreaterThan(0);
  expect(faults(plan.layouts.flatMap((one) => (one.sawn ? [one, one] : [one])))).toBeGreaterThan(0);
  const fewer = (one: Layout) => (one.sawn ? { ...one, pieces: one.pieces.slice(1) } : one);
  expect(faults(plan.layouts.map(fewer))).toBeGreaterThan(0);
  expect(
    faults(plan.layouts.map((one) => (one.sawn ? one : { ...fewer({ ...one, sawn: { id: 'x', kerf } }) }))),
  ).toBeGreaterThan(0);
});
