import { projectMoney } from '../budget';
import { toMicros, toMinor, type Minor } from '../units';
import { shownPlan, type Plan } from '../plan';
import type { Book, Project } from '../project';
import { familyOf, materialOf, nameKey } from '../lumber';

/** The best plan of a project at the prices of a book, checked; null where none can be made. */
export type PlanWith = (project: Project, book: Book) => Plan | null;

/** The price of a board at or below which a way to do a project costs no more than another. */
export interface BreakEven {
  /** As the shelf tag names it: the board of that material that is bought most. */
  item: string;
  /** Per purchase, as on the tag, rounded down; the other sizes of the material at the same share of their prices. */
  price: Minor;
  /** What it costs now. */
  now: Minor;
}

/** Price steps that are looked at: each plan gives a straight line, and the least of lines is met from below. */
const MAX_STEPS = 5;

/**
 * The price at which `project` comes to `goal`: all boards of the material that `fresh` names move together. What it
 * costs is the least of straight lines over that price, so that each new plan brings the price nearer from below; the
 * price given was planned at, and held. Null where it does not win even for nothing, or nothing of it is bought.
 */
export const breakEven = (
  project: Project,
  book: Book,
  plan: Plan,
  goal: Minor,
  fresh: string[],
  planWith: PlanWith,
): BreakEven | null => {
  const keys = new Set(fresh.map(nameKey));
  const buys = (of: Plan) =>
    (shownPlan(of)?.buys ?? []).filter(({ material }) => keys.has(nameKey(material)));
  const most = buys(plan).sort((a, b) => b.qty * b.length - a.qty * a.length)[0];
  if (!most || plan.status === 'infeasible') return null;
  const currency = project.currency;
  let share = 1;
  let at: Plan = plan;
  let held = book;
  for (let step = 0; step < MAX_STEPS; step++) {
    const { total } = projectMoney(project, held, at);
    const slope = buys(at).reduce((sum, { costWithTax }) => sum + costWithTax, 0) / share;
    if (slope <= 0) return null;
    const next = share + (goal - total) / slope;
    if (next <= 0) return null;
    if (Math.abs(next - share) < 1e-4) break;
    share = next;
    held = atShare(book, keys, share);
    const replanned = planWith(project, held);
    if (!replanned || replanned.status === 'infeasible') return null;
    at = replanned;
  }
  // Told in whole cents, and only where a plan at that price keeps to the goal.
  const cent = toMicros(1, currency);
  for (
    let price = Math.floor((most.unitPrice * share) / cent), tries = 0;
    tries < 3 && price > 0;
    price--, tries++
  ) {
    const told = atShare(book, keys, (price * cent) / most.unitPrice);
    const replanned = planWith(project, told);
    if (
      replanned &&
      replanned.status !== 'infeasible' &&
      projectMoney(project, told, replanned).total <= goal
    )
      return { item: most.item, price, now: toMinor(most.unitPrice, currency) };
  }
  return null;
};

/** A book in which the materials of `keys` cost a share of what they do. */
const atShare = (book: Book, keys: Set<string>, share: number): Book => ({
  ...book,
  prices: Object.fromEntries(
    Object.entries(book.prices).map(([id, price]) => [
      id,
      keys.has(nameKey(price.item.material)) ? { ...price, price: Math.round(price.price * share) } : price,
    ]),
  ),
});

/** The materials of one plan that another does without, of the family that most money goes into; empty: none. */
export const freshMaterials = (plan: Plan, other: Plan, materials?: Book['materials']): string[] => {
  const held = new Set((shownPlan(other)?.buys ?? []).map(({ material }) => nameKey(material)));
  const fresh = (shownPlan(plan)?.buys ?? []).filter(
    ({ kind, material }) => kind !== 'hardware' && !held.has(nameKey(material)),
  );
  const [first] = [...fresh].sort((a, b) => b.costWithTax - a.costWithTax);
  if (!first) return [];
  const family = familyOf(materialOf(first.material, materials));
  const names = fresh
    .map(({ material }) => material)
    .filter((name) => familyOf(materialOf(name, materials)) === family);
  return [...new Set(names)];
};
