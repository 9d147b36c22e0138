import type { Ticks } from '../../units';
import { type SawSettings, slantOffset } from '../model';
import { room } from '../heuristics/packBoards';
import { gridOf, type Grid } from './grid';
import { bestOf, fillTable, laterOf, type Block, type Item, type Table } from './knapsack';
import type { CuttingInstance, Pattern, PricingResult, PatternGenerator } from './types';

/** One piece, or two that share a slanted cut. */
interface Entry {
  parts: [type: number, count: number][];
  size: Ticks;
  /** The offset of its slants; 0: it does not nest. */
  slant: Ticks;
  isExact: boolean;
}

/** More cells times entries than this are not worth a table: the grid is made coarser. */
const MAX_STATES = 12e6;

/**
 * Boards of one section and material that are crosscut: pieces end to end, slants nested in those that are steeper (planner.md,
 * rules 1 to 3). `indices` are those of the stocks, `usable` those of the types of this section that may be of this material.
 */
export const crosscuts = (
  indices: number[],
  usable: number[],
  { types, stocks }: CuttingInstance,
  settings: SawSettings,
): PatternGenerator => {
  const rooms = indices.map((index) => {
    const stock = stocks[index];
    return stock ? room(stock, settings) : 0;
  });
  const entries = entriesOf(usable, { types, stocks }, settings.kerf.ticks);
  const longest = Math.max(...rooms);
  const exact = entries.filter(({ isExact }) => isExact).map(({ size }) => size);
  const others = entries.flatMap(({ isExact, size, slant }) =>
    isExact ? [] : slant > 0 ? [size, slant] : [size],
  );
  const grid = gridOf(longest, exact, others, Math.max(2000, Math.min(120_000, MAX_STATES / entries.length)));
  const slants = [...new Set(entries.map(({ slant }) => slant))].sort((a, b) => b - a);
  const groups = slants.map((slant) => ({
    slant,
    entries: entries.filter((entry) => entry.slant === slant).sort((a, b) => b.size - a.size),
  }));
  const blocksFor = (worth: Float64Array, left: number[], cellsOf: (size: Ticks) => number): Block[] =>
    groups.map(({ slant, entries: own }) => ({
      charge: cellsOf(slant),
      items: own.map(({ parts, size }): Item => ({
        size: Math.max(1, cellsOf(size)),
        worth: parts.reduce((sum, [type, count]) => sum + (worth[type] ?? 0) * count, 0),
        most: Math.min(...parts.map(([type, count]) => Math.floor((left[type] ?? 0) / count))),
      })),
    }));

  const patternOf = (index: number, counts: number[][]): Pattern => {
    const sums = new Map<number, number>();
    groups.forEach(({ entries: own }, at) =>
      own.forEach(({ parts }, item) => {
        for (const [type, count] of parts)
          sums.set(type, (sums.get(type) ?? 0) + count * (counts[at]?.[item] ?? 0));
      }),
    );
    return {
      stock: index,
      counts: [...sums].filter(([, count]) => count > 0).sort(([a], [b]) => a - b),
      cutting: null,
    };
  };

  const price = (worth: Float64Array, left: number[]): PricingResult[] => {
    const table = fillTable(blocksFor(worth, left, grid.up), grid.cells);
    // Rounded up, sizes give patterns that fit; rounded down, what none can exceed.
    const bound = grid.isExact ? table : fillTable(blocksFor(worth, left, grid.down), cellsIn(longest, grid));
    return rooms.map((space, at): PricingResult => {
      const cells = cellsIn(space, grid);
      const highest = valueAt(bound, cells);
      const best = valueAt(table, cells);
      return {
        bound: highest,
        patterns: best > 0 ? [patternOf(indices[at] ?? 0, bestOf(table, cells))] : [],
      };
    });
  };

  return {
    stocks: indices,
    panel: null,
    price,
    fill: (worth, left) => price(worth, left).flatMap(({ patterns }) => patterns),
    enumerate: (at, worth, least, limit) => {
      const left = types.map(({ demand }) => demand);
      const room = rooms[at] ?? 0;
      // Rounded down, sizes leave out none that fits; rounded up, they tell which are surely not full.
      const table = fillTable(blocksFor(worth, left, grid.down), cellsIn(longest, grid));
      const sure = { blocks: blocksFor(worth, left, grid.up), cells: cellsIn(room, grid) };
      const all = nearBest(table, cellsIn(room, grid), sure, least, limit);
      return all && withoutTwins(all.map((counts) => patternOf(indices[at] ?? 0, counts)));
    },
  };

  function cellsIn(space: Ticks, { down, cells }: Grid): number {
    return Math.min(cells, down(space));
  }
};

