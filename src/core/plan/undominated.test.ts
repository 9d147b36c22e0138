import { undominated } from '../cutting/model';
import { fromCsv } from '../testing';
import { planInput } from '.';
import { firstPlan } from './planner';

/** Boards of many woods at one store; `rows` more of them. */
const given = (rows: string[], parts = 'part,qty,section,length\nRail,6,2x4,40') =>
  fromCsv({
    parts,
    prices: [
      'store,section,length,material,price,min_qty,available',
      ...Array.from({ length: 300 }, (_, index) => `Yard,2x4,8ft,wood ${index},${5 + index / 100},,`),
      ...rows,
    ].join('\n'),
  });
const left = (rows: string[], parts?: string) => {
  const { project, book } = given(rows, parts);
  return planInput(project, book).offers.map(({ name, length }) => `${name} ${length}`);
};

test('of many woods that all will do, the cheapest of each size at each store is looked at', () => {
  expect(left([])).toHaveLength(1);
  expect(left(['Yard,2x4,12ft,oak,9,,', 'Mill,2x4,8ft,oak,9,,'])).toHaveLength(3);
  // As cheap is not cheaper: which of them is bought stays as it was.
  expect(left(['Yard,2x4,8ft,ash,5,,'])).toHaveLength(2);
});

test('what is cheaper for few, for many, or only while it lasts hides nothing', () => {
  expect(left(['Yard,2x4,8ft,ash,4,,2'])).toHaveLength(2);
  expect(left(['Yard,2x4,8ft,ash,4,10,'])).toHaveLength(2);
});

test('a wood that some part alone asks for stays', () => {
  const parts = 'part,qty,section,length,material\nRail,6,2x4,40,\nCap,1,2x4,30,wood 200';
  expect(left([], parts)).toHaveLength(2);
});

test('a store that sends for nothing from a sum on keeps all, for there paying more can cost less', () => {
  const { project, book } = given([]);
  const stores = Object.values(book.stores).map((store) => ({
    ...store,
    shipping: { fee: 500, freeFrom: 3000 },
  }));
  const withShipping = { ...book, stores: Object.fromEntries(stores.map((store) => [store.id, store])) };
  expect(planInput({ ...project }, withShipping).offers).toHaveLength(300);
});

test('the plan costs as much as with all of them', () => {
  const { project, book } = given(['Yard,2x4,12ft,oak,7.10,,', 'Mill,2x4,16ft,ash,8,,3']);
  const input = planInput(project, book);
  const all = given(['Yard,2x4,12ft,oak,7.10,,', 'Mill,2x4,16ft,ash,8,,3']);
  const whole = planInput(
    { ...all.project, settings: { ...all.project.settings, spare: { none: 0.5 } } },
    all.book,
  );
  expect(whole.offers.length).toBeGreaterThan(300);
  expect(undominated(whole.offers, { ...whole, settings: { ...whole.settings, spare: {} } })).toHaveLength(
    input.offers.length,
  );
  expect(firstPlan(input).total).toBe(firstPlan(whole).total);
});
