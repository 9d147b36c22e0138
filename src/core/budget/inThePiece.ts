import { toMicros, toMinor, type Micros, type Minor } from '../units';
import { hardwareKey } from '../hardwareKey';
import { categoryOf } from './purchase';
import { faceOf, rackFor, rackWorth, type Layout, type Plan, type Point } from '../plan';
import {
  emptyBook,
  keptMoney,
  keptPieces,
  rackPieces,
  resolve,
  servesAs,
  tagName,
  consumedQuantity,
  type Book,
  type Project,
} from '../project';

/**
 * What each part uses up, in minor units by part id: its share of the boards and sheets it is cut from, by
 * their face, its share of a pack, without trips and what is left over. Parts that the plan lacks are absent.
 */
export const inThePiece = (project: Project, plan: Plan, book: Book = emptyBook()): Record<string, Minor> => {
  const micros: Record<string, Micros> = {};
  const add = (partId: string, share: Micros) => (micros[partId] = (micros[partId] ?? 0) + share);
  for (const layout of plan.layouts)
    for (const { partId, outline } of layout.pieces)
      add(partId, layout.count * layout.value * share(layout, outline));
  for (const part of resolve(project, book.materials).parts) {
    // A tool stays when the piece is gone.
    if (part.kind !== 'hardware' || categoryOf({ kind: 'hardware', name: part.item }) === 'tools') continue;
    const price = hardwarePrice(plan, project, book, part.item);
    if (price !== null) add(part.id, consumedQuantity(part) * price);
  }
  for (const { extra, item, price, ...of } of resolve(project, book.materials).typedPriced) {
    if ((extra.category ?? categoryOf({ kind: 'hardware', name: item })) === 'tools') continue;
    add(
      extra.id,
      consumedQuantity(of) * (hardwarePrice(plan, project, book, item) ?? toMicros(price, plan.currency)),
    );
  }
  return Object.fromEntries(
    Object.entries(micros).map(([id, sum]) => [id, toMinor(Math.round(sum), plan.currency)]),
  );
};

/** The same for all parts together. */
export const inThePieceOfAll = (project: Project, plan: Plan, book: Book): Minor =>
  Object.values(inThePiece(project, plan, book)).reduce((sum, cost) => sum + cost, 0);

const share = (layout: Layout, outline: Point[]): number => faceOf(outline) / (layout.length * layout.width);

/** What one piece of an item costs, from what is to buy, what was bought and the rack; null when it is nowhere. */
const hardwarePrice = (plan: Plan, project: Project, book: Book, item: string): Micros | null => {
  let pieces = 0;
  let sum = 0;
  for (const buy of plan.buys)
    if (buy.kind === 'hardware' && hardwareKey(buy.item) === hardwareKey(item)) {
      pieces += buy.qty * buy.pack;
      sum += toMicros(buy.costWithTax, plan.currency);
    }
  for (const line of project.purchases.flatMap(({ lines }) => lines))
    if (line.item.kind === 'hardware' && hardwareKey(servesAs(line).name) === hardwareKey(item)) {
      pieces += keptPieces(line);
      sum += toMicros(keptMoney(line), plan.currency);
    }
  for (const entry of rackFor(project, book))
    if (entry.item.kind === 'hardware' && hardwareKey(tagName(entry.item)) === hardwareKey(item)) {
      pieces += rackPieces(entry);
      sum += entry.quantity * rackWorth(entry, plan.currency);
    }
  return pieces > 0 ? sum / pieces : null;
};
