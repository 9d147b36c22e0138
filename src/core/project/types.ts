import type { LengthUnit, Micros, Minor } from '../units';
import type { OwnMaterials, TreatedNearFood } from '../lumber';
import type { Category } from './category';
import type { Extra, Group, Item, Measure, Option, Part, Variable } from './partTypes';
import type { Baseline, Budget, Charge, Purchase } from './purchaseTypes';

export * from './partTypes';
export * from './category';
export * from './purchaseTypes';

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
  /** What there is to cut with; absent: a mitre saw. `table-saw` allows ripping. */
  tools?: string[];
  /** The longer and the shorter side of what goes in the car; absent or null: anything does. */
  maxCarryLength?: Measure | null;
  maxCarryWidth?: Measure | null;
  /** Of sheets alone; absent or null: the two limits hold for them too. */
  maxCarrySheet?: { length: Measure; width: Measure } | null;
  /** Extra boards against defects, by material: the share of the boards bought. */
  spare?: Record<string, number>;
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
  budget?: Budget;
  baseline?: Baseline;
  /** What is often forgotten, and is not wanted here: ids. */
  dismissed?: string[];
  settings: PlanSettings;
  variables: Variable[];
  groups: Group[];
  extras: Extra[];
  /** Share of fasteners bought over what joints need; absent: FASTENER_SPARE. */
  fastenerSpare?: number;
  /** Ids of stores that this project does not use. */
  excludedStores: string[];
  purchases: Purchase[];
  /** What is on the rack is left for other projects; absent: it is used. */
  leavesRack?: boolean;
  /** It came with Billet, to look at: it buys at the samples' stores, and nothing else does. */
  isSample?: true;
  /** Absent: `avoid`. */
  treatedNearFood?: TreatedNearFood;
  /** The columns of its comparison; absent: those that Billet proposes. */
  alternatives?: Alternative[];
  /** What such a thing costs ready made. */
  readyMade?: ReadyMade[];
  work?: Work;
}

/** Another way to do a project: changes to it that were not made, under one name. */
export interface Alternative {
  id: string;
  name: string;
  changes: ProjectChange[];
}

type ProjectFields = Pick<
  Project,
  | 'name'
  | 'note'
  | 'unit'
  | 'currency'
  | 'builds'
  | 'target'
  | 'settings'
  | 'fastenerSpare'
  | 'treatedNearFood'
  | 'leavesRack'
  | 'readyMade'
  | 'work'
>;

/** The changes to a project that an alternative may be made of; each holds whatever else becomes of the project. */
export type ProjectChange =
  | { type: 'editProject'; fields: Partial<ProjectFields> }
  | {
      type: 'editGroup';
      groupId: string;
      fields: Partial<Pick<Group, 'name' | 'exposure' | 'materials' | 'copies' | 'nearFood' | 'isLater'>>;
    }
  | { type: 'editPart'; partId: string; fields: Partial<Omit<Part, 'id'>> }
  | { type: 'editVariable'; variableId: string; fields: Partial<Omit<Variable, 'id'>> }
  /** Some settings; the others stay. */
  | { type: 'editSettings'; fields: Partial<PlanSettings> }
  /** Another way to make a group; one of its id takes its place. */
  | { type: 'putOption'; groupId: string; option: Option }
  | { type: 'chooseOption'; groupId: string; optionId: string }
  | { type: 'addExtra'; extra: Extra }
  | { type: 'removeExtra'; extraId: string }
  | { type: 'excludeStore'; storeId: string; excluded: boolean };

/** What such a thing costs ready made, seen when and where. */
export interface ReadyMade {
  id: string;
  price: Minor;
  source: string;
  /** ISO date. */
  date: string;
}

/** What building takes beside what is bought. */
export interface Work {
  /** For all that is built, or for each; null: not told. */
  hours: number | null;
  /** The hours are for each that is built, however many. */
  isHoursEach?: boolean;
  /** Of an hour; null: hours are not counted as a cost. */
  rate: Minor | null;
  /** What is spent on it beside the ledger, and not told below. */
  beside: Minor | null;
  /** Tools that the ledger does not hold. */
  tools?: { id: string; name: string; price: Minor; charge: Charge }[];
  /** The way there and back for all of it, and what a mile or kilometre costs. */
  travel?: { distance: number; unit: 'mi' | 'km'; rate: Minor };
  power?: { kilowattHours: number; rate: Minor };
  /** Share of an asking price that is gain. */
  margin?: number;
  /** Share by which an asking price is to lie below ready made. */
  below?: number;
  /** What someone offers for one. */
  offer?: Minor | null;
}

export type StoreKind = 'home centre' | 'lumber yard' | 'sawmill' | 'online' | 'other';

export interface Store {
  id: string;
  name: string;
  kind: StoreKind;
  currency: string;
  /** What going there once costs. */
  trip: Minor;
  /** What that follows from, where it does: the way there and back, and what a mile or kilometre costs. */
  way?: { distance: number; unit: 'mi' | 'km'; rate: Micros };
  taxFree: boolean;
  /** Its own share of tax; absent: the project's. */
  taxRate?: number;
  /** Share off its goods, before tax. */
  discount: number;
  /** Saws boards and sheets so that they can be carried: at most so many cuts each; true: one. */
  cuts: boolean | number;
  /** What each such cut costs; absent: nothing. */
  cutFee?: Minor;
  /** It is invented: only samples buy there. */
  isSample?: true;
  shipping: { fee: Minor; freeFrom: Minor | null } | null;
  note: string;
  /** The order in which one walks through it; absent: the usual one. */
  aisles?: Category[];
  /** The price service that is followed: its name for the store, and the day up to which its prices were looked at. */
  feed?: { id: string; taken: string | null };
}

/** A pack sold by weight: what it weighs, and the pieces to a pound or kilogram. */
export interface PackWeight {
  amount: number;
  unit: 'lb' | 'kg';
  pieces: number;
}

/** Rough wood of random widths: what planing takes off its thickness, and the share of it that is lost. */
export interface Rough {
  planing: Measure;
  waste: number;
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
  source: 'typed' | 'file' | 'service' | 'sample';
  note: string;
  /** Where the pack is sold by weight. */
  weight?: PackWeight;
  /** Boards only: its section and length are then what it usually comes in. */
  rough?: Rough;
  extra?: Record<string, string>;
}

/** Something that is owned: an offcut, a board, hardware left over. */
export interface RackEntry {
  id: string;
  item: Item;
  /** Pieces. */
  quantity: number;
  /** Of an opened can or bag: how full it is, above 0 and below 1. */
  share?: number;
  /** The project it is left from; blank: none. */
  from: string;
  /** What one piece is worth to the project that uses it; absent: nothing. */
  value?: { sum: Minor; currency: string };
  /** How many pieces are kept for which projects, by id: no other plan counts on them. Absent: none. */
  keptFor?: Record<string, number>;
}

/** A tool that is owned. */
export interface Tool {
  id: string;
  name: string;
}

/** The stores and their prices, shared by all projects. By id, so that changes to different rows never collide. */
export interface Book {
  stores: Record<string, Store>;
  prices: Record<string, Price>;
  /** What is there already, for any project to use; absent: nothing. By id. */
  rack?: Record<string, RackEntry>;
  /** Tools owned, by id; absent: none told. */
  tools?: Record<string, Tool>;
  /** Materials that the user added or changed; absent: none. */
  materials?: OwnMaterials;
}
