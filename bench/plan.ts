/**
 * The planner against its cases: what must be reached, what is, and beside it the same given whole to HiGHS as one assignment
 * model, and best-fit decreasing. Times are medians of five in one run (sheets: of one); HiGHS has as long as the case may take.
 * `node scripts/run.js bench/plan.ts [part of a name]`.
 */
import loadHighs from 'highs';
import { planInput, type Plan, type PlanInput } from '@/core/plan';
import { bestPlan, byHandPlan, firstPlan, solverOf, type Highs, type Solver } from '@/core/plan/planner';
import { subproblemsOf } from '@/core/cutting/solver/subproblem';
import { asTerms, storeScenarios, roundingModel } from '@/core/cutting/solver/scenarios';
import { room } from '@/core/cutting/heuristics/packBoards';
import { faultsOf, fromCsv } from '@/core/testing';
import { CUTTING, PARTED, SHEETS, type PlanCase } from './planCases';

const RUNS = 5;
/** More columns than these are not handed over: the text of the model alone would fill the memory. */
const MAX_COLUMNS = 120_000;

const median = (values: number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

const timed = <T>(work: () => T): { seconds: number; made: T } => {
  const began = performance.now();
  const made = work();
  return { seconds: (performance.now() - began) / 1000, made };
};

/** The whole case as one model: every piece on one of many boards; the stores of the best plan are given to it. */
const assignment = (input: PlanInput, plan: Plan, solver: Solver, seconds: number): string => {
  const shares = subproblemsOf(input);
  const used = new Set(plan.stores.map(({ storeId }) => storeId));
  const mode = storeScenarios(input).find(
    ({ stores, free }) =>
      free.size === 0 && stores.size === used.size && [...used].every((id) => stores.has(id)),
  );
  if (!mode || shares.some(({ wood }) => wood.generators.some(({ panel }) => panel))) return 'no such model';
  const { program, firstOf } = roundingModel(input, shares, mode);
  const add = (upper: number): number => {
    program.cost.push(0);
    program.lower.push(0);
    program.upper.push(upper);
    program.integer.push(true);
    return program.cost.length - 1;
  };
  for (const share of shares) {
    const first = firstOf(share);
    const { types, stocks } = share.wood;
    const sizes = types.map(({ board }) => board?.size ?? 0);
    const total = types.reduce((sum, { demand }, type) => sum + demand * (sizes[type] ?? 0), 0);
    const put = types.map((): [number, number][] => []);
    stocks.forEach((stock, index) => {
      const space = room(stock, input.settings);
      const boards = Math.ceil((total / space) * 1.2) + 1;
      const opened: [number, number][] = [];
      for (let board = 0; board < boards; board++) {
        const open = add(1);
        opened.push([open, -1]);
        const on = types.map(({ demand }, type): [number, number] => [add(demand), sizes[type] ?? 0]);
        on.forEach(([column], type) => put[type]?.push([column, 1]));
        program.rows.push({ lower: -Infinity, upper: 0, terms: [...on, [open, -space]] });
      }
      program.rows.push({
        lower: -(share.supply[index]?.owned ?? 0),
        upper: Infinity,
        terms: [...asTerms(share.supply[index]?.terms ?? [], first), ...opened],
      });
    });
    types.forEach(({ demand }, type) =>
      program.rows.push({ lower: demand, upper: Infinity, terms: put[type] ?? [] }),
    );
    if (program.cost.length > MAX_COLUMNS) return `over ${MAX_COLUMNS} columns`;
  }
  const { seconds: took, made } = timed(() => solver.mip(program, { seconds, gap: 0.9 }));
  const cost = made.values ? `${((made.objective / plan.total) * 100).toFixed(1)} %` : 'nothing found';
  return `${cost}, gap ${made.values ? (((made.objective - made.bound) / made.objective) * 100).toFixed(1) : '-'} %, ${took.toFixed(1)} s`;
};

const row = (cells: string[]): void => console.log(`| ${cells.join(' | ')} |`);

const measure = ({ name, given, seconds, must }: PlanCase, solver: Solver, runs: number): void => {
  const { project, book } = fromCsv(given);
  const input = planInput(project, book);
  const first = Array.from({ length: runs }, () => timed(() => firstPlan(input)));
  const best = Array.from({ length: runs }, () => timed(() => bestPlan(input, solver, seconds)));
  const plan = best[0]?.made as Plan;
  const faults = faultsOf(given, plan);
  const byHand = timed(() => byHandPlan(input));
  const gap = plan.total === 0 ? 0 : (plan.total - plan.lowerBound) / plan.total;
  row([
    name,
    must,
    `${plan.status}, gap ${(gap * 100).toFixed(3)} %${faults.length > 0 ? `, ${faults.length} FAULTS` : ''}`,
    `${median(best.map(({ seconds: took }) => took)).toFixed(2)} s`,
    `${(median(first.map(({ seconds: took }) => took)) * 1000).toFixed(0)} ms, ${(((first[0]?.made.total ?? 0) / plan.total) * 100).toFixed(1)} %`,
    byHand.made
      ? `${((byHand.made.total / plan.total) * 100).toFixed(1)} %, ${(byHand.seconds * 1000).toFixed(0)} ms`
      : 'not at one store',
    assignment(input, plan, solver, seconds),
  ]);
};

/** Of sheets the whole number of them: so much is above the bound rounded up. */
const sheetsAbove = (plan: Plan, price: number): number =>
  Math.round((plan.total - Math.ceil(plan.lowerBound / price) * price) / price);

const main = async () => {
  const [, , part = ''] = process.argv;
  const solver = solverOf((await loadHighs()) as unknown as Highs);
  const wanted = (cases: PlanCase[]) => cases.filter(({ name }) => name.includes(part));
  row([
    'case',
    'must',
    'reached',
    'time',
    'first plan: time, cost',
    'best-fit decreasing: cost, time',
    'assignment to HiGHS: cost, gap, time',
  ]);
  row(Array.from({ length: 7 }, () => '---'));
  for (const each of wanted(CUTTING)) measure(each, solver, RUNS);
  for (const each of wanted(PARTED)) measure(each, solver, 1);
  const above = wanted(SHEETS).map((each) => {
    const { project, book } = fromCsv(each.given);
    const { made, seconds } = timed(() => bestPlan(planInput(project, book), solver, each.seconds));
    const more = sheetsAbove(made, 5200);
    row([each.name, each.must, `${made.status}, ${more} above`, `${seconds.toFixed(2)} s`, '', '', '']);
    return more;
  });
  if (above.length > 0)
    console.log(
      `\nSheets above the rounded-up bound: ${above.join(', ')}; equal in ${above.filter((more) => more === 0).length} of ${above.length}.`,
    );
  console.log(`Memory at the most: ${Math.round(process.resourceUsage().maxRSS / 1024)} MB.`);
};
void main();
