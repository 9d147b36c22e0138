import { finishedLeaves, finishedPieces } from './planPieces';
import { formatAngle, MICROS, toMain, toMm, type Ticks } from '../units';
import type { Remainder, Setup } from '../cutting/model';
import type { Buy, Cut, Layout, Plan, Point, Source } from '../plan';
import { checkedSequence } from '../sawing';

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

/** A line of the shopping list in plan.json: millimetres and main units. */
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

/** A way of cutting in plan.json: millimetres. */
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
  /** The saw's work for a machine, and what each piece is that it leaves: a piece by its index, an offcut, or waste. Absent: it did not pass the checker. */
  sequence?: JsonSawCut[];
  leaves?: Record<string, Remainder>;
  /** Sawing has begun on it: the id of its record in the project, and the blade. */
  sawn?: { id: string; kerf: number };
}

/** A cut of a sequence in plan.json: millimetres. */
export interface JsonSawCut {
  from: number;
  kind: Cut['kind'];
  line: [[number, number], [number, number]];
  to: [number | null, number | null];
  setup: string;
  store?: true;
}

/** The saw's work as words: `crosscut at 1217.6125`, `rip at 300 of row 2`. */
export const cutText = ({ kind, at, on }: Cut): string =>
  `${kind} at ${toMm(at)}${on === undefined ? '' : ` of ${on}`}`;

/** A setting of the saw as words: `rip fence 38.1`, `stop 749.3, 0°`. */
const setupText = (setup: Setup): string => {
  if (setup.tool === 'fence') return `rip fence ${toMm(setup.fence)}`;
  const bevel = setup.bevel > 0 ? `, bevel ${formatAngle(setup.bevel)}` : '';
  return `${setup.tool === 'stop' ? `stop ${toMm(setup.stop)}` : 'end'}, ${formatAngle(setup.angle)}${bevel}`;
};

/** A plan in the form of plan.json. `seconds` is what it took, `kerf` what its saw takes. */
export const planToJson = (plan: Plan, seconds: number, kerf: Ticks): JsonPlan => {
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
    layouts: plan.layouts.map((layout) => layoutToJson(layout, kerf)),
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

const pointToJson = ([x, y]: Point): [number, number] => [toMm(x), toMm(y)];

const layoutToJson = (layout: Layout, kerf: Ticks): JsonLayout => ({
  count: layout.count,
  source: sourceToJson(layout.source),
  kind: layout.kind,
  section: layout.section,
  length: toMm(layout.length),
  width: toMm(layout.width),
  material: layout.material,
  pieces: finishedPieces(layout.pieces).map(({ outline, ...piece }) => ({
    ...piece,
    outline: outline.map(pointToJson),
  })),
  cuts: layout.cuts.map(cutText),
  storeCuts: layout.storeCuts.map(cutText),
  offcuts: layout.offcuts.map(({ x, y, length, width }) => ({
    x: toMm(x),
    y: toMm(y),
    length: toMm(length),
    width: toMm(width),
  })),
  ...sequenceToJson(layout, layout.sawn?.kerf ?? kerf),
  ...(layout.sawn ? { sawn: { id: layout.sawn.id, kerf: toMm(layout.sawn.kerf) } } : {}),
});

const sequenceToJson = (layout: Layout, kerf: Ticks): Pick<JsonLayout, 'sequence' | 'leaves'> => {
  const checked = checkedSequence(layout, kerf);
  if (!checked) return {};
  return {
    sequence: checked.cuts.map(({ from, kind, line, to, setup, store }) => ({
      from,
      kind,
      line: [pointToJson(line[0]), pointToJson(line[1])],
      to,
      setup: setupText(setup),
      ...(store ? { store } : {}),
    })),
    leaves: finishedLeaves(layout.pieces, checked.leaves),
  };
};
