import { nameKey } from '../../nameKey';
import { hardwareKey } from '../../hardwareKey';
import type { Ticks } from '../../units';
import type { Ends } from './ends';
import type { Point } from './point';

/** Boards and sheets are cut; what is called hardware is only bought. */
export type Kind = 'board' | 'sheet' | 'hardware';

/** Whether a sheet item may be turned. */
export type Grain = 'any' | 'length';

/** The finished face of a piece that is shaped by hand after it is sawn. */
export interface ItemShape {
  /** Counter-clockwise from the lower left corner of the rectangle of one piece, without its holes. */
  outline: Point[];
  /** Two: the rectangle holds a second one turned end for end, and the pair is parted by hand. */
  pieces: 1 | 2;
}

/** Something that is wanted so many times: a piece to cut, or a thing to buy. */
export interface Item {
  id: string;
  /** Labels: nothing is decided by them. */
  name: string;
  group: string;
  groupId: string;
  kind: Kind;
  /** The demand. */
  count: number;
  /** Sheets: trade thickness. */
  thickness: Ticks;
  length: Ticks;
  width: Ticks;
  ends: Ends;
  grain: Grain;
  /** Absent: it is finished as it is sawn. */
  shape?: ItemShape;
  /** How much shorter a piece may come out. */
  shortOk: Ticks;
  /** Names of the materials it may be of; empty: any. */
  materials: string[];
  /** Hardware: the name of what is bought. */
  item: string;
  /** Hardware: how many are used up where they need not be whole, as of cans; absent: `count`. */
  fractionalQuantity?: number;
}

/** How many of something are used up: of cans and bags not whole ones. */
export const consumedQuantity = ({
  count,
  fractionalQuantity,
}: Pick<Item, 'count' | 'fractionalQuantity'>): number => fractionalQuantity ?? count;

/** So little of a can or bag is no reason for another. */
export const QUANTITY_TOLERANCE = 1e-3;

/** Whole ones still to buy where so many are used up and so many are there. */
export const packsToBuy = (used: number, there: number): number =>
  Math.max(0, Math.ceil(used - there - QUANTITY_TOLERANCE));

/** Whether a thing of `material` will do for an item that allows `materials`. */
export const allows = (materials: string[], material: string): boolean =>
  materials.length === 0 || materials.some((name) => nameKey(name) === nameKey(material));

/** Items that are bought as one thing have one key: of one section or thickness and choice of materials, or of one name. */
export const needKey = (item: Pick<Item, 'kind' | 'item' | 'thickness' | 'width' | 'materials'>): string => {
  if (item.kind === 'hardware') return `hardware:${hardwareKey(item.item)}`;
  const size = item.kind === 'board' ? `${item.thickness}x${item.width}` : `${item.thickness}`;
  return `${item.kind}:${size}:${item.materials.map(nameKey).sort().join('|')}`;
};
