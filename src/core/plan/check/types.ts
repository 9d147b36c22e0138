import type { Minor, Ticks } from '../../units';
import type { Item, PlanSettings, Price, ResolvedPart, Store } from '../../project';
import type { Buy, Plan, Point } from '../types';

/** What of a plan is checked; a plan, or what was read from plan.json. Lengths in ticks. */
export interface PlanToCheck extends Pick<
  Plan,
  'status' | 'total' | 'lowerBound' | 'goods' | 'tax' | 'trips' | 'shipping'
> {
  buys: BuyToCheck[];
  layouts: LayoutToCheck[];
}

export type BuyToCheck = Omit<Buy, 'offerKey' | 'storeId' | 'costWithTax'>;

export interface LayoutToCheck {
  count: number;
  source: { store: string; item: string } | { owned: string };
  kind: 'board' | 'sheet';
  section: string;
  length: Ticks;
  width: Ticks;
  material: string;
  pieces: { part: string; group: string; outline: Point[] }[];
  storeCuts: { kind: 'crosscut' | 'rip'; at: Ticks }[];
}

/** What a plan is checked against, as it was given: nothing the planner worked out. */
export interface CheckAgainst {
  currency: string;
  parts: ResolvedPart[];
  /** Price rows in their order, with the name of their store. */
  prices: { store: string; price: Omit<Price, 'id' | 'storeId'> }[];
  /** `isBought`: for this very plan, so that its boards count among those that want spares. */
  owned: { item: Item; quantity: number; isBought?: boolean }[];
  settings: PlanSettings;
  stores: (Pick<Store, 'name' | 'trip' | 'taxFree' | 'taxRate' | 'discount' | 'cuts' | 'shipping'> & {
    /** Goods bought there before, for a shipping threshold. */
    bought?: Minor;
  })[];
}

/** Notes what is wrong: where, and a sentence. */
export type Note = (place: string, sentence: string) => void;
