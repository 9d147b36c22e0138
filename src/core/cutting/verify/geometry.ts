import type { Ticks } from '../../units';
import type { SawSettings, Item } from '../model';
import { nameKey } from '../../nameKey';
import { boxOf, type Box, type Point } from './box';
import { checkFaces } from './faces';
import {
  newestOf,
  sizeOf,
  type CheckAgainst,
  type LayoutToCheck,
  type Note,
  type SectionSize,
} from './types';

/** Rounding of lengths in files: a tick is 1/320 mm, and a slant is rounded to one. */
export const NEAR = 3;
const isNear = (a: number, b: number): boolean => Math.abs(a - b) <= NEAR;

/**
 * Whether every piece of a layout is the part it says, lies on the board, and can be sawn from its neighbours. `partsOf` gives
 * what is wanted by that name, in one length or two; `count` hears which of them each piece can be.
 */
export const checkLayout = (
  layout: LayoutToCheck,
  partsOf: (piece: { part: string; group: string }) => Item[],
  against: CheckAgainst,
  note: Note,
  count: (parts: Item[]) => void,
): void => {
  const { settings } = against;
  const size = sizeOf(against, layout);
  const trim = (layout.kind === 'board' ? settings.endTrim : settings.sheetTrim).ticks;
  const across = layout.kind === 'sheet' ? trim : 0;
  checkUsable(layout, trim, against, note);
  for (const piece of layout.pieces) {
    const place = `${piece.part} (${piece.group})`;
    const parts = fittingOf(partsOf(piece), piece.outline, size);
    count(parts);
    const [part] = parts;
    if (!part) {
      note(place, 'is no part of the project');
      continue;
    }
    const box = boxOf(piece.outline);
    if (
      box.left < trim - NEAR ||
      box.right > layout.length - trim + NEAR ||
      box.bottom < across - NEAR ||
      box.top > layout.width - across + NEAR
    )
      note(place, 'is not inside its board, or in the part of it that is trimmed off');
    checkMaterial(layout, size, part, settings, place, note);
    if (!isOutlineOf(part, piece.outline, size)) note(place, 'has not the outline of the part');
    checkFaces(part, piece, settings.kerf.ticks, place, note);
  }
  if (layout.kind === 'board' && size && size.width !== layout.width)
    note(layout.section, 'is drawn in another width than it has');
  if (layout.pieces.length > 1) checkApart(layout, settings.kerf.ticks, note);
};

/** Of what is wanted by one name, what a piece can be: what its outline fits; all, where it fits none. */
const fittingOf = (parts: Item[], outline: Point[], size: SectionSize): Item[] => {
  if (parts.length < 2) return parts;
  const fitting = parts.filter((part) => isOutlineOf(part, outline, size));
  return fitting.length > 0 ? fitting : parts;
};

/** Whether pieces keep off the ends that cannot be used: at which end how much is lost is for the saw to find. */
const checkUsable = (layout: LayoutToCheck, trim: Ticks, against: CheckAgainst, note: Note): void => {
  const boxes = layout.pieces.map(({ outline }) => boxOf(outline));
  const reach = Math.max(...boxes.map(({ right }) => right)) - Math.min(...boxes.map(({ left }) => left));
  if (reach > layout.length - unusableOf(layout, against) - 2 * trim + NEAR)
    note(layout.section, 'is cut where its ends cannot be used');
};

/** What cannot be used of the board that a layout cuts: of what is sold, as the newest of its rows says. */
const unusableOf = ({ source, ...layout }: LayoutToCheck, { prices, owned }: CheckAgainst): Ticks => {
  const isOfIt = (row: Thing) =>
    row.kind === layout.kind &&
    row.section === layout.section &&
    row.length === layout.length &&
    nameKey(row.material) === nameKey(layout.material);
  // Of what is owned, the piece that serves best: which of them it is the layout does not say.
  if ('owned' in source) {
    const lost = owned.filter(isOfIt).map(({ unusable }) => unusable);
    return lost.length === 0 ? 0 : Math.min(...lost);
  }
  const rows = rowsByThing(prices).get(thingKey(source.store, source.item, layout)) ?? [];
  return newestOf(rows)?.unusable ?? 0;
};

type Thing = { kind: string; section: string; length: Ticks | null; material: string };

