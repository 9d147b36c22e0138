import type { Ticks } from '../units';
import type { Layout, SawCut, Sequence } from '../cutting/model';
import type { SawnBoard } from '../project';
import { textHash } from '../textHash';
import { checkedSequence } from './checked';
import { countSetups } from './setups';

/** One board or sheet that is to be sawn, with its cuts in their order. */
export interface SawBoard {
  /** The same for the same cuts on the same stock, whatever else of the plan changes. */
  key: string;
  layout: Layout;
  /** Its place among the drawings of the plan, from one. */
  number: number;
  sequence: Sequence;
  /** How often the saw is set for it. */
  setups: number;
}

/**
 * All boards and sheets of a plan one by one, with the saw's work on each. `refused`: drawings whose work the checker could not
 * do again, by their number; they are not among the boards.
 * `toFit`: ids of parts that are cut to fit; boards with such pieces come last.
 */
export const boardsToSaw = (
  layouts: Layout[],
  kerf: Ticks,
  toFit: ReadonlySet<string> = NOTHING,
): { boards: SawBoard[]; refused: number[] } => {
  const boards: SawBoard[] = [];
  const refused: number[] = [];
  const seen = new Map<string, number>();
  for (const [index, layout] of layouts.entries()) {
    const sequence = checkedSequence(layout, layout.sawn?.kerf ?? kerf);
    if (!sequence) {
      refused.push(index + 1);
      continue;
    }
    const setups = countSetups(sequence.cuts);
    if (layout.sawn) {
      boards.push({ key: sawnKey(layout.sawn.id), layout, number: index + 1, sequence, setups });
      continue;
    }
    const name = drawingName(layout, kerf);
    const before = seen.get(name) ?? 0;
    seen.set(name, before + layout.count);
    for (let nth = 1; nth <= layout.count; nth++)
      boards.push({ key: `${name}#${before + nth}`, layout, number: index + 1, sequence, setups });
  }
  const isHeldBack = ({ layout }: SawBoard) => layout.pieces.some(({ partId }) => toFit.has(partId));
  return {
    boards: [...boards.filter((board) => !isHeldBack(board)), ...boards.filter(isHeldBack)],
    refused,
  };
};

const NOTHING: ReadonlySet<string> = new Set();

/** The key of a board on which sawing has begun, by the id of its record. */
export const sawnKey = (id: string): string => `sawn:${id}`;

/** A short name for what is cut and from what. `kerf` in ticks. */
export const drawingName = (drawing: SawnBoard | Layout, kerf: Ticks): string => {
  const { section, material, length, width, pieces } = drawing;
  const made = pieces.map(({ partId, outline }) => [
    partId,
    outline.map((corner) => (Array.isArray(corner) ? corner : [corner.x, corner.y])),
  ]);
  return textHash(JSON.stringify([section, material, length, width, kerf, made]));
};

/** The pieces of a layout, by their index, that are cut free once so many cuts are done. */
export const piecesFree = ({ cuts, leaves }: Sequence, done: number): Set<number> => {
  const there = new Set([0]);
  for (const { from, to } of cuts.slice(0, done)) {
    there.delete(from);
    for (const id of to) if (id !== null) there.add(id);
  }
  const free = new Set<number>();
  for (const id of there) {
    const is = leaves[id];
    if (typeof is === 'number') free.add(is);
  }
  return free;
};

/** What a cut leaves on a side of its line: a piece of the layout by its index, an offcut, waste, or what is cut further. */
export const leftBy = (
  { leaves }: Sequence,
  cut: SawCut,
  side: 0 | 1,
): number | 'offcut' | 'waste' | 'more' | null => {
  const id = cut.to[side];
  return id === null ? null : (leaves[id] ?? 'more');
};
