import { outcomeOf, type Outcome } from '@/core/compare';
import { generatedProject } from '@/core/compare/generatedProject';
import { planInput } from '@/core/plan';
import { firstPlan } from '@/core/plan/planner';
import type { Project } from '@/core/project';
import { rowsOf, standing } from './rows';

const found = Array.from({ length: 24 }, (_, index) => 4_100 + index * 11).flatMap(
  (seed): { project: Project; outcome: Outcome }[] => {
    const { project, book } = generatedProject(seed);
    const outcome = outcomeOf(project, book, firstPlan(planInput(project, book)));
    return outcome ? [{ project, outcome }] : [];
  },
);

test('every row has words for whatever a project comes to, and no row comes twice', () => {
  expect(found.length).toBeGreaterThan(10);
  for (const { project, outcome } of found) {
    const rows = rowsOf(project);
    expect(new Set(rows.map(({ key }) => key)).size).toBe(rows.length);
    for (const row of rows) {
      const words = row.text(outcome, project);
      expect([row.label, words.trim()]).not.toEqual([row.label, '']);
      expect(words).not.toMatch(/NaN|undefined|null|Infinity/);
    }
  }
});

test('what is better one way round is worse the other, and nothing is better than itself', () => {
  const opposite = { better: 'worse', worse: 'better', same: 'same' };
  for (const [index, { project, outcome }] of found.entries()) {
    const other = found[(index + 1) % found.length]?.outcome ?? outcome;
    for (const row of rowsOf(project)) {
      expect([row.key, standing(row, outcome, outcome)]).toEqual([row.key, 'same']);
      expect([row.key, standing(row, outcome, null)]).toEqual([row.key, 'same']);
      expect([row.key, standing(row, other, outcome)]).toEqual([
        row.key,
        opposite[standing(row, outcome, other)],
      ]);
    }
  }
});

test('what the cost is divided by has a row right below the sum, and none where it is divided by nothing', () => {
  const [one] = found;
  if (!one) throw new Error('no project');
  const per = { name: 'seat', of: 'number' as const, formula: '4' };
  const rows = rowsOf({ ...one.project, per });
  expect(rows.slice(0, 2).map(({ label }) => label)).toEqual(['At the till', 'Per seat']);
  const text = (perUnit: number | null) =>
    rows[1]?.text({ ...one.outcome, perUnit }, { ...one.project, currency: 'USD' });
  expect([text(1234), text(null)]).toEqual(['$12.34', 'not known']);
  expect(rowsOf({ ...one.project, per: null }).map(({ key }) => key)).not.toContain('per');
});
