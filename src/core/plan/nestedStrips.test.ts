import loadHighs from 'highs';
import fc from 'fast-check';
import { sawFaults, sequenceOf } from '../sawing';
import { faultsOf, fromCsv, type Case } from '../testing';
import { solverOf, type Highs, type Solver } from '../cutting/solver';
import { planInput } from './input';
import { bestPlan } from './planner';
import type { Plan } from '.';

/** Slanted pieces in the strips of a ripped board nest as they do on a board of their own width. */

let solver: Solver;
beforeAll(async () => {
  solver = solverOf((await loadHighs()) as unknown as Highs);
});

const best = (given: Case, seconds = 5): Plan => {
  const { project, book } = fromCsv(given);
  const plan = bestPlan(planInput(project, book), solver, seconds);
  expect(faultsOf(given, plan)).toEqual([]);
  for (const layout of plan.layouts) {
    const kerf = project.settings.kerf.ticks;
    expect(sawFaults(layout, sequenceOf(layout, kerf), kerf)).toEqual([]);
  }
  return plan;
};

const withSaw = { settings: { tools: ['mitre-saw', 'table-saw'] } };

test('ten of 1 1/2 x 1 1/2, 20 in, mitred, come from one 2x4x8 and not from two', () => {
  const plan = best({
    ...withSaw,
    parts: 'part,qty,section,length,ends,material\nBrace,10,1 1/2x1 1/2in,20,mitre 45,stud',
    prices: "store,section,length,material,price\nYard,2x4,8',stud,3.98",
  });
  expect([plan.status, plan.total]).toEqual(['proved', 398]);
});

test('what is square stands behind the row in the same strip', () => {
  // 3 x 18 1/2 with kerfs and the offset of 1 1/2, then 36: 95 5/8 of 96.
  const plan = best({
    ...withSaw,
    parts:
      'part,qty,section,length,ends,material\nBrace,6,1 1/2x1 1/2in,20,mitre 45,stud\nRail,2,1 1/2x1 1/2in,36,square,stud',
    prices: "store,section,length,material,price\nYard,2x4,8',stud,3.98",
  });
  expect([plan.status, plan.total]).toEqual(['proved', 398]);
});

const pieces = fc.array(
  fc.record({
    count: fc.integer({ min: 1, max: 6 }),
    length: fc.integer({ min: 6, max: 60 }),
    ends: fc.constantFrom('mitre 45', 'parallel 45', 'square', 'mitre 30', 'one 45', 'parallel 30 edge'),
  }),
  { minLength: 1, maxLength: 4 },
);
const rows = (given: { count: number; length: number; ends: string }[]): string =>
  given
    .map(({ count, length, ends }, index) => `p${index},${count},1 1/2x1 1/2in,${length},${ends},stud`)
    .join('\n');

test('strips of a board twice as wide hold no less than two boards, and the saw and the checker agree', () => {
  fc.assert(
    fc.property(pieces, (given) => {
      // Of one slanted end no pairs are made in strips yet: those alone may come dearer.
      fc.pre(given.every(({ ends }) => !ends.startsWith('one') && !ends.includes('30')));
      const parts = `part,qty,section,length,ends,material\n${rows(given)}`;
      const narrow = best({
        parts,
        prices: 'store,section,length,material,price\nYard,1 1/2x1 1/2in,96in,stud,1',
      });
      const wide = best({
        ...withSaw,
        parts,
        prices: 'store,section,length,material,price\nYard,1 1/2x3 1/8in,96in,stud,2',
      });
      if (narrow.status === 'proved')
        expect(wide.total).toBeLessThanOrEqual(200 * Math.ceil(narrow.total / 100 / 2));
    }),
    { seed: 9, numRuns: 12 },
  );
});

test('whatever slants lie in strips, none lies closer than its kerf, and the saw leaves what is drawn', () => {
  fc.assert(
    fc.property(pieces, fc.constantFrom('2x4', '2x6', '2x8'), (given, section) => {
      best(
        {
          ...withSaw,
          parts: `part,qty,section,length,ends,material\n${rows(given)}\nwide,2,2x4,30,mitre 45,stud`,
          prices: `store,section,length,material,price\nYard,${section},8',stud,4\nYard,${section},10',stud,5.2`,
        },
        1,
      );
    }),
    { seed: 9, numRuns: 15 },
  );
});
