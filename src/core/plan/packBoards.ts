import type { Ticks } from '../measure';
import type { PlanSettings, ResolvedPart } from '../project';
import { reach } from '../wood';
import type { Stock } from './stock';

/** One piece to be cut: how far it reaches along a board, the kerf its slant asks for, how short it may come out. */
export interface BoardPiece {
  part: ResolvedPart;
  reach: Ticks;
  kerf: Ticks;
  slack: Ticks;
}

/** A board with its pieces in the order in which they lie. */
export interface FilledBoard {
  stock: Stock;
  pieces: BoardPiece[];
  /** Pieces and the kerfs between them. */
  used: Ticks;
  slack: Ticks;
}

/** The pieces of board parts, one for each that is built, longest first. */
export const boardPieces = (parts: ResolvedPart[], settings: PlanSettings): BoardPiece[] =>
  parts
    .flatMap((part): BoardPiece[] => {
      const angle = part.ends.shape === 'square' ? 0 : (part.ends.angle * Math.PI) / 180;
      const piece = {
        part,
        reach: reach(part.ends, part.length, part.thickness, part.width),
        kerf: Math.ceil(settings.kerf.ticks / Math.cos(angle)),
        slack: part.shortOk,
      };
      return Array.from({ length: part.count }, () => piece);
    })
    .sort((a, b) => b.reach - a.reach);

/** What a board has room for: its length less what is trimmed from both ends. */
export const room = (length: Ticks, settings: PlanSettings): Ticks => length - 2 * settings.endTrim.ticks;

/** The length used once `piece` lies behind those on the board, a kerf between. */
const usedWith = ({ pieces, used }: FilledBoard, piece: BoardPiece): Ticks => {
  const last = pieces.at(-1);
  return used + piece.reach + (last ? Math.max(last.kerf, piece.kerf) : 0);
};

const withPiece = (board: FilledBoard, piece: BoardPiece): FilledBoard => ({
  stock: board.stock,
  pieces: [...board.pieces, piece],
  used: usedWith(board, piece),
  slack: board.slack + piece.slack,
});

const empty = (stock: Stock): FilledBoard => ({ stock, pieces: [], used: 0, slack: 0 });

/**
 * Best-fit decreasing on boards of one length: each piece, longest first, goes on the board that it leaves the
 * least of. Null where a piece is longer than the board.
 */
export const bestFitDecreasing = (
  pieces: BoardPiece[],
  stock: Stock,
  settings: PlanSettings,
): FilledBoard[] | null => {
  const boards: FilledBoard[] = [];
  for (const piece of pieces) {
    const space = room(stock.length, settings);
    let best = -1;
    let bestUsed = -1;
    for (const [index, board] of boards.entries()) {
      const used = usedWith(board, piece);
      if (used - board.slack - piece.slack > space || used <= bestUsed) continue;
      best = index;
      bestUsed = used;
    }
    const next = withPiece(boards[best] ?? empty(stock), piece);
    if (next.used - next.slack > space) return null;
    if (best < 0) boards.push(next);
    else boards[best] = next;
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
  settings: PlanSettings,
): FilledBoard[] | null => {
  const boards: FilledBoard[] = [];
  let left = pieces;
  const owned = new Map(stocks.map((stock) => [stock, stock.ownedCount]));
  while (left.length > 0) {
    let best: { board: FilledBoard; score: number; rest: BoardPiece[] } | null = null;
    for (const stock of stocks) {
      const price = (owned.get(stock) ?? 0) > 0 ? 0 : stock.price;
      const filled = fill(left, stock, settings);
      if (filled.board.pieces.length === 0 || price === Infinity) continue;
      const yielded = filled.board.pieces.reduce((sum, piece) => sum + piece.reach, 0);
      const score = (price + 1) / yielded;
      if (!best || score < best.score) best = { ...filled, score };
    }
    if (!best) return null;
    boards.push(best.board);
    owned.set(best.board.stock, (owned.get(best.board.stock) ?? 0) - 1);
    left = best.rest;
  }
  return boards;
};

const fill = (
  pieces: BoardPiece[],
  stock: Stock,
  settings: PlanSettings,
): { board: FilledBoard; rest: BoardPiece[] } => {
  const space = room(stock.length, settings);
  let board = empty(stock);
  const rest: BoardPiece[] = [];
  for (const piece of pieces)
    if (usedWith(board, piece) - board.slack - piece.slack <= space) board = withPiece(board, piece);
    else rest.push(piece);
  return { board, rest };
};

/** The same boards, each of the cheapest stock that holds its pieces. */
export const shrink = (boards: FilledBoard[], stocks: Stock[], settings: PlanSettings): FilledBoard[] =>
  boards.map((board) => {
    const stock = stocks
      .filter(({ length }) => board.used - board.slack <= room(length, settings))
      .reduce((best, candidate) => (candidate.price < best.price ? candidate : best), board.stock);
    return { ...board, stock };
  });
