import { planInput } from '@/core/plan';
import { firstPlan } from '@/core/plan/planner';
import { applyToBook, type Book, type Price, type Project } from '@/core/project';
import { fromCsv } from '@/core/testing';
import { MovedElsewhere } from './movedElsewhere';
import type { Clock } from './writeQueue';

const { project, book } = fromCsv({
  parts: 'part,qty,section,length\nPost,7,2x4,40',
  prices: "store,section,length,material,price\nYard,2x4,8',stud,4\nYard,1x4,8',pine,3",
});

/** Two projects and a book, with time that the test moves. */
const setUp = (openId: string | null) => {
  const named = (id: string): Project => ({ ...project, id, name: id });
  const state = {
    records: Object.fromEntries(
      ['Rack', 'Bench'].map((id) => [id, { project: named(id), deletedAt: null as number | null }]),
    ),
    book: { book },
  };
  const timers: (() => void)[] = [];
  const clock: Clock = {
    now: () => 0,
    after: (_ms, work) => {
      timers.push(work);
      return () => void timers.splice(timers.indexOf(work), timers.includes(work) ? 1 : 0);
    },
  };
  const told: string[] = [];
  let searches = 0;
  const watch = new MovedElsewhere({
    state: () => state,
    clock,
    openId: () => openId,
    search: async ({ project: of, book: at }) => {
      searches++;
      return firstPlan(planInput(of, at));
    },
    tell: (text) => told.push(text),
  });
  const rest = async () => {
    while (timers.length > 0) {
      timers.splice(0).forEach((work) => work());
      for (let turn = 0; turn < 20; turn++) await Promise.resolve();
    }
  };
  const put = (change: (price: Price) => Price, section: string) => {
    const prices = Object.values(state.book.book.prices)
      .filter(({ item }) => item.section === section)
      .map(change);
    const next = applyToBook(state.book.book, { type: 'putPrices', prices }, 0)?.document as Book;
    state.book = { book: next };
    watch.changed();
  };
  const change = (next: Book) => {
    state.book = { book: next };
    watch.changed();
  };
  return { put, rest, told, state, change, searches: () => searches };
};

test('a price that moves other projects is told with what each comes to, once it rests', async () => {
  const { put, rest, told } = setUp('Bench');
  put((price) => ({ ...price, price: 5_000_000 }), '2x4');
  put((price) => ({ ...price, price: 4_500_000 }), '2x4');
  expect(told).toEqual([]);
  await rest();
  // Four boards of 4.00 are four of 4.50: what stood before both changes counts.
  expect(told).toEqual(['Moved with it: Rack $2.00 more, now $18.00.']);
});

test('all that moved are named where none is open, and what is deleted is not', async () => {
  const { put, rest, told, state } = setUp(null);
  put((price) => ({ ...price, price: 3_000_000 }), '2x4');
  await rest();
  expect(told).toEqual(['Moved with it: Rack $4.00 less, now $12.00; Bench $4.00 less, now $12.00.']);
  state.records['Rack'] = { project, deletedAt: 1 };
  state.records['Bench'] = { project, deletedAt: 1 };
  put((price) => ({ ...price, price: 9_000_000 }), '2x4');
  await rest();
  expect(told).toHaveLength(1);
});

test('what is put on the rack starts nothing: it is not a price', async () => {
  const { change, rest, told, searches, state } = setUp(null);
  change({ ...state.book.book, rack: {} });
  await rest();
  expect([told, searches()]).toEqual([[], 0]);
});

test('a price that no plan rests on, or a note, starts nothing and tells nothing', async () => {
  const { put, rest, told, searches } = setUp(null);
  put((price) => ({ ...price, price: 9_000_000 }), '1x4');
  await rest();
  put((price) => ({ ...price, note: 'behind the shed', date: '2026-11-28' }), '2x4');
  await rest();
  expect([told, searches()]).toEqual([[], 0]);
});
