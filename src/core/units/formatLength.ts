import { TICKS_PER_FOOT, TICKS_PER_INCH, TICKS_PER_MM, type LengthUnit, type Ticks } from './ticks';

const SIXTEENTH = TICKS_PER_INCH / 16;
const THIRTY_SECOND = TICKS_PER_INCH / 32;

/**
 * A length as people read it: `29 1/2"` to a sixteenth (a thirty-second where that is exact), `740 mm` whole
 * or to one decimal. `≈` stands before a length that had to be rounded.
 */
export const formatLength = (ticks: Ticks, unit: LengthUnit): string =>
  unit === 'in' ? `${inches(ticks)}"` : `${millimetres(ticks)} mm`;

/** As formatLength, with whole feet as `10'` from six feet up: the way boards are sold. */
export const formatStockLength = (ticks: Ticks, unit: LengthUnit): string =>
  unit === 'in' && ticks >= 6 * TICKS_PER_FOOT && ticks % TICKS_PER_FOOT === 0
    ? `${ticks / TICKS_PER_FOOT}'`
    : formatLength(ticks, unit);

/**
 * A length as one may type it, that parses back to the same ticks: `29 1/2in`, `740mm`. Falls back to
 * decimals of a millimetre, which hold every tick exactly.
 */
export const writeLength = (ticks: Ticks, unit: LengthUnit): string => {
  if (unit === 'in' && ticks % (TICKS_PER_INCH / 64) === 0) {
    const sixtyFourths = ticks / (TICKS_PER_INCH / 64);
    return `${mixed(Math.floor(sixtyFourths / 64), sixtyFourths % 64, 64)}in`;
  }
  return `${Number((ticks / TICKS_PER_MM).toFixed(6))}mm`;
};

const inches = (ticks: Ticks): string => {
  const exact = ticks % THIRTY_SECOND === 0;
  const parts = exact && ticks % SIXTEENTH !== 0 ? 32 : 16;
  const count = Math.round(ticks / (TICKS_PER_INCH / parts));
  return `${exact ? '' : '≈'}${mixed(Math.floor(count / parts), count % parts, parts)}`;
};

const millimetres = (ticks: Ticks): string => {
  const tenths = Math.round((ticks * 10) / TICKS_PER_MM);
  const exact = (tenths * TICKS_PER_MM) / 10 === ticks;
  return `${exact ? '' : '≈'}${tenths % 10 === 0 ? tenths / 10 : (tenths / 10).toFixed(1)}`;
};

const mixed = (whole: number, top: number, bottom: number): string => {
  if (top === 0) return String(whole);
  const divisor = greatestCommonDivisor(top, bottom);
  const fraction = `${top / divisor}/${bottom / divisor}`;
  return whole === 0 ? fraction : `${whole} ${fraction}`;
};

const greatestCommonDivisor = (a: number, b: number): number =>
  b === 0 ? a : greatestCommonDivisor(b, a % b);
