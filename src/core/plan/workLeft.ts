import { toMicros, type LengthUnit, type Micros, type Ticks } from '../units';
import {
  itemKey,
  keptMoney,
  keptPieces,
  measureOf,
  rackPieces,
  servesAs,
  tagName,
  type Book,
  type Item,
  type MeasuredBoard,
  type Project,
  type ResolvedPart,
  type SawnBoard,
  type SawnPiece,
} from '../project';
import { allows, offcutName, pieceOf, type Layout, type Offcut, type Point } from '../cutting/model';
import { inPairs, singly } from './pairs';
import { rackFor, rackWorth } from './rack';
import { isCutFrom, offcutItem, sidesOf, thicknessOf, usefulOffcuts } from './outline';

/** Something that is there for a project to use. */
export interface There {
  item: Item;
  /** Pieces; of an opened can a share of one. */
  count: number;
  /** What one piece was bought for, with tax. */
  value: Micros;
  /** It was bought for this project. */
  isBought?: boolean;
  /** What it is called where that is not what its tag says. */
  name?: string;
}

/** What is left of a project's work: parts that are not cut, what is there to cut them from, and what is sawn already. */
export interface WorkLeft {
  /** As they are sawn: shapes head to tail in pairs where that saves length. */
  parts: ResolvedPart[];
  /** The same, each shape for itself; null: there are no pairs. */
  singly: ResolvedPart[] | null;
  there: There[];
  /** Drawings of the boards on which sawing has begun, one each. */
  sawn: Layout[];
  /** All that is wanted and there, as it was before any sawing. */
  whole: { parts: ResolvedPart[]; there: There[] };
}

/** What was bought for a project or is on the rack for it, as it is told; boards as they were sold. */
export const thereOf = (project: Project, book: Book): There[] => {
  const { currency } = project;
  return [
    ...project.purchases.flatMap(({ lines }) =>
      lines.map((line): There => {
        const count = keptPieces(line);
        const value = count > 0 ? Math.round(toMicros(keptMoney(line), currency) / count) : 0;
        return { item: servesAs(line), count, value, isBought: true };
      }),
    ),
    ...rackFor(project, book).map((entry): There => ({
      item: entry.item,
      count: rackPieces(entry),
      value: rackWorth(entry, currency),
    })),
  ];
};

/** Boards that were measured are there as their sound stretches; what sawing has begun on is taken out, with the parts it makes. */
export const workLeft = (project: Project, book: Book, finished: ResolvedPart[]): WorkLeft => {
  const { measuredBoards = [], sawnBoards = [] } = project;
  const kerf = project.settings.kerf.ticks;
  const parts = inPairs(finished, kerf);
  const there = thereOf(project, book);
  if (measuredBoards.length === 0 && sawnBoards.length === 0)
    return { parts, singly: singly(parts), there, sawn: [], whole: { parts, there } };
  for (const board of measuredBoards) {
    const pile = takeOne(there, ({ item }) => itemKey(item) === itemKey(board.item));
    if (pile) there.push(...stretchesOf(board, pile, kerf, project.unit));
  }
  const whole = { parts, there: there.filter(({ count }) => count > 0) };
  const counts = new Map(parts.map((part) => [part, part.count]));
  const sawn = sawnBoards.flatMap((board) => asSawn(board, there, counts, project.unit));
  const left = parts.flatMap((part) => {
    const count = counts.get(part) ?? 0;
    return count === part.count ? [part] : count > 0 ? [{ ...part, count }] : [];
  });
  return {
    parts: left,
    singly: singly(left),
    there: there.filter(({ count }) => count > 0),
    sawn,
    whole,
  };
};

/** Takes one piece off the first pile that is meant; null: there is none. */
const takeOne = (there: There[], isMeant: (pile: There) => boolean): There | null => {
  const index = there.findIndex((pile) => pile.count >= 1 && isMeant(pile));
  const pile = there[index];
  if (!pile) return null;
  there[index] = { ...pile, count: pile.count - 1 };
  return pile;
};

/**
 * Where a measured board is sound: from its left end, in order. A mark is at least as long as the blade is wide, so that a cut
 * lies in it; ends that cannot be used are at its right end.
 */
