import { fail, ok, type Result } from '../../result';
import { TICKS_PER_INCH, TICKS_PER_MM, type LengthUnit } from '../../units';
import * as fractions from './fraction';
import { toFraction, toNumber, type Fraction } from './fraction';

/** What a formula comes to on its way: a number, a length (ticks), an area (ticks²), a volume (ticks³). */
export interface Quantity {
  amount: Fraction;
  /** 0: a number; 1: a length; 2: an area; 3: a volume. */
  dimension: number;
  /** Written without a unit, and so not yet known to be a number or a length. */
  bare: boolean;
}

/** What each dimension is called in a sentence. */
export const WORDS = ['a number', 'a length', 'an area', 'a volume'];
const wordOf = ({ dimension }: Quantity): string => WORDS[dimension] ?? 'something that nothing measures';

/** A number without a dimension. */
export const numberOf = (value: number): Quantity => ({
  amount: toFraction(value),
  dimension: 0,
  bare: false,
});
/** A number that was written without a unit: it may become a length. */
export const bareOf = (amount: Fraction): Quantity => ({ amount, dimension: 0, bare: true });
/** A length of so many ticks. */
export const lengthOf = (ticks: number): Quantity => ({
  amount: toFraction(ticks),
  dimension: 1,
  bare: false,
});

const unitTicks = (unit: LengthUnit): Fraction => toFraction(unit === 'in' ? TICKS_PER_INCH : TICKS_PER_MM);

/** A bare number as a length in the project's unit. */
export const asLength = (quantity: Quantity, unit: LengthUnit): Quantity => ({
  amount: fractions.multiply(quantity.amount, unitTicks(unit)),
  dimension: 1,
  bare: false,
});

/** Two that are to be added or compared: where one is a length, the other, if bare, becomes one. Problems: `mixed`. */
export const alike = (
  a: Quantity,
  b: Quantity,
  unit: LengthUnit,
): Result<{ a: Quantity; b: Quantity; turned: 'a' | 'b' | null }> => {
  if (a.dimension === b.dimension) return ok({ a, b, turned: null });
  if (a.bare && b.dimension === 1) return ok({ a: asLength(a, unit), b, turned: 'a' });
  if (b.bare && a.dimension === 1) return ok({ a, b: asLength(b, unit), turned: 'b' });
  return fail('mixed', `${wordOf(a)} and ${wordOf(b)} do not go together here`);
};

/** Two quantities of one dimension put together by `by`: without a unit only where both are. */
export const combine = (a: Quantity, b: Quantity, by: (a: Fraction, b: Fraction) => Fraction): Quantity => ({
  amount: by(a.amount, b.amount),
  dimension: a.dimension,
  bare: a.bare && b.bare,
});

/** A product: dimensions add up. */
export const times = (a: Quantity, b: Quantity): Quantity => ({
  amount: fractions.multiply(a.amount, b.amount),
  dimension: a.dimension + b.dimension,
  bare: a.bare && b.bare,
});

/** `b` must not be zero. */
export const over = (a: Quantity, b: Quantity): Quantity => ({
  amount: fractions.divide(a.amount, b.amount),
  dimension: a.dimension - b.dimension,
  bare: a.bare && b.bare,
});

const SIXTEENTH = TICKS_PER_INCH / 16;

/** What a quantity is rounded to where a formula does not say: lengths by `round` to a sixteenth or a millimetre, all else to whole units. */
export const usualStep = (quantity: Quantity, unit: LengthUnit, how: 'round' | 'ceil' | 'floor'): Quantity =>
  quantity.dimension === 1
    ? { ...quantity, amount: how === 'round' && unit === 'in' ? toFraction(SIXTEENTH) : unitTicks(unit) }
    : { ...quantity, amount: toFraction(1) };

/** To a multiple of `step`, which must not be zero. */
export const toStep = (quantity: Quantity, step: Quantity, how: 'round' | 'ceil' | 'floor'): Quantity => ({
  ...quantity,
  amount: fractions.multiply(ROUNDINGS[how](fractions.divide(quantity.amount, step.amount)), step.amount),
});

const ROUNDINGS = { round: fractions.round, ceil: fractions.ceil, floor: fractions.floor };

/** As a plain number, for roots and angles. */
export const valueOf = ({ amount }: Quantity): number => toNumber(amount);

/** The square root: of an area a length, of a number a number; exact where the root is whole. Problems: `root`. */
export const rootOf = (quantity: Quantity): Result<Quantity> => {
  const value = valueOf(quantity);
  if (value < 0) return fail('root', 'there is no root of less than nothing');
  if (quantity.dimension % 2 !== 0) return fail('root', `there is no root of ${wordOf(quantity)}`);
  return ok({ ...quantity, amount: toFraction(Math.sqrt(value)), dimension: quantity.dimension / 2 });
};

/** As what is asked for: 0 a number, 1 a length (bare numbers take `unit`), 2 an area, 3 a volume. Problems: `kind`. */
export const expectDimension = (
  quantity: Quantity,
  dimension: number,
  unit: LengthUnit,
): Result<Quantity> => {
  if (quantity.dimension === dimension) return ok(quantity);
  if (dimension === 1 && quantity.bare) return ok(asLength(quantity, unit));
  return fail('kind', `it comes to ${wordOf(quantity)}, and ${WORDS[dimension] ?? ''} is needed`);
};
