import { fail, ok, type Result } from '../result';
import { NUMBER, numberValue, plainCharacters } from './number';
import { TICKS_PER_MM, type LengthUnit } from './ticks';

/** Square millimetres. */
export type SquareMm = number;
/** Cubic millimetres. */
export type CubicMm = number;

/** In square millimetres. */
export const SQUARE_FOOT: SquareMm = 304.8 ** 2;
/** In square millimetres. */
export const SQUARE_METRE: SquareMm = 1e6;
/** In cubic millimetres. */
export const CUBIC_FOOT: CubicMm = 304.8 ** 3;
/** In cubic millimetres. */
export const CUBIC_METRE: CubicMm = 1e9;
/** In cubic millimetres. */
export const LITRE: CubicMm = 1e6;
/** United States gallon: 231 cubic inches. */
export const GALLON: CubicMm = 231 * 25.4 ** 3;

const AREAS: [pattern: RegExp, size: SquareMm][] = [
  [/^(?:ft2|ft²|sq ?\.? ?ft\.?|sqft|square feet|square foot)$/, SQUARE_FOOT],
  [/^(?:in2|in²|sq ?\.? ?in\.?|square inches)$/, 25.4 ** 2],
  [/^(?:yd2|yd²|sq ?\.? ?yd\.?|square yards?)$/, 9 * SQUARE_FOOT],
  [/^(?:m2|m²|sqm|square metres?|square meters?)$/, SQUARE_METRE],
  [/^(?:cm2|cm²)$/, 100],
];

const VOLUMES: [pattern: RegExp, size: CubicMm][] = [
  [/^(?:ft3|ft³|cu ?\.? ?ft\.?|cubic feet|cubic foot)$/, CUBIC_FOOT],
  [/^(?:yd3|yd³|cu ?\.? ?yd\.?|cubic yards?)$/, 27 * CUBIC_FOOT],
  [/^(?:m3|m³|cubic metres?|cubic meters?)$/, CUBIC_METRE],
  [/^(?:l|litres?|liters?)$/, LITRE],
  [/^(?:ml)$/, LITRE / 1000],
  [/^(?:gal|gallons?)$/, GALLON],
  [/^(?:qt|quarts?)$/, GALLON / 4],
];

const SIZED = new RegExp(`^(${NUMBER}) ?([a-z].*)$`);

const parseBulk = (
  text: string,
  units: [RegExp, number][],
  code: string,
  what: string,
  example: string,
): Result<number> => {
  const match = SIZED.exec(plainCharacters(text).toLowerCase());
  const size = match && units.find(([pattern]) => pattern.test(match[2] ?? ''))?.[1];
  const value = match && size ? numberValue(match[1] ?? '') * size : NaN;
  return value > 0 && Number.isFinite(value)
    ? ok(value)
    : fail(code, `"${text.trim()}" is not ${what}; write one such as ${example}`);
};

/** `250 ft2`, `12 sq ft`, `10 m²`. Problems: `area`. */
export const parseArea = (text: string): Result<SquareMm> =>
  parseBulk(text, AREAS, 'area', 'an area', '250 ft2 or 10 m2');

/** `1.5 cu ft`, `40 l`, `1 gal`. Problems: `volume`. */
export const parseVolume = (text: string): Result<CubicMm> =>
  parseBulk(text, VOLUMES, 'volume', 'a volume', '1.5 ft3 or 40 l');

/** `12.5 sq ft`, `1.16 m²`: as people read it in a project of that unit. */
export const formatArea = (area: SquareMm, unit: LengthUnit): string =>
  unit === 'in' ? `${short(area / SQUARE_FOOT, 1)} sq ft` : `${short(area / SQUARE_METRE, 2)} m²`;

/** `3.2 cu ft`, `90 l`. */
export const formatVolume = (volume: CubicMm, unit: LengthUnit): string =>
  unit === 'in' ? `${short(volume / CUBIC_FOOT, 1)} cu ft` : `${short(volume / LITRE, 0)} l`;

/** `148 lb`, `67 kg`; one decimal below ten. */
export const formatWeight = (kilograms: number, unit: LengthUnit): string => {
  const value = unit === 'in' ? kilograms / KILOGRAMS_PER_POUND : kilograms;
  return `${short(value, value < 10 ? 1 : 0)} ${unit === 'in' ? 'lb' : 'kg'}`;
};

/** International avoirdupois pound (international yard and pound agreement, 1959). */
export const KILOGRAMS_PER_POUND = 0.45359237;

/** Square ticks as square millimetres. */
export const squareMm = (squareTicks: number): SquareMm => squareTicks / TICKS_PER_MM ** 2;
/** Cubic ticks as cubic millimetres. */
export const cubicMm = (cubicTicks: number): CubicMm => cubicTicks / TICKS_PER_MM ** 3;

const short = (value: number, places: number): string => String(Number(value.toFixed(places)));
