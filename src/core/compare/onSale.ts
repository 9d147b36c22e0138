import {
  pieceBy,
  comparedBy,
  currentOffers,
  fits,
  needKey,
  ripsTo,
  withDressed,
  type Offer,
} from '../pricing';
import { resolve, type Book, type Project, type ResolvedPart, usesStore } from '../project';
import { canRipWith, nameKey } from '../lumber';

/** What a project's stores sell, rough wood dressed to its sections in whatever material. */
export const offersFor = (project: Project, book: Book): Offer[] => {
  const parts = resolve(project, book.materials).parts.map((part) => ({ ...part, materials: [] }));
  return withDressed(
    currentOffers(book).filter(({ storeId }) => usesStore(project, book.stores[storeId])),
    parts,
  );
};

/** Parts of one section or thickness, whatever they are of. */
export const sizeKey = (part: ResolvedPart): string => needKey({ ...part, materials: [] });

/** A material that all of some like parts can be bought in, and its price by length or area, to compare by. */
export interface OnSale {
  material: string;
  /** Millionths; of boards that must be ripped first, of as much of their width as a part takes. */
  rate: number;
}

/** The materials in which parts of one size are sold long enough, the cheapest by length or area first. */
export const materialsOnSale = (
  parts: ResolvedPart[],
  offers: Offer[],
  { unit }: Pick<Project, 'unit'>,
  tools: string[] | undefined,
): OnSale[] => {
  const [first] = parts;
  if (!first) return [];
  const any = { ...first, materials: [] };
  const longest = Math.max(...parts.map(({ length, shortOk }) => length - shortOk));
  const canRip = canRipWith(tools);
  const found = new Map<string, OnSale>();
  for (const offer of offers) {
    const isRipped = canRip && ripsTo(any, offer);
    if (!isRipped && !fits(any, offer)) continue;
    if (Math.max(offer.length, first.kind === 'sheet' ? offer.width : 0) < longest) continue;
    const per = pieceBy(offer, comparedBy(offer.item.kind, unit));
    if (per === null) continue;
    const rate = isRipped
      ? per / Math.max(1, Math.floor(offer.width / Math.max(1, Math.min(first.width, offer.width))))
      : per;
    const key = nameKey(offer.item.material);
    const held = found.get(key);
    if (!held || rate < held.rate) found.set(key, { material: held?.material ?? offer.item.material, rate });
  }
  return [...found.values()].sort((a, b) => a.rate - b.rate || (a.material < b.material ? -1 : 1));
};
