import { formatLength } from '../measure';
import { firstPlan, planInput } from '../plan';
import { parseSection } from '../wood';
import { itemKey, tagName, type Project, type PurchaseLine } from '../project';
import { fromCsv } from '../testing';
import { leftoversOf } from '.';

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
