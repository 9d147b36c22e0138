import { firstPlan } from '@/core/plan/planner';
import { planInput, type Plan } from '@/core/plan';
import { fromCsv } from '@/core/testing';
import { doingWords, proofWords, verdictOf } from './words';

const { project, book } = fromCsv({
  parts: 'part,qty,section,length\nRail,4,2x4,46in',
  prices: "store,section,length,material,price\nYard,2x4,8',stud,4",
});
const plan = firstPlan(planInput(project, book));
const made = (fields: Partial<Plan>): Plan => ({ ...plan, problems: [], ...fields });

test('a plan is stamped as proved only where it is, and for the rest where something is left out', () => {
  const problem = { code: 'noPrice' as const, partIds: [], part: 'Hook', sentence: 'Hook has no price yet.' };
  expect(verdictOf(made({ status: 'bounded' }))).toBe('not proved');
  expect(verdictOf(made({ status: 'proved' }))).toBe('proved cheapest');
  expect(verdictOf(made({ status: 'proved', problems: [problem] }))).toBe('proved for the rest');
  // What cannot be made as a whole is stamped by what its rest is.
  const rest = made({ status: 'bounded' });
  expect(verdictOf(made({ status: 'infeasible', rest, problems: [problem] }))).toBe('not proved');
});

test.each([
  [
    { status: 'proved', total: 800, lowerBound: 800 },
    0,
    0,
    /^No way to buy and cut it costs less at these prices.*\.$/,
  ],
  [{ status: 'proved', total: 800, lowerBound: 800 }, 3, 0, /, without 3 things that have no price yet\.$/],
  [
    { status: 'proved', total: 800, lowerBound: 800 },
    1,
    2,
    /without 1 thing that has no price yet and 2 things that cannot be made yet\.$/,
  ],
  [{ status: 'bounded', total: 800, lowerBound: 750 }, 0, 0, /^At most \$0\.50 above the best possible\.$/],
  [{ status: 'bounded', total: 800, lowerBound: 800 }, 0, 0, /^No plan can cost less\.$/],
  [{ status: 'proved', total: 0, lowerBound: 0 }, 0, 0, /^All that is needed is bought\.$/],
  [
    { status: 'proved', total: 0, lowerBound: 0 },
    18,
    0,
    /^18 things have no price yet; nothing else is left to buy\.$/,
  ],
  [
    { status: 'proved', total: 0, lowerBound: 0 },
    1,
    0,
    /^1 thing has no price yet; nothing else is left to buy\.$/,
  ],
  [{ status: 'proved', total: 0, lowerBound: 0 }, 1, 1, /^Nothing else is left to buy, without/],
] as const)('%o, %d unpriced, %d not to be made: %s', (fields, unpriced, others, words) => {
  expect(proofWords(made(fields), unpriced, others)).toMatch(words);
});

test('"all is bought" is never said over what is missing, and "no way costs less" only of what is proved', () => {
  for (const status of ['proved', 'bounded'] as const)
    for (const total of [0, 500])
      for (const unpriced of [0, 1, 4])
        for (const others of [0, 2]) {
          const words = proofWords(
            made({ status, total, lowerBound: total === 0 ? 0 : 400 }),
            unpriced,
            others,
          );
          if (words.startsWith('All that is needed')) expect([total, unpriced, others]).toEqual([0, 0, 0]);
          if (words.startsWith('No way')) expect(status).toBe('proved');
          if (unpriced > 0) expect(words).toMatch(/no price yet/);
          if (others > 0) expect(words).toMatch(/cannot be made yet/);
        }
});

test('while it looks it says what it has and what none can be below', () => {
  expect(doingWords(made({ total: 800, lowerBound: 750 }), 'better')).toBe(
    'Looking for a cheaper way to cut: $8.00 so far, none can be below $7.50.',
  );
});
