import { fromMm, writeLength, type LengthUnit } from '../measure';
import { shownPlan, thicknessOf, usefulOffcuts, type Layout, type Offcut, type Plan } from '../plan';
import { itemKey, resolve, type Book, type Item, type Measure, type Project } from '../project';
import { actualSection, nameKey } from '../wood';

/** Something that a project leaves over. */
export interface Leftover {
  item: Item;
  /** Pieces. */
  quantity: number;
}

/** Shorter offcuts are not worth their place: common practice (6 in). */
const SHORTEST = fromMm(150);

/**
 * What is left when a project is cut and built: offcuts by section, length and material, boards that nothing was cut from,
 * and what was bought of hardware beyond what it needs.
 */
export const leftoversOf = (project: Project, book: Book, plan: Plan | null): Leftover[] => {
  const layouts = shownPlan(plan)?.layouts ?? [];
  const wood = layouts.flatMap((layout) =>
    usefulOffcuts(layout.offcuts)
      .filter(({ length, width }) => Math.max(length, width) >= SHORTEST)
      .map((offcut): Leftover => ({ item: offcutItem(layout, offcut, project.unit), quantity: layout.count })),
  );
  return joined([...wood, ...uncut(project, layouts), ...hardware(project, book)]);
}; // prettier-ignore

const offcutItem = (layout: Layout, { length, width }: Offcut, unit: LengthUnit): Item => {
  const measure = (ticks: number): Measure => ({ text: writeLength(ticks, unit), ticks });
  const { kind, section, material } = layout;
  if (kind === 'sheet') return { kind, name: '', section, length: measure(length), width: measure(width), material };
  const isWhole = width >= layout.width;
  const name = isWhole ? section : actualSection(Math.min(thicknessOf(layout), width), Math.max(thicknessOf(layout), width), unit).name;
  return { kind, name: '', section: name, length: measure(length), width: null, material };
}; // prettier-ignore

/** Boards and sheets that were bought and that no layout cuts: spares. */
const uncut = (project: Project, layouts: Layout[]): Leftover[] =>
  joined(
    project.purchases.flatMap(({ lines }) =>
      lines.filter(({ item }) => item.kind !== 'hardware').map(({ item, pack, quantity }) => ({ item, quantity: pack * quantity })),
    ),
  ).flatMap(({ item, quantity }) => {
    const cut = layouts
      .filter(({ source, length, width, material }) => 'owned' in source && length === item.length?.ticks && nameKey(material) === nameKey(item.material) && (item.width === null || width === item.width.ticks))
      .reduce((sum, { count }) => sum + count, 0);
    return quantity > cut ? [{ item, quantity: quantity - cut }] : [];
  }); // prettier-ignore

const hardware = (project: Project, book: Book): Leftover[] => {
  const needed = new Map<string, number>();
  for (const { kind, item, count } of resolve(project, book.materials).parts)
    if (kind === 'hardware') needed.set(nameKey(item), (needed.get(nameKey(item)) ?? 0) + count);
  const lines = project.purchases.flatMap((purchase) => purchase.lines);
  return joined(
    lines.filter(({ item }) => item.kind === 'hardware' && needed.has(nameKey(item.name))).map(({ item, pack, quantity }) => ({ item, quantity: pack * quantity })),
  ).flatMap(({ item, quantity }) => {
    const left = quantity - (needed.get(nameKey(item.name)) ?? 0);
    return left > 0 ? [{ item, quantity: left }] : [];
  });
}; // prettier-ignore

/** Like things together. */
const joined = (things: Leftover[]): Leftover[] => {
  const byKey = new Map<string, Leftover>();
  for (const { item, quantity } of things) {
    const held = byKey.get(itemKey(item));
    byKey.set(itemKey(item), { item: held?.item ?? item, quantity: quantity + (held?.quantity ?? 0) });
  }
  return [...byKey.values()];
};
