import type { Minor, Ticks } from '../units';
import type { Exposure } from '../lumber';
import type { Category } from './category';

/** A measure as it was written, a formula too, and what it comes to; `apply` keeps the two in step. */
export interface Measure {
  text: string;
  ticks: Ticks;
}

export type Kind = 'board' | 'sheet' | 'hardware';
export type Grain = 'any' | 'length';

/** What a shelf tag names. Two spellings of one thing have the same `itemKey`. */
export interface Item {
  kind: Kind;
  /** As on the tag; hardware is matched by it. */
  name: string;
  section: string;
  length: Measure | null;
  width: Measure | null;
  material: string;
  /** Length at its ends that cannot be used, both together (dog ears, checks); absent: none. */
  unusable?: Measure;
}

/** Where a group of parts will stand: it decides which materials are fit. */
export type { Exposure };

/** A measure or a number with a name, that formulas use. Names differ without regard to case. */
export interface Variable {
  id: string;
  name: string;
  /** A bare number in its formula is a length in the project's unit, or stays a number: a count, degrees. */
  kind: 'length' | 'number';
  formula: string;
  note: string;
}

/** What is seen of a part: all round, one wide face and the edges, nothing. */
export type Shows = 'all' | 'front' | 'none';

/** A length taken on the real thing: it holds for what is not cut yet. */
export interface Measured {
  length: Measure;
  /** `between the rails` */
  where: string;
  /** Pieces that were cut before, at the planned length. */
  cut: number;
}

/** One line of what a project is made of. Lengths are finished lengths, along the longest edge. */
export interface Part {
  id: string;
  name: string;
  kind: Kind;
  /** For one of the project; `builds` multiplies it. None only where a formula comes to none. */
  quantity: number;
  /** What the quantity, and the angle of the ends, follow from, where they follow from something. */
  formulas?: { quantity?: string; angle?: string };
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
  /** Which part of its helper it is. */
  role?: string;
  /** Id of the part that this is the mirror image of. */
  mirrorOf?: string;
  /** Absent: all. */
  shows?: Shows;
  measured?: Measured;
  /** Columns of an imported file that mean nothing here, kept for the way back. */
  extra?: Record<string, string>;
}

/** How two parts are fastened: screws through the one into the other, pocket screws, bolts, nails with glue, brackets. */
export type JointKind = 'through' | 'pocket' | 'bolt' | 'nail' | 'bracket';

/** So many joints of two parts that are alike; fasteners follow from it by rule. */
export interface Joint {
  id: string;
  name: string;
  how: JointKind;
  /** Ids of parts of the same option; the fastener passes `first` first. */
  first: string;
  second: string;
  /** Which side of the first it passes, and where it goes into the second. */
  through: 'thickness' | 'width';
  into: 'thickness' | 'width' | 'end';
  /** Joints, for one of the project. */
  quantity: number;
  /** What that follows from, where it does. */
  formula?: string;
  /** Fasteners in each. */
  each: number;
  /** As the shelf tag names it; blank: by the rule. */
  item: string;
  role?: string;
}

/** One way to make a group. */
export interface Option {
  id: string;
  name: string;
  parts: Part[];
  joints?: Joint[];
  /** The helper that made its parts, and what it was told. */
  made?: { helper: string; answers: Record<string, string> };
}

/**
 * What is not cut: `finish` for the surface of parts, `glue` for where they meet, and what an area, a volume or a
 * count given by a formula needs.
 */
export type ExtraRule = 'finish' | 'glue' | 'area' | 'volume' | 'count';

export interface Extra {
  id: string;
  name: string;
  /** As the shelf tag names it; blank: its name. */
  item: string;
  rule: ExtraRule;
  /** The group it is for; null: the whole project. */
  groupId: string | null;
  /** A formula: an area, a volume or a count. Blank for finish and glue. */
  amount: string;
  faces: 'all' | 'showing';
  coats: number;
  /** What one of the item covers or fills: `250 ft2`, `40 l`. Blank for a count. */
  covers: string;
  note: string;
  role?: string;
  /** What one costs, with tax, where it is not looked up in the price book. */
  price?: Minor;
  /** What its money goes into; absent: by its name. */
  category?: Category;
  /** It is there already, and costs nothing. */
  isOwned?: boolean;
}

export interface Group {
  id: string;
  name: string;
  exposure: Exposure;
  /** In order of liking; empty: any. */
  materials: string[];
  /** Food, or soil that food grows in, touches it. */
  nearFood?: boolean;
  /** Left for another day: not planned, not bought. */
  isLater?: boolean;
  /** How many of it one of the project has; absent: one. */
  copies?: number;
  /** Id of the chosen option. */
  chosen: string;
  options: Option[];
}
