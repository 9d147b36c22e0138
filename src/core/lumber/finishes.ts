import { GALLON, LITRE, parseArea, SQUARE_FOOT, SQUARE_METRE, type SquareMm } from '../units';
import type { Exposure } from './fitness';

const WORDS =
  /\b(stain|paint|varnish|glaze|oil|sealer|sealant|lacquer|wax|finish|(?:poly)?urethane|shellac)\b/i;
const OUTDOORS = /outdoor|outside|exterior|deck|fence|marine|weather|\bspar\b|\bteak\b|siding/i;
const INDOORS = /indoor|interior|clear finish|wax|lacquer/i;

/** Whether a shelf tag names a finish: paint, stain, oil. */
export const isFinish = (name: string): boolean =>
  WORDS.test(name) && !/brush|roller|tray|remover|saw oil|chain oil/i.test(name);

/** Whether a finish, by the words on its tag, is for a place. One that says nothing is for indoors. */
export const finishSuits = (name: string, exposure: Exposure): boolean =>
  exposure === 'outdoors' || exposure === 'ground'
    ? OUTDOORS.test(name)
    : !OUTDOORS.test(name) || INDOORS.test(name);

/**
 * A gallon covers 150 to 350 square feet by roughness (common practice; the label wins): the middle for one coat on
 * sawn wood.
 */
const AREA_PER_GALLON: SquareMm = 240 * SQUARE_FOOT;

/** Measures of a can as they stand on tags; of one without a number there is one. */
const MEASURES: [words: RegExp, volume: number][] = [
  [/(\d+(?:\.\d+|\/\d+)?)?[ -]?gal(?:lons?)?\b/i, GALLON],
  [/(\d+(?:\.\d+|\/\d+)?)?[ -]?(?:quarts?|qts?)\b/i, GALLON / 4],
  [/(\d+(?:\.\d+|\/\d+)?)?[ -]?(?:pints?|pts?)\b/i, GALLON / 8],
  [/(\d+(?:\.\d+)?)[ -]?(?:fl\.? ?)?oz\b/i, GALLON / 128],
  [/(\d+(?:\.\d+)?)[ -]?ml\b/i, LITRE / 1000],
  [/(\d+(?:\.\d+)?)[ -]?l(?:it(?:er|re)s?)?\b/i, LITRE],
];

/** What one can covers in one coat, by the volume on its tag; null where the tag tells none. */
export const coverage = (name: string): SquareMm | null => {
  for (const [words, volume] of MEASURES) {
    const found = words.exec(name);
    if (!found) continue;
    const [whole = 1, parts = 1] = (found[1] ?? '1').split('/').map(Number);
    return ((whole / parts) * volume * AREA_PER_GALLON) / GALLON;
  }
  return null;
};

const AREA = /\d+(?:\.\d+)? ?(?:ft2|sq\.? ?ft|m2)(?![a-z])/i;
const SIDES = /(\d+(?:\.\d+)?) ?(?:ft|m)? ?x ?(\d+(?:\.\d+)?) ?(ft|m)\b/i;

/** The area of a roll or sheet by its tag: `50 ft2`, `2 x 5 m`; null where the tag tells none. */
export const coveredArea = (name: string): SquareMm | null => {
  const area = parseArea(AREA.exec(name)?.[0] ?? '');
  if (area.ok) return area.value;
  const [, long, wide, unit] = SIDES.exec(name) ?? [];
  if (long === undefined || wide === undefined || unit === undefined) return null;
  return Number(long) * Number(wide) * (unit.toLowerCase() === 'ft' ? SQUARE_FOOT : SQUARE_METRE);
};

/** Years until a finish outdoors is due again: paint and varnish five, stain and oil three. From memory; the label wins. */
export const yearsBetweenCoats = (name: string): number =>
  /\b(paint|varnish|spar|lacquer|(?:poly)?urethane)\b/i.test(name) ? 5 : 3;

/** How often a finish is put on again until the wood is replaced, after so many years. */
export const renewals = (name: string, years: number): number =>
  Math.max(0, Math.ceil(years / yearsBetweenCoats(name)) - 1);
