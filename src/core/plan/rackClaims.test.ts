import { measure, type RackEntry } from '../project';
import { fromCsv } from '../testing';
import { planInput, rackClaims } from '.';
import { firstPlan } from './planner';

const entry = (quantity: number): RackEntry => ({
  id: 'a',
  quantity,
  from: 'Old bench',
  item: {
    kind: 'board',
    name: '',
    section: '2x4',
    length: measure('47', 'in'),
    width: null,
    material: 'stud',
  },
});
const planOn = (rack: RackEntry, parts = 'part,qty,section,length\nRail,1,2x4,46') => {
  const { project, book } = fromCsv({
    parts,
    prices: "store,section,length,material,price\nYard,2x4,8',stud,4",
  });
  return firstPlan(planInput(project, { ...book, rack: { a: rack } }));
};

test('one leftover in the plans of two projects is promised twice; two of it are not', () => {
  const one = entry(1);
  const others = [{ name: 'Shelf', plan: planOn(one) }];
  expect(rackClaims([one], planOn(one), others)).toEqual([{ entry: one, wanted: 1, others: ['Shelf'] }]);
  const two = entry(2);
  expect(rackClaims([two], planOn(two), others)).toEqual([]);
});

test('what the plan at hand does not cut is no matter of it', () => {
  const one = entry(1);
  const long = planOn(one, 'part,qty,section,length\nPost,1,2x4,90');
  expect(rackClaims([one], long, [{ name: 'Shelf', plan: planOn(one) }])).toEqual([]);
});