const thingKey = (store: string, name: string, { kind, section, length, material }: Thing): string =>
  JSON.stringify([nameKey(store), nameKey(name), kind, section, length, nameKey(material)]);

/** Price rows by what they are of: made once for a list of them. */
const rowsByThing = (prices: CheckAgainst['prices']): Map<string, CheckAgainst['prices']> => {
  const held = things.get(prices);
  if (held) return held;
  const rows = new Map<string, CheckAgainst['prices']>();
  for (const row of prices) {
    const key = thingKey(row.store, row.name, row);
    const own = rows.get(key);
    if (own) own.push(row);
    else rows.set(key, [row]);
  }
  things.set(prices, rows);
  return rows;
};

const things = new WeakMap<CheckAgainst['prices'], Map<string, CheckAgainst['prices']>>();

const checkMaterial = (
  layout: LayoutToCheck,
  size: SectionSize,
  part: Item,
  settings: SawSettings,
  place: string,
  note: Note,
): void => {
  if (part.materials.length > 0 && !part.materials.some((name) => nameKey(name) === nameKey(layout.material)))
    note(place, `may not be of ${layout.material}`);
  if (part.kind !== layout.kind) return note(place, `is a ${part.kind}, and is cut from a ${layout.kind}`);
  if (layout.kind === 'board') {
    const across = acrossOf(part, size);
    if (!size || across === null) note(place, `is not of the section ${layout.section}`);
    else if (across < size.width && !settings.tools?.includes('table-saw'))
      note(place, `has to be ripped from ${layout.section}, and there is no table saw`);
  } else {
    if (!size || size.thickness !== part.thickness) note(place, `is not ${layout.section} thick`);
  }
};

/** Whether corners are those of the part, turned or flipped as it may be, and short by no more than it may be. */
const isOutlineOf = (part: Item, outline: Point[], size: SectionSize): boolean => {
  if (outline.length !== 4) return false;
  const box = boxOf(outline);
  const [along, high] = [box.right - box.left, box.top - box.bottom];
  const isLength = isLengthOf(part);
  if (part.kind === 'sheet') {
    const isStraight = isLength(along, part.length) && isLength(high, part.width);
    const isTurned = part.grain === 'any' && isLength(along, part.width) && isLength(high, part.length);
    return isRectangle(outline) && (isStraight || isTurned);
  }
  const across = acrossOf(part, size);
  if (across === null || !isNear(high, across)) return false;
  return part.ends.shape === 'square'
    ? isRectangle(outline) && isLength(along, part.length)
    : isSlanted(part, part.ends, outline, across);
};

type Slanted = Exclude<Item['ends'], { shape: 'square' }>;

const isLengthOf =
  ({ shortOk }: Item) =>
  (given: number, wanted: number): boolean =>
    given <= wanted + NEAR && given >= wanted - shortOk - NEAR;

/** Whether corners are those of a board with slanted ends, lying `across` wide. */
const isSlanted = (part: Item, ends: Slanted, outline: Point[], across: Ticks): boolean => {
  const box = boxOf(outline);
  const along = box.right - box.left;
  const isLength = isLengthOf(part);
  const side = ends.across === 'edge' ? part.thickness : part.width;
  const offset = side * Math.tan((ends.angle * Math.PI) / 180);
  const reach = part.length + (ends.shape === 'parallel' ? offset : 0);
  // A slant that is not seen on this side of the board: drawn as the rectangle of the full length.
  if (ends.across === 'edge' || across !== part.width) return isRectangle(outline) && isLength(along, reach);
  const [low, up] = [edgeAt(outline, box.bottom), edgeAt(outline, box.top)];
  if (!low || !up) return false;
  const [left, right] = [up.left - low.left, up.right - low.right];
  const longest = Math.max(low.right - low.left, up.right - up.left);
  if (!isLength(longest, part.length)) return false;
  if (ends.shape === 'parallel') return isNear(Math.abs(left), offset) && isNear(left, right);
  if (ends.shape === 'mitre') return isNear(Math.abs(left), offset) && isNear(left, -right);
  return (
    (isNear(Math.abs(left), offset) && isNear(right, 0)) ||
    (isNear(left, 0) && isNear(Math.abs(right), offset))
  );
};

