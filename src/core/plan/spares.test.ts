import { purchaseLine } from '../budget';
import type { Project, Purchase } from '../project';
import { fromCsv } from '../testing';
import { againstProject, planInput } from '.';
import { checkPlan, firstPlan } from './planner';

const given = fromCsv({
  parts: 'part,qty,section,length\nPost,7,2x4,90\nBeam,3,2x4,115',
  prices: "store,section,length,material,price\nYard,2x4,8',stud,4\nYard,2x4,10',stud,5.4",
  settings: { spare: { stud: 0.1 } },
});
const bought = (project: Project, name: string, quantity: number): Project => {
  const price = Object.values(given.book.prices).find(({ item }) => item.name === name);
  if (!price) throw new Error(name);
  const line = purchaseLine(
    price.item,
    1,
    quantity,
    400 * quantity,
    { taxFree: true },
    project.settings,
    'USD',
  );
  const purchase: Purchase = {
    id: name,
    date: '2026-11-25',
    storeId: price.storeId,
    store: 'Yard',
    note: '',
    lines: [line],
  };
  return { ...project, purchases: [...project.purchases, purchase] };
};
const buys = (project: Project) => {
  const plan = firstPlan(planInput(project, given.book));
  expect(checkPlan(plan, againstProject(project, given.book))).toEqual([]);
  return plan.buys.map(({ item, qty, spare }) => [item, qty, spare]);
};

test('spares are for all boards, however many trips they are bought on', () => {
  // Ten boards, a tenth of them spare: one, in the longest length.
  expect(buys(given.project)).toEqual([
    ['2x4x10 stud', 4, 1],
    ['2x4x8 stud', 7, 0],
  ]);
  const numbers = (project: Project) => buys(project).map(([item, qty]) => [item, qty]);
  // The long ones bought, the spare among them: as many are still to buy as there were.
  expect(numbers(bought(given.project, '2x4x10 stud', 4))).toEqual([['2x4x8 stud', 7]]);
  // The long ones bought without it: it is still to come.
  expect(numbers(bought(given.project, '2x4x10 stud', 3))).toEqual([['2x4x8 stud', 8]]);
  expect(numbers(bought(bought(given.project, '2x4x10 stud', 4), '2x4x8 stud', 7))).toEqual([]);
});

test('where the boards that are cut are sold out, spares are of others, at the stores that are gone to first', () => {
  const short = fromCsv({
    parts: 'part,qty,section,length\nPost,7,2x4,90',
    prices:
      "store,section,length,material,price,available\nYard,2x4,8',stud,4,7\nMill,2x4,10',stud,5.4,\nYard,2x4,12',stud,9,",
    settings: { spare: { stud: 0.1 } },
  });
  const plan = firstPlan(planInput(short.project, short.book));
  expect(checkPlan(plan, againstProject(short.project, short.book))).toEqual([]);
  expect(plan.buys.map(({ item, qty, spare }) => [item, qty, spare])).toEqual([
    ['2x4x12 stud', 1, 1],
    ['2x4x8 stud', 7, 0],
  ]);
});
