import loadHighs from 'highs';
import { projectMoney } from '../budget';
import { readProjectFile, writeProjectFile } from '../io';
import { planInput, planKey, shownPlan, type Plan } from '../plan';
import { bestPlan, solverOf, type Highs, type Solver } from '../plan/planner';
import { withChanges, type Book, type Project } from '../project';
import { atPrice, must } from '../testing';
import { generatedProject } from './generatedProject';
import { breakEven, freshMaterials, outcomeOf, proposalsFor, together, waysToSave, type Saving } from '.';

let solver: Solver;
beforeAll(async () => {
  solver = solverOf((await loadHighs()) as unknown as Highs);
});
const SECONDS = 0.5;
const planWith = (project: Project, book: Book): Plan => bestPlan(planInput(project, book), solver, SECONDS);
const isProved = (plan: Plan | null): plan is Plan => plan?.status === 'proved';

const SEEDS = Array.from({ length: 40 }, (_, index) => 7_100 + index * 13);

test.each(SEEDS)(
  'seed %d: a proposal, saved in a file and planned from it, comes to what is shown; nothing else moves',
  (seed) => {
    const { project, book } = generatedProject(seed);
    const base = planWith(project, book);
    for (const { name, kind, groupId, changes } of proposalsFor(project, book, base).slice(0, 3)) {
      const made = withChanges(project, changes);
      const file = must(readProjectFile(writeProjectFile(made, book), 'x.billet.json'));
      // The same input is the same plan, to the cent, whether it is proved or not.
      expect([name, planKey(planInput(file.project, file.book))]).toEqual([
        name,
        planKey(planInput(made, book)),
      ]);
      const here = planWith(made, book);
      if (groupId !== null && kind !== 'ripping')
        expect([name, made.groups.filter(({ id }) => id !== groupId)]).toEqual([
          name,
          project.groups.filter(({ id }) => id !== groupId),
        ]);
      const outcome = outcomeOf(made, book, here);
      if (outcome)
        expect(outcome.wood + outcome.finish + outcome.hardware + outcome.trips).toBe(outcome.atTill);
    }
  },
);

test.each(SEEDS)('seed %d: taking a way, or two together, moves the total by just what plans say', (seed) => {
  const { project, book } = generatedProject(seed);
  const base = planWith(project, book);
  if (!isProved(base)) return;
  const before = projectMoney(project, book, base).total;
  const found = new Map<string, Saving>();
  const end = performance.now() + 1_500;
  waysToSave(
    project,
    book,
    base,
    planWith,
    () => performance.now() > end,
    (saving) => found.set(saving.id, saving),
  );
  const ways = [...found.values()].filter(({ isForEach }) => !isForEach);
  for (const { title, changes, saves, total, plan } of ways.slice(0, 3)) {
    const after = planWith(withChanges(project, changes), book);
    if (!isProved(after) || !isProved(plan)) continue;
    const money = projectMoney(withChanges(project, changes), book, after).total;
    expect([title, money, before - money]).toEqual([title, total, saves]);
  }
  const [one, two] = ways;
  if (!one || !two) return;
  const both = together([
    { id: one.id, name: one.title, changes: one.changes },
    { id: two.id, name: two.title, changes: two.changes },
  ]);
  const made = withChanges(project, both.changes);
  expect(made).toEqual(withChanges(withChanges(project, one.changes), two.changes));
  expect(shownPlan(planWith(made, book))).not.toBeNull();
});

test.each(SEEDS)('seed %d: a break-even holds at its price, and a cent above it does not', (seed) => {
  const { project, book } = generatedProject(seed);
  const base = planWith(project, book);
  if (!isProved(base)) return;
  const goal = projectMoney(project, book, base).total;
  for (const { changes } of proposalsFor(project, book, base).slice(0, 2)) {
    const made = withChanges(project, changes);
    const plan = planWith(made, book);
    const even = isProved(plan)
      ? breakEven(made, book, plan, goal, freshMaterials(plan, base), planWith)
      : null;
    if (!even) continue;
    for (const [price, holds] of [
      [even.price, true],
      [even.price + 1, false],
    ] as const) {
      const at = atPrice(book, plan, even, price);
      const then = planWith(made, at);
      if (isProved(then)) expect([price, projectMoney(made, at, then).total <= goal]).toEqual([price, holds]);
    }
  }
});
