import { byText } from '../byText';
/** The wood colours of the drawings: by material, never by piece. */
export type WoodTone = 'softwood' | 'treated' | 'cedar' | 'larch' | 'sheet' | 'fibreboard';

const TONES: [words: RegExp, tone: WoodTone][] = [
  [/treated|pressure/i, 'treated'],
  [/cedar|redwood/i, 'cedar'],
  [/larch|douglas/i, 'larch'],
  [/mdf|fibre ?board|fiber ?board|hardboard|osb|particle/i, 'fibreboard'],
  [/ply|sheet|panel/i, 'sheet'],
];

/** The tone of a material by the words in its name; bare softwood for a name that says nothing. */
export const woodTone = (material: string): WoodTone =>
  TONES.find(([words]) => words.test(material))?.[1] ?? 'softwood';

/** How names are matched everywhere: without regard to case and outer or repeated spaces. */
export const nameKey: (name: string) => string = byText((name) =>
  name.trim().replace(/\s+/g, ' ').toLowerCase(),
);

/** `pine|cedar` as a list; blank is an empty list: any material will do. */
export const parseMaterials = (text: string): string[] =>
  text
    .split('|')
    .map((name) => name.trim().replace(/\s+/g, ' '))
    .filter((name) => name !== '');

/** Relative density at 12 % moisture, by the words of a material's name; first match holds. */
const DENSITIES: [words: RegExp, density: number][] = [
  // Forest Products Laboratory, Wood Handbook, FPL-GTR-282, ch. 5, table 5-3 (from memory).
  [/treated|pressure|southern/i, 0.51],
  [/redwood/i, 0.38],
  [/cedar/i, 0.32],
  [/douglas/i, 0.48],
  [/larch/i, 0.52],
  // Panels: from memory, and they differ by maker.
  [/mdf|fibre ?board|fiber ?board|hardboard/i, 0.75],
  [/osb|particle|chip ?board/i, 0.65],
  [/birch/i, 0.65],
  [/ply|sheet|panel/i, 0.55],
  [/pine/i, 0.4],
  [/spruce|stud|fir/i, 0.42],
];

/** Of spruce-pine-fir framing, for a name that says nothing (same source). */
const USUAL_DENSITY = 0.42;

/** Water: 62.4 lb per cubic foot, in kilograms per cubic millimetre. */
const WATER = (62.4 * 0.45359237) / 304.8 ** 3;
/** At 12 % moisture a board weighs so much more than its dry wood. */
const MOISTURE = 1.12;

/** Kilograms of so much wood, in cubic millimetres: volume x relative density x 62.4 lb/ft3 x 1.12. */
export const woodWeight = (cubicMm: number, material: string): number =>
  cubicMm * relativeDensity(material) * WATER * MOISTURE;

export const relativeDensity = (material: string): number =>
  DENSITIES.find(([words]) => words.test(material))?.[1] ?? USUAL_DENSITY;

export const isTreated = (material: string): boolean => /treated|pressure/i.test(material);
