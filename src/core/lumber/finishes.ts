import { GALLON, LITRE, SQUARE_FOOT, type SquareMm } from '../units';
import type { Exposure } from './fitness';

const WORDS = /\b(stain|paint|varnish|glaze|oil|sealer|sealant|lacquer|wax|finish)\b/i;
const OUTDOORS = /outdoor|outside|exterior|deck|fence|marine|weather/i;
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

const CANS: [words: RegExp, volume: number][] = [
  [/\bgallons?\b/i, GALLON],
  [/\bquarts?\b/i, GALLON / 4],
  [/\bpints?\b/i, GALLON / 8],
];

/** What one can covers in one coat, by the volume on its tag; null where the tag tells none. */
export const coverage = (name: string): SquareMm | null => {
  const litres = /(\d+(?:\.\d+)?) ?l(?:it(?:er|re)s?)?\b/i.exec(name);
  const volume = litres ? Number(litres[1]) * LITRE : (CANS.find(([words]) => words.test(name))?.[1] ?? null);
  return volume === null ? null : (volume / GALLON) * AREA_PER_GALLON;
};
