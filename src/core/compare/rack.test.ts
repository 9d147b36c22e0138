import loadHighs from 'highs';
import { projectMoney } from '../budget';
import { measure } from '../project';
import { againstProject, planInput } from '../plan';
import { bestPlan, checkPlan, solverOf, type Highs, type Solver } from '../plan/planner';
import { applyToBook, withChanges, type Book, type Project, type RackEntry } from '../project';
import { fromCsv } from '../testing';
import { proposalsFor, waysToSave, type Saving } from '.';

let solver: Solver;
beforeAll(async () => {
  solver = solverOf((await loadHighs()) as unknown as Highs);
});

const planWith = (project: Project, book: Book) => {
  const plan = bestPlan(planInput(project, book), solver, 10);
  expect(checkPlan(plan, againstProject(project, book))).toEqual([]);
  return plan;
};

const given = fromCsv({
  parts: 'part,qty,kind,section,length,item\nRail,4,,2x4,40,\nHook,6,hardware,,,hook',
  prices: 'store,kind,section,length,material,price,item\nYard,,2x4,8ft,stud,4,\nYard,hardware,,,,1,hook',
});
const entries: RackEntry[] = [
  {
    id: 'a',
    quantity: 2,
    from: '',
    item: {
      kind: 'board',
      name: '',
      section: '2x4',
      length: measure('41', 'in'),
      width: null,
      material: 'stud',
    },
  },
  {
    id: 'b',
    quantity: 4,
    from: '',
    item: { kind: 'hardware', name: 'hook', section: '', length: null, width: null, material: '' },
  },
];
const book = applyToBook(given.book, { type: 'putOnRack', entries }, 0)?.document as Book;

test('what is on the rack is used, and costs nothing', () => {
  expect(projectMoney(given.project, given.book, planWith(given.project, given.book)).total).toBe(
    2 * 400 + 6 * 100,
  );
  // Two rails from the rack, two from one board; two hooks to buy.
  expect(projectMoney(given.project, book, planWith(given.project, book)).total).toBe(400 + 200);
});

test('left for other projects it is a way to save, which says what is bought less; used, it can be compared without', () => {
  const left = withChanges(given.project, [{ type: 'editProject', fields: { leavesRack: true } }]);
  const found: Saving[] = [];
  waysToSave(
    left,
    book,
    planWith(left, book),
    planWith,
    () => false,
    (saving) => found.push(saving),
  );
  expect(found.find(({ id }) => id === 'rack')).toMatchObject({
    saves: 800,
    tradeOff: expect.stringMatching(/^Four hook less, one 2x4x8 stud less/),
  });
  const names = (project: Project) => proposalsFor(project, book, null).map(({ name }) => name);
  expect(names(left)).toContain('The rack first');
  expect(names(given.project)).toContain('Without the rack');
});

test('taken off the rack it is not used', () => {
  const empty = applyToBook(book, { type: 'takeFromRack', ids: ['a', 'b'] }, 0)?.document as Book;
  expect(projectMoney(given.project, empty, planWith(given.project, empty)).total).toBe(1400);
});
