import { nameKey } from '../../nameKey';
import { hardwareKey } from '../../hardwareKey';
import type { Problem } from '../../result';
import { consumedQuantity, type Item } from '../model';
import { checkLayout, NEAR } from './geometry';
import { replay } from './replay';
import { checkMoney } from './money';
import { checkSpares } from './spares';
import {
  carriesIn,
  storeOf,
  type BuyToCheck,
  type CheckAgainst,
  type LayoutToCheck,
  type Note,
  type PlanToCheck,
} from './types';

export type { CheckAgainst, PlanToCheck } from './types';

/**
 * Verifies a plan from scratch, by the rules of planner.md alone: it shares no code with what plans. Empty: the plan
 * holds. That nothing cheaper exists is not checked here.
 */
export const verifyPlan = (plan: PlanToCheck, against: CheckAgainst): Problem[] => {
  const problems: Problem[] = [];
  const note: Note = (place, sentence) => problems.push({ code: 'check', place, sentence });
  if (plan.status === 'infeasible') return problems;
  const pieces: MadePieces[] = [];
  const wanted = wantedOf(against.parts);
  const partsOf = (piece: { part: string; group: string }) => wanted.get(keyOf(piece)) ?? [];
  for (const layout of plan.layouts) {
    checkLayout(layout, partsOf, against, note, (fitting) => pieces.push({ fitting, count: layout.count }));
    const { sequence, offcuts = [] } = layout;
    if (sequence) replay({ ...layout, offcuts }, sequence, against.settings.kerf.ticks, note);
  }
  checkMade(plan, wanted, countMade(pieces), against, note);
  checkSupply(plan, against, note);
  checkSpares(plan, against, note);
  checkCarried(plan, against, note);
  checkMoney(plan, against, note);
  return problems;
};

const keyOf = ({ part, group }: { part: string; group: string }): string => `${group}\n${part}`;

/** What is cut by name: of a part that was measured when some of it was cut, two lengths; those that are the same as one. */
const wantedOf = (parts: Item[]): Map<string, Item[]> => {
  const wanted = new Map<string, Item[]>();
  for (const part of parts) {
    if (part.kind === 'hardware') continue;
    const key = keyOf({ part: part.name, group: part.group });
    const held = wanted.get(key) ?? [];
    const same = held.findIndex(({ length, width }) => length === part.length && width === part.width);
    if (same < 0) held.push(part);
    else held[same] = { ...part, count: part.count + (held[same]?.count ?? 0) };
    wanted.set(key, held);
  }
  return wanted;
};

/** So many pieces, and what each of them can be. */
interface MadePieces {
  fitting: Item[];
  count: number;
}

/** How many there are of each: what can be one thing alone first, then what can be two, where more is wanted. */
const countMade = (pieces: MadePieces[]): Map<Item, number> => {
  const made = new Map<Item, number>();
  const add = (part: Item, count: number) => made.set(part, (made.get(part) ?? 0) + count);
  for (const { fitting, count } of [...pieces].sort((a, b) => a.fitting.length - b.fitting.length)) {
    let left = count;
    for (const part of fitting.slice(0, -1)) {
      const taken = Math.min(left, Math.max(0, part.count - (made.get(part) ?? 0)));
      add(part, taken);
      left -= taken;
    }
    const last = fitting.at(-1);
    if (last) add(last, left);
  }
  return made;
};

/** Whether there are as many pieces of every part as it wants, and no others. */
const checkMade = (
  plan: PlanToCheck,
  wantedByName: Map<string, Item[]>,
  made: Map<Item, number>,
  { owned, parts }: CheckAgainst,
  note: Note,
): void => {
  for (const part of [...wantedByName.values()].flat()) {
    const number = made.get(part) ?? 0;
    if (number !== part.count)
      note(`${part.name} (${part.group})`, `${number} are cut, and ${part.count} are needed`);
  }
  const wanted = new Map<string, number>();
  for (const part of parts)
    if (part.kind === 'hardware')
      wanted.set(hardwareKey(part.item), (wanted.get(hardwareKey(part.item)) ?? 0) + consumedQuantity(part));
  for (const [item, count] of wanted) {
    const bought = plan.buys
      .filter((buy) => buy.kind === 'hardware' && hardwareKey(buy.item) === item)
      .reduce((sum, { qty, pack }) => sum + qty * pack, 0);
    const held = owned
      .filter((pile) => pile.kind === 'hardware' && hardwareKey(pile.name) === item)
      .reduce((sum, { quantity }) => sum + quantity, 0);
    // Less than a thousandth of a can is no reason for another.
    if (bought + held < count - 1.001e-3) note(item, `${bought + held} are there, and ${count} are needed`);
  }
};

