import { fromMm, type Ticks } from '../units';
import { sidesOf } from '../plan';
import { leftBy, type SawBoard } from './boards';

/** What to mind at a cut. */
export type SawHazard = 'thinStrip' | 'shortPiece' | 'longBoard' | 'largeSheet';

/** Each once: two or three words, and what is done about it. Rules of thumb, common practice; the saw's own manual comes first. */
export const SAW_HAZARDS: Record<SawHazard, { title: string; sentence: string }> = {
  thinStrip: {
    title: 'Narrow strip',
    sentence:
      'Let it fall on the side away from the fence, or use a push stick that you do not mind cutting.',
  },
  shortPiece: {
    title: 'Short piece',
    sentence:
      'Hold it by a clamp, not by hand, and cut it from the longer piece while that can still be held.',
  },
  longBoard: {
    title: 'Long board',
    sentence: 'Support its far end, so that it neither tips nor pinches the blade.',
  },
  largeSheet: {
    title: 'Large sheet',
    sentence:
      'Support it on both sides of the cut; for the first cuts a second pair of hands, or a saw that is guided over it.',
  },
};

/** Strips narrower than this are thin: an inch and a half. */
const THIN: Ticks = fromMm(38.1);
/** Pieces shorter than this bring hands near the blade: eight inches. */
const SHORT: Ticks = fromMm(203.2);
/** Boards longer than this tip: six feet. */
const LONG: Ticks = fromMm(1828.8);
/** Sheets of which both sides are longer than this: two feet. */
const LARGE: Ticks = fromMm(609.6);

/** What to mind at one cut of a board, by its place in the sequence; nothing where the store makes it. */
export const hazardsOf = (
  { layout, sequence }: Pick<SawBoard, 'layout' | 'sequence'>,
  index: number,
): SawHazard[] => {
  const cut = sequence.cuts[index];
  if (!cut || cut.store) return [];
  const found: SawHazard[] = [];
  const pieces = ([0, 1] as const).flatMap((side) => {
    const left = leftBy(sequence, cut, side);
    const piece = typeof left === 'number' ? layout.pieces[left] : undefined;
    return piece ? [sidesOf(piece.outline)] : [];
  });
  const strip = cut.setup.tool === 'fence' && layout.kind === 'board' ? cut.setup.fence : Infinity;
  if (cut.kind === 'rip' && Math.min(strip, ...pieces.map(({ across }) => across)) < THIN)
    found.push('thinStrip');
  if (cut.kind === 'crosscut' && Math.min(Infinity, ...pieces.map(({ along }) => along)) < SHORT)
    found.push('shortPiece');
  // Its first cut, where the store has not parted it before.
  const isWhole = index === 0;
  if (isWhole && layout.kind === 'board' && layout.length > LONG) found.push('longBoard');
  if (isWhole && layout.kind === 'sheet' && Math.min(layout.length, layout.width) > LARGE)
    found.push('largeSheet');
  return found;
};
