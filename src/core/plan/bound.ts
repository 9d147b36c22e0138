import { fits, type Offer } from '../prices';
import type { ResolvedPart } from '../project';
import { meanLength, nameKey } from '../wood';
import { toMinor, type Micros, type Minor } from '../measure';
import { till, type Till } from './buying';
import type { Owned, PlanInput } from './input';
import { sheetRoom } from './packSheets';
import { room } from './packBoards';

/**
 * A sum that no plan can go below, simple and safe: every piece pays at least its share of the best-priced
 * board per length (sheet per area, pack per piece), less what owned stock could at most replace, plus the
 * cheapest trip where anything must be bought.
 *
 * A board of room L holds pieces with sum(length + kerf) <= L + kerf; nested slants count their mean length,
 * and a piece may come out short by its slack.
 */
export const lowerBound = (input: PlanInput): Minor => {
  // A ripped board may be cheaper than any of the section: nothing simple is known then.
  if (input.settings.tools?.includes('table-saw')) return 0;
  const tillOf = till(input.stores, input.settings);
  const shares = poolsFor(input.parts).map((pool) => poolBound(pool, input, tillOf));
  const goods = shares.reduce((sum, share) => sum + share, 0);
  if (goods <= 0) return 0;
  const trip = Math.min(...input.stores.map((store) => store.trip));
  // Each store rounds twice, half up: a plan's sum can be that much below the exact one.
  return Math.max(0, toMinor(Math.floor(goods), input.currency) - 2 * input.stores.length - 1) + trip;
};

const poolsFor = (parts: ResolvedPart[]): ResolvedPart[][] => {
  const pools = new Map<string, ResolvedPart[]>();
  for (const part of parts) {
    const key =
      part.kind === 'hardware'
        ? `hardware:${nameKey(part.item)}`
        : `${part.kind}:${part.thickness}:${part.kind === 'board' ? part.width : ''}`;
    pools.set(key, [...(pools.get(key) ?? []), part]);
  }
  return [...pools.values()];
};

const poolBound = (parts: ResolvedPart[], input: PlanInput, tillOf: Till): Micros => {
  let sum = 0;
  let dearest = 0;
  const owned = new Set<Owned>();
  for (const part of parts) {
    const least = Math.min(
      ...input.offers.filter((offer) => fits(part, offer)).map((offer) => perUnit(offer)),
    );
    if (least === Infinity) continue;
    sum += part.count * sizeOf(part) * least;
    dearest = Math.max(dearest, least);
    for (const pile of input.owned) if (fits(part, { ...pile, item: pile })) owned.add(pile);
  }
  const replaced = [...owned].reduce((total, pile) => total + pile.count * capacity(pile.kind, pile), 0);
  return Math.max(0, sum - replaced * dearest);

  function capacity(kind: ResolvedPart['kind'], stock: { length: number; width: number }): number {
    if (kind === 'hardware') return 1;
    if (kind === 'board') return room(stock.length, input.settings) + input.settings.kerf.ticks;
    const face = sheetRoom(stock, input.settings);
    return face.length * face.width;
  }

  function perUnit(offer: Offer): number {
    const holds = capacity(offer.item.kind, offer);
    return holds > 0 ? tillOf.leastPerPiece(offer) / holds : Infinity;
  }

  function sizeOf(part: ResolvedPart): number {
    if (part.kind === 'hardware') return 1;
    if (part.kind === 'board')
      return Math.max(
        0,
        meanLength(part.ends, part.length, part.thickness, part.width) -
          part.shortOk +
          input.settings.kerf.ticks,
      );
    return Math.max(0, part.length - part.shortOk) * Math.max(0, part.width - part.shortOk);
  }
};
