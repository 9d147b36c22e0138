import {
  QUANTITY_TOLERANCE,
  type Item,
  meanLength,
  serves,
  supplyOf,
  panelRoom,
  waysOn,
  netPricing,
  type NetPricing,
  type Owned,
  type CuttingProblem,
  type Sized,
} from '../model';
import { hardwareKey } from '../../hardwareKey';
import { toMinor, type Micros, type Minor } from '../../units';

/**
 * A sum that no plan can go below, simple and safe: every piece pays at least its share of the best-priced
 * board or sheet by face (pack by piece), less what owned stock could at most replace, plus the cheapest trip
 * where anything must be bought.
 *
 * A face L x W holds pieces with sum((length + kerf)(width + kerf)) <= (L + kerf)(W + kerf); nested slants count
 * their mean length, and a piece may come out short by its slack.
 */
export const lowerBound = (input: CuttingProblem): Minor => {
  const tillOf = netPricing(input.stores, input.settings);
  const shares = poolsFor(input.parts).map((pool) => poolBound(pool, input, tillOf));
  const goods = shares.reduce((sum, share) => sum + share, 0);
  if (goods <= 0) return 0;
  const trip = Math.min(...input.stores.map((store) => store.trip));
  // Each store rounds twice, half up: a plan's sum can be that much below the exact one.
  return Math.max(0, toMinor(Math.floor(goods), input.currency) - 2 * input.stores.length - 1) + trip;
};

const poolsFor = (parts: Item[]): Item[][] => {
  const pools = new Map<string, Item[]>();
  for (const part of parts) {
    const key =
      part.kind === 'hardware'
        ? `hardware:${hardwareKey(part.item)}`
        : `${part.kind}:${part.thickness}:${part.kind === 'board' ? part.width : ''}`;
    pools.set(key, [...(pools.get(key) ?? []), part]);
  }
  return [...pools.values()];
};

const poolBound = (parts: Item[], input: CuttingProblem, tillOf: NetPricing): Micros => {
  const { settings } = input;
  const kerf = settings.kerf.ticks;
  let sum = 0;
  let dearest = 0;
  const owned = new Set<Owned>();
  // All parts of a pool are of one kind: what an offer costs for its face is the same for each.
  const kind = parts[0]?.kind ?? 'hardware';
  const priced = input.offers.flatMap((offer) => {
    const holds = kind === 'hardware' ? 1 : capacity({ ...offer, kind });
    return holds > 0 ? [{ offer, rate: tillOf.leastPerPiece(offer) / holds }] : [];
  });
  for (const part of parts) {
    let least = Infinity;
    const sizes = new Map<string, number>();
    for (const { offer, rate } of priced) {
      if (!serves(part, offer, settings)) continue;
      const face = `${offer.thickness}x${offer.width}`;
      const size = sizes.get(face) ?? sizeOn(part, offer);
      sizes.set(face, size);
      least = Math.min(least, rate * size);
    }
    if (least === Infinity) continue;
    sum +=
      (part.fractionalQuantity === undefined
        ? part.count
        : Math.max(0, part.fractionalQuantity - QUANTITY_TOLERANCE)) * least;
    for (const pile of input.owned)
      if (serves(part, supplyOf(pile), settings)) {
        owned.add(pile);
        dearest = Math.max(dearest, least / sizeOn(part, pile));
      }
  }
  const replaced = [...owned].reduce((total, pile) => total + pile.count * capacity(pile), 0);
  return Math.max(0, sum - replaced * dearest);

  function capacity(stock: { kind: Item['kind']; width: number } & Sized): number {
    if (stock.kind === 'hardware') return 1;
    const face = panelRoom({ ...stock, kind: stock.kind }, settings);
    return (face.length + kerf) * (face.width + kerf);
  }

  /** What a part takes at the least of the face of a stock that serves it. */
  function sizeOn(part: Item, stock: { thickness: number; width: number }): number {
    if (part.kind === 'hardware') return 1;
    if (part.kind === 'sheet')
      return Math.max(0, part.length - part.shortOk + kerf) * Math.max(0, part.width - part.shortOk + kerf);
    const held = meanLength(part.ends, part.length, part.thickness, part.width) - part.shortOk + kerf;
    const [leaf] = waysOn(part, { ...stock, kind: 'board' }, settings);
    return Math.max(0, held) * ((leaf?.across.full ?? 0) + kerf);
  }
};
