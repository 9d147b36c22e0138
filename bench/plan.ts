import loadHighs from 'highs';
import { bestPlan, firstPlan, planInput, solverOf, type Highs } from '@/core/plan';
import { faultsOf, fromCsv } from '@/core/testing';
import { CUTTING, PARTED, SHEETS } from './planCases';

const main = async () => {
  const [, , pattern = ''] = process.argv;
  const solver = solverOf((await loadHighs()) as unknown as Highs);
  for (const { name, given, seconds } of [...CUTTING, ...SHEETS, ...PARTED]) {
    if (!name.includes(pattern)) continue;
    const { project, book } = fromCsv(given);
    const input = planInput(project, book);
    const a = performance.now();
    const first = firstPlan(input);
    const b = performance.now();
    const seen: string[] = [];
    const plan = bestPlan(input, solver, seconds, ({ doing, plan: so }) =>
      seen.push(`${doing} ${so.total} ${so.lowerBound} ${((performance.now() - b) / 1000).toFixed(2)}`),
    );
    const c = performance.now();
    console.log(
      name,
      '| first',
      first.total,
      first.lowerBound,
      `${(b - a).toFixed(0)} ms`,
      '|',
      plan.status,
      plan.total,
      plan.lowerBound,
      `${(((plan.total - plan.lowerBound) / plan.total) * 100).toFixed(2)} %`,
      `${((c - b) / 1000).toFixed(2)} s`,
      faultsOf(given, plan).slice(0, 3).join('; '),
    );
    if (process.env['SEEN']) console.log('   ', seen.join('\n    '));
  }
};
void main();
