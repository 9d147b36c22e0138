import { fromMain, fromMm, MICROS, toMain, toMm, type Minor } from '../units';
import { nameKey, type Material } from '../lumber';
import type {
  Book,
  Category,
  Extra,
  Measure,
  PlanSettings,
  Price,
  Project,
  Purchase,
  RackEntry,
  Store,
  Tool,
  Work,
} from './types';

/** A measure in JSON: as it was written, and in millimetres. */
export interface JsonMeasure {
  text: string;
  mm: number;
}

/** A type with its measures as they are in JSON, at any depth. */
export type Json<T> = T extends number
  ? T
  : T extends Measure
    ? JsonMeasure
    : T extends (infer E)[]
      ? Json<E>[]
      : T extends object
        ? { [K in keyof T]: Json<T[K]> }
        : T;

/** Variables and extras may be absent: files of before they were. */
export type JsonProject = Json<Omit<Project, 'purchases' | 'variables' | 'extras'>> &
  Partial<Json<Pick<Project, 'variables' | 'extras'>>>;
export type JsonPurchase = Json<Purchase>;
export type JsonStore = Json<Store>;
export type JsonPrice = Json<Price>;
export type JsonRackEntry = Json<RackEntry>;
export type JsonSettings = Json<PlanSettings>;

const isMeasure = (value: object): value is Measure => 'text' in value && 'ticks' in value;
const isJsonMeasure = (value: object): value is JsonMeasure => 'text' in value && 'mm' in value;

const mapObjects = (value: unknown, leaf: (value: object) => object | null): unknown => {
  if (Array.isArray(value)) return value.map((entry) => mapObjects(entry, leaf));
  if (value === null || typeof value !== 'object') return value;
  return (
    leaf(value) ??
    Object.fromEntries(Object.entries(value).map(([key, entry]) => [key, mapObjects(entry, leaf)]))
  );
};

const measuresOut = <T>(value: T): Json<T> =>
  mapObjects(value, (entry) =>
    isMeasure(entry) ? { text: entry.text, mm: toMm(entry.ticks) } : null,
  ) as Json<T>;

const measuresIn = <T>(value: Json<T>): T =>
  mapObjects(value, (entry) =>
    isJsonMeasure(entry) ? { text: entry.text, ticks: fromMm(entry.mm) } : null,
  ) as T;

const nullable = (value: Minor | null, convert: (value: number) => number): number | null =>
  value === null ? null : convert(value);

/** A project without its purchases, in the form of files: millimetres, and money in main units. */
export const projectToJson = ({ purchases: _, ...project }: Project): JsonProject => ({
  ...measuresOut(project),
  target: nullable(project.target, (target) => toMain(target, project.currency)),
  ...moneyOf(measuresOut(project), (sum) => toMain(sum, project.currency)),
});

type Convert = (sum: number) => number;

/** The sums of money of a project beside its target, converted. */
const moneyOf = <
  T extends Json<Pick<Project, 'readyMade' | 'work' | 'budget' | 'baseline'>> & { extras?: Json<Extra>[] },
>(
  { readyMade, work, budget, baseline, extras }: T,
  convert: Convert,
) => ({
  ...(readyMade ? { readyMade: readyMade.map((seen) => ({ ...seen, price: convert(seen.price) })) } : {}),
  ...(work ? { work: workWith(work, convert) } : {}),
  ...(budget
    ? {
        budget: {
          ...budget,
          ...(budget.byCategory ? { byCategory: sumsWith(budget.byCategory, convert) } : {}),
        },
      }
    : {}),
  ...(baseline
    ? {
        baseline: {
          ...baseline,
          trips: convert(baseline.trips),
          lines: baseline.lines.map((line) => ({ ...line, paid: convert(line.paid) })),
        },
      }
    : {}),
  ...(extras
    ? {
        extras: extras.map((extra) =>
          extra.price === undefined ? extra : { ...extra, price: convert(extra.price) },
        ),
      }
    : {}),
});

const workWith = (work: Work, convert: Convert): Work => ({
  ...work,
  rate: nullable(work.rate, convert),
  beside: nullable(work.beside, convert),
  ...(work.tools ? { tools: work.tools.map((tool) => ({ ...tool, price: convert(tool.price) })) } : {}),
  ...(work.travel ? { travel: { ...work.travel, rate: convert(work.travel.rate) } } : {}),
  ...(work.power ? { power: { ...work.power, rate: convert(work.power.rate) } } : {}),
  ...(work.offer === undefined ? {} : { offer: nullable(work.offer, convert) }),
});

const sumsWith = (
  sums: Partial<Record<Category, number>>,
  convert: Convert,
): Partial<Record<Category, number>> =>
  Object.fromEntries(Object.entries(sums).map(([category, sum]) => [category, convert(sum)]));

