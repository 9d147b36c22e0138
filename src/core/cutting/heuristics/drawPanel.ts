import type { Ticks } from '../../units';
import {
  pieceOf,
  type SawSettings,
  extentOf,
  isLeaf,
  isNested,
  leavesOf,
  panelRoom,
  slantedKerf,
  trimOf,
  wantedExtent,
  type Axis,
  type Cutting,
  type FilledPanel,
  type Leaf,
  type Nested,
  type Cut,
} from '../model';
import { drawRow, outlineIn, shortOf, type Drawing, type Room } from './drawBoard';
import { boardPiece } from './packBoards';

/** A sheet or ripped board as outlines, cuts in an order that can be done, and offcuts; pieces as long as there is room for. */
export const drawPanel = ({ stock, cutting }: FilledPanel, settings: SawSettings): Drawing => {
  const kerf = settings.kerf.ticks;
  const trim = trimOf(stock, settings);
  const { length, width } = panelRoom(stock, settings);
  const drawing: Drawing = { pieces: [], cuts: [], offcuts: [], short: [] };
  if (trim.across > 0)
    drawing.cuts.push({ kind: 'rip', at: trim.across }, { kind: 'rip', at: trim.across + width });
  if (trim.along > 0) drawing.cuts.push({ kind: 'crosscut', at: trim.along });
  // What cannot be used is left at the far end.
  if (trim.along + stock.unusable > 0) drawing.cuts.push({ kind: 'crosscut', at: trim.along + length });
  const names = namer();
  let depth: { cutting: Cutting; cell: Room; on: string | undefined }[] = [
    { cutting, cell: { x: trim.along, y: trim.across, length, width }, on: undefined },
  ];
  // Stage by stage, as it is sawn: all strips, then what is in them.
  while (depth.length > 0)
    depth = depth.flatMap(({ cutting: here, cell, on }) =>
      isLeaf(here) ? leaf(here, cell, on) : isNested(here) ? row(here, cell, on) : parts(here, cell, on),
    );
  return drawing;

  function parts(
    { axis, parts: given }: Exclude<Cutting, Leaf | Nested>,
    cell: Room,
    on: string | undefined,
  ) {
    const list = axis === 'along' ? widestCutFirst(given, kerf) : given;
    const total = axis === 'along' ? cell.length : cell.width;
    const begin = axis === 'along' ? cell.x : cell.y;
    const sizes = grown(list, axis, total, kerf);
    let at = 0;
    return list.flatMap((part, index) => {
      const size = sizes[index] ?? 0;
      const isLast = index === list.length - 1;
      // A slanted saw takes more than its kerf: that lies behind the piece.
      const pad = axis === 'along' ? padOf(part, kerf) : 0;
      if (at + size < total) cut(axis, begin + at + size - pad, on);
      const own =
        axis === 'along' ? { ...cell, x: begin + at, length: size } : { ...cell, y: begin + at, width: size };
      at += size + kerf;
      if (isLast && at < total)
        drawing.offcuts.push(
          axis === 'along'
            ? { ...cell, x: begin + at, length: total - at }
            : { ...cell, y: begin + at, width: total - at },
        );
      return [{ cutting: part, cell: own, on: names(part, axis) }];
    });
  }

  function row({ nested }: Nested, cell: Room, on: string | undefined): [] {
    const pieces = nested.map(({ part }) => boardPiece(part, settings));
    const end = cell.x + cell.length;
    const drawn = drawRow(pieces, cell, kerf);
    drawing.pieces.push(...drawn.pieces);
    drawing.short.push(...drawn.short);
    for (const at of drawn.ends) if (at < end) cut('along', at, on);
    if (drawn.free < end) drawing.offcuts.push({ ...cell, x: drawn.free, length: end - drawn.free });
    return [];
  }

  function leaf({ part, along, across }: Leaf, cell: Room, on: string | undefined): [] {
    const length = Math.min(along.full, cell.length - along.pad);
    const width = Math.min(across.full, cell.width);
    const own = part.kind === 'board' ? part.length - (along.full - length) : length;
    drawing.pieces.push(pieceOf(part, outlineIn(part, cell.x, cell.y, own, width)));
    const short = shortOf(part, Math.max(along.full - length, across.full - width));
    if (short) drawing.short.push(short);
    if (length + along.pad < cell.length) {
      cut('along', cell.x + length, on);
      const left = cell.length - length - along.pad - kerf;
      if (left > 0) drawing.offcuts.push({ ...cell, x: cell.x + length + along.pad + kerf, length: left });
    }
    if (width < cell.width) {
      cut('across', cell.y + width, on);
      const left = cell.width - width - kerf;
      if (left > 0) drawing.offcuts.push({ x: cell.x, y: cell.y + width + kerf, length, width: left });
    }
    return [];
  }

  function cut(axis: Axis, at: Ticks, on: string | undefined): void {
    const made: Cut = { kind: axis === 'along' ? 'crosscut' : 'rip', at };
    drawing.cuts.push(on === undefined ? made : { ...made, on });
  }
};

/** What the saw takes more than its kerf behind a part, along the board. */
const padOf = (part: Cutting, kerf: Ticks): Ticks => {
  if (isLeaf(part)) return part.along.pad;
  return isNested(part)
    ? Math.min(...part.nested.map(({ part: { ends } }) => slantedKerf(ends, kerf))) - kerf
    : 0;
};

/** Rows that nest, then slanted pieces, before square ones: what the saw takes more of them lies behind each, and so before the next. */
const widestCutFirst = (list: Cutting[], kerf: Ticks): Cutting[] => {
  const placeOf = (part: Cutting): number => (isNested(part) ? Infinity : padOf(part, kerf));
  if (!list.some((part) => placeOf(part) > 0)) return list;
  return [...list].sort((a, b) => (placeOf(a) === placeOf(b) ? 0 : placeOf(b) - placeOf(a)));
};

/** The parts' sizes along an axis: what they need at least, and what is left over given to those that would come out short. */
const grown = (parts: Cutting[], axis: Axis, total: Ticks, kerf: Ticks): Ticks[] => {
  const sizes = parts.map((part) => extentOf(part, axis, kerf));
  let left = total - sizes.reduce((sum, size) => sum + size + kerf, -kerf);
  return sizes.map((size, index) => {
    const wanted = wantedExtent(parts[index] as Cutting, axis, kerf) - size;
    const more = Math.max(0, Math.min(wanted, left));
    left -= more;
    return size + more;
  });
};

/** Names for what a cut leaves: a piece by its part, a strip or a length by its number. */
const namer = (): ((cutting: Cutting, axis: Axis) => string) => {
  const counts = { along: 0, across: 0 };
  return (cutting, axis) => {
    if (isLeaf(cutting)) return cutting.part.name;
    const [only, ...others] = leavesOf(cutting);
    if (only && others.length === 0) return only.part.name;
    return `${axis === 'across' ? 'strip' : 'length'} ${++counts[axis]}`;
  };
};
