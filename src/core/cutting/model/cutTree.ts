import type { Ticks } from '../../units';
import type { SawSettings } from './settings';
import type { Item } from './item';
import { meanLength, reach, slantedKerf, slantOffset } from './ends';
import { stripWidth } from './ripping';
import { usableLength, type Sized, type Stock } from './stock';

/**
 * How a sheet, or a board that is ripped, is taken apart: by cuts clean through, side by side along the length or
 * across it, each part of that cut again, down to the pieces.
 */
export type Cutting = Leaf | Nested | { axis: Axis; parts: Cutting[] };

/** `along`: beside each other along the stock's length, parted by crosscuts. `across`: parted by rips. */
export type Axis = 'along' | 'across';

/** The axis across another. */
export const otherAxis = (axis: Axis): Axis => (axis === 'along' ? 'across' : 'along');

/** A piece as it lies in a cutting. */
export interface Leaf {
  part: Item;
  along: Extent;
  across: Extent;
}

/** Pieces as wide as their strip, end to end along it, whose slants nest: each is turned as it fits the one before. */
export interface Nested {
  nested: Leaf[];
}

/** A piece's size one way: what is asked, how much less will do, and what a slanted saw takes besides. */
export interface Extent {
  full: Ticks;
  slack: Ticks;
  pad: Ticks;
}

/** A sheet or a ripped board with its cutting. */
export interface FilledPanel {
  stock: Stock;
  cutting: Cutting;
}

/** The least that a piece needs one way. */
export const least = ({ full, slack, pad }: Extent): Ticks => full - slack + pad;

/** Whether a cutting is one piece. */
export const isLeaf = (cutting: Cutting): cutting is Leaf => 'part' in cutting;

/** Whether a cutting is a row of pieces whose slants nest. */
export const isNested = (cutting: Cutting): cutting is Nested => 'nested' in cutting;

/** Whether a piece that lies so can nest in a strip of its width: slanted at both ends, across the face that is seen. */
export const canNest = ({ part: { kind, ends, width }, across }: Leaf): boolean =>
  kind === 'board' &&
  (ends.shape === 'mitre' || ends.shape === 'parallel') &&
  ends.across === 'face' &&
  across.full === width;

/** What a piece takes of a row that nests, with the kerf of its cut: its mean length. In ticks, its slack not taken off. */
export const nestedSize = ({ part: { ends, length, thickness, width } }: Leaf, kerf: Ticks): Ticks =>
  meanLength(ends, length, thickness, width) + slantedKerf(ends, kerf);

/** Parts side by side along an axis; one alone is not parted. So a slanted piece is seen as one, and lies before square ones. */
export const sideBySide = (axis: Axis, parts: Cutting[]): Cutting => {
  const [only, ...others] = parts;
  return only && others.length === 0 ? only : { axis, parts };
};

/** The least that a cutting needs along an axis. */
export const extentOf = (cutting: Cutting, axis: Axis, kerf: Ticks): Ticks =>
  sizeAlong(cutting, axis, kerf, least);

/** What a cutting would take along an axis with none of its pieces short. */
export const wantedExtent = (cutting: Cutting, axis: Axis, kerf: Ticks): Ticks =>
  sizeAlong(cutting, axis, kerf, ({ full, pad }) => full + pad);

/** What a cutting takes along an axis, its pieces as long as `sizeOf` says of each. */
const sizeAlong = (cutting: Cutting, axis: Axis, kerf: Ticks, sizeOf: (extent: Extent) => Ticks): Ticks => {
  if (isLeaf(cutting)) return sizeOf(cutting[axis]);
  if (isNested(cutting))
    return axis === 'along'
      ? nestedExtent(cutting.nested, kerf, sizeOf)
      : Math.max(0, ...cutting.nested.map(({ across }) => sizeOf(across)));
  const parts = cutting.parts.map((part) => sizeAlong(part, axis, kerf, sizeOf));
  return cutting.axis === axis
    ? parts.reduce((sum, part) => sum + part + kerf, -kerf)
    : Math.max(0, ...parts);
};

/** What a row that nests takes along its strip: the largest offset is lost once. */
const nestedExtent = (leaves: Leaf[], kerf: Ticks, sizeOf: (extent: Extent) => Ticks): Ticks => {
  const shortBy = ({ along }: Leaf): Ticks => along.full + along.pad - sizeOf(along);
  return (
    leaves.reduce((sum, leaf) => sum + nestedSize(leaf, kerf) - shortBy(leaf), -kerf) +
    Math.max(0, ...leaves.map(({ part }) => slantOffset(part.ends, part.width)))
  );
};

/** What is left of a sheet or board once its edges are trimmed. */
export const panelRoom = (
  stock: Pick<Stock, 'kind' | 'width'> & Sized,
  settings: SawSettings,
): { length: Ticks; width: Ticks } => {
  const { along, across } = trimOf(stock, settings);
  return { length: usableLength(stock) - 2 * along, width: stock.width - 2 * across };
};

/** What is trimmed off each end and off each long edge. */
export const trimOf = (
  { kind }: Pick<Stock, 'kind'>,
  { endTrim, sheetTrim }: SawSettings,
): { along: Ticks; across: Ticks } =>
  kind === 'sheet'
    ? { along: sheetTrim.ticks, across: sheetTrim.ticks }
    : { along: endTrim.ticks, across: 0 };

/** Whether a cutting fits a stock. */
export const fitsPanel = (cutting: Cutting, stock: Stock, settings: SawSettings): boolean => {
  const { length, width } = panelRoom(stock, settings);
  const kerf = settings.kerf.ticks;
  return extentOf(cutting, 'along', kerf) <= length && extentOf(cutting, 'across', kerf) <= width;
};

/** The pieces of a cutting, in the order in which they are cut. */
export const leavesOf = (cutting: Cutting): Leaf[] =>
  isLeaf(cutting) ? [cutting] : isNested(cutting) ? cutting.nested : cutting.parts.flatMap(leavesOf);

/**
 * The ways in which a part can lie on a stock: a sheet piece as its grain allows, a board piece along a board as thick as
 * one of its sides and no narrower than the other. Empty where it cannot be cut from it.
 */
export const waysOn = (
  part: Item,
  stock: Pick<Stock, 'kind' | 'thickness' | 'width'>,
  settings: SawSettings,
): Leaf[] => {
  if (part.kind !== stock.kind) return [];
  const side = (full: Ticks): Extent => ({ full, slack: part.shortOk, pad: 0 });
  if (part.kind === 'sheet') {
    if (part.thickness !== stock.thickness) return [];
    const given = { part, along: side(part.length), across: side(part.width) };
    const isTurned = part.grain === 'any' && part.length !== part.width;
    return isTurned ? [given, { part, along: given.across, across: given.along }] : [given];
  }
  const across = stripWidth(part, stock.thickness);
  if (across === null || across > stock.width) return [];
  const { ends, length, thickness, width } = part;
  const pad = slantedKerf(ends, settings.kerf.ticks) - settings.kerf.ticks;
  const along = { full: reach(ends, length, thickness, width), slack: part.shortOk, pad };
  return [{ part, along, across: { full: across, slack: 0, pad: 0 } }];
};
