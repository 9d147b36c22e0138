/** Of plans that cost the same the one that is liked better: against trying every packing. */
import fc from 'fast-check';
import loadHighs from 'highs';
import { faultsOf, fromCsv, type Case } from '../testing';
import { TICKS_PER_INCH } from '../units';
import { longestOffcut } from '../cutting/model';
import { solverOf, type Highs, type Solver } from '../cutting/solver';
import { planInput } from './input';
import { bestPlan, firstPlan } from './planner';

let solver: Solver;
beforeAll(async () => {
  solver = solverOf((await loadHighs()) as unknown as Highs);
});

const ROOM = 96 * 8;
const KERF = 1;

/** The fewest boards that hold pieces, in eighths, and the most that can then be left of one of them: by trying all. */
const everyPacking = (pieces: number[]): { boards: number; longest: number } => {
  let best = { boards: Infinity, longest: -1 };
  const place = (index: number, used: number[]): void => {
    if (used.length > best.boards) return;
    if (index === pieces.length) {
      const longest = Math.max(...used.map((taken) => ROOM - taken));
      if (used.length < best.boards || longest > best.longest) best = { boards: used.length, longest };
      return;
    }
    const size = (pieces[index] ?? 0) + KERF;
    for (const [at, taken] of used.entries())
      if (taken + size <= ROOM + KERF) place(index + 1, used.toSpliced(at, 1, taken + size));
    place(index + 1, [...used, size]);
  };
  place(0, []);
  return best;
};

const given = (pieces: number[]): Case => ({
  parts: `part,qty,section,length\n${pieces.map((length, index) => `p${index},1,2x4,${Math.floor(length / 8)} ${length % 8}/8`).join('\n')}`,
  prices: 'store,section,length,material,price\nYard,2x4,96in,stud,4',
});

const ONE_EIGHTH = TICKS_PER_INCH / 8;

test('an offcut is left that is nearly as long as any packing of as many boards leaves', () => {
  const lists = fc.sample(fc.array(fc.integer({ min: 60, max: 500 }), { minLength: 3, maxLength: 7 }), {
    numRuns: 40,
    seed: 3,
  });
  const sums = { left: 0, longest: 0, first: 0 };
  for (const pieces of lists) {
    const { project, book } = fromCsv(given(pieces));
    const input = planInput(project, book);
    const plan = bestPlan(input, solver, 10);
    const { boards, longest } = everyPacking(pieces);
    expect(faultsOf(given(pieces), plan)).toEqual([]);
    expect([plan.status, plan.total]).toEqual(['proved', boards * 400]);
    const left = longestOffcut(plan.layouts) / ONE_EIGHTH;
    expect(left).toBeLessThanOrEqual(Math.max(0, longest) + 1);
    sums.left += left;
    sums.longest += longest;
    sums.first += longestOffcut(firstPlan(input).layouts) / ONE_EIGHTH;
  }
  expect(sums.left).toBeGreaterThan(sums.first);
  expect(sums.left).toBeGreaterThanOrEqual(0.98 * sums.longest);
});
