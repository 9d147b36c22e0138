import type { Ticks } from '../../units';
import {
  pieceOf,
  type SawSettings,
  type Item,
  slantOffset,
  type Layout,
  type Piece,
  type Point,
  type Short,
  usableLength,
} from '../model';
import type { BoardPiece, FilledBoard } from './packBoards';

/** A board or sheet as it is drawn, and the pieces that come out short. */
export type Drawing = Pick<Layout, 'pieces' | 'cuts' | 'offcuts'> & { short: Short[] };

/** Where a piece begins and ends along the two edges of a board. */
interface Laid {
  piece: BoardPiece;
  length: Ticks;
  low: [left: Ticks, right: Ticks];
  high: [left: Ticks, right: Ticks];
}

/** A filled board as outlines, cuts and offcut; where it is over-full by its slack, its pieces come out shorter. */
export const drawBoard = (board: FilledBoard, settings: SawSettings): Drawing => {
  const { length, width, unusable } = board.stock;
  const start = settings.endTrim.ticks;
  // What cannot be used is left at the far end.
  const end = usableLength(board.stock) - start;
  const row = drawRow(board.pieces, { x: start, y: 0, length: end - start, width }, settings.kerf.ticks);
  const drawing: Drawing = { pieces: row.pieces, cuts: [], offcuts: [], short: row.short };
  if (start > 0) drawing.cuts.push({ kind: 'crosscut', at: start });
  for (const at of row.ends) if (at < length) drawing.cuts.push({ kind: 'crosscut', at });
  const { free } = row;
  if (free < end) drawing.offcuts.push({ x: free, y: 0, length: end - free, width });
  if (start + unusable > 0 && free < end) drawing.cuts.push({ kind: 'crosscut', at: end });
  return drawing;
};

/** Where something is laid on a board. */
export interface Room {
  x: Ticks;
  y: Ticks;
  length: Ticks;
  width: Ticks;
}

/**
 * Pieces one behind the other in a room as wide as they are; where it is over-full by their slack, they come out shorter. `ends`: where
 * each is cut off, along the board; `free`: from where on nothing lies.
 */
export const drawRow = (
  pieces: BoardPiece[],
  { x, y, length, width }: Room,
  kerf: Ticks,
): { pieces: Piece[]; short: Short[]; ends: Ticks[]; free: Ticks } => {
  const order = inOrder(pieces);
  const whole = lay(
    order,
    order.map(() => 0),
    x,
    kerf,
  );
  const missing = Math.max(x, ...whole.map(rightOf)) - (x + length);
  const laid = missing > 0 ? lay(order, shares(order, missing), x, kerf) : whole;
  const last = laid.at(-1);
  return {
    pieces: laid.map(({ piece, low, high }) =>
      pieceOf(piece.part, [
        [low[0], y],
        [low[1], y],
        [high[1], y + width],
        [high[0], y + width],
      ]),
    ),
    short: laid.flatMap(({ piece: { part }, length: cut }) => shortOf(part, part.length - cut) ?? []),
    ends: laid.map(rightOf),
    free: last ? rightOf(last) + last.piece.kerf : x,
  };
};

const rightOf = ({ low, high }: Pick<Laid, 'low' | 'high'>): Ticks => Math.max(low[1], high[1]);

/** A part that comes out short, if it does. */
export const shortOf = (part: Item, by: Ticks): Short | null =>
  by > 0 ? { partId: part.id, part: part.name, group: part.group, by, count: 1 } : null;

/**
 * Slants that nest in one row, the steepest first; before them slants that do not and whose cut is wider than the narrowest of
 * theirs, after them the rest. But at the one join before the row each cut is then as wide as the left piece's.
 */
