import { fromMm, toMinor, type Minor } from '../units';
import { hardwareKey } from '../hardwareKey';
import { isCutFrom, offcutItem, shownPlan, usefulOffcuts, workLeft, type Layout, type Plan } from '../plan';
import {
  emptyBook,
  itemKey,
  keptMoney,
  keptPieces,
  resolve,
  servesAs,
  QUANTITY_TOLERANCE,
  consumedQuantity,
  type Book,
  type Item,
  type Project,
  type PurchaseLine,
} from '../project';
import { nameKey } from '../lumber';

/** Something that a project leaves over. */
export interface Leftover {
  item: Item;
  /** Pieces. */
  quantity: number;
  /** Of an opened can or bag: how full it is. */
  share?: number;
  /** What one piece cost, by its share of what it was bought as, with tax. */
  worth: Minor;
}

/** Shorter offcuts are not worth their place: common practice (6 in). */
const SHORTEST = fromMm(150);

/**
 * What is left when a project is cut and built: offcuts by section, length and material, boards that nothing was cut from,
 * and what was bought of hardware, cans and bags beyond what it uses up.
 */
export const leftoversOf = (project: Project, book: Book, plan: Plan | null): Leftover[] => {
  const layouts = shownPlan(plan)?.layouts ?? [];
  const wood = layouts.flatMap((layout) =>
    usefulOffcuts(layout.offcuts)
      .filter(({ length, width }) => Math.max(length, width) >= SHORTEST)
      .map((offcut): Leftover => ({
        item: offcutItem(layout, offcut, project.unit),
        quantity: layout.count,
        worth: toMinor(
          Math.round((layout.value * offcut.length * offcut.width) / (layout.length * layout.width)),
          project.currency,
        ),
      })),
  );
  return [...joined([...wood, ...uncut(project, layouts)]), ...hardware(project, book)];
};

/** Boards and sheets that were bought and that nothing is cut from as things stand, beyond the spares that are wanted. */
export const needlessOf = (project: Project, plan: Plan | null): Leftover[] => {
  const shown = shownPlan(plan);
  if (!shown || shown.status === 'infeasible') return [];
  const spares = new Map<string, number>();
  const keyOf = (section: string, material: string) => `${nameKey(section)}:${nameKey(material)}`;
  for (const [name, share] of Object.entries(project.settings.spare ?? {})) {
    const cut = new Map<string, number>();
    for (const { kind, section, material, count } of shown.layouts)
      if (kind === 'board' && nameKey(material) === nameKey(name))
        cut.set(keyOf(section, material), (cut.get(keyOf(section, material)) ?? 0) + count);
    for (const [key, count] of cut) spares.set(key, Math.ceil(count * share - 1e-9));
  }
  return uncut(project, shown.layouts).flatMap((left): Leftover[] => {
    const key = keyOf(left.item.section, left.item.material);
    const kept = Math.min(left.quantity, spares.get(key) ?? 0);
    spares.set(key, (spares.get(key) ?? 0) - kept);
    return left.quantity > kept ? [{ ...left, quantity: left.quantity - kept }] : [];
  });
};

/** Boards and sheets that were bought and that no layout cuts: spares. Of a measured board its sound stretches. */
const uncut = (project: Project, layouts: Layout[]): Leftover[] =>
  joined(
    workLeft(project, emptyBook(), [])
      .whole.there.filter(({ item, isBought }) => isBought && item.kind !== 'hardware')
      .map(({ item, count, value }) => ({
        item,
        quantity: count,
        worth: toMinor(value, project.currency),
      })),
  ).flatMap(({ item, quantity, worth }) => {
    const cut = layouts
      .filter((layout) => 'owned' in layout.source && isCutFrom(layout, item))
      .reduce((sum, { count }) => sum + count, 0);
    return quantity > cut ? [{ item, quantity: quantity - cut, worth }] : [];
  });

/** What was bought of hardware, cans and bags beyond what is used up; of the last can how full it is. */
const hardware = (project: Project, book: Book): Leftover[] => {
  const used = new Map<string, number>();
  const { parts, typedPriced } = resolve(project, book.materials);
  const filling = typedPriced.filter(({ fractionalQuantity }) => fractionalQuantity !== undefined);
  for (const part of [...parts.filter(({ kind }) => kind === 'hardware'), ...filling])
    used.set(hardwareKey(part.item), (used.get(hardwareKey(part.item)) ?? 0) + consumedQuantity(part));
  const lines = project.purchases.flatMap((purchase) => purchase.lines);
  return joined(
    lines
      .filter((line) => line.item.kind === 'hardware' && used.has(hardwareKey(servesAs(line).name)))
      .map((line) => ({ item: servesAs(line), quantity: keptPieces(line), worth: each(line) })),
  ).flatMap(({ item, quantity, worth }): Leftover[] => {
    const left = quantity - (used.get(hardwareKey(item.name)) ?? 0);
    const whole = Math.max(0, Math.floor(left + QUANTITY_TOLERANCE));
    const share = Math.round((left - whole) * 10) / 10;
    return [
      ...(whole > 0 ? [{ item, quantity: whole, worth }] : []),
      ...(share >= MIN_SHARE && share < 1
        ? [{ item, quantity: 1, share, worth: Math.round(worth * share) }]
        : []),
    ];
  });
};

/** What one piece of a line cost. */
const each = (line: PurchaseLine): Minor => {
  const pieces = keptPieces(line);
  return pieces > 0 ? Math.round(keptMoney(line) / pieces) : 0;
};

/** Less of a can than this is not worth its place. */
const MIN_SHARE = 0.1;

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
