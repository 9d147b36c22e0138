import type { Ticks } from '../measure';
import type { PlanSettings, ResolvedPart } from '../project';
import { slantOffset, type Ends } from '../wood';
import type { BoardPiece, FilledBoard } from './packBoards';
import { room } from './packBoards';
import { sheetRoom, type FilledSheet } from './packSheets';
import type { Cut, Layout, Offcut, Piece, Point, Short } from './types';

type Drawing = Pick<Layout, 'pieces' | 'cuts' | 'offcuts'> & { short: Short[] };

/** A filled board as outlines, cuts and offcut; where it is over-full by its slack, its pieces come out shorter. */
export const drawBoard = (board: FilledBoard, settings: PlanSettings): Drawing => {
  const { length, width } = board.stock;
  const end = length - settings.endTrim.ticks;
  const cut = shortened(board, settings);
  const drawing: Drawing = { pieces: [], cuts: [], offcuts: [], short: [] };
  let x = settings.endTrim.ticks;
  if (x > 0) drawing.cuts.push({ kind: 'crosscut', at: x });
  let last: BoardPiece | null = null;
  for (const [index, piece] of board.pieces.entries()) {
    const by = cut[index] ?? 0;
    if (last) x += Math.max(last.kerf, piece.kerf);
    const { part } = piece;
    drawing.pieces.push(pieceOf(part, outlineOf(part.ends, x, part.length - by, part.thickness, width)));
    if (by > 0) drawing.short.push({ partId: part.id, part: part.name, group: part.group, by, count: 1 });
    x += piece.reach - by;
    if (x < length) drawing.cuts.push({ kind: 'crosscut', at: x });
    last = piece;
  }
  const start = x + (last?.kerf ?? 0);
  if (start < end) drawing.offcuts.push({ x: start, y: 0, length: end - start, width });
  if (settings.endTrim.ticks > 0 && start < end) drawing.cuts.push({ kind: 'crosscut', at: end });
  return drawing;
};

/** How much shorter each piece of an over-full board is cut: in equal shares, none over its own slack. */
const shortened = (board: FilledBoard, settings: PlanSettings): Ticks[] => {
  const shares = board.pieces.map(() => 0);
  let missing = board.used - room(board.stock.length, settings);
  while (missing > 0) {
    const open = board.pieces.flatMap((piece, index) => (piece.slack > (shares[index] ?? 0) ? [index] : []));
    if (open.length === 0) break;
    const share = Math.ceil(missing / open.length);
    for (const index of open) {
      const more = Math.min(share, missing, (board.pieces[index]?.slack ?? 0) - (shares[index] ?? 0));
      shares[index] = (shares[index] ?? 0) + more;
      missing -= more;
    }
  }
  return shares;
};

/** The corners of a finished piece. One with slanted edges across its thickness is drawn as its full rectangle. */
export const outlineOf = (ends: Ends, x: Ticks, length: Ticks, thickness: Ticks, width: Ticks): Point[] => {
  const right = x + length;
  if (ends.shape === 'square') return rectangle(x, 0, length, width);
  const slant = slantOffset(ends, ends.across === 'edge' ? thickness : width);
  if (ends.across === 'edge') return rectangle(x, 0, length + (ends.shape === 'parallel' ? slant : 0), width);
  if (ends.shape === 'parallel') return [[x, 0], [right, 0], [right + slant, width], [x + slant, width]]; // prettier-ignore
  return [[x, 0], [right, 0], [right - slant, width], [ends.shape === 'mitre' ? x + slant : x, width]]; // prettier-ignore
};

const rectangle = (x: Ticks, y: Ticks, length: Ticks, width: Ticks): Point[] => [
  [x, y],
  [x + length, y],
  [x + length, y + width],
  [x, y + width],
];

const pieceOf = (part: ResolvedPart, outline: Point[]): Piece => ({
  partId: part.id,
  part: part.name,
  group: part.group,
  ends: part.ends,
  outline,
});

/** A sheet filled row by row: ripped into rows, each row crosscut, low pieces ripped to their own width. */
export const drawSheet = (sheet: FilledSheet, settings: PlanSettings): Drawing => {
  const trim = settings.sheetTrim.ticks;
  const kerf = settings.kerf.ticks;
  const { length, width } = sheetRoom(sheet.stock, settings);
  const right = trim + length;
  const top = trim + width;
  const cuts: Cut[] = trim === 0 ? [] : [
    { kind: 'rip', at: trim }, { kind: 'rip', at: top }, { kind: 'crosscut', at: trim }, { kind: 'crosscut', at: right },
  ]; // prettier-ignore
  const inRows: Cut[] = [];
  const pieces: Piece[] = [];
  const offcuts: Offcut[] = [];
  let y = trim;
  for (const [index, row] of sheet.rows.entries()) {
    const on = `row ${index + 1}`;
    if (y + row.height < top) cuts.push({ kind: 'rip', at: y + row.height });
    let x = trim;
    for (const piece of row.pieces) {
      pieces.push(pieceOf(piece.part, rectangle(x, y, piece.along, piece.across)));
      if (x + piece.along < right) inRows.push({ kind: 'crosscut', at: x + piece.along, on });
      if (piece.across < row.height)
        inRows.push({ kind: 'rip', at: y + piece.across, on: `${piece.part.name} in ${on}` });
      const spare = row.height - piece.across - kerf;
      if (spare > 0) offcuts.push({ x, y: y + piece.across + kerf, length: piece.along, width: spare });
      x += piece.along + kerf;
    }
    if (x < right) offcuts.push({ x, y, length: right - x, width: row.height });
    y += row.height + kerf;
  }
  if (y < top) offcuts.push({ x: trim, y, length, width: top - y });
  return { pieces, cuts: [...cuts, ...inRows], offcuts, short: [] };
};
