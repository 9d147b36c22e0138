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
export const nameKey = (name: string): string => name.trim().replace(/\s+/g, ' ').toLowerCase();

/** `pine|cedar` as a list; blank is an empty list: any material will do. */
export const parseMaterials = (text: string): string[] =>
  text
    .split('|')
    .map((name) => name.trim().replace(/\s+/g, ' '))
    .filter((name) => name !== '');
