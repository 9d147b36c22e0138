import { consumedQuantity, packsToBuy } from './item';
import { hardwareKey } from '../../hardwareKey';
import type { Offer } from './offer';
import type { CuttingProblem } from './problem';

/** One item that is only bought: how many pieces are wanted beyond those owned, opened cans among them, and what is sold of it. */
export interface WantedItem {
  pieces: number;
  offers: Offer[];
}

/** What is bought and not cut, by its name. */
export const wantedItems = ({ parts, offers, owned }: CuttingProblem): WantedItem[] => {
  const used = new Map<string, number>();
  for (const part of parts)
    if (part.kind === 'hardware')
      used.set(hardwareKey(part.item), (used.get(hardwareKey(part.item)) ?? 0) + consumedQuantity(part));
  return [...used].map(([item, all]) => ({
    pieces: packsToBuy(
      all,
      owned
        .filter((pile) => pile.kind === 'hardware' && hardwareKey(pile.name) === item)
        .reduce((sum, pile) => sum + pile.count, 0),
    ),
    offers: offers.filter((offer) => offer.item.kind === 'hardware' && hardwareKey(offer.name) === item),
  }));
};
