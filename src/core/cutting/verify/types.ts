import { nameKey } from '../../nameKey';
import type { Micros, Minor, Ticks } from '../../units';
import type {
  Buy,
  Item,
  Kind,
  Offcut,
  Plan,
  Point,
  Remainder,
  SawCut,
  SawSettings,
  StoreTerms,
} from '../model';

/** Actual size of a board's section; of a sheet, its trade thickness. Null: it cannot be read. */
export type SectionSize = { thickness: Ticks; width: Ticks } | null;

/** What of a plan is checked; a plan, or what was read from plan.json. Lengths in ticks. */
export interface PlanToCheck extends Pick<
  Plan,
  'status' | 'total' | 'lowerBound' | 'goods' | 'tax' | 'trips' | 'shipping' | 'sawing'
> {
  buys: BuyToCheck[];
  layouts: LayoutToCheck[];
}

/** A line of the shopping list, as it is checked. */
export type BuyToCheck = Omit<Buy, 'offerKey' | 'storeId' | 'costWithTax'>;

/** A way of cutting a board or sheet, as it is checked. */
export interface LayoutToCheck {
  count: number;
  source: { store: string; item: string } | { owned: string };
  kind: 'board' | 'sheet';
  section: string;
  length: Ticks;
  width: Ticks;
  material: string;
  /** `outline`: as it is sawn; `faces`: the finished shapes in it, absent where it is finished so. */
  pieces: { part: string; group: string; outline: Point[]; faces?: Point[][] }[];
  storeCuts: { kind: 'crosscut' | 'rip'; at: Ticks }[];
  /** What is left besides the pieces, and the saw's work as it is told; absent: it is not told. */
  offcuts?: Offcut[];
  sequence?: SequenceToCheck;
  /** Sawing has begun on it: a record, by its id, which is as it is recorded and not checked further. */
  sawn?: { id: string };
}

/** The saw's work on a board as a plan tells it, to be done again; `leaves` says what each piece is that is left. */
export interface SequenceToCheck {
  cuts: Pick<SawCut, 'from' | 'kind' | 'line' | 'to' | 'store'>[];
  leaves: Record<number, Remainder>;
}

/** A price row as it was given, with what one purchase of it costs. */
export interface PriceRow {
  store: string;
  kind: Kind;
  name: string;
  section: string;
  length: Ticks | null;
  /** Length at the ends that cannot be used. */
  unusable: Ticks;
  material: string;
  pack: number;
  minQty: number;
  available: number | null;
  date: string | null;
  /** Null: the row cannot be priced. */
  unitPrice: Micros | null;
  /** Rough wood: the size of the rough board, what planing takes off a face, and the share of spare boards that is wanted. */
  rough: { size: SectionSize; planing: Ticks; waste: number } | null;
}

/** Something that is owned, as it was given. */
export interface OwnedRow {
  kind: Kind;
  name: string;
  section: string;
  length: Ticks | null;
  unusable: Ticks;
  material: string;
  quantity: number;
  /** For this very plan, so that its boards count among those that want spares. */
  isBought?: boolean;
}

/** What a plan is checked against, as it was given: nothing the planner worked out. */
export interface CheckAgainst {
  currency: string;
  parts: Item[];
  /** The same where shaped pieces lie each for itself and not in pairs: a plan may do either. Absent: there are no pairs. */
  singly?: Item[];
  /** In their order. */
  prices: PriceRow[];
  owned: OwnedRow[];
  settings: SawSettings;
  stores: (Pick<StoreTerms, 'name' | 'trip' | 'taxFree' | 'discount' | 'shipping'> & {
    /** Whether it saws what cannot be carried; a number: how many cuts in each. */
    cuts: boolean | number;
    cutFee?: Minor;
    taxRate?: number | null;
    /** Goods bought there before, for a shipping threshold. */
    bought?: Minor;
  })[];
  /** The size of each section or thickness that is named in the plan or the rows, by kind and name: `board:2x4`. */
  sizes: Record<string, SectionSize>;
  /** Boards on which sawing has begun, as they are recorded: `parts` and `owned` are without them. Absent: none. */
  sawn?: (Pick<LayoutToCheck, 'kind' | 'section' | 'material' | 'length' | 'width' | 'pieces'> & {
    sawn?: { id: string };
  })[];
}

/** The size that a name of a section stands for; null where it cannot be read. */
export const sizeOf = (
  { sizes }: Pick<CheckAgainst, 'sizes'>,
  { kind, section }: { kind: Kind; section: string },
): SectionSize => sizes[`${kind}:${section}`] ?? null;

/** The store that a layout's board is bought at; undefined: it is owned, or there is no such store. */
export const storeOf = (
  { source }: Pick<LayoutToCheck, 'source'>,
  { stores }: Pick<CheckAgainst, 'stores'>,
): CheckAgainst['stores'][number] | undefined =>
  'owned' in source ? undefined : stores.find(({ name }) => nameKey(name) === nameKey(source.store));

/** The newest of some rows, without dates the last. */
export const newestOf = (rows: PriceRow[]): PriceRow | undefined =>
  rows.reduce<PriceRow | undefined>((a, b) => (!a || (b.date ?? '') >= (a.date ?? '') ? b : a), undefined);

/** Notes what is wrong: where, and a sentence. */
export type Note = (place: string, sentence: string) => void;

/** Whether what is so long and wide goes in the car, either way round; sheets may have limits of their own. */
export const carriesIn = (
  kind: Kind,
  { maxCarryLength, maxCarryWidth, maxCarrySheet }: SawSettings,
): ((a: Ticks, b: Ticks) => boolean) => {
  const own = kind === 'sheet' ? maxCarrySheet : null;
  const most = (own?.length ?? maxCarryLength)?.ticks ?? Infinity;
  const widest = (own?.width ?? maxCarryWidth)?.ticks ?? Infinity;
  return (a, b) => Math.max(a, b) <= most && Math.min(a, b) <= widest;
};
