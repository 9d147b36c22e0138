import { fail, type Result } from '../result';
import { fromInches, parseLength, TICKS_PER_INCH, writeLength, type LengthUnit, type Ticks } from '../units';

/** Plywood's actual inches by its trade thickness, the performance category of PS 1. */
const PLYWOOD: [trade: number, actual: number][] = [
  [3 / 4, 23 / 32],
  [5 / 8, 19 / 32],
  [1 / 2, 15 / 32],
];

/**
 * The trade thickness of a sheet, `3/4in`, `18mm`: a name that parts and offers are matched by, not a
 * calliper reading. `bareUnit` as in parseSection. Problems: `section`.
 */
export const parseThickness = (text: string, bareUnit: LengthUnit | null = null): Result<Ticks> => {
  const thickness = parseLength(text, bareUnit ?? 'in');
  const hasUnit = /[a-z"']/i.test(text);
  if (!thickness.ok || thickness.value <= 0 || (!hasUnit && bareUnit === null))
    return fail('section', `"${text.trim()}" is not a sheet thickness; write one such as 3/4in or 18mm`);
  return thickness;
};

/** The name of a trade thickness: `3/4in`, `18mm`. */
export const thicknessName = (thickness: Ticks): string =>
  thickness % (TICKS_PER_INCH / 32) === 0 ? writeLength(thickness, 'in') : writeLength(thickness, 'mm');

/** What a calliper reads. Plywood is thinner than its name (PS 1); other panels are their stated thickness. */
export const actualThickness = (trade: Ticks, material: string): Ticks => {
  if (!/ply/i.test(material)) return trade;
  const row = PLYWOOD.find(([name]) => fromInches(name) === trade);
  return row ? fromInches(row[1]) : trade;
};
