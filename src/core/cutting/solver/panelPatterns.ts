import type { Ticks } from '../../units';
import {
  canNest,
  least,
  nestedSize,
  otherAxis,
  panelRoom,
  sideBySide,
  slantOffset,
  waysOn,
  type Axis,
  type Cutting,
  type SawSettings,
} from '../model';
import { fillOnce } from './fillPanel';
import { inRow, patternOf } from './panelPattern';
import { gridOf, type Grid } from './grid';
import {
  nestedDensity,
  nestedFilling,
  type NestedFilling,
  type NestedPiece,
  type SquareSlot,
} from './nestedRows';
import type {
  CuttingInstance,
  Panel,
  Pattern,
  Placed,
  PricingResult,
  Sizes,
  PatternGenerator,
  TypedLeaf,
} from './types';

/** At most so many cells each way. */
const MAX_CELLS = 4000;

/**
 * A sheet, or a board that is ripped, taken apart in three stages, either way first (planner.md, rules 4 and 5): strips,
 * lengths of a strip, and a third cut of each. The best pattern by dynamic programming over all three, in which a type may
 * come more often than it is wanted: so what it finds bounds all patterns.
 */
export const panels = (
  index: number,
  usable: number[],
  { types, stocks }: CuttingInstance,
  settings: SawSettings,
): PatternGenerator => {
  const stock = stocks[index] as CuttingInstance['stocks'][number];
  const kerf = settings.kerf.ticks;
  const { length, width } = panelRoom(stock, settings);
  const ways = usable
    .flatMap((type) =>
      waysOn((types[type] as CuttingInstance['types'][number]).part, stock, settings).map((leaf) => ({
        type,
        leaf,
      })),
    )
    .filter(({ leaf }) => least(leaf.along) <= length && least(leaf.across) <= width);
  const nesting = ways.filter(({ leaf }) => canNest(leaf));
  const meanOf = ({ leaf }: Pick<Placed, 'leaf'>): Ticks => nestedSize(leaf, kerf) - leaf.along.slack;
  const slantOf = ({ leaf: { part } }: Pick<Placed, 'leaf'>): Ticks => slantOffset(part.ends, part.width);
  const grids: Record<Axis, Grid> = {
    along: gridOf(
      length + kerf,
      ways.map(({ leaf }) => least(leaf.along) + kerf),
      nesting.flatMap((way) => [meanOf(way), slantOf(way)]),
      MAX_CELLS,
    ),
    across: gridOf(
      width + kerf,
      ways.map(({ leaf }) => least(leaf.across) + kerf),
      [],
      MAX_CELLS,
    ),
  };
  const isExact = grids.along.isExact && grids.across.isExact;
  const placed = (round: 'up' | 'down'): Placed[] =>
    ways.map(({ type, leaf }) => ({
      type,
      leaf,
      along: Math.max(1, grids.along[round](least(leaf.along) + kerf)),
      across: Math.max(1, grids.across[round](least(leaf.across) + kerf)),
    }));
  const fitting = placed('up');
  const bounding = isExact ? fitting : placed('down');
  const room: Sizes = { along: grids.along.cells, across: grids.across.cells };

  const nestedOf = (pieces: Placed[], left: number[], round: 'up' | 'down'): NestedPiece[] =>
    pieces
      .filter(({ leaf }) => canNest(leaf))
      .map((placed) => ({
        placed,
        across: placed.across,
        size: Math.max(1, grids.along[round](meanOf(placed))),
        slant: grids.along[round](slantOf(placed)),
        most: left[placed.type] ?? 0,
      }));

  const bestOf = (all: Placed[], worth: Float64Array, left: number[], round: 'up' | 'down') => {
    const pieces = usableNow(all, left);
    const [rips, crosscuts] = [
      threeStages(pieces, nestedOf(pieces, left, round), worth, room, 'across'),
      threeStages(pieces, [], worth, room, 'along'),
    ];
    return crosscuts.most > rips.most ? crosscuts : rips;
  };

  const usableNow = (pieces: Placed[], left: number[]) => pieces.filter(({ type }) => (left[type] ?? 0) > 0);

  // The best may take a type more often than it is wanted: so it bounds all.
  const price = (worth: Float64Array, left: number[]): PricingResult[] => {
    const { most, cutting } = bestOf(fitting, worth, left, 'up');
    const bound = isExact ? most : bestOf(bounding, worth, left, 'down').most;
    return [{ bound, patterns: most > 0 ? [patternOf(index, cutting())] : [] }];
  };

  const fill = (worth: Float64Array, left: number[]): Pattern[] =>
    (['across', 'along'] as const).flatMap((first) => {
      const pieces = usableNow(fitting, left);
      const nested = first === 'across' ? nestedOf(pieces, left, 'up') : [];
      const filled = fillOnce({ pieces, nested, worth, room, first }, left);
      return filled ? [patternOf(index, filled)] : [];
    });

  const panel = inTicks(ways, { along: length + kerf, across: width + kerf }, kerf);
  return { stocks: [index], panel, price, fill, enumerate: () => null };
};

