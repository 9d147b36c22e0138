import { groupBy } from '../groupBy';
import type { LengthUnit, Micros, Ticks } from '../units';
import { comparedBy, currentOffers, dressedPrice, newestOf, pieceBy, tierFor, type Offer } from '../pricing';
import type { Book, PriceUnit } from '../project';
import { familyOf, materialOf, nameKey, parseSection, thicknessName } from '../lumber';

/** One thing on sale in a ranking, by what a unit of it costs. */
export interface UnitRow {
  offerKey: string;
  name: string;
  store: string;
  /** Of one unit, in millionths. */
  rate: Micros;
  /** How much dearer than the cheapest, as a share; the cheapest has none. */
  more: number;
  /** How it comes to that: `2 strips of each`; blank where it is bought so. */
  how: string;
  /** ISO date it was seen; null: unknown. */
  date: string | null;
}

/** Things that do the same, the cheapest by the unit first. */
export interface UnitRanking {
  id: string;
  kind: 'length' | 'panel' | 'pack' | 'ripped' | 'rough';
  title: string;
  by: PriceUnit;
  rows: UnitRow[];
}

/**
 * What is cheapest by the foot, the square foot or the piece, by hand of the book alone: lengths of a section, panels of a
 * thickness, packs of an item, narrow boards ripped or bought, rough wood after its waste against dressed. Only where
 * there are two to compare. `kerf` is what a rip takes.
 */
export const unitRankings = (book: Book, currency: string, unit: LengthUnit, kerf: Ticks): UnitRanking[] => {
  const offers = currentOffers(book).filter(({ storeId }) => book.stores[storeId]?.currency === currency);
  const bought = offers.filter(({ rough }) => !rough);
  return [
    ...ranked(
      'length',
      bought.filter(({ item }) => item.kind === 'board'),
      ({ item }) => `${sectionOf(item.section)} ${nameKey(item.material)}`,
      book,
      unit,
    ),
    ...ranked(
      'panel',
      bought.filter(({ item }) => item.kind === 'sheet'),
      ({ thickness }) => `${thicknessName(thickness)} sheets`,
      book,
      unit,
    ),
    ...ranked(
      'pack',
      bought.filter(({ item }) => item.kind === 'hardware'),
      ({ name }) => name,
      book,
      unit,
    ),
    ...ripped(bought, book, unit, kerf),
    ...roughOrDressed(offers, book, unit),
  ];
};

const sectionOf = (text: string): string => {
  const section = parseSection(text, 'mm');
  return section.ok ? section.value.name : text;
};

const rowOf = (offer: Offer, rate: Micros, how: string, book: Book): UnitRow => ({
  offerKey: offer.key,
  name: offer.pack > 1 ? `${offer.name}, pack of ${offer.pack}` : offer.name,
  store: book.stores[offer.storeId]?.name ?? '',
  rate,
  more: 0,
  how,
  date: newestOf(offer).date,
});

/** Rows cheapest first, each with how much dearer it is; null where there is nothing to compare. */
const ranking = (
  id: string,
  kind: UnitRanking['kind'],
  title: string,
  by: PriceUnit,
  rows: UnitRow[],
): UnitRanking[] => {
  const sorted = [...rows].sort((a, b) => a.rate - b.rate || (a.offerKey < b.offerKey ? -1 : 1));
  const best = sorted[0]?.rate ?? 0;
  if (sorted.length < 2 || best <= 0) return [];
  return [{ id, kind, title, by, rows: sorted.map((row) => ({ ...row, more: row.rate / best - 1 })) }];
};

const ranked = (
  kind: UnitRanking['kind'],
  offers: Offer[],
  titleOf: (offer: Offer) => string,
  book: Book,
  unit: LengthUnit,
): UnitRanking[] => {
  return groupBy(offers, (offer) => nameKey(titleOf(offer))).flatMap((like) => {
    const [first] = like;
    if (!first) return [];
    const title = titleOf(first);
    const by = comparedBy(first.item.kind, unit);
    const rows = like.flatMap((offer) => {
      const rate = pieceBy(offer, by);
      return rate === null ? [] : [rowOf(offer, rate, '', book)];
    });
    return ranking(`${kind}:${nameKey(title)}`, kind, title, by, rows);
  });
};

/** Each narrow section that is sold against strips of wider boards of the same thickness and kind of wood. */
const ripped = (offers: Offer[], book: Book, unit: LengthUnit, kerf: Ticks): UnitRanking[] => {
  const boards = offers.filter(({ item }) => item.kind === 'board');
  const by = comparedBy('board', unit);
  const family = (offer: Offer) => familyOf(materialOf(offer.item.material, book.materials));
  const targets = new Map(
    boards.map((offer) => [`${offer.thickness}x${offer.width}:${family(offer)}`, offer]),
  );
  return [...targets].flatMap(([key, target]) => {
    const rows = boards.flatMap((offer): UnitRow[] => {
      const rate = pieceBy(offer, by);
      if (rate === null || offer.thickness !== target.thickness || family(offer) !== family(target))
        return [];
      const strips =
        offer.width === target.width ? 1 : Math.floor((offer.width + kerf) / (target.width + kerf));
      if (strips < 1 || offer.width < target.width || (strips === 1 && offer.width !== target.width))
        return [];
      return [rowOf(offer, rate / strips, strips > 1 ? `ripped, ${strips} strips of each` : '', book)];
    });
    const isBoth = rows.some(({ how }) => how !== '') && rows.some(({ how }) => how === '');
    return isBoth
      ? ranking(`ripped:${key}`, 'ripped', `${sectionOf(target.item.section)}, ripped or bought`, by, rows)
      : [];
  });
};

/** Each dressed section against what it costs to plane it out of rough wood of the same kind, its waste in the price. */
const roughOrDressed = (offers: Offer[], book: Book, unit: LengthUnit): UnitRanking[] => {
  const by = comparedBy('board', unit);
  const family = (offer: Offer) => familyOf(materialOf(offer.item.material, book.materials));
  const rough = offers.filter((offer) => offer.rough);
  const dressed = offers.filter((offer) => !offer.rough && offer.item.kind === 'board');
  const targets = new Map(
    dressed.map((offer) => [`${offer.thickness}x${offer.width}:${family(offer)}`, offer]),
  );
  return [...targets].flatMap(([key, target]) => {
    const planed = rough.flatMap((offer): UnitRow[] => {
      const price =
        family(offer) === family(target)
          ? dressedPrice(offer, tierFor(offer.tiers, 1)?.unitPrice ?? offer.tiers[0]?.unitPrice ?? 0, target)
          : null;
      const rate =
        price === null
          ? null
          : pieceBy(
              {
                ...offer,
                pack: 1,
                tiers: [{ ...(offer.tiers[0] as Offer['tiers'][number]), unitPrice: price }],
              },
              by,
            );
      return rate === null
        ? []
        : [
            rowOf(
              offer,
              rate,
              `planed from rough, ${Math.round((offer.rough?.waste ?? 0) * 100)} % lost`,
              book,
            ),
          ];
    });
    const own = dressed
      .filter(
        (offer) =>
          offer.thickness === target.thickness &&
          offer.width === target.width &&
          family(offer) === family(target),
      )
      .flatMap((offer) => {
        const rate = pieceBy(offer, by);
        return rate === null ? [] : [rowOf(offer, rate, '', book)];
      });
    return planed.length > 0
      ? ranking(`rough:${key}`, 'rough', `${sectionOf(target.item.section)}, rough or dressed`, by, [
          ...planed,
          ...own,
        ])
      : [];
  });
};