/**
 * How wide a part lies on a board: its own width on its own section; ripped from a board as thick as one of its sides, its
 * other side. Null where it cannot be made of such a board: thickness is never sawn again.
 */
const acrossOf = (part: Item, size: SectionSize): Ticks | null => {
  if (!size) return null;
  const { thickness, width } = size;
  const across = thickness === part.thickness ? part.width : thickness === part.width ? part.thickness : null;
  return across !== null && across <= width ? across : null;
};

const isRectangle = (outline: Point[]): boolean => {
  const { left, right, bottom, top } = boxOf(outline);
  return outline.every(
    ([x, y]) => (isNear(x, left) || isNear(x, right)) && (isNear(y, bottom) || isNear(y, top)),
  );
};

/** Where an outline begins and ends along a line across. */
const edgeAt = (outline: Point[], y: Ticks): { left: number; right: number } | null => {
  const xs = outline.filter(([, at]) => isNear(at, y)).map(([x]) => x);
  return xs.length === 2 ? { left: Math.min(...xs), right: Math.max(...xs) } : null;
};

/** Whether a saw can part all pieces: along a board in a row, or by cuts clean through. */
const checkApart = (layout: LayoutToCheck, kerf: Ticks, note: Note): void => {
  const pieces = layout.pieces.map(({ part, outline }): Apart => ({ part, outline, box: boxOf(outline) }));
  const isRow =
    layout.kind === 'board' &&
    pieces.every(({ box }) => isNear(box.bottom, 0) && isNear(box.top, layout.width));
  if (isRow) {
    for (const pair of tooClose(pieces, kerf)) note(pair, 'lie closer than a kerf');
    return;
  }
  if (!canPart(pieces, kerf))
    note(
      layout.pieces.map(({ part }) => part).join(', '),
      'cannot be parted by cuts that run clean through with a kerf between',
    );
};

/** A piece that is to be parted from others. */
interface Apart {
  part: string;
  outline: Point[];
  box: Box;
}

/**
 * Neighbours in a row of pieces as wide as what they are cut from that lie too close: between them there is the kerf of each one's
 * cut, longer along the board where it slants.
 */
const tooClose = (pieces: Apart[], kerf: Ticks): string[] => {
  const row = pieces
    .map(({ part, outline, box: { bottom, top } }) => ({
      part,
      high: top - bottom,
      low: edgeAt(outline, bottom),
      up: edgeAt(outline, top),
    }))
    .sort((a, b) => (a.low?.left ?? 0) + (a.up?.left ?? 0) - (b.low?.left ?? 0) - (b.up?.left ?? 0));
  return row.flatMap((piece, index) => {
    const next = row[index + 1];
    if (!next || !piece.low || !piece.up || !next.low || !next.up) return [];
    const gap = Math.min(next.low.left - piece.low.right, next.up.left - piece.up.right);
    const slope = (edge: number) => Math.hypot(1, edge / piece.high);
    const wanted =
      kerf * Math.max(slope(piece.up.right - piece.low.right), slope(next.up.left - next.low.left));
    return gap < wanted - NEAR ? [`${piece.part}, ${next.part}`] : [];
  });
};

/**
 * Whether pieces can be parted one by one by cuts clean through what is left: guillotine. What lies in one strip, all as wide as it,
 * is parted by cuts as its ends slant.
 */
const canPart = (pieces: Apart[], kerf: Ticks): boolean => {
  const [first] = pieces;
  if (!first || pieces.length < 2) return true;
  for (const [from, to] of [
    ['left', 'right'],
    ['bottom', 'top'],
  ] as const) {
    const sorted = [...pieces].sort((a, b) => a.box[from] - b.box[from]);
    let reached = -Infinity;
    for (const [index, { box }] of sorted.entries()) {
      if (index > 0 && box[from] >= reached + kerf - NEAR)
        return canPart(sorted.slice(0, index), kerf) && canPart(sorted.slice(index), kerf);
      reached = Math.max(reached, box[to]);
    }
  }
  const isStrip = pieces.every(
    ({ box }) => isNear(box.bottom, first.box.bottom) && isNear(box.top, first.box.top),
  );
  return isStrip && tooClose(pieces, kerf).length === 0;
};
