/** Something to put on a board: its size in cells, its worth, and how often at most. */
export interface Item {
  size: number;
  worth: number;
  most: number;
}

/**
 * Items of one slant. Of the blocks of which something is taken, the first one's `charge` is taken once: blocks come in the
 * order of falling charges, and slants nest in those that are steeper.
 */
export interface Block {
  charge: number;
  items: Item[];
}

/**
 * The bounded knapsack by dynamic programming, block by block from the last: `layers[b][i][c]` is the most that items i
 * and later of block b, with all later blocks, are worth in c cells, a charge paid; `entry[b][c]` the same from the start
 * of block b, before any is paid.
 */
export interface Table {
  blocks: Block[];
  layers: Float64Array[][];
  entry: Float64Array[];
}

/** Fills the table of a knapsack over blocks, the last first: for each length in cells the best value, from shorter ones. */
export const fillTable = (blocks: Block[], cells: number): Table => {
  const layers: Float64Array[][] = [];
  const entry: Float64Array[] = [];
  let paid = new Float64Array(cells + 1);
  let unpaid = paid;
  for (let at = blocks.length - 1; at >= 0; at--) {
    const { charge, items } = blocks[at] as Block;
    const own: Float64Array[] = [];
    let last = paid;
    for (let index = items.length - 1; index >= 0; index--) {
      last = withItem(last, items[index] as Item, cells);
      own[index] = last;
    }
    layers[at] = own;
    paid = last;
    unpaid = charge === 0 ? paid : charged(unpaid, paid, charge, cells);
    entry[at] = unpaid;
  }
  return { blocks, layers, entry };
};

const charged = (
  without: Float64Array,
  paid: Float64Array,
  charge: number,
  cells: number,
): Float64Array<ArrayBuffer> => {
  const best = Float64Array.from(without);
  for (let cell = charge; cell <= cells; cell++)
    best[cell] = Math.max(best[cell] ?? 0, paid[cell - charge] ?? 0);
  return best;
};

const withItem = (later: Float64Array, item: Item, cells: number): Float64Array<ArrayBuffer> => {
  const best = Float64Array.from(later);
  addItem(best, item, cells);
  return best;
};

/** Makes a table over: what is in it, or the item as often as it fits and is wanted besides. */
const addItem = (best: Float64Array, { size, worth, most }: Item, cells: number): void => {
  if (worth <= 0 || most === 0) return;
  if (most * size >= cells) {
    for (let cell = size; cell <= cells; cell++) improve(best, cell, size, worth);
    return;
  }
  for (let count = 0; count < most; count++)
    for (let cell = cells; cell >= size; cell--) improve(best, cell, size, worth);
};

const improve = (best: Float64Array, cell: number, size: number, worth: number): void => {
  const sum = (best[cell - size] as number) + worth;
  if (sum > (best[cell] as number)) best[cell] = sum;
};

/** What items are worth at the most in each number of cells, without what they are: one table, made over in place. */
export const bestValues = (items: Item[], cells: number): Float64Array => {
  const best = new Float64Array(cells + 1);
  for (const item of items) addItem(best, item, cells);
  return best;
};

/** What the blocks after one are worth once a charge is paid; none: nothing. A block without items passes on the next. */
export const laterOf = (layers: Float64Array[][], at: number): Float64Array | undefined => {
  for (let next = at + 1; next < layers.length; next++) {
    const first = layers[next]?.[0];
    if (first) return first;
  }
  return undefined;
};

/** How often each item of each block is taken in the best filling of `cells`. */
export const bestOf = ({ blocks, layers, entry }: Table, cells: number): number[][] => {
  let cell = cells;
  let isPaid = false;
  return blocks.map(({ charge, items }, at) => {
    const counts = items.map(() => 0);
    if (!isPaid) {
      const without = entry[at + 1]?.[cell] ?? 0;
      if ((entry[at]?.[cell] ?? 0) <= without + 1e-12 || charge > cell) return counts;
      cell -= charge;
      isPaid = true;
    }
    items.forEach(({ size, worth, most }, index) => {
      const later = layers[at]?.[index + 1] ?? laterOf(layers, at);
      // The count that brings most of those that fit: no tolerance decides what lies on a board.
      let [best, count] = [-1, 0];
      for (let tried = 0; tried <= most && tried * size <= cell; tried++) {
        const sum = (later?.[cell - tried * size] ?? 0) + (worth > 0 ? tried * worth : 0);
        if (sum > best + 1e-12 * Math.abs(best)) [best, count] = [sum, tried];
      }
      counts[index] = count;
      cell -= count * size;
    });
    return counts;
  });
};
