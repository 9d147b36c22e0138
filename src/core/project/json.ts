import { fromMain, fromMm, MICROS, toMain, toMm, type Micros, type Minor, type Ticks } from '../units';
import { nameKey, type Material } from '../lumber';
import type { Schema } from '../jsonSchema';
import schema from './schemas/project.schema.json';
import { converterOf, type Forms } from './jsonForms';
import type { Book, Measure, PlanSettings, Price, Project, Purchase, RackEntry, Store, Tool } from './types';

/** A measure in JSON: as it was written, and in millimetres. */
export interface JsonMeasure {
  text: string;
  mm: number;
}

/** A type with its measures as they are in JSON, at any depth. Its sums are in main units there. */
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
/** A purchase as files hold it: lengths in mm, money in main units. */
export type JsonPurchase = Json<Purchase>;
/** A store as files hold it. */
export type JsonStore = Json<Store>;
/** A price as files hold it. */
export type JsonPrice = Json<Price>;
/** Something on the rack as files hold it. */
export type JsonRackEntry = Json<RackEntry>;
/** Settings of a project as files hold them. */
export type JsonSettings = Json<PlanSettings>;

/** A price book in JSON. */
export interface JsonBook {
  stores: JsonStore[];
  prices: JsonPrice[];
  materials?: Material[];
  rack?: JsonRackEntry[];
  tools?: Tool[];
}

/** A length with its text, in mm. */
export const measureToJson = ({ text, ticks }: Measure): JsonMeasure => ({ text, mm: toMm(ticks) });
/** A length with its text, in ticks. */
export const measureFromJson = ({ text, mm }: JsonMeasure): Measure => ({ text, ticks: fromMm(mm) });

const OUT: Forms = {
  measure: measureToJson as (value: unknown) => unknown,
  length: (ticks) => toMm(ticks as Ticks),
  money: (sum, currency) => toMain(sum as Minor, currency),
  signedMoney: (sum, currency) => toMain(sum as Minor, currency),
  unitPrice: (price) => (price as Micros) / MICROS,
};

const IN: Forms = {
  measure: measureFromJson as (value: unknown) => unknown,
  length: (mm) => fromMm(mm as number),
  money: (sum, currency) => fromMain(sum as number, currency),
  signedMoney: (sum, currency) => fromMain(sum as number, currency),
  unitPrice: (price) => Math.round((price as number) * MICROS),
};

/** The two ways of one definition of the schema; money is of `currency` where the value names none of its own. */
const bothWays = <T, J>(definition: string) => ({
  out: converterOf(schema as unknown as Schema, definition, OUT) as (value: T, currency?: string) => J,
  in: converterOf(schema as unknown as Schema, definition, IN) as (value: J, currency?: string) => T,
});

const PROJECT = bothWays<Omit<Project, 'purchases'>, JsonProject>('project');
const PURCHASE = bothWays<Purchase, JsonPurchase>('purchase');
const STORE = bothWays<Store, JsonStore>('store');
const PRICE = bothWays<Price, JsonPrice>('price');
const RACK_ENTRY = bothWays<RackEntry, JsonRackEntry>('rackEntry');

/** A project without its purchases, in the form of files: millimetres, and money in main units. */
export const projectToJson = ({ purchases: _, ...project }: Project): JsonProject => PROJECT.out(project);

/** The purchases of a project as files hold them. */
export const purchasesToJson = ({ purchases, currency }: Project): JsonPurchase[] =>
  purchases.map((purchase) => PURCHASE.out(purchase, currency));

/** A project as it is worked with, from a file’s. */
export const projectFromJson = (json: JsonProject, purchases: JsonPurchase[]): Project => {
  const project = PROJECT.in(json);
  return {
    ...project,
    variables: json.variables ?? [],
    extras: json.extras ? project.extras : [],
    purchases: purchases.map((purchase) => PURCHASE.in(purchase, json.currency)),
  };
};

/** A store as files hold it. */
export const storeToJson = (store: Store): JsonStore => STORE.out(store);
/** A price as files hold it. */
export const priceToJson = (price: Price): JsonPrice => PRICE.out(price);
/** A price as it is worked with, from a file’s. */
export const priceFromJson = (json: JsonPrice): Price => PRICE.in(json);
/** The rack as files hold it. */
export const rackToJson = (rack: Book['rack']): JsonRackEntry[] =>
  Object.values(rack ?? {}).map((entry) => RACK_ENTRY.out(entry));

/** A price book as it is worked with, from a file’s. */
export const bookFromJson = ({ stores, prices, materials, rack, tools }: JsonBook): Book => ({
  ...(hasAny(materials)
    ? { materials: Object.fromEntries(materials.map((one) => [nameKey(one.name), one])) }
    : {}),
  ...(hasAny(rack) ? { rack: byId(rack.map((entry) => RACK_ENTRY.in(entry))) } : {}),
  ...(hasAny(tools) ? { tools: byId(tools) } : {}),
  stores: byId(stores.map((store) => STORE.in(store))),
  prices: byId(prices.map(priceFromJson)),
});

const hasAny = <T>(list: T[] | undefined): list is T[] => !!list && list.length > 0;

const byId = <T extends { id: string }>(list: T[]): Record<string, T> =>
  Object.fromEntries(list.map((entry) => [entry.id, entry]));