/** The sums of money of a purchase, converted. */
const purchaseWith = <T extends JsonPurchase>(purchase: T, convert: Convert): T => ({
  ...purchase,
  ...(purchase.receipt
    ? { receipt: { total: convert(purchase.receipt.total), tax: nullable(purchase.receipt.tax, convert) } }
    : {}),
  ...(purchase.trip === undefined ? {} : { trip: convert(purchase.trip) }),
  ...(purchase.shipping === undefined ? {} : { shipping: convert(purchase.shipping) }),
  lines: purchase.lines.map((line) => ({
    ...line,
    price: convert(line.price),
    tax: convert(line.tax),
    ...(line.share ? { share: { ...line.share, whole: convert(line.share.whole) } } : {}),
    ...(line.returned
      ? {
          returned: line.returned.map((back) => ({
            ...back,
            price: convert(back.price),
            tax: convert(back.tax),
          })),
        }
      : {}),
  })),
});

export const purchasesToJson = ({ purchases, currency }: Project): JsonPurchase[] =>
  measuresOut(purchases).map((purchase) => purchaseWith(purchase, (sum) => toMain(sum, currency)));

export const projectFromJson = (json: JsonProject, purchases: JsonPurchase[]): Project => ({
  ...measuresIn<Omit<Project, 'purchases'>>(json as Json<Omit<Project, 'purchases'>>),
  variables: json.variables ?? [],
  extras: [],
  target: nullable(json.target, (target) => fromMain(target, json.currency)),
  ...measuresIn<Partial<Project>>(
    moneyOf(json, (sum) => fromMain(sum, json.currency)) as Json<Partial<Project>>,
  ),
  purchases: measuresIn<Purchase[]>(
    purchases.map((purchase) => purchaseWith(purchase, (sum) => fromMain(sum, json.currency))),
  ),
});

export const storeToJson = (store: Store): JsonStore => ({
  ...store,
  trip: toMain(store.trip, store.currency),
  ...(store.cutFee === undefined ? {} : { cutFee: toMain(store.cutFee, store.currency) }),
  ...(store.way ? { way: { ...store.way, rate: store.way.rate / MICROS } } : {}),
  shipping: store.shipping && {
    fee: toMain(store.shipping.fee, store.currency),
    freeFrom: nullable(store.shipping.freeFrom, (sum) => toMain(sum, store.currency)),
  },
});

export const storeFromJson = (json: JsonStore): Store => ({
  ...json,
  trip: fromMain(json.trip, json.currency),
  ...(json.cutFee === undefined ? {} : { cutFee: fromMain(json.cutFee, json.currency) }),
  ...(json.way ? { way: { ...json.way, rate: Math.round(json.way.rate * MICROS) } } : {}),
  shipping: json.shipping && {
    fee: fromMain(json.shipping.fee, json.currency),
    freeFrom: nullable(json.shipping.freeFrom, (sum) => fromMain(sum, json.currency)),
  },
});

export const priceToJson = (price: Price): JsonPrice => ({
  ...measuresOut(price),
  price: price.price / MICROS,
});

export const priceFromJson = (json: JsonPrice): Price => ({
  ...measuresIn<Price>(json),
  price: Math.round(json.price * MICROS),
});

export const bookFromJson = (json: JsonBook): Book => ({
  ...(json.materials && json.materials.length > 0
    ? { materials: Object.fromEntries(json.materials.map((one) => [nameKey(one.name), one])) }
    : {}),
  ...(json.rack && json.rack.length > 0
    ? {
        rack: Object.fromEntries(
          json.rack.map((entry) => [entry.id, valued(measuresIn<RackEntry>(entry), fromMain)]),
        ),
      }
    : {}),
  ...(json.tools && json.tools.length > 0
    ? { tools: Object.fromEntries(json.tools.map((tool) => [tool.id, tool])) }
    : {}),
  stores: Object.fromEntries(json.stores.map((store) => [store.id, storeFromJson(store)])),
  prices: Object.fromEntries(json.prices.map((price) => [price.id, priceFromJson(price)])),
});

/** A price book in JSON. */
export interface JsonBook {
  stores: JsonStore[];
  prices: JsonPrice[];
  materials?: Material[];
  rack?: JsonRackEntry[];
  tools?: Tool[];
}

export const rackToJson = (rack: Book['rack']): JsonRackEntry[] =>
  Object.values(rack ?? {}).map((entry) => valued(measuresOut(entry), toMain));

/** A rack entry with the worth of a piece converted. */
const valued = <T extends Pick<RackEntry, 'value'>>(
  entry: T,
  convert: (sum: number, currency: string) => number,
): T =>
  entry.value
    ? { ...entry, value: { ...entry.value, sum: convert(entry.value.sum, entry.value.currency) } }
    : entry;

/** A measure and a part as JSON has them, for records other than projects. */
export const measureToJson = (measure: Measure): JsonMeasure => ({
  text: measure.text,
  mm: toMm(measure.ticks),
});
export const measureFromJson = (json: JsonMeasure): Measure => ({ text: json.text, ticks: fromMm(json.mm) });
