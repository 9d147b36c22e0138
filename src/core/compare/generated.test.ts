import loadHighs from 'highs';
import { projectMoney } from '../budget';
import { readProjectFile, writeProjectFile } from '../io';
import { planInput, shownPlan, type Plan } from '../plan';
import { bestPlan, solverOf, type Highs, type Solver } from '../plan/planner';
import { randomFrom, randomList } from '../plan/randomList';
import { emptyExtra, withChanges, type Book, type Group, type Project } from '../project';
import { atPrice, fromCsv, must } from '../testing';
import { breakEven, freshMaterials, outcomeOf, proposalsFor, together, waysToSave, type Saving } from '.';

let solver: Solver;
beforeAll(async () => {
  solver = solverOf((await loadHighs()) as unknown as Highs);
});
const SECONDS = 1.5;
const EXPOSURES = ['indoors', 'damp', 'outdoors', 'ground'] as const;
const planWith = (project: Project, book: Book): Plan => bestPlan(planInput(project, book), solver, SECONDS);
const isProved = (plan: Plan | null): plan is Plan => plan?.status === 'proved';

/** A project from a seed: two groups in different places, one or two built, something typed, something open. */
const generated = (seed: number): { project: Project; book: Book } => {
  const next = randomFrom(seed);
  const { project, book } = fromCsv(randomList(seed));
  const [first] = project.groups;
  if (!first) throw new Error('no group');
  const [option] = first.options;
  const parts = option?.parts ?? [];
  const half = Math.ceil(parts.length / 2);
  const groupOf = (id: string, own: typeof parts): Group => ({
    ...first,
    id,
    name: id,
    exposure: EXPOSURES[Math.floor(next() * EXPOSURES.length)] ?? 'indoors',
    options: [{ id: `${id}-way`, name: id, parts: own }],
    chosen: `${id}-way`,
  });
  const groups = [groupOf('Frame', parts.slice(0, half)), groupOf('Shelves', parts.slice(half))].filter(
    ({ options }) => (options[0]?.parts.length ?? 0) > 0,
  );
  return {
    project: {
      ...project,
      groups,
      builds: next() < 0.3 ? 2 : 1,
      extras:
        next() < 0.3 ? [{ ...emptyExtra('x'), name: 'Felt', rule: 'count', amount: '2', price: 250 }] : [],
    },
    book,
  };
};

const SEEDS = Array.from({ length: 7 }, (_, index) => 7_100 + index * 13);

test.each(SEEDS)(
  'seed %d: a proposal, saved in a file and planned from it, comes to what is shown; nothing else moves',
  (seed) => {
    const { project, book } = generated(seed);
    const base = planWith(project, book);
    for (const { name, kind, groupId, changes } of proposalsFor(project, book, base).slice(0, 4)) {
      const made = withChanges(project, changes);
      const file = must(readProjectFile(writeProjectFile(made, book), 'x.billet.json'));
      const [here, there] = [planWith(made, book), planWith(file.project, file.book)];
      if (isProved(here) && isProved(there)) expect([name, there.total]).toEqual([name, here.total]);
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

test.each(SEEDS.slice(0, 4))(
  'seed %d: taking a way, or two together, moves the total by just what plans say',
  (seed) => {
    const { project, book } = generated(seed);
    const base = planWith(project, book);
    if (!isProved(base)) return;
    const before = projectMoney(project, book, base).total;
    const found = new Map<string, Saving>();
    const end = performance.now() + 6_000;
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
  },
);

test.each(SEEDS.slice(0, 4))(
  'seed %d: a break-even holds at its price, and a cent above it does not',
  (seed) => {
    const { project, book } = generated(seed);
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
        if (isProved(then))
          expect([price, projectMoney(made, at, then).total <= goal]).toEqual([price, holds]);
      }
    }
  },
);
