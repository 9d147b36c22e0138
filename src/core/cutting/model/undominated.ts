import { groupBy } from '../../groupBy';
import { nameKey } from '../../nameKey';
import { allows } from './item';
import { tierFor, type Offer } from './offer';
import type { CuttingProblem } from './problem';

/** So few offers are looked through as they are. */
const FEW = 200;

/**
 * Offers without those that nobody need buy: of one store, size and pack, where another that serves all the same items and is
 * never sold out costs less in whatever number. A store that waives its shipping from a sum on keeps all, for there
 * paying more can cost less; so do spare boards, which go by the material.
 */
export const undominated = <O extends Offer>(
  offers: O[],
  {
    parts,
    stores,
    settings,
  }: Pick<CuttingProblem, 'parts' | 'settings'> & {
    stores: Pick<CuttingProblem['stores'][number], 'id' | 'shipping'>[];
  },
): O[] => {
  const wantsSpares = Object.keys(settings.spare ?? {}).length > 0 || offers.some(({ waste }) => waste);
  if (offers.length < FEW || wantsSpares) return offers;
  const waiving = new Set(stores.filter(({ shipping }) => shipping?.freeFrom != null).map(({ id }) => id));
  const asked = [...new Map(parts.map(({ materials }) => [materials.join('|'), materials])).values()];
  const signatures = new Map<string, string>();
  /** Which choices of materials a material is among. */
  const signatureOf = (material: string): string => {
    const key = nameKey(material);
    const held = signatures.get(key) ?? asked.map((names) => Number(allows(names, material))).join('');
    signatures.set(key, held);
    return held;
  };
  const isComparable = ({ item, storeId }: O) => item.kind !== 'hardware' && !waiving.has(storeId);
  const alike = groupBy(
    offers.filter(isComparable),
    ({ storeId, item, thickness, width, length, unusable = 0, storeCuts = 1, pack }) =>
      [
        storeId,
        item.kind,
        thickness,
        width,
        length,
        unusable,
        storeCuts,
        pack,
        signatureOf(item.material),
      ].join(),
  );
  const needless = new Set(
    alike.flatMap((group) => group.filter((offer) => group.some((other) => isCheaper(other, offer)))),
  );
  return needless.size > 0 ? offers.filter((offer) => !needless.has(offer)) : offers;
};

/** Whether `other` can take the place of an offer in any number, for less each time. */
const isCheaper = (other: Offer, offer: Offer): boolean =>
  other.available === null &&
  offer.tiers.every(({ minQty, unitPrice }) => {
    const tier = tierFor(other.tiers, minQty);
    return tier !== null && tier.unitPrice < unitPrice;
  });
