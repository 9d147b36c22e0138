import type { Ticks } from '../units';
import type { ResolvedPart } from '../project';
import { headToTail } from '../shape/headToTail';

/**
 * Parts as rectangles to be sawn: of shapes that save length lying head to tail, pairs, and of an odd number one alone. A pair is a
 * row of its part with another length. What is not shaped is given back as it is.
 */
export const inPairs = (parts: ResolvedPart[], kerf: Ticks): ResolvedPart[] =>
  parts.flatMap((part) => {
    const { shape, count, length, width } = part;
    const pair = shape && count >= 2 ? headToTail(shape.outline, length, width, kerf) : null;
    if (!shape || !pair) return [part];
    const paired: ResolvedPart = {
      ...part,
      count: Math.floor(count / 2),
      length: pair.length,
      shape: { ...shape, outline: pair.outline, pieces: 2 },
    };
    return count % 2 === 0 ? [paired] : [paired, { ...part, count: 1 }];
  });

/** The same parts, each of a pair for itself; null where there are no pairs. */
export const singly = (parts: ResolvedPart[]): ResolvedPart[] | null =>
  parts.some(({ shape }) => shape?.pieces === 2) ? parts.map(alone) : null;

const alone = (part: ResolvedPart): ResolvedPart =>
  part.shape?.pieces === 2
    ? {
        ...part,
        count: 2 * part.count,
        // The outline of one reaches from end to end of its rectangle.
        length: Math.max(...part.shape.outline.map(([x]) => x)),
        shape: { ...part.shape, pieces: 1 },
      }
    : part;