/** How pieces lie on a panel, with a kerf each way. */
const inTicks = (ways: Pick<Placed, 'type' | 'leaf'>[], room: Sizes, kerf: Ticks): Panel => ({
  room,
  ways: ways.map(({ type, leaf }) => ({
    type,
    leaf,
    along: least(leaf.along) + kerf,
    across: least(leaf.across) + kerf,
  })),
});

/**
 * The most that three stages bring: the first cuts part the room along `first` (`across`: rips), the second each strip the
 * other way, the third each of those along `first` again, into pieces that are exactly as long as it. Of `nested`, what is as wide as
 * its strip nests in it.
 */
const threeStages = (
  pieces: Placed[],
  nested: NestedPiece[],
  worth: Float64Array,
  room: Sizes,
  first: Axis,
): { most: number; cutting: () => Cutting } => {
  const second: Axis = otherAxis(first);
  const [high, wide] = [room[first], room[second]];
  const bySize = new Map<number, Placed[]>();
  for (const piece of pieces)
    if (piece[first] <= high && piece[second] <= wide && (worth[piece.type] ?? 0) > 0)
      bySize.set(piece[second], [...(bySize.get(piece[second]) ?? []), piece]);
  // Third cuts: the most that a part so wide and h high holds.
  const stacks = [...bySize].map(([size, own]) => ({ size, own, ...stackOf(own, worth, high, first) }));
  const heights = new Set<number>();
  for (const { worths } of stacks)
    for (let h = 1; h <= high; h++) if ((worths[h] as number) > (worths[h - 1] as number)) heights.add(h);
  const { strips, total } = firstCuts({ stacks, heights, nested, worth, high, wide });
  return { most: total[high] as number, cutting };

  function cutting(): Cutting {
    const stripAt = (cell: number) =>
      strips.find(
        ({ height, worth: value }) =>
          height <= cell && (total[cell - height] as number) + value === total[cell],
      );
    const chosen = readBack(total, high, stripAt, ({ height }) => height);
    return {
      axis: first,
      parts: chosen.map(({ height, filling }) => (filling ? nestedStrip(filling, height) : stripOf(height))),
    };
  }

  function nestedStrip({ filling }: NestedFilling, height: number): Cutting {
    const { nested: row, slots } = filling();
    const behind = slots.flatMap((count, index) => {
      const stack = stacks[index];
      return stack ? Array.from({ length: count }, () => stackedIn(stack, height)) : [];
    });
    const typed = row.map(({ leaf, type }): TypedLeaf => ({ ...leaf, type }));
    return sideBySide(second, [...inRow(typed), ...behind]);
  }

  function stripOf(height: number): Cutting {
    const row = rowOf(stacks, height, wide);
    const stackAt = (cell: number) =>
      stacks.find(
        ({ size, worths }) =>
          size <= cell &&
          (worths[height] as number) > 0 &&
          (row[cell - size] as number) + (worths[height] as number) === row[cell],
      );
    const chosen = readBack(row, wide, stackAt, ({ size }) => size);
    return sideBySide(
      second,
      chosen.map((stack) => stackedIn(stack, height)),
    );
  }

  function stackedIn({ worths, own }: { worths: Float64Array; own: Placed[] }, height: number): Cutting {
    const pieceAt = (cell: number) =>
      own.find(
        (placed) =>
          placed[first] <= cell &&
          (worths[cell - placed[first]] as number) + (worth[placed.type] as number) === worths[cell],
      );
    const chosen = readBack(worths, height, pieceAt, (placed) => placed[first]);
    return sideBySide(
      first,
      chosen.map(({ leaf, type }): TypedLeaf => ({ ...leaf, type })),
    );
  }
};

