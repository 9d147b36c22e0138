import { applyToBook, type RackEntry } from '../project';
import { fromCsv, rackBoards } from '../testing';
import { keepForBegun, planInput, rackClaims, type Plan } from '.';
import { firstPlan } from './planner';

const planOn = (rack: RackEntry, parts = 'part,qty,section,length\nRail,1,2x4,46') => {
  const { project, book } = fromCsv({
    parts,
    prices: "store,section,length,material,price\nYard,2x4,8',stud,4",
  });
  return firstPlan(planInput(project, { ...book, rack: { a: rack } }));
};

const at = (plan: Plan) => ({ id: 'here', plan });

test('one leftover in the plans of two projects is promised twice; two of it are not', () => {
  const one = rackBoards(1);
  const others = [{ id: 's', name: 'Shelf', plan: planOn(one) }];
  expect(rackClaims([one], at(planOn(one)), others)).toEqual([
    { entry: one, wanted: 1, others: [{ id: 's', name: 'Shelf', count: 1 }] },
  ]);
  // Kept for one of the two, it is asked about no more.
  for (const id of ['here', 's'])
    expect(rackClaims([{ ...one, keptFor: { [id]: 1 } }], at(planOn(one)), others)).toEqual([]);
  const two = rackBoards(2);
  expect(rackClaims([two], at(planOn(two)), others)).toEqual([]);
});

test('what the plan at hand does not cut is no matter of it', () => {
  const one = rackBoards(1);
  const long = planOn(one, 'part,qty,section,length\nPost,1,2x4,90');
  expect(rackClaims([one], at(long), [{ id: 's', name: 'Shelf', plan: planOn(one) }])).toEqual([]);
});

test('a project that is begun keeps what its plan cuts; the plan of another does without it', () => {
  const { project, book: prices } = fromCsv({
    parts: 'part,qty,section,length\nRail,1,2x4,46',
    prices: "store,section,length,material,price\nYard,2x4,8',stud,4",
  });
  const book = { ...prices, rack: { a: rackBoards(1) } };
  const plan = firstPlan(planInput(project, book));
  expect(plan.total).toBe(0);
  const [command] = keepForBegun(project, book, plan);
  const after = command ? (applyToBook(book, command, 0)?.document ?? book) : book;
  expect(after.rack?.['a']?.keptFor).toEqual({ [project.id]: 1 });
  expect(firstPlan(planInput({ ...project }, after)).total).toBe(0);
  expect(firstPlan(planInput({ ...project, id: 'other' }, after)).total).toBe(400);
  expect(keepForBegun(project, book, null)).toEqual([]);
});
