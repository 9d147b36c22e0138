import { canRipWith, nameKey, stripWidth, thicknessName } from '../lumber';
import { allows, type Kind, type ResolvedPart } from '../project';
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
    const need = needs.get(key) ?? {
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

/** Parts that are bought as one thing have one key: of one section or thickness and choice of materials, or of one item. */
export const needKey = (part: ResolvedPart): string => {
  if (part.kind === 'hardware') return `hardware:${nameKey(part.item)}`;
  const size = part.kind === 'board' ? `${part.thickness}x${part.width}` : `${part.thickness}`;
  return `${part.kind}:${size}:${part.materials.map(nameKey).sort().join('|')}`;
};

/** A thing on sale or owned, as far as fitting goes. */
export interface Sold {
  name: string;
  thickness: Ticks;
  width: Ticks;
  item: { kind: Kind; material: string };
}

/** Whether a board part can be ripped from a wider board. Length aside. */
export const ripsTo = (part: ResolvedPart, offer: Sold): boolean => {
  if (part.kind !== 'board' || offer.item.kind !== 'board' || fits(part, offer)) return false;
  const strip = stripWidth(part, offer.thickness);
  return strip !== null && strip <= offer.width && allows(part.materials, offer.item.material);
};

/** Whether an offer is of the section, thickness or item, and of a material, that a part asks for. Length aside. */
export const fits = (part: ResolvedPart, offer: Sold): boolean => {
  if (offer.item.kind !== part.kind) return false;
  if (part.kind === 'hardware') return nameKey(offer.name) === nameKey(part.item);
  if (!allows(part.materials, offer.item.material) || offer.thickness !== part.thickness) return false;
  return part.kind === 'sheet' || offer.width === part.width;
};
