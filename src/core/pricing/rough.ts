import type { Micros, Ticks } from '../units';
import { actualSection, type Section } from '../lumber';
import { stripWidth } from '../cutting/model';
import { allows, itemKey, itemName, type Item, type ResolvedPart } from '../project';
import { planedKey, type Offer } from './offers';

/**
 * What one board of a section, as long as the rough wood comes, costs when it is sawn and planed out of it: the rough
 * thickness, the width with as much taken off again for its two edges, and the share that is lost, at the price by
 * volume. Null where the rough wood is too thin or too narrow for it.
 */
export const dressedPrice = (
  rough: Offer,
  unitPrice: Micros,
  wanted: { thickness: number; width: number },
): Micros | null => {
  const planing = rough.rough?.planing.ticks ?? 0;
  const used = wanted.width + planing;
  if (wanted.thickness + planing > rough.thickness || used > rough.width) return null;
  return Math.round(((unitPrice / rough.pack) * used * (1 + (rough.rough?.waste ?? 0))) / rough.width);
};

/**
 * Offers with rough wood as the boards that it becomes: planed to the thickness of a part, its two edges made straight, and
 * bought whole. What is narrower is ripped from it; what is lost to defects is bought as spare boards. The rest as they are.
 */
export const withDressed = (offers: Offer[], parts: ResolvedPart[]): Offer[] => {
  if (!offers.some(({ rough }) => rough)) return offers;
  const boards = parts.filter(({ kind }) => kind === 'board');
  return offers.flatMap((offer) => (offer.rough ? dressedOffers(offer, boards) : [offer]));
};

/** Rough wood planed to each thickness that a board of it, ripped or not, can have in these parts. */
const dressedOffers = (rough: Offer, parts: ResolvedPart[]): Offer[] => {
  const asked = parts.filter(({ materials }) => allows(materials, rough.item.material));
  return planedSections(rough, asked).map((section) => {
    const item: Item = { ...rough.item, name: '', section: section.name };
    const name = `${itemName(item)}, from rough ${rough.item.section}`;
    return {
      ...rough,
      key: planedKey(rough.key, section.name),
      item: { ...item, name },
      itemKey: itemKey(item),
      name,
      thickness: section.thickness,
      width: section.width,
      ...(rough.rough && rough.rough.waste > 0 ? { waste: rough.rough.waste } : {}),
    };
  });
};

/** The sections, as wide as can be, that rough wood is planed to for parts; each thickness once. */
export const planedSections = (
  { item, thickness, width, rough }: Pick<Offer, 'item' | 'thickness' | 'width' | 'rough'>,
  parts: { thickness: Ticks; width: Ticks }[],
): Section[] => {
  const planing = rough?.planing.ticks ?? 0;
  const most = width - planing;
  const wanted = new Set<Ticks>();
  for (const part of parts)
    for (const side of [part.thickness, part.width]) {
      const strip = stripWidth(part, side);
      if (strip !== null && strip <= most && side <= most && side + planing <= thickness) wanted.add(side);
    }
  const unit = item.section.endsWith('mm') ? 'mm' : 'in';
  return [...wanted].sort((a, b) => a - b).map((side) => actualSection(side, most, unit));
};