/** Parts of one size the second way: the pieces in them, and by height what such a part is worth at the most. */
interface Stacks {
  size: number;
  own: Placed[];
  worths: Float64Array;
}

interface Strip {
  height: number;
  worth: number;
  /** What nests in it; null: it is of stacks alone. */
  filling: NestedFilling | null;
}

/** What can stand in a strip so high behind a row that nests. */
const slotsIn = (stacks: Stacks[], height: number): SquareSlot[] =>
  stacks.map(({ size, worths }) => ({ size, worth: worths[height] as number, most: Infinity }));

/**
 * First cuts, by what a strip so high is worth (second cuts): strips that lower ones side by side may be worth as much as are passed
 * over, as soon as a bound of theirs says so. `total`: the most that strips so high together are worth.
 */
const firstCuts = ({
  stacks,
  heights,
  nested,
  worth,
  high,
  wide,
}: {
  stacks: Stacks[];
  heights: Set<number>;
  nested: NestedPiece[];
  worth: Float64Array;
  high: number;
  wide: number;
}): { strips: Strip[]; total: Float64Array } => {
  const strips: Strip[] = [];
  const total = new Float64Array(high + 1);
  for (let cell = 1; cell <= high; cell++) {
    let most = total[cell - 1] as number;
    for (const { height, worth: value } of strips) {
      const sum = (total[cell - height] as number) + value;
      if (sum > most) most = sum;
    }
    const nesting = nested.filter(({ across }) => across === cell);
    const highest = Math.max(atMost(stacks, cell, wide), nestedDensity(nesting, worth) * wide * (1 + 1e-12));
    if (heights.has(cell) && highest > most) {
      const plain = rowOf(stacks, cell, wide)[wide] as number;
      const filling = nestedFilling(nesting, slotsIn(stacks, cell), worth, wide);
      const isNested = filling !== null && filling.worth > plain;
      const value = isNested ? filling.worth : plain;
      if (value > most) {
        strips.push({ height: cell, worth: value, filling: isNested ? filling : null });
        most = value;
      }
    }
    total[cell] = most;
  }
  return { strips, total };
};

/** What a table of best values was made of: walks back from its last cell; a cell worth no more than the one before is empty. */
const readBack = <T>(
  best: Float64Array,
  from: number,
  takenAt: (cell: number) => T | undefined,
  sizeOf: (taken: T) => number,
): T[] => {
  const taken: T[] = [];
  let cell = from;
  while (cell > 0 && (best[cell] as number) > 0) {
    if (best[cell] === best[cell - 1]) {
      cell--;
      continue;
    }
    const last = takenAt(cell);
    if (last === undefined) break;
    taken.push(last);
    cell -= sizeOf(last);
  }
  return taken;
};

/** What a strip cannot be worth more than: filled with what is worth most for its size, the last in part. */
const atMost = (stacks: { size: number; worths: Float64Array }[], height: number, wide: number): number => {
  let best = 0;
  for (const { size, worths } of stacks) best = Math.max(best, (worths[height] as number) / size);
  return best * wide * (1 + 1e-12);
};

const stackOf = (own: Placed[], worth: Float64Array, high: number, axis: Axis): { worths: Float64Array } => {
  const worths = new Float64Array(high + 1);
  for (let cell = 1; cell <= high; cell++) {
    let most = worths[cell - 1] as number;
    for (const piece of own) {
      if (piece[axis] > cell) continue;
      const sum = (worths[cell - piece[axis]] as number) + (worth[piece.type] as number);
      if (sum > most) most = sum;
    }
    worths[cell] = most;
  }
  return { worths };
};

const rowOf = (
  stacks: { size: number; worths: Float64Array }[],
  height: number,
  wide: number,
): Float64Array => {
  const row = new Float64Array(wide + 1);
  const usable = stacks.filter(({ worths }) => (worths[height] as number) > 0);
  const sizes = Int32Array.from(usable.map(({ size }) => size));
  const values = Float64Array.from(usable.map(({ worths }) => worths[height] as number));
  const smallest = Math.min(...sizes);
  for (let cell = smallest; cell <= wide; cell++) {
    let most = row[cell - 1] as number;
    for (let index = 0; index < sizes.length; index++) {
      const size = sizes[index] as number;
      if (size > cell) continue;
      const sum = (row[cell - size] as number) + (values[index] as number);
      if (sum > most) most = sum;
    }
    row[cell] = most;
  }
  return row;
};