const inOrder = (pieces: BoardPiece[]): BoardPiece[] => {
  const narrowest = Math.min(...pieces.filter(({ slant }) => slant > 0).map(({ kerf }) => kerf));
  const placeOf = ({ slant, kerf }: BoardPiece): number => (slant > 0 ? 1 : kerf > narrowest ? 0 : 2);
  return [...pieces].sort(
    (a, b) => placeOf(a) - placeOf(b) || b.slant - a.slant || b.kerf - a.kerf || b.size - a.size,
  );
};

/** Pieces one behind the other, each turned so that it nests with the one before. */
const lay = (pieces: BoardPiece[], short: Ticks[], start: Ticks, kerf: Ticks): Laid[] => {
  const laid: Laid[] = [];
  for (const [index, piece] of pieces.entries()) {
    const length = piece.part.length - (short[index] ?? 0);
    const last = laid.at(-1);
    const ways = waysOf(piece.part, length).map(({ low, high }): Laid => {
      const gap = last
        ? Math.max(cutAt(last.piece, last.low[1] - last.high[1], kerf), cutAt(piece, low[0] - high[0], kerf))
        : 0;
      const x = last ? Math.max(last.low[1] + gap - low[0], last.high[1] + gap - high[0]) : start;
      return { piece, length, low: [x + low[0], x + low[1]], high: [x + high[0], x + high[1]] };
    });
    laid.push(ways.reduce((best, way) => (meanRight(way) < meanRight(best) ? way : best)));
  }
  return laid;
};

/** How much of a board the saw takes at an end of a piece: more where it is slanted. */
const cutAt = ({ part: { ends }, kerf }: BoardPiece, slope: Ticks, square: Ticks): Ticks =>
  slope === 0 && ends.shape === 'one' && ends.across === 'face' ? square : kerf;

const meanRight = ({ low, high }: Laid): number => low[1] + high[1];

type Way = Pick<Laid, 'low' | 'high'>;

/** The ways in which a piece can lie on a board of its own section, turned end for end or over. */
const waysOf = (part: Item, length: Ticks): Way[] => {
  const { ends, thickness, width } = part;
  const slant = slantOffset(ends, ends.shape !== 'square' && ends.across === 'edge' ? thickness : width);
  // Drawn as the rectangle of its full length.
  if (ends.shape === 'square' || ends.across === 'edge') {
    const right = length + (ends.shape === 'parallel' ? slant : 0);
    return [{ low: [0, right], high: [0, right] }];
  }
  const upright: Way[] =
    ends.shape === 'mitre'
      ? [{ low: [0, length], high: [slant, length - slant] }]
      : ends.shape === 'parallel'
        ? [{ low: [0, length], high: [slant, length + slant] }]
        : [
            { low: [0, length], high: [0, length - slant] },
            { low: [0, length], high: [slant, length] },
          ];
  return [...upright, ...upright.map(({ low, high }) => ({ low: high, high: low }))];
};

/** How much shorter each piece of an over-full board is cut: in equal shares, none over its own slack. */
const shares = (pieces: BoardPiece[], missing: Ticks): Ticks[] => {
  const cut = pieces.map(() => 0);
  for (let left = missing; left > 0;) {
    const open = pieces.flatMap((piece, index) => (piece.slack > (cut[index] ?? 0) ? [index] : []));
    if (open.length === 0) break;
    const share = Math.ceil(left / open.length);
    for (const index of open) {
      const more = Math.min(share, left, (pieces[index]?.slack ?? 0) - (cut[index] ?? 0));
      cut[index] = (cut[index] ?? 0) + more;
      left -= more;
    }
  }
  return cut;
};

/** How a slanted piece lies in a rectangle of its reach, cut from a wider board. */
export const outlineIn = (part: Item, x: Ticks, y: Ticks, length: Ticks, across: Ticks): Point[] => {
  const way = part.ends.shape !== 'square' && across === part.width ? waysOf(part, length)[0] : null;
  const { low, high } = way ?? { low: [0, length], high: [0, length] };
  return [
    [x + low[0], y],
    [x + low[1], y],
    [x + high[1], y + across],
    [x + high[0], y + across],
  ];
};
