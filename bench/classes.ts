/**
 * The planner by classes of lists, as its table of what must be reached has them: ten lists of each from a seed, each given as
 * long as its row allows. `node scripts/run.js bench/classes.ts [part of a name] [lists of each]`.
 */
import loadHighs from 'highs';
import { planInput, type Plan } from '@/core/plan';
import { bestPlan, firstPlan, solverOf, type Highs, type Solver } from '@/core/plan/planner';
import { faultsOf, fromCsv, type Case } from '@/core/testing';
import { CLASSES, type PlanClass } from './planClasses';

const middle = (values: number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;
const worst = (values: number[]): number => Math.max(...values);
const percent = (share: number): string => `${(share * 100).toFixed(2)} %`;

const gapOf = (plan: Plan): number => (plan.total === 0 ? 0 : (plan.total - plan.lowerBound) / plan.total);

/** One list planned: how long it took, how far off it may be, and what the checker says of it. */
const planned = (given: Case, solver: Solver, seconds: number) => {
  const { project, book } = fromCsv(given);
  const input = planInput(project, book);
  const began = performance.now();
  const first = firstPlan(input);
  const between = performance.now();
  const best = bestPlan(input, solver, seconds);
  const took = (performance.now() - between) / 1000;
  return { took, firstMs: between - began, first, best, faults: faultsOf(given, best).length };
};

const measure = ({ name, seconds, must, make }: PlanClass, solver: Solver, lists: number): void => {
  const runs = Array.from({ length: lists }, (_, seed) => planned(make(seed + 1), solver, seconds));
  const gaps = runs.map(({ best }) => gapOf(best));
  const proved = runs.filter(({ best }) => best.status === 'proved').length;
  const faults = runs.reduce((sum, run) => sum + run.faults, 0);
  console.log(
    `| ${[
      name,
      must,
      `${proved} of ${lists}`,
      `${percent(middle(gaps))}, ${percent(worst(gaps))}`,
      `${middle(runs.map(({ took }) => took)).toFixed(2)} s, ${worst(runs.map(({ took }) => took)).toFixed(2)} s`,
      `${middle(runs.map(({ firstMs }) => firstMs)).toFixed(0)} ms, ${percent(middle(runs.map(({ first, best }) => first.total / best.total - 1)))} more`,
      faults === 0 ? 'none' : `${faults}`,
    ].join(' | ')} |`,
  );
};

const main = async () => {
  const [, , part = '', lists = '10'] = process.argv;
  const solver = solverOf((await loadHighs()) as unknown as Highs);
  console.log('| class | must | proved | gap: middle, worst | time: middle, worst | first plan | faults |');
  console.log('|---|---|---|---|---|---|---|');
  for (const each of CLASSES.filter(({ name }) => name.includes(part))) measure(each, solver, Number(lists));
};
void main();
