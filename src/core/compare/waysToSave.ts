import { projectMoney } from '../budget';
import { capital } from '../capital';
import { groupBy } from '../groupBy';
import type { Minor } from '../units';
import { planInput, shownBeside, type Plan } from '../plan';
import { firstPlan } from '../plan/planner';
import { withChanges, type Book, type Project, type ProjectChange } from '../project';
import type { PlanWith } from './breakEven';
import { wantsIn, wantWords } from './wants';
import { candidatesFor, type Candidate } from './candidates';

export { type Candidate } from './candidates';

/** A change that makes a project cheaper, by plans of it before and after. */
export interface Saving {
  id: string;
  kind: Candidate['kind'];
  title: string;
  /** What it takes, or gives up, in one sentence. */
  tradeOff: string;
  /** What the whole costs less; where more of it are built than now, what each costs less. */
  saves: Minor;
  isForEach: boolean;
  /** False: it demands what has no price yet, and the sum is without it. */
  isWhole: boolean;
  /** What the whole comes to then, and the plan that shows it. */
  total: Minor;
  plan: Plan;
  changes: ProjectChange[];
}

/**
 * Ways to make a project cheaper, each the difference of two plans: `base`, and one that was made for it; told as they are
 * found. All candidates are looked at by first plans; those that may save are planned for good, the likeliest of
 * each kind first, until `isOver`. Never one that was not planned.
 */
export const waysToSave = (
  project: Project,
  book: Book,
  base: Plan,
  planWith: PlanWith,
  isOver: () => boolean,
  tell: (saving: Saving) => void,
): void => {
  const costs = (of: Project, plan: Plan): Minor => projectMoney(of, book, plan).total;
  const now = costs(project, base);
  /** What it costs less: all of it, or each where another number is built. */
  const lessBy = (of: Project, total: Minor): Minor =>
    of.builds === project.builds ? now - total : now / project.builds - total / of.builds;
  const wantsNow = wantsIn(project, book, base);
  const likely: { candidate: Candidate; made: Project; quick: Minor }[] = [];
  for (const candidate of candidatesFor(project, book)) {
    if (isOver()) break;
    const made = withChanges(project, candidate.changes);
    const first = shownBeside(firstPlan(planInput(made, book)), base);
    if (!first) continue;
    const floor = costs(made, { ...first, total: first.lowerBound });
    if (lessBy(made, floor) > 0) likely.push({ candidate, made, quick: -lessBy(made, costs(made, first)) });
  }
  const told = new Map<string, Minor>();
  for (const { candidate, made } of inTurn(likely)) {
    if (isOver()) return;
    const plan = planWith(made, book);
    if (!plan || !shownBeside(plan, base)) continue;
    const total = costs(made, plan);
    const saves = lessBy(made, total);
    // Of one dimension only the step that saves most.
    if (saves <= 0 || saves <= (told.get(candidate.of) ?? 0)) continue;
    told.set(candidate.of, saves);
    const missing = wantsIn(made, book, plan).filter((want) => !wantsNow.includes(want));
    const tradeOff = candidate.tradeOff({ project, plan: base }, { project: made, plan });
    tell({
      id: candidate.of,
      kind: candidate.kind,
      title: candidate.title,
      tradeOff: [
        ...(missing.length > 0 ? [`${capital(wantWords(missing))}. No price for it yet.`] : []),
        tradeOff,
      ].join(' '),
      saves: Math.floor(saves),
      isForEach: made.builds !== project.builds,
      isWhole: missing.length === 0,
      total,
      plan,
      changes: candidate.changes,
    });
  }
};

/** The likeliest of each kind, then the next of each: no kind keeps the others waiting. */
const inTurn = <T extends { candidate: Candidate; quick: Minor }>(likely: T[]): T[] => {
  const sorted = [...likely].sort((a, b) => a.quick - b.quick);
  const rows = groupBy(sorted, ({ candidate }) => candidate.kind);
  const longest = Math.max(0, ...rows.map(({ length }) => length));
  return Array.from({ length: longest }, (_, index) => rows.flatMap((row) => row[index] ?? [])).flat();
};
