import type { Micros, Minor, Ticks } from '../../units';
import type { Kind } from './item';
import type { Ends } from './ends';
import type { Point } from './point';

/**
 * The plan, with the names of plan.json (formats.md). Here lengths are ticks and money minor units (what a
 * single purchase costs: millionths); `formats` writes the file. Fields that plan.json lacks serve the screens.
 */
export interface Plan {
  /** `proved`: no cheaper plan exists. `bounded`: one could, down to `lowerBound`. `infeasible`: see `problems`. */
  status: 'proved' | 'bounded' | 'infeasible';
  currency: string;
  total: Minor;
  lowerBound: Minor;
  goods: Minor;
  tax: Minor;
  trips: Minor;
  shipping: Minor;
  /** What stores ask for sawing boards so that they can be carried. */
  sawing: Minor;
  /** Shipping of what was bought before, where nothing more is bought: it is spent, and no plan that goes on there pays it twice. */
  committedShipping: Minor;
  buys: Buy[];
  layouts: Layout[];
  short: Short[];
  problems: PlanProblem[];
  /** What each store used costs in all. */
  stores: StoreCost[];
  /** Of an infeasible plan: a plan for all that can be made. */
  rest?: Plan;
}

/** What plans for one input are weighed by: what they cost, and what is due all the same. */
export const planCost = ({ total, committedShipping }: Pick<Plan, 'total' | 'committedShipping'>): Minor =>
  total + committedShipping;

/** One line of the shopping list. */
export interface Buy {
  offerKey: string;
  storeId: string;
  store: string;
  item: string;
  kind: Kind;
  section: string;
  length: Ticks;
  width: Ticks;
  material: string;
  pack: number;
  /** Purchases (packs). */
  qty: number;
  /** Per purchase, as on the tag in the tier that holds. */
  unitPrice: Micros;
  /** qty x unitPrice. */
  cost: Micros;
  /** What leaves the pocket for this line: less discount, with tax. */
  costWithTax: Minor;
  /** Boards among them that no layout cuts. */
  spare: number;
}

/** What is paid at one store, in minor units. */
export interface StoreCost {
  storeId: string;
  store: string;
  goods: Minor;
  tax: Minor;
  trip: Minor;
  shipping: Minor;
}

/** Where a board is from: a store, or what is owned. */
export type Source = { storeId: string; store: string; item: string } | { owned: string };

export type { Point };

/** One way of cutting a board or sheet, and how many are cut so. */
export interface Layout {
  count: number;
  source: Source;
  kind: 'board' | 'sheet';
  section: string;
  length: Ticks;
  width: Ticks;
  material: string;
  pieces: Piece[];
  /** The saw's work, in an order that can be done. */
  cuts: Cut[];
  storeCuts: Cut[];
  offcuts: Offcut[];
  /** What one such board costs, less discount, with tax: zero for what is owned. */
  value: Micros;
  /** Sawing has begun on it, with such a blade: a record, and no part of what is planned. By the id of the record. */
  sawn?: { id: string; kerf: Ticks };
}

/** A finished piece on its board: x along the length from the left end, y across the width. */
export interface Piece {
  partId: string;
  part: string;
  group: string;
  ends: Ends;
  /** As it is sawn. */
  outline: Point[];
  /** Where it is shaped by hand afterwards: the finished faces that lie in its outline, one or two. Absent: it is finished. */
  faces?: Point[][];
}

/** A cut right through the piece it is made on; `on` names that piece where it is not the whole board. */
export interface Cut {
  kind: 'crosscut' | 'rip';
  at: Ticks;
  on?: string;
}

/** What is left of a board: a rectangle in its coordinates, in ticks. */
export interface Offcut {
  x: Ticks;
  y: Ticks;
  length: Ticks;
  width: Ticks;
  /** How much of its length can be used, where not all of it: a piece that was cut wrong. */
  ofUse?: Ticks;
}

/** How the name of what is left of a sawn board begins. */
export const OFFCUT = 'left of a sawn ';

/** What is left of a sawn board goes by this name where it is cut on. */
export const offcutName = ({ section, material }: Pick<Layout, 'section' | 'material'>): string =>
  `${OFFCUT}${section} ${material}`;

/** So many pieces of a part come out so much shorter, in ticks. */
export interface Short {
  partId: string;
  part: string;
  group: string;
  by: Ticks;
  count: number;
}

/** Why something is in no plan. */
export interface PlanProblem {
  code: 'noPrice' | 'tooLong' | 'tooWide' | 'tooLongToCarry' | 'soldOut' | 'part' | 'unchecked';
  partIds: string[];
  part: string;
  /** What cannot be made and why, in one sentence, with what would help. */
  sentence: string;
}

/** The plan to show: of what cannot all be made, the plan for the rest. */
export const shownPlan = (plan: Plan | null): Plan | null =>
  plan?.status === 'infeasible' ? (plan.rest ?? null) : plan;
