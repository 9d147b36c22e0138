import { toMicros, type Micros, type Minor, type Ticks } from '../units';
import { itemKey, keptMoney, keptPieces, rackPieces, resolve, servesAs, tagName, toolsOf } from '../project';
import type {
  Book,
  Item,
  PlanSettings,
  Project,
  Purchase,
  PurchaseLine,
  RackEntry,
  ResolvedPart,
  Store,
} from '../project';
import { currentOffers, withDressed, type Offer } from '../pricing';
import type { PlanProblem } from './types';
import { parseSection, parseThickness } from '../lumber';

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
  /** `freeFrom` counts what was bought there already. */
  shipping: { fee: Minor; freeFrom: Minor | null } | null;
  /** Shipping of what was bought there already, unless enough more is bought; 0: nothing was, or it is free. */
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

/** The input that a project and the price book give: stores of its currency that it does not leave out. */
export const planInput = (project: Project, book: Book): PlanInput => {
  const held = inputs.get(project);
  if (held?.book === book) return held.input;
  const input = makeInput(project, book);
  inputs.set(project, { book, input });
  return input;
};

/** The last input of each project, kept as long as the project is. */
const inputs = new WeakMap<Project, { book: Book; input: PlanInput }>();

const makeInput = (project: Project, book: Book): PlanInput => {
  const { parts, problems } = resolve(project, book.materials);
  const usable = Object.values(book.stores).filter(
    ({ id, currency }) => currency === project.currency && !project.excludedStores.includes(id),
  );
  return {
    currency: project.currency,
    unit: project.unit,
    parts,
    offers: withDressed(
      currentOffers(book).filter(({ storeId }) => usable.some(({ id }) => id === storeId)),
      parts,
    ),
    stores: usable
      .map((store) =>
        termsOf(
          store,
          project.purchases.filter(({ storeId }) => storeId === store.id),
        ),
      )
      .sort((a, b) => (a.id < b.id ? -1 : 1)),
    owned: [
      ...project.purchases.flatMap(({ lines }) => lines.map((line) => asOwned(line, project.currency))),
      ...rackFor(project, book).map((entry) =>
        ownedOf(entry.item, rackPieces(entry), rackWorth(entry, project.currency)),
      ),
    ],
    settings: withTools(project, book),
    problems: problems.map(({ partId, place, sentence }) => ({
      code: 'part',
      partIds: [partId],
      part: place,
      sentence,
    })),
  };
};

/** The settings of a project; where it says nothing of tools, those that are owned. */
const withTools = ({ settings }: Project, book: Book): PlanSettings => {
  const tools = toolsOf(settings, book);
  return tools === settings.tools ? settings : { ...settings, tools };
};

/** What is on the rack for a project to use. */
export const rackFor = (project: Project, book: Book): RackEntry[] =>
  project.leavesRack ? [] : Object.values(book.rack ?? {});

/** What a store asks for sending goods of so much. */
export const shippingFor = (shipping: Store['shipping'], goods: Minor): Minor =>
  shipping && goods < (shipping.freeFrom ?? Infinity) ? shipping.fee : 0;

const termsOf = (
  { id, name, trip, taxFree, taxRate, discount, cuts, shipping }: Store,
  purchases: Purchase[],
): StoreTerms => {
  const bought = purchases.flatMap(({ lines }) => lines).reduce((sum, { price }) => sum + price, 0);
  const freeFrom = shipping?.freeFrom ?? null;
  return {
    id,
    name,
    trip: purchases.length > 0 ? 0 : trip,
    taxFree,
    taxRate: taxRate ?? null,
    discount,
    cuts,
    shipping: shipping && {
      fee: shipping.fee,
      freeFrom: freeFrom === null ? null : Math.max(0, freeFrom - bought),
    },
    committedShipping: purchases.length > 0 ? shippingFor(shipping, bought) : 0,
  };
};

const asOwned = (line: PurchaseLine, currency: string): Owned => {
  const count = keptPieces(line);
  const value = count > 0 ? Math.round(toMicros(keptMoney(line), currency) / count) : 0;
  return { ...ownedOf(servesAs(line), count, value), isBought: true };
};

/** What a piece from the rack is worth, in a currency; it costs nothing more at the till. */
export const rackWorth = ({ value }: RackEntry, currency: string): Micros =>
  value && value.currency === currency ? toMicros(value.sum, currency) : 0;

/** So many pieces of a thing that are there already; `value` is what one was bought for, with tax. */
export const ownedOf = (item: Item, count: number, value: Micros): Owned => {
  const section = item.kind === 'board' ? parseSection(item.section, 'mm') : null;
  const thickness = item.kind === 'sheet' ? parseThickness(item.section, 'in') : null;
  return {
    itemKey: itemKey(item),
    name: tagName(item),
    kind: item.kind,
    section: item.section,
    material: item.material,
    thickness: section?.ok ? section.value.thickness : thickness?.ok ? thickness.value : 0,
    width: section?.ok ? section.value.width : (item.width?.ticks ?? 0),
    length: item.length?.ticks ?? 0,
    count,
    value,
  };
};
