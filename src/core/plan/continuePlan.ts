import { disjointSets } from '../disjointSets';
import { hardwareKey } from '../hardwareKey';
import { nameKey } from '../lumber';
import { paidAt } from '../cutting/heuristics/assemble';
import type { Owned, PlanInput } from './inputTypes';
import type { Buy, Layout, Plan } from '../cutting/model';

/** A plan with what it followed from. */
export interface PreviousPlan {
  plan: Plan;
  input: Pick<PlanInput, 'parts' | 'settings' | 'unit' | 'currency' | 'owned' | 'whole'>;
}

/**
 * What is left of a plan after some of it was bought: the same boards cut the same way, those that are there now from what
 * is owned, at the prices of today. What is not sold any more, or not enough of it, is taken from `anew`, with all that is
 * cut from the same stuff. Null where it does not hold: other parts or settings, or less is there than before. So that
 * a list does not change by itself while it is ticked.
 */
export const continuePlan = (
  { plan, input: before }: PreviousPlan,
  input: PlanInput,
  anew: Plan,
): Plan | null => {
  const isSame = (side: 'settings' | 'unit' | 'currency') => isAlike(before[side], input[side]);
  if (plan.status === 'infeasible' || anew.status === 'infeasible' || input.problems.length > 0) return null;
  if (!isSame('settings') || !isSame('unit') || !isSame('currency')) return null;
  const [wholeBefore, whole] = [before.whole ?? before, input.whole ?? input];
  if (!isAlike(wholeBefore.parts, whole.parts)) return null;
  const received = receivedSince(wholeBefore.owned, whole.owned);
  if (!received) return null;
  const taken = new Map<string, number>();
  const left = plan.buys.flatMap((buy): Buy[] => {
    const pile = received.get(keyOf(buy));
    const packs = Math.min(buy.qty, Math.floor((pile?.count ?? 0) / buy.pack));
    if (pile) pile.count -= packs * buy.pack;
    taken.set(sourceKey(buy), packs * buy.pack + (taken.get(sourceKey(buy)) ?? 0));
    return packs === buy.qty ? [] : [{ ...buy, qty: buy.qty - packs }];
  });
  const layouts = withoutSawn(
    plan.layouts.flatMap((layout) => cutFromOwned(layout, taken, received)),
    input.sawn ?? [],
  );
  if (!layouts) return null;
  const ofAnew = anew.layouts.filter(({ sawn }) => !sawn);
  // A part may be cut from several stuffs: they hang together.
  const setOf = disjointSets(
    [...layouts, ...ofAnew].map((layout) => [
      stockSpecKey(layout),
      ...layout.pieces.map(({ partId }) => partId),
    ]),
  );
  const offerOf = ({ offerKey }: Buy) => input.offers.find(({ key }) => key === offerKey);
  const isSold = (buy: Buy) => {
    const offer = offerOf(buy);
    return (
      offer !== undefined &&
      offer.tiers.some(({ minQty }) => minQty <= buy.qty) &&
      buy.qty <= (offer.available ?? Infinity)
    );
  };
  const gone = new Set(left.filter((buy) => !isSold(buy)).map((buy) => setOf(stockSpecKey(buy))));
  const isGone = (key: string) => gone.has(setOf(key));
  const buys = [
    ...left.filter((buy) => !isGone(stockSpecKey(buy))),
    ...anew.buys.filter((buy) => isGone(stockSpecKey(buy))),
  ];
  return paidAt(
    input,
    buys.flatMap((buy) => {
      const offer = offerOf(buy);
      return offer ? [{ offer, quantity: buy.qty }] : [];
    }),
    [
      ...layouts.filter((one) => !isGone(stockSpecKey(one))),
      ...ofAnew.filter((one) => isGone(stockSpecKey(one))),
    ],
    [
      ...plan.short.filter(({ partId }) => !isGone(partId)),
      ...anew.short.filter(({ partId }) => isGone(partId)),
    ],
  );
};

const isAlike = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);

/**
 * Drawings of a plan without the boards on which sawing has begun since, each drawn once: they stand in any plan as they are.
 * Null where one of those is none of the plan's.
 */
const withoutSawn = (layouts: Layout[], sawn: Layout[]): Layout[] | null => {
  const left = layouts.map(({ sawn: _, ...layout }) => layout);
  for (const board of sawn) {
    const index = left.findIndex((layout) => layout.count > 0 && drawingKey(layout) === drawingKey(board));
    const layout = left[index];
    if (!layout) return null;
    left[index] = { ...layout, count: layout.count - 1 };
  }
  return left.filter(({ count }) => count > 0);
};

const drawingKey = ({ kind, section, material, length, width, pieces }: Layout): string =>
  JSON.stringify([
    kind,
    section,
    nameKey(material),
    length,
    width,
    pieces.map(({ partId, outline }) => [partId, outline]),
  ]);

type StockSpec = Pick<Buy, 'kind' | 'section' | 'material'> & { item?: string };

/** What a board or sheet is, whatever its length; an item by its name. */
const stockSpecKey = ({ kind, item = '', section, material }: StockSpec): string =>
  kind === 'hardware' ? hardwareKey(item) : [kind, nameKey(section), nameKey(material)].join(':');

/** The same with its size. */
const keyOf = (of: StockSpec & Pick<Buy, 'length' | 'width'>): string =>
  of.kind === 'hardware'
    ? stockSpecKey(of)
    : [stockSpecKey(of), of.length, of.kind === 'sheet' ? of.width : ''].join(':');

interface Received {
  name: string;
  value: number;
  count: number;
}

/** What is owned now and was not before, by thing; null where something is gone. */
const receivedSince = (before: Owned[], now: Owned[]): Map<string, Received> | null => {
  const come = new Map<string, Received>();
  for (const { count, name, value, ...pile } of now) {
    const key = keyOf({ ...pile, item: name });
    come.set(key, { name, value, count: count + (come.get(key)?.count ?? 0) });
  }
  for (const pile of before) {
    const held = come.get(keyOf({ ...pile, item: pile.name }));
    if (pile.count > (held?.count ?? 0)) return null;
    if (held) held.count -= pile.count;
  }
  return come;
};

const sourceKey = ({ storeId, item, length }: Pick<Buy, 'storeId' | 'item' | 'length'>): string =>
  [storeId, nameKey(item), length].join(':');

/** A layout from a store, as much of it as is there now from what is owned. */
const cutFromOwned = (layout: Layout, taken: Map<string, number>, come: Map<string, Received>): Layout[] => {
  if ('owned' in layout.source) return [layout];
  const key = sourceKey({ ...layout.source, length: layout.length });
  const there = Math.min(layout.count, taken.get(key) ?? 0);
  taken.set(key, (taken.get(key) ?? 0) - there);
  const pile = come.get(keyOf(layout));
  const owned: Layout = {
    ...layout,
    count: there,
    source: { owned: pile?.name ?? layout.source.item },
    value: pile?.value ?? layout.value,
    storeCuts: [],
  };
  return [owned, { ...layout, count: layout.count - there }].filter(({ count }) => count > 0);
};
