import type { LengthUnit, Micros, Minor, Ticks } from '../measure';

/** A measure as it was written, and what it comes to. */
export interface Measure {
  text: string;
  ticks: Ticks;
}

export type Kind = 'board' | 'sheet' | 'hardware';
export type Grain = 'any' | 'length';

/** Where a group of parts will stand: it decides which materials are fit. */
export type Exposure = 'indoors' | 'damp' | 'outdoors' | 'ground';

/** One line of what a project is made of. Lengths are finished lengths, along the longest edge. */
export interface Part {
  id: string;
  name: string;
  kind: Kind;
  /** For one of the project; `builds` multiplies it. */
  quantity: number;
  /** Board: `2x4`, `30x90mm`. Sheet: its trade thickness. Hardware: blank. */
  section: string;
  length: Measure | null;
  /** Sheets only. */
  width: Measure | null;
  /** In order of liking; empty: what the group allows. */
  materials: string[];
  /** In the form of `writeEnds`. */
  ends: string;
  grain: Grain;
  /** How much shorter a piece may come out; null: the project's setting. */
  shortOk: Measure | null;
  /** Hardware only: the item it needs as the shelf tag names it; blank: its own name. */
  item: string;
  note: string;
  /** Columns of an imported file that mean nothing here, kept for the way back. */
  extra?: Record<string, string>;
}

/** One way to make a group. */
export interface Option {
  id: string;
  name: string;
  parts: Part[];
}

export interface Group {
  id: string;
  name: string;
  exposure: Exposure;
  /** In order of liking; empty: any. */
  materials: string[];
  /** Id of the chosen option. */
  chosen: string;
  options: Option[];
}

export type Category = 'wood' | 'sheets' | 'hardware' | 'other';

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
}

/** What decides how wood is cut and money reckoned; names as in settings.json. */
export interface PlanSettings {
  /** Share added to goods. */
  tax: number;
  /** Prices hold the tax already. */
  taxIncluded: boolean;
  kerf: Measure;
  endTrim: Measure;
  sheetTrim: Measure;
  shortOk: Measure;
}

export interface Project {
  id: string;
  name: string;
  note: string;
  unit: LengthUnit;
  currency: string;
  /** How many of it are built. */
  builds: number;
  target: Minor | null;
  settings: PlanSettings;
  groups: Group[];
  /** Ids of stores that this project does not use. */
  excludedStores: string[];
  purchases: Purchase[];
}

/** What a shelf tag names. Two spellings of one thing have the same `itemKey`. */
export interface Item {
  kind: Kind;
  /** As on the tag; hardware is matched by it. */
  name: string;
  section: string;
  length: Measure | null;
  width: Measure | null;
  material: string;
}

export type StoreKind = 'home centre' | 'lumber yard' | 'sawmill' | 'online' | 'other';

export interface Store {
  id: string;
  name: string;
  kind: StoreKind;
  currency: string;
  /** What going there once costs. */
  trip: Minor;
  taxFree: boolean;
  /** Share off its goods, before tax. */
  discount: number;
  /** Saws boards and sheets so that they can be carried. */
  cuts: boolean;
  shipping: { fee: Minor; freeFrom: Minor | null } | null;
  note: string;
}

export type PriceUnit = 'each' | 'ft' | 'm' | 'bf' | 'sqft' | 'm2' | 'm3' | 'pack';

/** One price seen: an observation. The newest valid one counts. */
export interface Price {
  id: string;
  storeId: string;
  item: Item;
  /** Of one `unit`, as on the tag. */
  price: Micros;
  unit: PriceUnit;
  /** Pieces that one purchase brings. */
  pack: number;
  /** Holds from this many purchases on. */
  minQty: number;
  /** Most purchases the store can fill. */
  available: number | null;
  /** ISO date it was seen; null: unknown. */
  date: string | null;
  source: 'typed' | 'file' | 'sample';
  note: string;
  extra?: Record<string, string>;
}

/** The stores and their prices, shared by all projects. By id, so that changes to different rows never collide. */
export interface Book {
  stores: Record<string, Store>;
  prices: Record<string, Price>;
}
