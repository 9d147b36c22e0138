import type { Ticks } from '../../units';
import { fits, ripsTo, type Offer, type Sold } from './offer';
import { needKey, allows, type Item } from './item';
import { type SawSettings } from './settings';
import { canRipWith } from './ripping';
import { nameKey } from '../../nameKey';
import { waysOn } from './cutTree';
import type { CuttingProblem } from './problem';
import type { Stock } from './stock';

/** A thing on sale or owned, as far as cutting goes. */
export interface Supply extends Sold {
  length: Ticks;
  unusable?: Ticks;
}

/** Whether a part can be made of what is sold or owned, length aside: as it is, or ripped where there is a table saw. */
export const serves = (part: Item, supply: Supply, { tools }: SawSettings): boolean =>
  fits(part, supply) || (canRipWith(tools) && ripsTo(part, supply));

/** The offers that some part can be made of. */
export const usefulOffers = <O extends Offer>({
  parts,
  offers,
  settings,
}: Pick<CuttingProblem, 'parts' | 'settings'> & { offers: O[] }): O[] => {
  const kinds = [...new Map(parts.map((part) => [needKey(part), part])).values()];
  return offers.filter((offer) => kinds.some((part) => serves(part, offer, settings)));
};

/** What is owned, as a supply. */
export const supplyOf = (pile: CuttingProblem['owned'][number]): Supply => ({
  ...pile,
  item: { kind: pile.kind, material: pile.material },
});

/** How a stock serves a part: crosscut alone, ripped or as a sheet, or not. */
export const useOf = (part: Item, stock: Stock, settings: SawSettings): 'crosscut' | 'panel' | null => {
  if (part.kind !== stock.kind || !allows(part.materials, stock.material)) return null;
  if (part.kind === 'board' && part.thickness === stock.thickness && part.width === stock.width)
    return 'crosscut';
  if (part.kind === 'board' && !canRipWith(settings.tools)) return null;
  return waysOn(part, stock, settings).length > 0 ? 'panel' : null;
};

/** The materials, by name key, in which a part can be had at all. */
export const materialsFor = (part: Item, { offers, owned, settings }: CuttingProblem): string[] => {
  const names = [
    ...offers.filter((offer) => serves(part, offer, settings)).map(({ item }) => item.material),
    ...owned.filter((pile) => serves(part, supplyOf(pile), settings)).map(({ material }) => material),
  ];
  return [...new Set(names.map(nameKey))].sort();
};
