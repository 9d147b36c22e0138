import { KILOGRAMS_PER_POUND } from '../units';
import type { PackWeight } from '../project';

/** About 215 deck screws #8 x 2 1/2 in weigh 2 lb (common practice). */
const DECK_SCREWS_2_1_2_PER_POUND = 215 / 2;

/** Pieces in a pack sold by weight, rounded down: a part of a piece holds nothing. At least one. */
export const piecesByWeight = ({ amount, pieces }: PackWeight): number =>
  // A hair more than nothing, so that 215 / 2 x 2 is 215 in floating point.
  Math.max(1, Math.floor(amount * pieces + 1e-9));

/** What is usual for an item by its name: pieces to a pound or kilogram; null where no rule of thumb is known. */
export const usualPieces = (name: string, unit: PackWeight['unit']): number | null => {
  const isKnown = /\bdeck screws?\b/i.test(name) && /\b2[ -]?1\/2\b|\b2\.5\b/.test(name);
  if (!isKnown) return null;
  return unit === 'lb'
    ? DECK_SCREWS_2_1_2_PER_POUND
    : Math.round(DECK_SCREWS_2_1_2_PER_POUND / KILOGRAMS_PER_POUND);
};
