import type { Ticks } from '../../units';
import {
  type SawSettings,
  type Item,
  meanLength,
  reach,
  slantedKerf,
  slantOffset,
  type Sized,
  type Stock,
  usableLength,
} from '../model';

/**
 * One piece to be crosscut from a board of its own section. Slants across the face nest: such a piece holds its mean
 * length, and all of them on a board together the largest offset once more: half of the steepest at one end of their row, half of
 * what is left at each join and at the other end (planner.md, rule 3).
 */
export interface BoardPiece {
  part: Item;
  /** What it takes of a board: the length it holds, and the kerf of its cut. */
  size: Ticks;
  kerf: Ticks;
  slack: Ticks;
  /** The offset of its two slanted ends; 0: it does not nest. */
  slant: Ticks;
}

/** A board with the pieces that are cut from it. */
export interface FilledBoard {
  stock: Stock;
  pieces: BoardPiece[];
  /** What the pieces take, a kerf for each: the board has room for one kerf more than it is long. */
  used: Ticks;
  slack: Ticks;
  /** The largest offset of what nests on it, and the widest kerf of that. */
  slant: Ticks;
  nestedKerf: Ticks;
  /** The narrowest slanted kerf of what does not nest; infinite: there is none. */
  oddKerf: Ticks;
}

/** How a part lies on a board of its own section. */
export const boardPiece = (part: Item, settings: SawSettings): BoardPiece => {
  const { ends, length, thickness, width } = part;
  const kerf = slantedKerf(ends, settings.kerf.ticks);
  const nests = (ends.shape === 'mitre' || ends.shape === 'parallel') && ends.across === 'face';
  const held = nests ? meanLength(ends, length, thickness, width) : reach(ends, length, thickness, width);
  return {
    part,
    size: held + kerf,
    kerf,
    slack: part.shortOk,
    slant: nests ? slantOffset(ends, width) : 0,
  };
};

/** The pieces of board parts, one for each that is built, longest first. */
export const boardPieces = (parts: Item[], settings: SawSettings): BoardPiece[] =>
  parts
    .flatMap((part): BoardPiece[] => {
      const piece = boardPiece(part, settings);
      return Array.from({ length: part.count }, () => piece);
    })
    .sort((a, b) => b.size + b.slant - a.size - a.slant);

/** What pieces with their kerfs may come to on a board: its usable length less the trim of both ends, and one kerf. */
export const room = (stock: Sized, settings: SawSettings): Ticks =>
  usableLength(stock) - 2 * settings.endTrim.ticks + settings.kerf.ticks;

type Slants = Pick<FilledBoard, 'slant' | 'nestedKerf' | 'oddKerf'>;

/** What the slants on a board take besides: the largest offset, and a wider kerf where one that does not nest lies before them. */
const lostBy = ({ slant, nestedKerf, oddKerf }: Slants): Ticks => slant + Math.max(0, nestedKerf - oddKerf);

const slantsWith = (board: Slants, { slant, kerf, part }: BoardPiece): Slants => ({
  slant: Math.max(board.slant, slant),
  nestedKerf: slant > 0 ? Math.max(board.nestedKerf, kerf) : board.nestedKerf,
  oddKerf: slant === 0 && part.ends.shape !== 'square' ? Math.min(board.oddKerf, kerf) : board.oddKerf,
});

/** The length used once `piece` lies with those on the board. */
const usedWith = (board: FilledBoard, piece: BoardPiece): Ticks =>
  board.used + piece.size + lostBy(slantsWith(board, piece)) - lostBy(board);

/** Puts a piece on a board. */
const put = (board: FilledBoard, piece: BoardPiece): void => {
  board.used = usedWith(board, piece);
  board.slack += piece.slack;
  board.pieces.push(piece);
  Object.assign(board, slantsWith(board, piece));
};

const empty = (stock: Stock): FilledBoard => ({
  stock,
  pieces: [],
  used: 0,
  slack: 0,
  slant: 0,
  nestedKerf: 0,
  oddKerf: Infinity,
});

/** A board with these pieces, whether or not they fit. */
export const filledWith = (stock: Stock, pieces: BoardPiece[]): FilledBoard => {
  const board = empty(stock);
  for (const piece of pieces) put(board, piece);
  return board;
};

/** So many boards are looked through for each piece. */
const MAX_OPEN = 300;

/**
 * Best-fit decreasing on boards of one length: each piece, longest first, goes on the board that it leaves the
 * least of. Null where a piece is longer than the board.
 */
