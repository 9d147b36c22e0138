import type { Micros } from '../units';
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

/** Offers with rough wood turned into boards of the sections that the parts need; the rest as they are. */
export const withDressed = (offers: Offer[], parts: ResolvedPart[]): Offer[] => {
  if (!offers.some(({ rough }) => rough)) return offers;
  const wanted = new Map<string, ResolvedPart>();
  for (const part of parts)
    if (part.kind === 'board' && part.section) wanted.set(`${part.thickness}x${part.width}`, part);
  return offers.flatMap((offer) =>
    offer.rough
      ? [...wanted.values()].flatMap((part) => {
          const dressed = dressedOffer(offer, part, parts);
          return dressed ? [dressed] : [];
        })
      : [offer],
  );
};

const dressedOffer = (rough: Offer, part: ResolvedPart, parts: ResolvedPart[]): Offer | null => {
  const isAsked = parts.some(
    ({ thickness, width, materials }) =>
      thickness === part.thickness && width === part.width && allows(materials, rough.item.material),
  );
  const tiers = rough.tiers.flatMap((tier) => {
    const unitPrice = dressedPrice(rough, tier.unitPrice, part);
    return unitPrice === null ? [] : [{ ...tier, unitPrice }];
  });
  if (!isAsked || !part.section || tiers.length === 0) return null;
  const item: Item = { ...rough.item, name: '', section: part.section.name };
  return {
    ...rough,
    key: planedKey(rough.key, part.section.name),
    item: { ...item, name: `${itemName(item)}, from rough ${rough.item.section}` },
    itemKey: itemKey(item),
    name: `${itemName(item)}, from rough ${rough.item.section}`,
    thickness: part.thickness,
    width: part.width,
    pack: 1,
    tiers,
  };
};
