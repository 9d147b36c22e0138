import type { Ticks } from '../units';
import type { Ask, Corner, Dimension, Shape, View } from './types';

/** A part seen square on: its lower left corner, how far it goes to the right and up. */
export const box = (role: string, x: Ticks, y: Ticks, right: Ticks, up: Ticks): Shape => ({
  role,
  corners: [
    [x, y],
    [x + right, y],
    [x + right, y + up],
    [x, y + up],
  ],
});

/** The same shape, drawn behind the others. */
export const behind = (shape: Shape): Shape => ({ ...shape, behind: true });

/** So many alike, `step` apart. */
export const repeated = <T>(count: number, step: Ticks, shape: (offset: Ticks) => T): T[] =>
  Array.from({ length: Math.max(0, Math.min(count, MAX_DRAWN)) }, (_, index) => shape(index * step));

/** More of a thing than this is not to be told apart on a screen. */
const MAX_DRAWN = 120;

/** A measure drawn along the bottom or the top. */
export const along = (from: Ticks, to: Ticks, y: Ticks, side: 'below' | 'above' = 'below'): Dimension => ({
  from: [from, y],
  to: [to, y],
  ticks: to - from,
  side,
});

/** A measure drawn along a side. */
export const up = (x: Ticks, from: Ticks, to: Ticks, side: 'left' | 'right' = 'left'): Dimension => ({
  from: [x, from],
  to: [x, to],
  ticks: to - from,
  side,
});

/** One drawing with its title, shapes and measures. */
export const view = (title: string, shapes: Shape[], dimensions: Dimension[]): View => ({
  title,
  shapes,
  dimensions,
});

/** A board of a width laid from one corner to another, cut upright at both ends: the middle lines of its ends are given. */
export const slanted = (role: string, [x1, y1]: Corner, [x2, y2]: Corner, upright: Ticks): Shape => ({
  role,
  corners: [
    [x1, y1 - upright / 2],
    [x2, y2 - upright / 2],
    [x2, y2 + upright / 2],
    [x1, y1 + upright / 2],
  ],
});

/** Asks for a kind of size; what is usual, in inches and in millimetres. */
const sized =
  (kind: 'length' | 'section' | 'sheet') =>
  (key: string, label: string, inches: string, mm: string, more: Partial<Ask> = {}): Ask => ({
    key,
    label,
    kind,
    usual: { in: inches, mm },
    ...more,
  });
/** Asks for a length. */
export const length = sized('length');
/** Asks for a section of boards. */
export const section = sized('section');
/** Asks for a thickness of sheets. */
export const sheet = sized('sheet');
/** Asks for a whole number. */
export const count = (key: string, label: string, usual: string, more: Partial<Ask> = {}): Ask => ({
  key,
  label,
  kind: 'count',
  usual: { in: usual, mm: usual },
  ...more,
});
/** Asks for one of several words. */
export const choice = (
  key: string,
  label: string,
  choices: readonly (readonly [value: string, label: string])[],
  more: Partial<Ask> = {},
): Ask => ({
  key,
  label,
  kind: 'choice',
  usual: { in: choices[0]?.[0] ?? '', mm: choices[0]?.[0] ?? '' },
  choices: choices.map(([value, word]) => ({ value, label: word })),
  ...more,
});
