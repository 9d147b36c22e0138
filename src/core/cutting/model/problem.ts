import type { Micros, Minor, Ticks } from '../../units';
import type { Item } from './item';
import type { Offer } from './offer';
import type { Layout, PlanProblem } from './plan';
import type { SawSettings, Shipping } from './settings';

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
  /** How many cuts it makes in a board or sheet so that it can be carried. */
  cuts: number;
  /** What each of them costs; nothing is added to it. */
  cutFee: Minor;
  /** Of an order that is not settled: `freeFrom` counts what was bought there already. Null: nothing more is asked. */
  shipping: Shipping;
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
  /** Length at the ends that cannot be used; absent: none. */
  unusable?: Ticks;
  /** Pieces; of an opened can a share of one. */
  count: number;
  /** What one piece was bought for, with tax: it costs nothing more, but a part has its share of it. */
  value: Micros;
  /** It was bought for this very plan. */
  isBought?: boolean;
}

/** All that a plan follows from. The same problem gives the same plan. */
export interface CuttingProblem {
  currency: string;
  parts: Item[];
  offers: Offer[];
  stores: StoreTerms[];
  owned: Owned[];
  settings: SawSettings;
  /** Boards on which sawing has begun: they stand in every plan as they are cut. Absent: none. */
  sawn?: Layout[];
  /** Items that are known not to be had, and are in no plan. */
  problems: PlanProblem[];
}
