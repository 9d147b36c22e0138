import { MICROS, toMain, toMm, type Ticks } from '../units';
import type { Buy, Cut, Layout, Plan, Source } from '../plan';

/** A plan as plan.json has it (formats.md): millimetres, and money in main units. */
export interface JsonPlan {
  status: Plan['status'];
  currency: string;
  total: number;
  lowerBound: number;
  goods: number;
  tax: number;
  trips: number;
  /** What stores ask for sawing; absent: nothing. */
  sawing?: number;
  shipping: number;
  seconds: number;
  buys: JsonBuy[];
  layouts: JsonLayout[];
  short: { part: string; group: string; by: number; count: number }[];
  problems: { part: string; code: string; sentence: string }[];
}

export interface JsonBuy {
  store: string;
  item: string;
  kind: Buy['kind'];
  section: string;
  length: number;
  width?: number;
  material: string;
  pack: number;
  qty: number;
  unitPrice: number;
  cost: number;
  spare: number;
}

export interface JsonLayout {
  count: number;
  source: { store: string; item: string } | { owned: string };
  kind: Layout['kind'];
  section: string;
  length: number;
  width: number;
  material: string;
  pieces: { part: string; group: string; outline: [number, number][] }[];
  cuts: string[];
  storeCuts: string[];
  offcuts: { x: number; y: number; length: number; width: number }[];
}

/** The saw's work as words: `crosscut at 1217.6125`, `rip at 300 of row 2`. */
export const cutText = ({ kind, at, on }: Cut): string =>
  `${kind} at ${toMm(at)}${on === undefined ? '' : ` of ${on}`}`;

/** A plan in the form of plan.json. `seconds` is what it took. */
export const planToJson = (plan: Plan, seconds: number): JsonPlan => {
  const { currency } = plan;
  const money = (minor: number) => toMain(minor, currency);
  return {
    status: plan.status,
    currency,
    total: money(plan.total),
    lowerBound: money(plan.lowerBound),
    goods: money(plan.goods),
    tax: money(plan.tax),
    trips: money(plan.trips),
    ...(plan.sawing > 0 ? { sawing: money(plan.sawing) } : {}),
    shipping: money(plan.shipping),
    seconds: Number(seconds.toFixed(3)),
    buys: plan.buys.map(buyToJson),
    layouts: plan.layouts.map(layoutToJson),
    short: plan.short.map(({ part, group, by, count }) => ({ part, group, by: toMm(by), count })),
    problems: plan.problems.map(({ part, code, sentence }) => ({ part, code, sentence })),
  };
};

const buyToJson = ({
  store,
  item,
  kind,
  section,
  length,
  width,
  material,
  pack,
  qty,
  unitPrice,
  cost,
  spare,
}: Buy): JsonBuy => ({
  store,
  item,
  kind,
  section,
  length: toMm(length),
  ...(kind === 'sheet' ? { width: toMm(width) } : {}),
  material,
  pack,
  qty,
  unitPrice: unitPrice / MICROS,
  cost: cost / MICROS,
  spare,
});

const sourceToJson = (source: Source): JsonLayout['source'] =>
  'owned' in source ? { owned: source.owned } : { store: source.store, item: source.item };

const layoutToJson = (layout: Layout): JsonLayout => ({
  count: layout.count,
  source: sourceToJson(layout.source),
  kind: layout.kind,
  section: layout.section,
  length: toMm(layout.length),
  width: toMm(layout.width),
  material: layout.material,
  pieces: layout.pieces.map(({ part, group, outline }) => ({
    part,
    group,
    outline: outline.map(([x, y]): [Ticks, Ticks] => [toMm(x), toMm(y)]),
  })),
  cuts: layout.cuts.map(cutText),
  storeCuts: layout.storeCuts.map(cutText),
  offcuts: layout.offcuts.map(({ x, y, length, width }) => ({
    x: toMm(x),
    y: toMm(y),
    length: toMm(length),
    width: toMm(width),
  })),
});
