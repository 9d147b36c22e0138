import { readProjectFile, writeProjectFile } from '../io';
import { fromCsv } from '../testing';
import {
  emptyExtra,
  keptMoney,
  keptPieces,
  measure,
  purchaseMoney,
  receiptGap,
  type Project,
  type PurchaseLine,
} from '.';

const { project, book } = fromCsv({
  parts: 'part,qty,section,length\nRail,4,2x4,40',
  prices: "store,section,length,material,price\nYard,2x4,8',stud,4",
});

const screws: PurchaseLine = {
  item: { kind: 'hardware', name: 'deck screws', section: '', length: null, width: null, material: '' },
  pack: 100,
  quantity: 3,
  price: 2997,
  tax: 210,
  category: 'hardware',
};

test('whatever is known of spending comes back from a project file as it went', () => {
  const spending: Project = {
    ...project,
    target: 30000,
    budget: { byCategory: { wood: 12050, tools: 1999 }, reserve: 0.1, isEach: true, date: '2026-12-24' },
    baseline: {
      date: '2026-11-01',
      trips: 420,
      lines: [
        {
          item: { ...screws.item, length: measure('40', 'in') },
          quantity: 2,
          paid: 1234,
          category: 'wood',
        },
      ],
    },
    dismissed: ['glue:main'],
    extras: [
      { ...emptyExtra('e1'), name: 'drill hire', amount: '1', price: 4501, category: 'tools' },
      { ...emptyExtra('e2'), name: 'oil', amount: '1', isOwned: true },
    ],
    work: {
      hours: 3,
      rate: 1550,
      beside: null,
      tools: [{ id: 't', name: 'clamp', price: 1099, charge: { way: 'spread', over: 4 } }],
      travel: { distance: 12, unit: 'km', rate: 35 },
      power: { kilowattHours: 2.5, rate: 31 },
      margin: 0.3,
      below: 0.1,
      offer: 3500,
    },
    purchases: [
      {
        id: 'p',
        date: '2026-11-03',
        storeId: '',
        store: 'Fair',
        note: '',
        isOpen: true,
        receipt: { total: 3300, tax: 211 },
        lines: [
          {
            ...screws,
            for: 'screws',
            note: 'blue box',
            charge: { way: 'out', over: 1 },
            share: { part: 0.5, whole: 6414, with: 'Shelter' },
            returned: [{ id: 'r', date: '2026-11-05', quantity: 1, price: 999, tax: 70 }],
          },
        ],
      },
    ],
  };
  const read = readProjectFile(writeProjectFile(spending, book), 'file');
  expect(read.ok && read.value.project).toEqual(spending);
});

test('what was taken back is neither there nor paid; of a shared box only this half is', () => {
  const back = { ...screws, returned: [{ id: 'r', date: '2026-11-05', quantity: 1, price: 999, tax: 70 }] };
  expect([keptPieces(back), keptMoney(back)]).toEqual([200, 3207 - 1069]);
  expect(keptPieces({ ...screws, quantity: 1, share: { part: 0.5, whole: 1069, with: 'Shelter' } })).toBe(50);
});

test('a receipt decides what was paid, and its tax is told apart where it says it', () => {
  const purchase = { id: 'p', date: '2026-11-03', storeId: '', store: 'Fair', note: '', lines: [screws] };
  expect(receiptGap(purchase)).toEqual({ price: 0, tax: 0 });
  const withTax = { ...purchase, receipt: { total: 3210, tax: 212 } };
  expect([receiptGap(withTax), purchaseMoney(withTax)]).toEqual([{ price: 1, tax: 2 }, 3210]);
  expect(receiptGap({ ...purchase, receipt: { total: 3200, tax: null } })).toEqual({ price: -7, tax: 0 });
});
