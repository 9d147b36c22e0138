import { planInput, planKey } from '../plan';
import { firstPlan } from '../plan/planner';
import { readProjectFile, writeProjectFile } from '../io';
import { apply, withChanges, type Decision } from '../project';
import { wayBack } from '../project/wayBack';
import { must } from '../testing';
import { generatedProject } from './generatedProject';
import { proposalsFor } from '.';

const SEEDS = Array.from({ length: 25 }, (_, index) => 9_000 + index * 17);

test('law: the way back from a proposal leads to the very plan that there was, through a file too', () => {
  let ways = 0;
  let back = 0;
  for (const seed of SEEDS) {
    const { project, book } = generatedProject(seed);
    const before = planKey(planInput(project, book));
    for (const { name, changes } of proposalsFor(project, book, firstPlan(planInput(project, book)))) {
      ways++;
      const found = wayBack(project, changes);
      if (!found) continue;
      back++;
      const decision: Decision = { id: 'd', name, day: '2026-12-02', before: 1, after: 2, back: found };
      const taken = apply(project, { type: 'choose', name, changes, decision }, 0)?.document ?? project;
      const file = must(readProjectFile(writeProjectFile(taken, book), 'x.billet.json'));
      const kept = file.project.decisions?.at(-1);
      expect(kept).toEqual(decision);
      const again = withChanges(file.project, kept?.back ?? []);
      expect([seed, name, planKey(planInput(again, book))]).toEqual([seed, name, before]);
    }
  }
  // Most ways can be said back.
  expect(back).toBeGreaterThan(ways * 0.8);
  expect(ways).toBeGreaterThan(50);
});

test('taking a way back with one undo takes the decision with it, and no more than fifty are kept', () => {
  let { project } = generatedProject(9_000);
  for (let count = 0; count < 60; count++) {
    const decision: Decision = {
      id: `${count}`,
      name: 'x',
      day: '2026-12-02',
      before: null,
      after: null,
      back: null,
    };
    const changes = [{ type: 'editProject' as const, fields: { note: `${count}` } }];
    project = apply(project, { type: 'choose', name: 'x', changes, decision }, 0)?.document ?? project;
  }
  expect(project.decisions?.map(({ id }) => id)).toEqual(
    Array.from({ length: 50 }, (_, index) => `${index + 10}`),
  );
});
