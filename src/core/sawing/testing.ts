import { againstProject, planInput, type Layout, type Plan } from '../plan';
import { checkedPlan } from '../plan/planner';
import type { MeasuredBoard, Project, Purchase, SawnBoard } from '../project';
import { fromCsv } from '../testing';
import { fromInches, type Ticks } from '../units';
import { sawnBoardOf } from './record';

/** For tests: rails, posts, mitred braces and slats, with boards of three sizes to cut them from. */
export const GIVEN = fromCsv({
  parts:
    'part,qty,section,length,ends\nRail,6,2x4,40,\nPost,4,2x4,29 1/2,\nBrace,4,2x4,18,mitre 45\nSlat,7,1x4,30,',
  prices: "store,section,length,material,price\nYard,2x4,10',stud,6\nYard,2x4,8',stud,4\nYard,1x4,8',pine,3",
});

/** For tests: the blade of the boards given, in ticks. */
export const kerf: Ticks = GIVEN.project.settings.kerf.ticks;

/** For tests: boards of each size that are enough for all. */
export const PLENTY = [4, 4, 4];

/** For tests: the project with so many boards of each size bought, for 5.00 each. */
export const withBought = (counts: number[]): Project => {
  const items = Object.values(GIVEN.book.prices).map(({ item }) => item);
  const lines = items.flatMap((item, index) => {
    const quantity = counts[index] ?? 0;
    return quantity > 0
      ? [{ item, pack: 1, quantity, price: 500 * quantity, tax: 0, category: 'wood' as const }]
      : [];
  });
  const purchase: Purchase = { id: 'b', date: '2026-11-25', storeId: '', store: 'Yard', note: '', lines };
  return { ...GIVEN.project, purchases: [purchase] };
};

/** For tests: a project with its plan. */
export interface Planned {
  project: Project;
  plan: Plan;
}

/** For tests: its checked plan, which follows from the one before. */
export const planOf = (project: Project, before: Planned | null = null): Plan => {
  const last = before && { plan: before.plan, input: planInput(before.project, GIVEN.book) };
  return checkedPlan(planInput(project, GIVEN.book), againstProject(project, GIVEN.book), last);
};

/** For tests: sawing begins on one of the boards that are there, and `change` is what is kept of it; null: there is none left. */
export const begunOn = (
  now: Planned,
  pick: number,
  change: (board: SawnBoard) => SawnBoard = (board) => board,
): Planned | null => {
  const open = now.plan.layouts.filter((layout) => !layout.sawn && 'owned' in layout.source);
  const layout = open[pick % Math.max(1, open.length)];
  if (!layout) return null;
  const before = now.project.sawnBoards ?? [];
  const one: Layout = { ...layout, count: 1 };
  const board = change(sawnBoardOf(one, `s${before.length}`, kerf, 1));
  const project = { ...now.project, sawnBoards: [...before, board] };
  return { project, plan: planOf(project, now) };
};

/** For tests: a bought size as it is measured: so many sixteenths off, with what of the marks, in inches, lies on it. */
export const measuredAs = (
  id: string,
  of: number,
  off: number,
  marks: [from: number, to: number][],
): MeasuredBoard => {
  const item = Object.values(GIVEN.book.prices)[of]?.item;
  if (!item?.length) throw new Error(`there is no size ${of}`);
  const length = item.length.ticks + fromInches(off / 16);
  const marked = marks.map(([from, to]) => ({
    from: fromInches(from),
    to: fromInches(to),
    kind: 'knot' as const,
  }));
  return { id, item, length, marks: marked.filter(({ to }) => to < length) };
};
