import { projectMoney } from '../budget';
import { toMicros, toMinor, type Minor } from '../units';
import { shownBeside, shownPlan, type Plan } from '../plan';
import { offerAt } from '../pricing';
import type { Book, Project } from '../project';
import { nameKey } from '../lumber';
import { repriced } from './repriced';

/** The best plan of a project at the prices of a book, checked; null where none can be made. */
export type PlanWith = (project: Project, book: Book) => Plan | null;

/** The price of one board at one store at or below which a way costs no more than another, all other prices as they are. */
export interface BreakEven {
  /** As the shelf tag names it: the board of the way's own material that most is bought of. */
  item: string;
  store: string;
  /** Per purchase, as on the tag: a cent more, and the way costs more than the other. */
  price: Minor;
  /** What it costs now. */
  now: Minor;
}

/** Price steps that are looked at: each plan gives a straight line, and the least of lines is met from below. */
const MAX_STEPS = 5;
/** So many cents beside the price that the lines give are tried for the one that holds. */
const MAX_CENTS = 3;

/**
 * The price at which `project` comes to `goal`, of the board of the materials `fresh` that most is bought of, where it is
 * bought: that price moves alone. What the project costs is the least of straight lines over it, so that each new plan brings
 * the price nearer from below. The price given was planned at, and held; a cent above, it is proved not to. Null where that is not
 * known, it does not win even for nothing, costs no more at any price, or nothing of it is bought.
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
  const [most] = (shownPlan(plan)?.buys ?? [])
    .filter(({ material }) => keys.has(nameKey(material)))
    .sort((a, b) => b.qty * b.length - a.qty * a.length);
  const offer = most && offerAt(book, most.offerKey);
  if (!most || !offer) return null;
  const cent = toMicros(1, project.currency);
  const moved = new Set(offer.tiers.map(({ price }) => price.id));
  const at = (share: number): { total: Minor; slope: number; isProved: boolean } | null => {
    const held = repriced(book, ({ id, price }) => (moved.has(id) ? Math.round(price * share) : price));
    const made = share === 1 ? plan : planWith(project, held);
    if (!made || !shownBeside(made, plan)) return null;
    const shown = shownPlan(made);
    const paid = (shown?.buys ?? []).filter(({ offerKey }) => offerKey === most.offerKey);
    return {
      isProved: shown?.status === 'proved',
      total: projectMoney(project, held, made).total,
      slope: paid.reduce((sum, { costWithTax }) => sum + costWithTax, 0) / share,
    };
  };
  let share = 1;
  for (let step = 0; step < MAX_STEPS; step++) {
    const now = at(share);
    if (!now || now.slope <= 0) return null;
    const next = share + (goal - now.total) / now.slope;
    if (next <= 0) return null;
    if (Math.abs(next - share) < 1e-4) break;
    share = next;
  }
  const holds = (price: Minor): boolean | null => {
    const found = at((price * cent) / most.unitPrice);
    if (found && found.total <= goal) return true;
    // What costs more as far as is known may cost less.
    return found?.isProved === false ? null : false;
  };
  const price = lastThatHolds(Math.round((most.unitPrice * share) / cent), holds);
  return price === null
    ? null
    : { item: most.item, store: most.store, price, now: toMinor(most.unitPrice, project.currency) };
};

/** The last price near one that holds, a cent above which none does; null: there is none near, or it is not known. */
const lastThatHolds = (near: Minor, holds: (price: Minor) => boolean | null): Minor | null => {
  const isUp = near > 0 && holds(near);
  if (isUp === null) return null;
  for (let step = 1; step <= MAX_CENTS; step++) {
    const price = isUp ? near + step : near - step;
    if (price <= 0) return null;
    const held = holds(price);
    if (held === null) return null;
    if (held !== isUp) return isUp ? price - 1 : price;
  }
  return null;
};
