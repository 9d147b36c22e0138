/** An exact fraction in lowest terms, its sign above: sums of thirds and sixteenths never drift. */
export interface Fraction {
  top: bigint;
  bottom: bigint;
}

const ZERO = BigInt(0);
const ONE = BigInt(1);

const divisor = (a: bigint, b: bigint): bigint => {
  let [large, small] = [a < ZERO ? -a : a, b < ZERO ? -b : b];
  while (small !== ZERO) [large, small] = [small, large % small];
  return large;
};

/** `bottom` must not be zero. */
const fraction = (top: bigint, bottom: bigint): Fraction => {
  const common = divisor(top, bottom) * (bottom < ZERO ? -ONE : ONE);
  return common === ONE ? { top, bottom } : { top: top / common, bottom: bottom / common };
};

/** Decimals that a number which is not whole is taken to: those of sines and roots. */
const PLACES = 1e9;

/** Whole numbers exactly, others to nine decimals. */
export const toFraction = (value: number): Fraction =>
  Number.isInteger(value)
    ? { top: BigInt(value), bottom: ONE }
    : fraction(BigInt(Math.round(value * PLACES)), BigInt(PLACES));

/** `29.5`, `3/4`, `29 1/2`, exactly. The text must match NUMBER, with a point. */
export const readFraction = (text: string): Fraction => {
  const mixed = /^(?:(\d+)(?: ?- ?| ))?(\d+) ?\/ ?(\d+)$/.exec(text);
  if (mixed) {
    const bottom = BigInt(mixed[3] ?? '1');
    return fraction(BigInt(mixed[1] ?? '0') * bottom + BigInt(mixed[2] ?? '0'), bottom);
  }
  const [whole = '', decimals = ''] = text.split('.');
  return fraction(BigInt(`${whole}${decimals}` || '0'), BigInt(10) ** BigInt(decimals.length));
};

/** The nearest floating-point number. */
export const toNumber = ({ top, bottom }: Fraction): number => {
  const value = Number(top) / Number(bottom);
  return Number.isNaN(value) ? Number(top / bottom) : value;
};

/** Whether it is a whole number. */
export const isWhole = ({ bottom }: Fraction): boolean => bottom === ONE;
/** Whether it is nothing. */
export const isZero = ({ top }: Fraction): boolean => top === ZERO;

/** a + b, exactly. */
export const add = (a: Fraction, b: Fraction): Fraction =>
  fraction(a.top * b.bottom + b.top * a.bottom, a.bottom * b.bottom);
/** −a. */
export const negate = ({ top, bottom }: Fraction): Fraction => ({ top: -top, bottom });
/** a − b, exactly. */
export const subtract = (a: Fraction, b: Fraction): Fraction => add(a, negate(b));
/** a × b, exactly. */
export const multiply = (a: Fraction, b: Fraction): Fraction => fraction(a.top * b.top, a.bottom * b.bottom);
/** `b` must not be zero. */
export const divide = (a: Fraction, b: Fraction): Fraction => fraction(a.top * b.bottom, a.bottom * b.top);
/** Below 0 where a is less than b, 0 where they are the same, else above. */
export const compare = (a: Fraction, b: Fraction): number => {
  const difference = a.top * b.bottom - b.top * a.bottom;
  return difference < ZERO ? -1 : difference > ZERO ? 1 : 0;
};

/** The largest whole number that is not larger. */
export const floor = ({ top, bottom }: Fraction): Fraction => {
  const cut = top / bottom;
  return { top: top < ZERO && cut * bottom !== top ? cut - ONE : cut, bottom: ONE };
};
/** The least whole number that is not less. */
export const ceil = (value: Fraction): Fraction => negate(floor(negate(value)));
/** To the nearest whole number, half up. */
export const round = (value: Fraction): Fraction => floor(add(value, { top: ONE, bottom: BigInt(2) }));
