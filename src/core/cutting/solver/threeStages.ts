import { otherAxis, sideBySide, type Axis, type Cutting } from '../model';
import { bestOf, bestValues, fillTable, type Item } from './knapsack';
import {
  nestedDensity,
  nestedFilling,
  type NestedFilling,
  type NestedPiece,
  type SquareSlot,
} from './nestedRows';
import { inRow } from './panelPattern';
import type { Placed, Sizes, TypedLeaf } from './types';

/**
 * The most that three stages bring: the first cuts part the room along `first` (`across`: rips), the second each strip the
 * other way, the third each of those along `first` again, into pieces that are exactly as long as it. Of `nested`, what is as wide as
 * its strip nests in it. `left`: a stack, and a strip of stacks, takes no more of a type one way round than are wanted; strips
 * together may, so what it finds bounds all patterns.
 */
export const threeStages = (
  pieces: Placed[],
  nested: NestedPiece[],
  worth: Float64Array,
  left: number[],
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
  const stacks = [...bySize].map(([size, own]): Stacks => {
    const items = own.map((piece): Item => ({
      size: piece[first],
      worth: worth[piece.type] ?? 0,
      most: Math.min(left[piece.type] ?? 0, Math.floor(high / piece[first])),
    }));
    return { size, own, items, worths: bestValues(items, high) };
  });
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
    const typed = row.map(({ leaf, type }): TypedLeaf => ({ ...leaf, type }));
    return sideBySide(second, [...inRow(typed), ...stacksOf(slots, height)]);
  }

  function stripOf(height: number): Cutting {
    const items = slotsIn(stacks, height);
    const [counts = []] = bestOf(fillTable([{ charge: 0, items }], wide), wide);
    return sideBySide(second, stacksOf(counts, height));
  }

  /** So many of each stack, in a strip so high. */
  function stacksOf(counts: number[], height: number): Cutting[] {
    return counts.flatMap((count, index) => {
      const stack = stacks[index];
      return stack ? Array.from({ length: count }, () => stackedIn(stack, height)) : [];
    });
  }

  function stackedIn({ items, own }: Stacks, height: number): Cutting {
    const [counts = []] = bestOf(fillTable([{ charge: 0, items }], height), height);
    const chosen = own.flatMap(({ leaf, type }, index) =>
      Array.from({ length: counts[index] ?? 0 }, (): TypedLeaf => ({ ...leaf, type })),
    );
    return sideBySide(first, chosen);
  }
};

/** Parts of one size the second way: the pieces in them, and by height what such a part is worth at the most. */
interface Stacks {
  size: number;
  own: Placed[];
  items: Item[];
  worths: Float64Array;
}

interface Strip {
  height: number;
  worth: number;
  /** What nests in it; null: it is of stacks alone. */
  filling: NestedFilling | null;
}

/** What can stand in a strip so high: of each size no more stacks than there are pieces for. */
const slotsIn = (stacks: Stacks[], height: number): SquareSlot[] =>
  stacks.map(({ size, worths, items }) => ({
    size,
    worth: worths[height] as number,
    most: items.reduce((sum, item) => sum + (item.size <= height ? item.most : 0), 0),
  }));

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
    const strip = heights.has(cell) ? bestStrip(cell, most) : null;
    if (strip) {
      strips.push(strip);
      most = strip.worth;
    }
    total[cell] = most;
  }
  return { strips, total };

  /** The best strip of a height; null where it is worth no more than what is there. */
  function bestStrip(height: number, most: number): Strip | null {
    const nesting = nested.filter(({ across }) => across === height);
    const slots = slotsIn(stacks, height);
    // What nests may fill what the stacks leave, cell by cell.
    const rows = { size: 1, worth: nestedDensity(nesting, worth), most: wide };
    if (atMost([...slots, rows], wide) <= most) return null;
    const plain = bestValues(slots, wide)[wide] as number;
    const filling = nestedFilling(nesting, slots, worth, wide);
    const isNested = filling !== null && filling.worth > plain;
    const value = isNested ? filling.worth : plain;
    return value > most ? { height, worth: value, filling: isNested ? filling : null } : null;
  }
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
const atMost = (slots: SquareSlot[], wide: number): number => {
  let best = 0;
  let free = wide;
  for (const { size, worth, most } of [...slots].sort((a, b) => b.worth / b.size - a.worth / a.size)) {
    const taken = Math.min(free, size * most);
    best += (worth / size) * taken;
    free -= taken;
    if (free <= 0) break;
  }
  return best * (1 + 1e-12);
};
