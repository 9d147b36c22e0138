/** What is left to do by hand on the boards of a plan: told once for each shaped part, with how many of them lie head to tail. */
import fc from 'fast-check';
import { finishedCount, planInput } from '../plan';
import { firstPlan } from '../plan/planner';
import { chosenOption } from '../project';
import { fromCsv } from '../testing';
import { boardsToSaw, handWorkOf, partsToFit, toFitOn } from '.';

const HEAD = 'part,qty,section,length,shape';
const planned = (...parts: string[]) => {
  const { project, book } = fromCsv({
    parts: [HEAD, ...parts].join('\n'),
    prices: ['store,section,length,material,price', 'Yard,2x6,8ft,stud,9', 'Yard,2x4,8ft,stud,5'].join('\n'),
  });
  const plan = firstPlan(planInput(project, book));
  const { boards, refused } = boardsToSaw(plan.layouts, project.settings.kerf.ticks);
  expect(refused).toEqual([]);
  return { project, layouts: boards.map(({ layout }) => layout) };
};

test('a tapered pair is told with its letter, what is done, and that two lie head to tail', () => {
  const { project, layouts } = planned('Brace,2,2x6,25,taper 5in to 1 1/2in top right', 'Rail,1,2x6,20,');
  const [work] = layouts.flatMap((layout) => handWorkOf(layout, project));
  expect(work).toMatchObject({ name: 'A Brace', words: 'taper 5" to 1 1/2" top right', pairs: 1 });
});

test('a triangle goes by its name', () => {
  const { project, layouts } = planned('End,2,2x6,14,clip 14in x 5 1/2in top right');
  expect(layouts.flatMap((layout) => handWorkOf(layout, project))[0]?.words).toBe('triangle 14" x 5 1/2"');
});

test('where nothing is shaped nothing is told', () => {
  const { project, layouts } = planned('Rail,3,2x4,20,');
  expect(layouts.flatMap((layout) => handWorkOf(layout, project))).toEqual([]);
  expect(layouts.flatMap((layout) => toFitOn(layout, project))).toEqual([]);
  expect(partsToFit(project).size).toBe(0);
});

const SHAPES = [
  '',
  'taper 4in to 2in top right',
  'clip 3in x 2in bottom left',
  'notch 2in x 1in bottom at 5in',
  'round 1in top left; hole 1/2in at 6in x 1 1/2in',
];

test('law: each shaped part of a board is told once, all its pieces are finished, and pairs are counted', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          count: fc.integer({ min: 1, max: 6 }),
          length: fc.integer({ min: 12, max: 45 }),
          section: fc.constantFrom('2x4', '2x6'),
          shape: fc.constantFrom(...SHAPES),
        }),
        { minLength: 1, maxLength: 5 },
      ),
      (rows) => {
        const { project, layouts } = planned(
          ...rows.map(
            ({ count, length, section, shape }, index) => `P${index},${count},${section},${length},${shape}`,
          ),
        );
        const parts = project.groups.flatMap((group) => chosenOption(group)?.parts ?? []);
        const made = new Map<string, number>();
        for (const layout of layouts) {
          const told = handWorkOf(layout, project);
          expect(new Set(told.map(({ partId }) => partId)).size).toBe(told.length);
          const shaped = layout.pieces.filter(({ faces }) => faces);
          expect(new Set(told.map(({ partId }) => partId))).toEqual(
            new Set(shaped.map(({ partId }) => partId)),
          );
          const pairs = shaped.filter((piece) => finishedCount(piece) === 2).length;
          expect(told.reduce((sum, work) => sum + work.pairs, 0)).toBe(pairs);
          for (const piece of layout.pieces)
            made.set(piece.partId, (made.get(piece.partId) ?? 0) + finishedCount(piece));
        }
        expect(parts.map(({ id }) => made.get(id) ?? 0)).toEqual(rows.map(({ count }) => count));
      },
    ),
    { numRuns: 40 },
  );
});
