import { formatLength } from '../measure';
import { firstPlan, planInput } from '../plan';
import { parseSection } from '../wood';
import { emptyExtra, itemKey, tagName, type Project, type PurchaseLine } from '../project';
import { fromCsv } from '../testing';
import { hardwareItem, leftoversOf } from '.';

const given = fromCsv({
  parts: 'part,qty,kind,section,length,item\nRail,2,,2x4,40,\nHook,6,hardware,,,hook',
  prices:
    'store,kind,section,length,material,price,item,pack\nYard,,2x4,8ft,stud,4,,\nYard,hardware,,,,1,hook,10',
});
const [board, hook] = Object.values(given.book.prices);
const lineOf = (price: typeof board, pack: number, quantity: number): PurchaseLine => ({
  item: price?.item as PurchaseLine['item'], pack, quantity, price: 400, tax: 0, category: 'wood',
}); // prettier-ignore
const project: Project = {
  ...given.project,
  purchases: [
    { id: 'a', date: '2026-11-20', storeId: board?.storeId ?? '', store: 'Yard', note: '', lines: [lineOf(board, 1, 3), lineOf(hook, 10, 1)] },
  ],
}; // prettier-ignore

test('what is left: the offcut with its length, boards that were not cut, hooks beyond those needed', () => {
  const plan = firstPlan(planInput(project, given.book));
  expect(plan.total).toBe(0);
  const left = leftoversOf(project, given.book, plan);
  // 96 less two rails of 40 and their two kerfs: 15 3/4 in.
  expect(left.map(({ item, quantity }) => [quantity, tagName(item), item.length && formatLength(item.length.ticks, 'in')])).toEqual([
    [1, '2x4 x 15 3/4in stud', '15 3/4"'],
    [2, '2x4x8 stud', '96"'],
    [4, 'hook', null],
  ]);
}); // prettier-ignore

test('a ripped rest is a section of its own, which reads back as one', () => {
  const ripped = fromCsv({
    parts: 'part,qty,section,length\nBar,1,2x2,90',
    prices: 'store,section,length,material,price\nYard,2x4,8ft,stud,4',
    settings: { tools: ['mitre-saw', 'table-saw'] },
  });
  const plan = firstPlan(planInput(ripped.project, ripped.book));
  const left = leftoversOf(ripped.project, ripped.book, plan);
  const narrow = left.find(({ item }) => item.section !== '2x4');
  const section = parseSection(narrow?.item.section ?? '');
  // 3 1/2 less 1 1/2 and a kerf of 1/8: 1 7/8 in.
  expect(section.ok && formatLength(section.value.width, 'in')).toBe('1 7/8"');
  expect(itemKey(narrow?.item as PurchaseLine['item'])).not.toBe(
    itemKey(board?.item as PurchaseLine['item']),
  );
});

test('what is left is worth its share of what it was bought as', () => {
  const left = leftoversOf(project, given.book, firstPlan(planInput(project, given.book)));
  // Three boards came to 4.00 together: 15 3/4 in of one, and two whole ones; ten hooks to 4.00.
  expect(left.map(({ item, worth }) => [tagName(item), worth])).toEqual([
    ['2x4 x 15 3/4in stud', Math.round((133 * 15.75) / 96)],
    ['2x4x8 stud', 133],
    ['hook', 40],
  ]);
});

test('a can that is not used up is named by how full it is, and no plan takes it for a whole one', () => {
  const oil = { ...emptyExtra('e'), name: 'oil', rule: 'area' as const, amount: '10 ft * 9 ft', covers: '60 ft2' };
  const line: PurchaseLine = { item: hardwareItem('oil'), pack: 1, quantity: 2, price: 3000, tax: 0, category: 'finish' };
  const oiled: Project = { ...given.project, extras: [oil], purchases: [{ id: 'o', date: '2026-11-20', storeId: '', store: 'Fair', note: '', lines: [line] }] };
  const left = leftoversOf(oiled, given.book, firstPlan(planInput(oiled, given.book)));
  expect(left.filter(({ item }) => /oil/.test(item.name))).toEqual([
    { item: expect.objectContaining({ name: 'oil, about 50 % left' }), quantity: 1, worth: 750 },
  ]);
}); // prettier-ignore

test('what was taken back is not left over', () => {
  const [hooks] = project.purchases[0]?.lines.slice(1) ?? [];
  if (!hooks) throw new Error('no hooks');
  const returned = [{ id: 'r', date: '2026-11-21', quantity: 1, price: 400, tax: 0 }];
  const back: Project = { ...project, purchases: [{ ...(project.purchases[0] as Project['purchases'][number]), lines: [{ ...hooks, quantity: 2, returned }] }] }; // prettier-ignore
  const left = leftoversOf(back, given.book, firstPlan(planInput(back, given.book)));
  expect(left.find(({ item }) => item.name === 'hook')?.quantity).toBe(4);
});
