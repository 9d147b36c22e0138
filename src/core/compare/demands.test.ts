import loadHighs from 'highs';
import { planInput, shownPlan, type Plan } from '../plan';
import { bestPlan, solverOf, type Highs, type Solver } from '../plan/planner';
import { isTreated } from '../lumber';
import { projectMoney } from '../budget';
import { withChanges, type Book, type Project } from '../project';
import { fromCsv } from '../testing';
import { outcomeOf, proposalsFor, together, wantWords, wantsIn, type Proposal } from '.';

let solver: Solver;
beforeAll(async () => {
  solver = solverOf((await loadHighs()) as unknown as Highs);
});
const planWith = (project: Project, book: Book): Plan => bestPlan(planInput(project, book), solver, 2);

const PARTS = `part,kind,qty,section,length,material
side,board,4,2x6,48,cedar
end,board,4,2x6,24,cedar
wood screw 2 1/2 in,hardware,40,,,
`;
const WOODS = `store,kind,item,section,length,material,price
Yard,board,,2x6,96,cedar,24.00
Yard,board,,2x6,96,treated,9.00
`;
const SCREWS = 'Yard,hardware,wood screw 2 1/2 in,,,,0.08\n';
const COATED =
  'Yard,hardware,coated deck screw 2 1/2 in,,,,0.21\nYard,hardware,coated deck screw 3 in,,,,0.11\n';
const LINERS = 'Yard,hardware,liner 50 ft2,,,,14.00\nYard,hardware,liner 20 sq ft,,,,9.00\n';

/** A bed of cedar for food, in a project that lines treated wood. */
const bed = (prices: string, school: 'liner' | 'avoid' = 'liner') => {
  const { project, book } = fromCsv({ parts: PARTS, prices: WOODS + prices });
  const [group] = project.groups;
  if (!group) throw new Error('no group');
  const made: Project = {
    ...project,
    treatedNearFood: school,
    groups: [{ ...group, exposure: 'outdoors', nearFood: true, materials: ['cedar'] }],
  };
  return { project: made, book, base: planWith(made, book) };
};

const treatedWay = ({
  project,
  book,
  base,
}: ReturnType<typeof bed>): { way: Proposal; made: Project; plan: Plan } => {
  const way = proposalsFor(project, book, base).find(({ changes }) => {
    const plan = planWith(withChanges(project, changes), book);
    return shownPlan(plan)?.layouts.every(({ material }) => isTreated(material));
  });
  if (!way) throw new Error('no way of treated wood');
  const made = withChanges(project, way.changes);
  return { way, made, plan: planWith(made, book) };
};

test('treated wood near food brings its liner and coated screws, from the book, into its total', () => {
  const at = bed(SCREWS + COATED + LINERS);
  const { made, plan } = treatedWay(at);
  const bought = new Map(plan.buys.map(({ item, costWithTax }) => [item, costWithTax]));
  // 4 x 2 ft and 4 x 4 ft of 5 1/2 in: 11 sq ft.
  expect([...bought]).toEqual(
    expect.arrayContaining([
      ['liner 20 sq ft', 900],
      ['coated deck screw 2 1/2 in', 840],
    ]),
  );
  expect(bought.has('wood screw 2 1/2 in')).toBe(false);
  expect(wantsIn(made, at.book, plan)).toEqual([]);
  expect(projectMoney(made, at.book, plan).total).toBe(plan.total);
});

test('what it demands and no store of the book sells is told, and the sum is called without it', () => {
  const at = bed(SCREWS);
  const { made, plan } = treatedWay(at);
  expect(outcomeOf(made, at.book, plan)?.wants).toEqual(['liner', 'coated steel']);
  expect(wantWords(['finish'])).toBe('without the finish it wants');
  expect(wantWords(['liner', 'coated steel'])).toBe(
    'without the liner it wants; its steel may be plain: read the tag',
  );
  expect(wantsIn(at.project, at.book, at.base)).toEqual([]);
});

test('who keeps treated wood away from food is sold no liner', () => {
  const at = bed(SCREWS + LINERS, 'avoid');
  const { made } = treatedWay(at);
  expect(made.extras).toEqual([]);
});

test('back in cedar the liner that came with the treated wood goes; one of a person’s own stays', () => {
  const at = bed(SCREWS + COATED + LINERS);
  const { made, plan } = treatedWay(at);
  const back = proposalsFor(made, at.book, plan).find(({ changes }) =>
    changes.some((change) => change.type === 'removeExtra'),
  );
  expect(back && withChanges(made, back.changes).extras).toEqual([]);
  const own: Project = { ...made, extras: made.extras.map((extra) => ({ ...extra, id: 'own' })) };
  for (const { changes } of proposalsFor(own, at.book, plan))
    expect(withChanges(own, changes).extras).toEqual(expect.arrayContaining(own.extras));
  expect(together([]).changes).toEqual([]);
});