/** Whether everything that is cut was bought or is owned, in the size that it is drawn in. */
const checkSupply = (plan: PlanToCheck, { owned }: CheckAgainst, note: Note): void => {
  const cut = new Map<string, { count: number; layout: LayoutToCheck }>();
  for (const layout of plan.layouts) {
    const source =
      'owned' in layout.source ? ['owned', layout.source.owned] : [layout.source.store, layout.source.item];
    const key = [
      ...source.map(nameKey),
      layout.kind,
      layout.section,
      layout.length,
      layout.width,
      nameKey(layout.material),
    ].join('\n');
    cut.set(key, { count: (cut.get(key)?.count ?? 0) + layout.count, layout });
  }
  for (const { count, layout } of cut.values()) {
    const { source } = layout;
    const there =
      'owned' in source
        ? owned
            .filter(
              (pile) =>
                pile.length === layout.length &&
                pile.section === layout.section &&
                nameKey(pile.material) === nameKey(layout.material),
            )
            .reduce((sum, { quantity }) => sum + quantity, 0)
        : plan.buys
            .filter((buy) => isSource(buy, source, layout))
            .reduce((sum, { qty, pack }) => sum + qty * pack, 0);
    const name = 'owned' in source ? source.owned || layout.section : `${source.item} of ${source.store}`;
    if (count > there) note(name, `${count} are cut, and ${there} are there`);
  }
};

const isSource = (buy: BuyToCheck, source: { store: string; item: string }, layout: LayoutToCheck): boolean =>
  nameKey(buy.store) === nameKey(source.store) &&
  nameKey(buy.item) === nameKey(source.item) &&
  buy.length === layout.length &&
  buy.section === layout.section &&
  (buy.kind !== 'sheet' || buy.width === layout.width);

/** Whether all that is bought goes in the car, sawn at the store where it must be, and no more often than it saws. */
const checkCarried = (plan: PlanToCheck, against: CheckAgainst, note: Note): void => {
  const { settings } = against;
  for (const layout of plan.layouts) {
    const { source, kind, length, width, storeCuts } = layout;
    const goes = carriesIn(kind, settings);
    if ('owned' in source || goes(length, width)) continue;
    const kerf = settings.kerf.ticks;
    const place = `${source.item} of ${source.store}`;
    const fits =
      storeCuts.length <= Number(storeOf(layout, against)?.cuts ?? true) && isSawnToGo(layout, kerf, goes);
    for (const cut of storeCuts)
      if (!isClear(cut, layout, kerf)) note(place, 'is sawn at the store through a piece');
    if (!fits) note(place, 'does not go in the car, and is not sawn at the store so that it would');
  }
};

/** Whether the cuts of the store, all of one kind, leave only pieces that go in the car. */
const isSawnToGo = (
  { length, width, storeCuts }: LayoutToCheck,
  kerf: number,
  goes: (a: number, b: number) => boolean,
): boolean => {
  const [first] = storeCuts;
  if (!first || storeCuts.some(({ kind }) => kind !== first.kind)) return false;
  const isCrosscut = first.kind === 'crosscut';
  const ends = storeCuts.map(({ at }) => at).sort((a, b) => a - b);
  const pieces = [...ends, isCrosscut ? length : width].map(
    (end, index) => end - (index === 0 ? 0 : (ends[index - 1] ?? 0) + kerf),
  );
  return pieces.every((size) => (isCrosscut ? goes(size, width) : goes(length, size)));
};

/** Whether a cut falls between pieces; beside a slanted end it is sawn at that slant. */
const isClear = (
  { kind, at }: { kind: 'crosscut' | 'rip'; at: number },
  { pieces }: LayoutToCheck,
  kerf: number,
): boolean =>
  pieces.every(({ outline }) => {
    const sides = outline.map(([x, y]) => (kind === 'crosscut' ? x : y)).sort((a, b) => a - b);
    const [first = 0, second = 0, third = 0, last = 0] = sides;
    if (last <= at + NEAR || first >= at + kerf - NEAR) return true;
    // The two corners of a slanted end lie on both sides of where it is sawn.
    const beyond = second - first > NEAR && (first + second) / 2 >= at - (second - first);
    const before = last - third > NEAR && (third + last) / 2 <= at + (last - third);
    return beyond || before;
  });