export const soundStretches = (
  { length, marks, item }: Pick<MeasuredBoard, 'length' | 'marks' | 'item'>,
  kerf: Ticks,
): { from: Ticks; to: Ticks }[] => {
  const end = length - (item.unusable?.ticks ?? 0);
  const sound: { from: Ticks; to: Ticks }[] = [];
  let from = 0;
  for (const mark of [...marks].sort((a, b) => a.from - b.from)) {
    if (mark.from > from) sound.push({ from, to: Math.min(end, mark.from) });
    from = Math.max(from, mark.to, mark.from + kerf);
  }
  sound.push({ from, to: end });
  return sound.filter((stretch) => stretch.to > stretch.from);
};

const stretchesOf = (board: MeasuredBoard, pile: There, kerf: Ticks, unit: LengthUnit): There[] => {
  const sound = soundStretches(board, kerf);
  const all = sound.reduce((sum, { from, to }) => sum + to - from, 0);
  const { unusable: _, ...item } = pile.item;
  return sound.map(({ from, to }) => ({
    ...pile,
    name: pile.name ?? tagName(pile.item),
    item: { ...item, length: measureOf(to - from, unit) },
    count: 1,
    value: Math.round((pile.value * (to - from)) / all),
  }));
};

/** The drawing of a board on which sawing has begun, where it is there; its parts are counted off, its offcuts are there. */
const asSawn = (
  board: SawnBoard,
  there: There[],
  counts: Map<ResolvedPart, number>,
  unit: LengthUnit,
): Layout[] => {
  const pile = takeOne(there, ({ item }) => isCutFrom(board, item));
  if (!pile) return [];
  const { id, kind, section, material, length, width, kerf } = board;
  const pieces = board.pieces.map((piece) => ({ piece, part: counted(piece, board, counts) }));
  const left = pieces.flatMap(({ piece, part }) => (part ? [] : whatIsLeft(piece)));
  const layout: Layout = {
    count: 1,
    source: { owned: pile.name ?? tagName(pile.item) },
    kind,
    section,
    material,
    length,
    width,
    pieces: pieces.flatMap(({ piece, part }) => (part ? [pieceOf(part, pointsOf(piece))] : [])),
    cuts: [],
    storeCuts: [],
    offcuts: [...board.offcuts, ...left],
    value: pile.value,
    sawn: { id, kerf },
  };
  for (const offcut of usefulOffcuts(layout.offcuts))
    there.push({
      ...pile,
      item: offcutItem(layout, offcut, unit),
      name: offcutName(layout),
      count: 1,
      value: Math.round((pile.value * offcut.length * offcut.width) / (length * width)),
    });
  return [layout];
};

/** The part that a piece is one of, counted off; null: none of that size is wanted, or it was cut wrong. */
const counted = (
  { partId, outline, spoiled }: SawnPiece,
  board: SawnBoard,
  counts: Map<ResolvedPart, number>,
): ResolvedPart | null => {
  if (spoiled !== undefined) return null;
  const { along, across } = sidesOf(pointsOf({ outline }));
  for (const [part, count] of counts) {
    const isIt = (length: Ticks, wide: Ticks) =>
      Math.abs(wide - part.width) <= NEAR &&
      length <= part.length + NEAR &&
      length >= part.length - part.shortOk - NEAR;
    const isTurned = board.kind === 'sheet' && part.grain === 'any' && isIt(across, along);
    if (part.id !== partId || count < 1 || !isOfStuff(part, board) || !(isIt(along, across) || isTurned))
      continue;
    counts.set(part, count - 1);
    return part;
  }
  return null;
};

const pointsOf = ({ outline }: Pick<SawnPiece, 'outline'>): Point[] =>
  outline.map(({ x, y }): Point => [x, y]);

/** Whether a part may be of what a board is: its thickness, and its material. */
const isOfStuff = (part: ResolvedPart, board: SawnBoard): boolean =>
  part.kind === board.kind &&
  allows(part.materials, board.material) &&
  (part.kind === 'sheet' || part.section?.thickness === thicknessOf(board));

/** Rounding of slants, in ticks. */
const NEAR = 3;

/** What of a piece that is no part any more is of use. */
const whatIsLeft = ({ outline, spoiled }: SawnPiece): Offcut[] => {
  const [xs, ys] = [outline.map(({ x }) => x), outline.map(({ y }) => y)];
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  const size = { length: Math.max(...xs) - x, width: Math.max(...ys) - y };
  return [{ x, y, ...size, ...(spoiled === undefined ? {} : { ofUse: spoiled }) }];
};
