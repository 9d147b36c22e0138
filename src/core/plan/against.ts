import type { CheckAgainst, OwnedRow, PriceRow, SectionSize } from '../cutting/verify';
import { actualThickness, parseSection, parseThickness } from '../lumber';
import {
  goodsOf,
  resolve,
  toolsOf,
  type Book,
  type Item,
  type Kind,
  type Price,
  type Project,
  type ResolvedPart,
  usesStore,
} from '../project';
import { TICKS_PER_FOOT, TICKS_PER_INCH, TICKS_PER_METRE, type Micros } from '../units';
import { planedSections } from '../pricing';
import { workLeft } from './workLeft';

/** What a plan of a project is checked against: the project, the prices of its stores, and what was bought or is owned. */
export const againstProject = (
  project: Project,
  book: Book,
  owned: { item: Item; quantity: number }[] = [],
): CheckAgainst => {
  const { parts, singly, there, sawn } = workLeft(project, book, resolve(project, book.materials).parts);
  return {
    currency: project.currency,
    parts,
    prices: Object.values(book.prices).flatMap((price) => {
      const store = book.stores[price.storeId];
      return store && usesStore(project, store) ? [rowOf(store.name, price)] : [];
    }),
    owned: [
      ...there.map(({ item, count, isBought }) => ({
        ...ownedRow(item, count),
        ...(isBought ? { isBought } : {}),
      })),
      ...owned.map(({ item, quantity }) => ownedRow(item, quantity)),
    ],
    settings: { ...project.settings, tools: toolsOf(project.settings, book) },
    stores: Object.values(book.stores)
      .filter(({ currency }) => currency === project.currency)
      .map((store) => {
        const bought = project.purchases.filter(({ storeId }) => storeId === store.id);
        return {
          ...store,
          // A trip that was made is not made again.
          trip: bought.length > 0 ? 0 : store.trip,
          // An order that is settled asks nothing more.
          shipping: bought.some(({ shipping }) => shipping !== undefined) ? null : store.shipping,
          bought: goodsOf(bought),
        };
      }),
    sizes: sizesIn(project, book, parts),
    ...(singly ? { singly } : {}),
    ...(sawn.length > 0 ? { sawn } : {}),
  };
};

const rowOf = (store: string, price: Price): PriceRow => {
  const { item, pack, minQty, available, date, rough } = price;
  return {
    store,
    ...labelsOf(item),
    pack,
    minQty,
    available,
    date,
    unitPrice: pricedBy(price),
    rough: rough
      ? { size: sectionSize(item.kind, item.section), planing: rough.planing.ticks, waste: rough.waste }
      : null,
  };
};

const labelsOf = ({ kind, name, section, length, material, unusable }: Item) => ({
  kind,
  name,
  section,
  length: length?.ticks ?? null,
  unusable: unusable?.ticks ?? 0,
  material,
});

const ownedRow = (item: Item, quantity: number): OwnedRow => ({ ...labelsOf(item), quantity });

/** The size that a name of a section or thickness stands for; null where it cannot be read. */
export const sectionSize = (kind: Kind, section: string): SectionSize => {
  if (kind === 'hardware') return null;
  if (kind === 'board') {
    const read = parseSection(section, 'mm');
    return read.ok ? { thickness: read.value.thickness, width: read.value.width } : null;
  }
  const thickness = parseThickness(section, 'in');
  return thickness.ok ? { thickness: thickness.value, width: 0 } : null;
};

const sizesIn = (project: Project, book: Book, parts: ResolvedPart[]): Record<string, SectionSize> => {
  const items = [
    ...Object.values(book.prices).map(({ item }) => item),
    ...Object.values(book.rack ?? {}).map(({ item }) => item),
    ...project.purchases.flatMap(({ lines }) => lines.map(({ item }) => item)),
  ];
  return Object.fromEntries([
    ...items.map(({ kind, section }) => [`${kind}:${section}`, sectionSize(kind, section)] as const),
    ...planedIn(parts, book),
  ]);
};

/** The sizes that rough wood of the book is planed to for parts. */
const planedIn = (parts: ResolvedPart[], { prices }: Book): [string, SectionSize][] =>
  Object.values(prices).flatMap(({ item, rough }) => {
    const size = rough ? sectionSize(item.kind, item.section) : null;
    return rough && size
      ? planedSections({ item, ...size, rough }, parts).map(
          ({ name, thickness, width }): [string, SectionSize] => [`board:${name}`, { thickness, width }],
        )
      : [];
  });

const sidesOf = (item: Item): { thickness: number; width: number; nominal: number } | null => {
  if (item.kind === 'board') {
    const section = parseSection(item.section, 'mm');
    if (!section.ok) return null;
    const { thickness, width, nominalThickness, nominalWidth } = section.value;
    return { thickness, width, nominal: nominalThickness * nominalWidth };
  }
  const thickness = parseThickness(item.section, 'in');
  if (!thickness.ok || !item.width) return null;
  const actual = actualThickness(thickness.value, item.material);
  return { thickness: actual, width: item.width.ticks, nominal: thickness.value * item.width.ticks };
};

/** What one purchase of a row costs: a linear foot, board foot, square foot or cubic metre by their definitions. */
const pricedBy = ({ item, unit, price }: Pick<Price, 'item' | 'unit' | 'price'>): Micros | null => {
  if (unit === 'each' || unit === 'pack') return price;
  const length = item.length?.ticks ?? 0;
  const sides = sidesOf(item);
  if (unit === 'ft') return Math.round((price * length) / TICKS_PER_FOOT);
  if (unit === 'm') return Math.round((price * length) / TICKS_PER_METRE);
  if (!sides) return null;
  if (unit === 'bf') return Math.round((price * sides.nominal * length) / (144 * TICKS_PER_INCH ** 3));
  if (unit === 'sqft') return Math.round((price * sides.width * length) / TICKS_PER_FOOT ** 2);
  if (unit === 'm2') return Math.round((price * sides.width * length) / TICKS_PER_METRE ** 2);
  return Math.round((price * sides.width * sides.thickness * length) / TICKS_PER_METRE ** 3);
};
