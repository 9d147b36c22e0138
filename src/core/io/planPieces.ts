import type { LayoutToCheck, PlanToCheck } from '../cutting/verify';
import type { Item, Piece, Point, Remainder } from '../cutting/model';

/** A finished piece as plan.json has it. */
export interface FinishedPiece {
  part: string;
  group: string;
  outline: Point[];
}

/** The finished pieces of a layout: a shaped one by its face, two head to tail as two, one behind the other. */
export const finishedPieces = (pieces: Piece[]): FinishedPiece[] =>
  pieces.flatMap(({ part, group, outline, faces }) =>
    (faces ?? [outline]).map((face) => ({ part, group, outline: face })),
  );

/** What a sequence leaves, by the places of finished pieces: a pair by that of its first. */
export const finishedLeaves = (
  pieces: Piece[],
  leaves: Record<number, Remainder>,
): Record<string, Remainder> => {
  const places = placesOf(pieces.map(({ faces }) => faces?.length ?? 1));
  return mapped(leaves, (piece) => places[piece] ?? piece);
};

/**
 * A plan that was read, its shaped pieces as they are sawn: each shape in the rectangle that it needs, and shapes whose rectangles
 * overlap head to tail in one. `parts`: those that the plan is of, for what of it is shaped.
 */
export const asSawn = (plan: PlanToCheck, parts: Item[]): PlanToCheck => {
  const shaped = new Set(parts.filter(({ shape }) => shape).map(({ name, group }) => keyOf(name, group)));
  if (shaped.size === 0) return plan;
  return { ...plan, layouts: plan.layouts.map((layout) => layoutAsSawn(layout, shaped)) };
};

const layoutAsSawn = (layout: LayoutToCheck, shaped: Set<string>): LayoutToCheck => {
  const pieces: LayoutToCheck['pieces'] = [];
  const sawnAt: number[] = [];
  for (const { part, group, outline } of layout.pieces) {
    const last = pieces.at(-1);
    if (!shaped.has(keyOf(part, group))) pieces.push({ part, group, outline });
    else if (last && isHeadToTail(last, { part, group, outline })) {
      const faces = [...(last.faces ?? []), outline];
      pieces[pieces.length - 1] = { ...last, faces, outline: rectangleOf(faces.flat()) };
    } else pieces.push({ part, group, outline: rectangleOf(outline), faces: [outline] });
    sawnAt.push(pieces.length - 1);
  }
  const { sequence } = layout;
  const leaves = sequence && mapped(sequence.leaves, (piece) => sawnAt[piece] ?? piece);
  return { ...layout, pieces, ...(sequence && leaves ? { sequence: { ...sequence, leaves } } : {}) };
};

const isHeadToTail = (last: LayoutToCheck['pieces'][number], piece: FinishedPiece): boolean =>
  last.faces?.length === 1 &&
  keyOf(last.part, last.group) === keyOf(piece.part, piece.group) &&
  doOverlap(last.outline, piece.outline);

const keyOf = (name: string, group: string): string => `${group}\n${name}`;

const mapped = (
  leaves: Record<number, Remainder>,
  to: (piece: number) => number,
): Record<number, Remainder> =>
  Object.fromEntries(Object.entries(leaves).map(([id, is]) => [id, typeof is === 'number' ? to(is) : is]));

/** Where each of some lists begins, one behind the other. */
const placesOf = (lengths: number[]): number[] => {
  let at = 0;
  return lengths.map((length) => (at += length) - length);
};

const rectangleOf = (points: Point[]): Point[] => {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const [bottom, top] = [Math.min(...ys), Math.max(...ys)];
  return [
    [left, bottom],
    [right, bottom],
    [right, top],
    [left, top],
  ];
};

const doOverlap = (a: Point[], b: Point[]): boolean => {
  const [one, other] = [rectangleOf(a), rectangleOf(b)];
  const isWithin = (axis: 0 | 1) =>
    (one[0]?.[axis] ?? 0) < (other[2]?.[axis] ?? 0) && (other[0]?.[axis] ?? 0) < (one[2]?.[axis] ?? 0);
  return isWithin(0) && isWithin(1);
};
