/** Parts that are cut to fit: sawn a little long and last, until they are measured. */
import { againstProject, planInput } from '../plan';
import { checkPlan, firstPlan } from '../plan/planner';
import { apply, measure, resolve, surface, weightOf, type Command, type Project } from '../project';
import { fromCsv } from '../testing';
import { fromInches } from '../units';
import { boardsToSaw, labelsOf, partsToFit, toFitOn } from '.';

const { project: given, book } = fromCsv({
  parts: ['part,qty,section,length', 'Slat,4,1x4,30', 'Post,4,2x4,40'].join('\n'),
  prices: ['store,section,length,material,price', 'Yard,1x4,8ft,pine,4', 'Yard,2x4,8ft,pine,5'].join('\n'),
});
const slat = given.groups[0]?.options[0]?.parts[0]?.id ?? '';
const run = (project: Project, command: Command): Project => apply(project, command, 0)?.document ?? project;
const edit = (project: Project, fields: Extract<Command, { type: 'editPart' }>['fields']): Project =>
  run(project, { type: 'editPart', partId: slat, fields });
const toFit = edit(given, { fitOver: measure('1/2', 'in') });

/** The boards of the first plan, which passes its check. */
const boardsOf = (project: Project) => {
  const plan = firstPlan(planInput(project, book));
  expect(checkPlan(plan, againstProject(project, book))).toEqual([]);
  return boardsToSaw(plan.layouts, project.settings.kerf.ticks, partsToFit(project)).boards;
};
const lengthsOf = (project: Project): number[] =>
  boardsOf(project).flatMap(({ layout }) =>
    layout.pieces
      .filter(({ partId }) => partId === slat)
      .map(({ outline }) => Math.max(...outline.map(([x]) => x)) - Math.min(...outline.map(([x]) => x))),
  );

test('they are sawn so much longer; what they weigh, what is finished and what is written on them is as planned', () => {
  expect(lengthsOf(given)).toEqual([30, 30, 30, 30].map(fromInches));
  expect(lengthsOf(toFit)).toEqual([30.5, 30.5, 30.5, 30.5].map(fromInches));
  const [planned, long] = [given, toFit].map((project) =>
    resolve(project).parts.find(({ id }) => id === slat),
  );
  if (!planned || !long) throw new Error('no slat');
  expect(surface(long, 'all')).toBe(surface(planned, 'all'));
  expect(weightOf(long)).toBe(weightOf(planned));
  expect(labelsOf(toFit)).toEqual(labelsOf(given));
});

test('their boards come last at the saw, and say which pieces are to be measured', () => {
  // Whichever of the two it is.
  for (const { id, section } of given.groups[0]?.options[0]?.parts ?? []) {
    const fields = { fitOver: measure('1/2', 'in') };
    const boards = boardsOf(run(given, { type: 'editPart', partId: id, fields }));
    expect(boards.at(-1)?.layout.section).toBe(section);
    expect(boards[0]?.layout.section).not.toBe(section);
  }
  const last = boardsOf(toFit).at(-1);
  expect(last && toFitOn(last.layout, toFit)).toEqual([
    expect.objectContaining({ partId: slat, over: fromInches(0.5) }),
  ]);
});

test('once measured they are sawn to that length, and nothing is over', () => {
  const measured = edit(toFit, { measured: { length: measure('29 7/8', 'in'), where: '', cut: 0 } });
  expect(lengthsOf(measured)).toEqual([29.875, 29.875, 29.875, 29.875].map(fromInches));
  expect(partsToFit(measured).size).toBe(0);
});

test('a shaped part is sawn to its measures', () => {
  const shaped = edit(toFit, {
    shape: [{ kind: 'round', place: 'top right', along: measure('1', 'in'), across: null, from: null }],
  });
  expect(lengthsOf(shaped)).toEqual([30, 30, 30, 30].map(fromInches));
  expect(partsToFit(shaped).size).toBe(0);
});
