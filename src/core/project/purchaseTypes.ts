import type { Minor } from '../units';
import type { Category } from './category';
import type { Item } from './partTypes';

export interface PurchaseLine {
  item: Item;
  /** Pieces that one purchase brought. */
  pack: number;
  /** Purchases. */
  quantity: number;
  /** What the goods of the line came to, without tax. */
  price: Minor;
  tax: Minor;
  category: Category;
  /** Hardware: the item that it was bought in place of. */
  for?: string;
  share?: Share;
  /** What was taken back to the store of it. */
  returned?: Returned[];
  /** Of a tool: how it counts all in; absent: whole. */
  charge?: Charge;
  note?: string;
}

/** The part of a line that is this project's: its price and tax are that part's. */
export interface Share {
  /** Of its pieces, above 0 and below 1. */
  part: number;
  /** What the whole came to, with tax. */
  whole: Minor;
  /** Who has the rest. */
  with: string;
}

/** Something taken back to the store, and what came back for it. */
export interface Returned {
  id: string;
  /** ISO date. */
  date: string;
  /** Purchases. */
  quantity: number;
  price: Minor;
  tax: Minor;
}

/** How a tool counts in what a project costs all in: whole, by its share of so many projects, or not at all. */
export interface Charge {
  way: 'whole' | 'spread' | 'out';
  over: number;
}

/** What a receipt says. */
export interface Receipt {
  /** With tax. */
  total: Minor;
  /** Null: it tells none. */
  tax: Minor | null;
}

export interface Purchase {
  id: string;
  /** ISO date. */
  date: string;
  storeId: string;
  /** The store's name then. */
  store: string;
  lines: PurchaseLine[];
  note: string;
  /** It is in the cart, and not paid yet. */
  isOpen?: boolean;
  receipt?: Receipt;
  /** What going there came to when this was recorded; later changes of the price book leave it. Absent: nothing. */
  trip?: Minor;
  /** What was charged for sending it. Absent: not settled yet; the plan then says what is still due. */
  shipping?: Minor;
}

/** What a purchase brings with it besides its lines, as it stands when it is recorded. */
export interface Charges {
  trip: Minor;
  /** Null: not settled, because more is to come from there that makes it free. */
  shipping: Minor | null;
}

/** How a target is meant. */
export interface Budget {
  /** Sums that make up the target; absent: it is one sum. */
  byCategory?: Partial<Record<Category, Minor>>;
  /** Share of what is still to buy that is held back for what goes wrong. */
  reserve: number;
  /** The target is for each piece of work; otherwise for all that are built. */
  isEach: boolean;
  /** ISO date by which it is to be done. */
  date: string | null;
}

/** One line of a plan as it stood. */
export interface BaselineLine {
  item: Item;
  /** Pieces. */
  quantity: number;
  /** With tax. */
  paid: Minor;
  category: Category;
}

/** The plan as it stood before anything was bought: what paid is held against. */
export interface Baseline {
  /** ISO date. */
  date: string;
  lines: BaselineLine[];
  /** Trips and shipping. */
  trips: Minor;
}
