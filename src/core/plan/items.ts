import { nameKey } from '../wood';
import type { Offer } from '../prices';
import type { PlanInput } from './input';

/** One item that is only bought: how many pieces are wanted beyond those owned, and what is sold of it. */
export interface WantedItem {
  pieces: number;
  offers: Offer[];
}

/** What is bought and not cut, by its name. */
export const itemsOf = ({ parts, offers, owned }: PlanInput): WantedItem[] => {
  const counts = new Map<string, number>();
  for (const { kind, item, count } of parts)
    if (kind === 'hardware') counts.set(nameKey(item), (counts.get(nameKey(item)) ?? 0) + count);
  return [...counts].map(([item, count]) => ({
    pieces: owned
      .filter((pile) => pile.kind === 'hardware' && nameKey(pile.name) === item)
      .reduce((left, pile) => left - pile.count, count),
    offers: offers.filter((offer) => offer.item.kind === 'hardware' && nameKey(offer.name) === item),
  }));
};
