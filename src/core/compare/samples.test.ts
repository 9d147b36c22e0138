import { readFileSync } from 'node:fs';
import loadHighs from 'highs';
import { projectMoney } from '../budget';
import { readProjectFile } from '../io';
import { againstProject, planInput, type Plan } from '../plan';
import { bestPlan, checkPlan, solverOf, type Highs, type Solver } from '../plan/planner';
import { apply, type Book, type Project } from '../project';
import { atPrice, must } from '../testing';
import {
  breakEven,
  freshMaterials,
  outcomeOf,
  proposalsFor,
  unfitIn,
  usualProposals,
  waysToSave,
  type Saving,
} from '.';

let solver: Solver;
beforeAll(async () => {
  solver = solverOf((await loadHighs()) as unknown as Highs);
});

const planWith = (project: Project, book: Book): Plan => {
  const plan = bestPlan(planInput(project, book), solver, 10);
  expect(checkPlan(plan, againstProject(project, book))).toEqual([]);
  return plan;
};
const sampleOf = (name: string) =>
  must(readProjectFile(readFileSync(`demo/${name}.billet.json`, 'utf8'), name));
const chosen = (project: Project, name: string, changes: Saving['changes']): Project =>
  apply(project, { type: 'choose', name, changes }, 0)?.document ?? project;

describe.each(['compost-station', 'record-shelf', 'sandpit'])('the sample %s', (name) => {
  const { project, book } = sampleOf(name);

  test('has four alternatives or more, and each total is the planner’s for what choosing it makes of the project', () => {
    const base = planWith(project, book);
    const proposals = usualProposals(proposalsFor(project, book, base), 11);
    expect(proposals.length).toBeGreaterThanOrEqual(4);
    expect(new Set(proposals.map(({ id }) => id)).size).toBe(proposals.length);
    let made = 0;
    for (const { name: title, changes } of proposals) {
      const other = chosen(project, title, changes);
      expect(other).not.toEqual(project);
      const plan = planWith(other, book);
      const outcome = outcomeOf(other, book, plan);
      if (plan.status === 'infeasible') continue;
      made++;
      expect(outcome?.atTill).toBe(projectMoney(other, book, plan).total);
      expect(outcome?.wood).toBeGreaterThan(0);
      // The rows add up to what is paid at the till.
      expect(
        (outcome?.wood ?? 0) + (outcome?.finish ?? 0) + (outcome?.hardware ?? 0) + (outcome?.trips ?? 0),
      ).toBe(outcome?.atTill);
      expect(outcome?.inPiece).toBeLessThanOrEqual(outcome?.atTill ?? 0);
    }
    expect(made).toBeGreaterThanOrEqual(4);
  });

  test('has five ways to save or more, and taking one changes the total by exactly what it says', () => {
    const base = planWith(project, book);
    const before = projectMoney(project, book, base).total;
    const found: Saving[] = [];
    waysToSave(
      project,
      book,
      base,
      planWith,
      () => false,
      (saving) => found.push(saving),
    );
    const best = [...new Map(found.map((saving) => [saving.id, saving])).values()];
    expect(best.length).toBeGreaterThanOrEqual(5);
    for (const { title, changes, saves, total, isForEach, ...saving } of best) {
      const taken = chosen(project, title, changes);
      const after = projectMoney(taken, book, planWith(taken, book)).total;
      expect([title, after]).toEqual([title, total]);
      const share = isForEach ? taken.builds / project.builds : 1;
      expect([title, saves]).toEqual([title, Math.floor(before - after / share)]);
      expect(saves).toBeGreaterThan(0);
      expect(saving.tradeOff).toMatch(/\.$/);
    }
  });

  test('nothing that a way to save brings in is unfit where it was not before', () => {
    const base = planWith(project, book);
    const unfit = (of: Project) => unfitIn(of, book).filter(({ verdict }) => verdict === 'unfit').length;
    waysToSave(
      project,
      book,
      base,
      planWith,
      () => false,
      ({ changes }) => {
        expect(unfit(chosen(project, '', changes))).toBeLessThanOrEqual(unfit(project));
      },
    );
  });

  test('at its break-even price, moved alone, an alternative costs no more than the choice; a cent above it costs more', () => {
    const base = planWith(project, book);
    const goal = projectMoney(project, book, base).total;
    let told = 0;
    for (const { changes } of proposalsFor(project, book, base).slice(0, 4)) {
      const other = chosen(project, '', changes);
      const plan = planWith(other, book);
      const fresh = freshMaterials(plan, base);
      const even = breakEven(other, book, plan, goal, fresh, planWith);
      if (!even) continue;
      told++;
      const total = (price: number) => {
        const at = atPrice(book, plan, even, price);
        return projectMoney(other, at, planWith(other, at)).total;
      };
      expect(total(even.price)).toBeLessThanOrEqual(goal);
      expect(total(even.price + 1)).toBeGreaterThan(goal);
    }
    expect(told).toBeGreaterThan(0);
  });
});

test('what is not fit is flagged with the reason and what would be, and a finish it has is not asked for again', () => {
  const { project, book } = sampleOf('sandpit');
  const [worst] = unfitIn(project, book);
  expect(worst).toMatchObject({ group: 'Box', material: 'spruce', verdict: 'unfit' });
  expect(worst?.sentence).toMatch(/ground/);
  expect(worst?.fitting).toContain('treated pine');
  const lid = project.groups.find(({ name }) => name === 'Lid');
  const finished: Project = {
    ...project,
    extras: [
      ...project.extras,
      {
        id: 'f',
        name: 'Glaze',
        item: '',
        rule: 'finish',
        groupId: lid?.id ?? '',
        amount: '',
        faces: 'all',
        coats: 2,
        covers: '5 m2',
        note: '',
      },
    ],
  };
  expect(unfitIn(project, book).some(({ group }) => group === 'Lid')).toBe(true);
  expect(unfitIn(finished, book).some(({ group }) => group === 'Lid')).toBe(false);
});
