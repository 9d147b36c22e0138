import { fits, needKey, ripsTo } from '../cutting/model';
import { canRipWith, thicknessName } from '../lumber';
import type { Kind, ResolvedPart } from '../project';
import type { Offer } from './offers';
import type { Ticks } from '../units';

/** One thing that a project must buy: parts of one section (or sheet thickness, or item) and one choice of materials. */
export interface Need {
  key: string;
  kind: Kind;
  /** `2x4`, `18mm`; hardware: the item. */
  name: string;
  /** Empty: any. */
  materials: string[];
  thickness: Ticks;
  width: Ticks;
  parts: ResolvedPart[];
  /** Pieces, for all builds. */
  count: number;
  longest: Ticks;
  /** What is sold that it could be made of; empty: the price is missing. */
  offers: Offer[];
  /** Wider boards that it can be ripped from, where there is a saw for that. */
  ripped: Offer[];
}

/** What a project needs a price for, in the order of its parts, each with the offers that fit, or that `tools` can rip. */
export const needsOf = (parts: ResolvedPart[], offers: Offer[], tools: string[] = []): Need[] => {
  const needs = new Map<string, Need>();
  for (const part of parts) {
    const key = needKey(part);
    const need: Need = needs.get(key) ?? {
      key,
      kind: part.kind,
      name: part.kind === 'hardware' ? part.item : (part.section?.name ?? thicknessName(part.thickness)),
      materials: part.materials,
      thickness: part.thickness,
      width: part.section?.width ?? 0,
      parts: [],
      count: 0,
      longest: 0,
      offers: offers.filter((offer) => fits(part, offer)),
      ripped: canRipWith(tools) ? offers.filter((offer) => ripsTo(part, offer)) : [],
    };
    need.parts.push(part);
    need.count += part.count;
    need.longest = Math.max(need.longest, part.length);
    needs.set(key, need);
  }
  return [...needs.values()];
};

export { fits, needKey, ripsTo, type Sold } from '../cutting/model';
