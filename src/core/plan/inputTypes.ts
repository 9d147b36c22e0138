import type { Micros, Minor, Ticks } from '../units';
import type { PlanSettings, ResolvedPart } from '../project';
import type { Offer } from '../pricing';
import type { PlanProblem } from './types';

/** What a store adds to the price of its goods. */
export interface StoreTerms {
  id: string;
  name: string;
  /** Zero once something was bought there: that trip is made. */
  trip: Minor;
  taxFree: boolean;
  /** Its own share of tax; null: the project's. */
  taxRate: number | null;
  discount: number;
  /** Saws boards and sheets so that they can be carried. */
  cuts: boolean;
  /** Of an order that is not settled: `freeFrom` counts what was bought there already. Null: nothing more is asked. */
  shipping: { fee: Minor; freeFrom: Minor | null } | null;
  /** Shipping of what was bought there and is not settled, unless enough more is bought; 0: nothing was, or it is free. */
  committedShipping: Minor;
}

/** Something that is there already and costs nothing: what was bought. */
export interface Owned {
  itemKey: string;
  name: string;
  kind: 'board' | 'sheet' | 'hardware';
  section: string;
  material: string;
  thickness: Ticks;
  width: Ticks;
  length: Ticks;
  /** Pieces; of an opened can a share of one. */
  count: number;
  /** What one piece was bought for, with tax: it costs nothing more, but a part has its share of it. */
  value: Micros;
  /** It was bought for this very plan. */
  isBought?: boolean;
}

/** All that a plan follows from. The same input gives the same plan. */
export interface PlanInput {
  currency: string;
  unit: 'in' | 'mm';
  parts: ResolvedPart[];
  offers: Offer[];
  stores: StoreTerms[];
  owned: Owned[];
  settings: PlanSettings;
  /** Parts that could not be worked out. */
  problems: PlanProblem[];
}