const valueAt = ({ entry }: Table, cells: number): number => entry[0]?.[cells] ?? 0;

/** What can lie on such a board: every type by itself, and those with one slanted end in pairs. */
const entriesOf = (usable: number[], { types }: CuttingInstance, kerf: Ticks): Entry[] => {
  const single = usable.flatMap((type): Entry[] => {
    const board = types[type]?.board;
    if (!board) return [];
    return [
      {
        parts: [[type, 1]],
        size: board.size - board.slack,
        slant: board.slant,
        isExact: types[type]?.part.ends.shape === 'square',
      },
    ];
  });
  const ones = usable.filter((type) => oneSlant(type, types) > 0);
  const pairs = ones.flatMap((a, index) =>
    ones.slice(index).flatMap((b): Entry[] => {
      const [first, second] = [types[a]?.board, types[b]?.board];
      const slant = oneSlant(a, types);
      if (!first || !second || slant !== oneSlant(b, types)) return [];
      // One slanted cut between them, a square one behind.
      const size = first.size - first.slack + second.size - second.slack - slant - (second.kerf - kerf);
      return [
        {
          parts:
            a === b
              ? [[a, 2]]
              : [
                  [a, 1],
                  [b, 1],
                ],
          size,
          slant: 0,
          isExact: false,
        },
      ];
    }),
  );
  return [...single, ...pairs];
};

/** The offset of a piece with one end slanted across its face; 0: it is not such a piece. */
const oneSlant = (type: number, types: CuttingInstance['types']): Ticks => {
  const part = types[type]?.part;
  if (part?.ends.shape !== 'one' || part.ends.across !== 'face') return 0;
  return slantOffset(part.ends, part.width);
};

/** The same pieces on a board, put together by themselves or in pairs, are one pattern. */
const withoutTwins = (patterns: Pattern[]): Pattern[] => [
  ...new Map(patterns.map((pattern) => [pattern.counts.join(';'), pattern])).values(),
];

/**
 * Every way to fill so many cells that is worth `least` or more, and in which nothing more fits for `sure`; null where there are
 * more than `limit`.
 */
const nearBest = (
  { blocks, layers, entry }: Table,
  cells: number,
  sure: { blocks: Block[]; cells: number },
  least: number,
  limit: number,
): number[][][] | null => {
  const found: number[][][] = [];
  const counts = blocks.map(({ items }) => items.map(() => 0));
  const search = { isOver: false, steps: 0 };

  const isFull = (): boolean => {
    const steepest = sure.blocks.find((_, at) => counts[at]?.some((count) => count > 0))?.charge ?? 0;
    const taken = sure.blocks.reduce(
      (sum, { items }, at) =>
        sum + items.reduce((own, { size }, index) => own + size * (counts[at]?.[index] ?? 0), 0),
      steepest,
    );
    return sure.blocks.every(({ charge, items }, at) => {
      const left = sure.cells - taken - Math.max(0, charge - steepest);
      return items.every(({ size, most }, index) => (counts[at]?.[index] ?? 0) >= most || size > left);
    });
  };

  const isStopped = () => search.steps > 400 * limit || found.length > limit;

  const visit = (at: number, index: number, left: number, worth: number, isPaid: boolean): void => {
    if (search.isOver) return;
    if (++search.steps > 400 * limit) {
      search.isOver = true;
      return;
    }
    const block = blocks[at];
    if (!block) {
      if (isFull()) found.push(counts.map((own) => [...own]));
      search.isOver = found.length > limit;
      return;
    }
    const item = block.items[index];
    if (!item) return visit(at + 1, 0, left, worth, isPaid);
    const inBlock = index + 1 < block.items.length ? layers[at]?.[index + 1] : undefined;
    const paid = inBlock ?? laterOf(layers, at);
    // Of a block not yet paid for, its later items are reckoned without the charge: never too little.
    const unpaid = inBlock ?? entry[at + 1];
    for (let count = 0; count <= item.most; count++) {
      const rest = left - count * item.size - (count > 0 && !isPaid ? block.charge : 0);
      if (rest < 0) break;
      const sum = worth + count * item.worth;
      const isPaidNow = isPaid || count > 0;
      const later = isPaidNow ? paid : unpaid;
      if (sum + (later?.[rest] ?? 0) < least) continue;
      const own = counts[at] as number[];
      own[index] = count;
      visit(at, index + 1, rest, sum, isPaidNow);
      own[index] = 0;
      if (isStopped()) return;
    }
  };
  visit(0, 0, cells, 0, false);
  return search.isOver ? null : found;
};
