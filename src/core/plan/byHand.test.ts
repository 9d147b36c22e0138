import { measure } from '../project';
import { faultsOf, fromCsv, type Case } from '../testing';
import { byHandPlan } from './byHand';
import { firstPlan } from './firstPlan';
import { planInput } from './input';

const list: Case = {
  parts: 'part,kind,qty,section,length,item\nRail,,6,2x4,40,\nPost,,4,2x4,30,\nScrews,hardware,30,,,screws',
  prices:
    "store,item,kind,section,length,material,price,unit,pack\nYard,,,2x4,8',stud,4,,\nYard,,,2x4,12',stud,5.5,,\nYard,screws,hardware,,,,6,pack,50\n" +
    "Mill,,,2x4,8',stud,3,,",
  settings: { kerf: measure('1/8', 'in') },
};
const byHand = (given: Case) => {
  const { project, book } = fromCsv(given);
  const input = planInput(project, book);
  return { plan: byHandPlan(input), first: firstPlan(input) };
};

test('one store that has everything, one length, and never below the first plan', () => {
  const { plan, first } = byHand(list);
  // Of 12 ft: 40 + 40 + 40 twice, then 30 x 4: three boards; of 8 ft: 40 + 40 three times, 30 x 3, 30: five.
  expect(plan?.buys.map(({ store, item, qty }) => [store, item, qty])).toEqual([
    ['Yard', '2x4x12 stud', 3],
    ['Yard', 'screws', 1],
  ]);
  expect(plan && faultsOf(list, plan)).toEqual([]);
  expect(plan?.total ?? 0).toBeGreaterThanOrEqual(first.total);
});

test('no store has everything: there is no such plan', () => {
  expect(byHand({ ...list, prices: list.prices.replace('Yard,screws', 'Post,screws') }).plan).toBeNull();
});
