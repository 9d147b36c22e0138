import { hardwareKey } from '../../hardwareKey';
import type { Micros, Ticks } from '../../units';
import { allows, type Item, type Kind } from './item';
import { stripWidth } from './ripping';

/** A price that holds from `minQty` purchases on. */
export interface Tier {
  minQty: number;
  /** Per purchase, before discount and tax. */
  unitPrice: Micros;
}

/** One thing one store sells in one pack. */
export interface Offer {
  key: string;
  storeId: string;
  /** What it is, as labels; kind and material decide what can be made of it. */
  item: { kind: Kind; section: string; material: string };
  itemKey: string;
  name: string;
  thickness: Ticks;
  width: Ticks;
  length: Ticks;
  /** Length at the ends that cannot be used, both ends together; absent: none. */
  unusable?: Ticks;
  /** How many cuts its store makes in one so that it can be carried; absent: one at most. */
  storeCuts?: number;
  /** Pieces that one purchase brings. */
  pack: number;
  /** Most purchases; null: no limit. */
  available: number | null;
  /** By `minQty`, ascending. */
  tiers: Tier[];
  /** The share of spare boards that are wanted of it at the least, whatever its material; absent: none. */
  waste?: number;
}

/** The tier that holds for `quantity` purchases; null where the store sells no so few. */
export const tierFor = <T extends Tier>(tiers: T[], quantity: number): T | null =>
  tiers.filter(({ minQty }) => minQty <= quantity).at(-1) ?? null;

/** A thing on sale or owned, as far as fitting goes. */
export interface Sold {
  name: string;
  thickness: Ticks;
  width: Ticks;
  item: { kind: Kind; material: string };
}

type Wanted = Pick<Item, 'kind' | 'item' | 'thickness' | 'width' | 'materials'>;

/** Whether a board item can be ripped from a wider board. Length aside. */
export const ripsTo = (item: Wanted, offer: Sold): boolean => {
  if (item.kind !== 'board' || offer.item.kind !== 'board' || fits(item, offer)) return false;
  const strip = stripWidth(item, offer.thickness);
  return strip !== null && strip <= offer.width && allows(item.materials, offer.item.material);
};

/** Whether an offer is of the section, thickness or name, and of a material, that an item asks for. Length aside. */
export const fits = (item: Wanted, offer: Sold): boolean => {
  if (offer.item.kind !== item.kind) return false;
  if (item.kind === 'hardware') return hardwareKey(offer.name) === hardwareKey(item.item);
  if (!allows(item.materials, offer.item.material) || offer.thickness !== item.thickness) return false;
  return item.kind === 'sheet' || offer.width === item.width;
};