export const bestFitDecreasing = (
  pieces: BoardPiece[],
  stock: Stock,
  settings: SawSettings,
): FilledBoard[] | null => {
  const boards: FilledBoard[] = [];
  let open: FilledBoard[] = [];
  const space = room(stock, settings);
  for (const piece of pieces) {
    let best: FilledBoard | null = null;
    let bestUsed = -1;
    for (const board of open) {
      const used = usedWith(board, piece);
      if (used - board.slack - piece.slack > space || used <= bestUsed) continue;
      best = board;
      bestUsed = used;
    }
    const board = best ?? empty(stock);
    const used = usedWith(board, piece);
    if (used - board.slack - piece.slack > space) return null;
    put(board, piece);
    if (best) continue;
    boards.push(board);
    open.push(board);
    // Of very many boards the fullest are left as they are.
    if (open.length > 2 * MAX_OPEN) open = open.sort((a, b) => a.used - b.used).slice(0, MAX_OPEN);
  }
  return boards;
};

/**
 * Board after board, the length whose best filling costs least for what it yields, filled longest piece first.
 * Null where a piece fits no stock.
 */
export const cheapestYield = (
  pieces: BoardPiece[],
  stocks: Stock[],
  settings: SawSettings,
): FilledBoard[] | null => {
  const boards: FilledBoard[] = [];
  let left = heapsOf(pieces);
  const isPlain = pieces.every(({ slack, part }) => slack === 0 && part.ends.shape === 'square');
  const owned = new Map(stocks.map((stock) => [stock, stock.ownedCount]));
  while (left.length > 0) {
    let best: { board: FilledBoard; score: number } | null = null;
    for (const stock of stocks) {
      const price = (owned.get(stock) ?? 0) > 0 ? 0 : stock.price;
      const board = fill(left, stock, settings, isPlain);
      if (board.pieces.length === 0 || price === Infinity) continue;
      const yielded = board.pieces.reduce((sum, { size, kerf }) => sum + size - kerf, 0);
      const score = (price + 1) / yielded;
      if (!best || score < best.score) best = { board, score };
    }
    if (!best) return null;
    const { board } = best;
    boards.push(board);
    owned.set(board.stock, (owned.get(board.stock) ?? 0) - 1);
    left = without(left, board.pieces);
  }
  return boards;
};

/** So many pieces alike. */
interface Heap {
  piece: BoardPiece;
  count: number;
}

const heapsOf = (pieces: BoardPiece[]): Heap[] => {
  const heaps: Heap[] = [];
  for (const piece of pieces) {
    const last = heaps.at(-1);
    if (last?.piece === piece) last.count++;
    else heaps.push({ piece, count: 1 });
  }
  return heaps;
};

const without = (heaps: Heap[], pieces: BoardPiece[]): Heap[] => {
  const taken = new Map<BoardPiece, number>();
  for (const piece of pieces) taken.set(piece, (taken.get(piece) ?? 0) + 1);
  return heaps
    .map(({ piece, count }) => ({ piece, count: count - (taken.get(piece) ?? 0) }))
    .filter(({ count }) => count > 0);
};

const fill = (heaps: Heap[], stock: Stock, settings: SawSettings, isPlain: boolean): FilledBoard => {
  const space = room(stock, settings);
  const board = empty(stock);
  for (let at = 0; at < heaps.length; at++) {
    const { piece, count } = heaps[at] as Heap;
    let copies = 0;
    while (copies < count && usedWith(board, piece) - board.slack - piece.slack <= space) {
      put(board, piece);
      copies++;
    }
    // Of what neither nests nor gives way, all that is too long is passed over at once.
    if (copies < count && isPlain) at = firstWithin(heaps, at + 1, space - board.used) - 1;
  }
  return board;
};

/** The first heap from a place on whose pieces are no longer than `space`; heaps are in the order of falling sizes. */
const firstWithin = (heaps: Heap[], from: number, space: Ticks): number => {
  let [low, high] = [from, heaps.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((heaps[middle]?.piece.size ?? 0) <= space) high = middle;
    else low = middle + 1;
  }
  return low;
};

/** The same boards, each of the cheapest stock that holds its pieces. */
export const shrink = (boards: FilledBoard[], stocks: Stock[], settings: SawSettings): FilledBoard[] =>
  boards.map((board) => {
    const stock = stocks
      .filter((candidate) => board.used - board.slack <= room(candidate, settings))
      .reduce((best, candidate) => (candidate.price < best.price ? candidate : best), board.stock);
    return { ...board, stock };
  });
