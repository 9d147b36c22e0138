import { fromMm, toMinor, writeLength, type LengthUnit, type Minor } from '../measure';
import { shownPlan, thicknessOf, usefulOffcuts, type Layout, type Offcut, type Plan } from '../plan';
import {
  itemKey,
  keptMoney,
  keptPieces,
  resolve,
  resolveExtra,
  servesAs,
  type Book,
  type Item,
  type Measure,
  type Project,
  type PurchaseLine,
} from '../project';
import { actualSection, nameKey } from '../wood';

/** Something that a project leaves over. */
export interface Leftover {
  item: Item;
  /** Pieces. */
  quantity: number;
  /** What one piece cost, by its share of what it was bought as, with tax. */
  worth: Minor;
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
      .map((offcut): Leftover => ({ item: offcutItem(layout, offcut, project.unit), quantity: layout.count, worth: toMinor(Math.round((layout.value * offcut.length * offcut.width) / (layout.length * layout.width)), project.currency) })),
  );
  return joined([...wood, ...uncut(project, layouts), ...hardware(project, book), ...opened(project, book)]);
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
      lines.filter(({ item }) => item.kind !== 'hardware').map((line) => ({ item: line.item, quantity: keptPieces(line), worth: each(line) })),
    ),
  ).flatMap(({ item, quantity, worth }) => {
    const cut = layouts
      .filter(({ source, length, width, material }) => 'owned' in source && length === item.length?.ticks && nameKey(material) === nameKey(item.material) && (item.width === null || width === item.width.ticks))
      .reduce((sum, { count }) => sum + count, 0);
    return quantity > cut ? [{ item, quantity: quantity - cut, worth }] : [];
  }); // prettier-ignore

const hardware = (project: Project, book: Book): Leftover[] => {
  const needed = new Map<string, number>();
  for (const { kind, item, count } of resolve(project, book.materials).parts)
    if (kind === 'hardware') needed.set(nameKey(item), (needed.get(nameKey(item)) ?? 0) + count);
  const lines = project.purchases.flatMap((purchase) => purchase.lines);
  return joined(
    lines.filter((line) => line.item.kind === 'hardware' && needed.has(nameKey(servesAs(line).name))).map((line) => ({ item: servesAs(line), quantity: keptPieces(line), worth: each(line) })),
  ).flatMap(({ item, quantity, worth }) => {
    const left = quantity - (needed.get(nameKey(item.name)) ?? 0);
    return left > 0 ? [{ item, quantity: left, worth }] : [];
  });
}; // prettier-ignore

/** What one piece of a line cost. */
const each = (line: PurchaseLine): Minor => {
  const pieces = keptPieces(line);
  return pieces > 0 ? Math.round(keptMoney(line) / pieces) : 0;
};

/** Less of a can than this is not worth its place. */
const LEAST_FILL = 0.1;

/**
 * What is left in the last can or bag of what covers and fills. It is named by how full it is: it is no whole can, and no plan
 * takes it for one.
 */
const opened = (project: Project, book: Book): Leftover[] => {
  const { parts } = resolve(project, book.materials);
  const lines = project.purchases.flatMap((purchase) => purchase.lines);
  return project.extras.flatMap((extra): Leftover[] => {
    const line = lines.find((one) => nameKey(servesAs(one).name) === nameKey(extra.item || extra.name));
    const resolved = extra.isOwned || !line ? null : resolveExtra(extra, project, parts);
    if (!line || !resolved?.ok || resolved.value.fill === undefined) return [];
    const left = Math.round((resolved.value.count - resolved.value.fill) * 10) / 10;
    if (left < LEAST_FILL || left >= 1) return [];
    const item = { ...line.item, name: `${servesAs(line).name}, about ${Math.round(left * 100)} % left` };
    return [{ item, quantity: 1, worth: Math.round(each(line) * left) }];
  });
};

/** Like things together; of different worth, their mean. */
const joined = (things: Leftover[]): Leftover[] => {
  const byKey = new Map<string, Leftover>();
  for (const { item, quantity, worth } of things) {
    const held = byKey.get(itemKey(item));
    const all = quantity + (held?.quantity ?? 0);
    const sum = quantity * worth + (held ? held.quantity * held.worth : 0);
    byKey.set(itemKey(item), {
      item: held?.item ?? item,
      quantity: all,
      worth: all > 0 ? Math.round(sum / all) : 0,
    });
  }
  return [...byKey.values()];
};
