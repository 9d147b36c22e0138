import type { Ticks } from '../../units';
import {
  canNest,
  least,
  nestedSize,
  panelRoom,
  slantOffset,
  waysOn,
  type Axis,
  type SawSettings,
} from '../model';
import { fillOnce } from './fillPanel';
import { gridOf, type Grid } from './grid';
import type { NestedPiece } from './nestedRows';
import { patternOf } from './panelPattern';
import { threeStages } from './threeStages';
import type {
  CuttingInstance,
  Panel,
  Pattern,
  Placed,
  PricingResult,
  Sizes,
  PatternGenerator,
} from './types';

/** At most so many cells each way. */
const MAX_CELLS = 4000;

/**
 * A sheet, or a board that is ripped, taken apart in three stages, either way first (planner.md, rules 4 and 5): strips,
 * lengths of a strip, and a third cut of each. The best pattern by dynamic programming over all three, in which a type may
 * come in several strips, and more often than it is wanted: so what it finds bounds all patterns.
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
      threeStages(pieces, nestedOf(pieces, left, round), worth, left, room, 'across'),
      threeStages(pieces, [], worth, left, room, 'along'),
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
