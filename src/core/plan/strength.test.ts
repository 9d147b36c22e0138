/** Small lists whose proof needs one row of the model each: without it the bound holds, and is too low to prove anything. */
import loadHighs from 'highs';
import { faultsOf, fromCsv, type Case } from '../testing';
import { planInput } from './input';
import { bestPlan, firstPlan } from './planner';
import { solverOf, type Highs, type Solver } from '../cutting/solver';

let solver: Solver;
beforeAll(async () => {
  solver = solverOf((await loadHighs()) as unknown as Highs);
});

const proved = (given: Case): number => {
  const { project, book } = fromCsv(given);
  const plan = bestPlan(planInput(project, book), solver, 10);
  expect(faultsOf(given, plan)).toEqual([]);
  expect(plan.status).toBe('proved');
  return plan.total;
};

const boards = (parts: string, price = 4): Case => ({
  parts: `part,qty,section,length,ends\n${parts}`,
  prices: `store,section,length,material,price\nYard,2x4,96in,stud,${price}`,
});

test('four pieces longer than half a board take four boards, though their face fits in three', () => {
  expect(proved(boards('a,4,2x4,49,'))).toBe(1600);
});

test('a kerf between: 24 in four times are more than 96 in', () => {
  expect(proved(boards('a,4,2x4,24,'))).toBe(800);
  expect(proved(boards('a,4,2x4,23 7/8,'))).toBe(400);
});

// 2 x 49 11/16 less the offset of 3 1/2 is 95 7/8, and a slanted kerf is 0.18 in: by their mean lengths they would fit.
test('two pieces that meet at their slanted ends have a slanted kerf between them', () => {
  expect(proved(boards('a,2,2x4,49 11/16,one 45'))).toBe(800);
  expect(proved(boards('a,2,2x4,49 1/2,one 45'))).toBe(400);
});

test('a price from ten on is not had for four', () => {
  const many = (qty: number): Case => ({
    parts: `part,kind,qty,item\nhook,hardware,${qty},hook`,
    prices:
      'store,item,kind,price,unit,pack,min_qty\nYard,hook,hardware,6,each,1,1\nYard,hook,hardware,3,each,1,10',
  });
  expect(proved(many(4))).toBe(2400);
  expect(proved(many(6))).toBe(3000);
});

test('no more than there are of what is cheap', () => {
  expect(
    proved({
      parts: 'part,qty,section,length\na,5,2x4,90',
      prices:
        'store,section,length,material,price,available\nYard,2x4,96in,stud,2,3\nYard,2x4,97in,stud,5,\nMill,2x4,96in,stud,4,',
      stores: { Mill: { trip: 150 } },
    }),
  ).toBe(3 * 200 + 2 * 400 + 150);
});

test('a panel that is wanted once is cut once: nine others do not fit beside it', () => {
  const sheet = (qty: number): Case => ({
    parts: `part,kind,qty,section,length,width,grain\na,sheet,1,3/4in,60,30,length\nb,sheet,${qty},3/4in,35,30,length`,
    prices: 'store,kind,section,length,width,material,price\nYard,sheet,3/4in,96in,48in,ply,50',
  });
  expect(proved(sheet(1))).toBe(5000);
  expect(proved(sheet(2))).toBe(10000);
});

test('the bound of the first plan has the tax in it', () => {
  const { project, book } = fromCsv({ ...boards('a,2,2x4,96,'), settings: { tax: 0.1 } });
  const plan = firstPlan(planInput(project, book));
  expect(plan.total).toBe(880);
  // Less what two roundings at the till may come to, and a coin.
  expect(plan.lowerBound).toBeGreaterThanOrEqual(877);
});
