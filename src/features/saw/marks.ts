import type { BoardMark } from '@/core/project';
import type { BoardThere } from '@/core/sawing';
import { formatLength, type LengthUnit, type Ticks } from '@/core/units';

/** What may be wrong with a stretch of a board. */
export const MARK_KINDS: readonly { value: BoardMark['kind']; label: string }[] = [
  { value: 'knot', label: 'Knot' },
  { value: 'wane', label: 'Wane' },
  { value: 'split', label: 'Split' },
  { value: 'stain', label: 'Stain' },
  { value: 'staple', label: 'Staple' },
  { value: 'crook', label: 'Crook' },
  { value: 'other', label: 'Something else' },
];

/** A mark in words, as `Knot, 40" to 42"`. */
export const markWords = ({ from, to, kind }: BoardMark, unit: LengthUnit): string =>
  `${MARK_KINDS.find(({ value }) => value === kind)?.label ?? kind}, ${formatLength(from, unit)} to ${formatLength(to, unit)}`;

/** What is wrong with a stretch that is to be marked, as a sentence; null: nothing. Null for a measure: it is not told. In ticks. */
export const markFault = (
  from: Ticks | null,
  to: Ticks | null,
  length: Ticks,
  unit: LengthUnit,
): string | null => {
  if (from === null || to === null) return 'Say where the stretch begins and where it ends.';
  if (to <= from) return 'A stretch ends after it begins: measure both from the left end.';
  if (to > length) return `The board ends at ${formatLength(length, unit)}: end the stretch there.`;
  return null;
};

/** How a measured board is parted before its drawing is sawn, as a sentence; null: it was not measured, or is one sound piece. */
export const stretchWords = ({ measured, stretch }: BoardThere, unit: LengthUnit): string | null => {
  if (!measured || !stretch) return null;
  const length = (ticks: Ticks) => formatLength(ticks, unit);
  if (stretch.from === 0 && stretch.to === measured.length) return `Measured: ${length(measured.length)}.`;
  const cuts = [stretch.from, stretch.to].filter((at) => at > 0 && at < measured.length);
  return `Of the board that measures ${length(measured.length)}, its stretch from ${length(stretch.from)} to ${length(stretch.to)}. Part it first at ${cuts.map(length).join(' and ')}, with the blade in what is marked.`;
};
