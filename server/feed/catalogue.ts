import { chance } from './seeded';

/** One thing that a simulated store sells, before its price moves. Lengths in millimetres, prices in the currency's main unit. */
export interface CatalogueItem {
  item: string;
  kind: 'board' | 'sheet' | 'hardware';
  section: string;
  length: number | null;
  width: number | null;
  material: string;
  unit: 'each' | 'pack';
  pack: number;
  base: number;
}

export interface FeedStore {
  id: string;
  name: string;
  kind: 'home centre' | 'lumber yard' | 'sawmill' | 'online';
  currency: string;
  trip: number;
  /** How dear it is against the others, and how much of the range it keeps. */
  level: number;
  range: number;
  sells: CatalogueItem['kind'][];
}

/** Invented stores, of the same kind as those of the samples. */
export const STORES: FeedStore[] = [
  {
    id: 'kestrel',
    name: 'Kestrel Home Centre',
    kind: 'home centre',
    currency: 'USD',
    trip: 6,
    level: 1.04,
    range: 0.96,
    sells: ['board', 'sheet', 'hardware'],
  },
  {
    id: 'millrace',
    name: 'Millrace Lumber',
    kind: 'lumber yard',
    currency: 'USD',
    trip: 4,
    level: 0.95,
    range: 0.94,
    sells: ['board', 'sheet', 'hardware'],
  },
  {
    id: 'tannery',
    name: 'Tannery Road Supply',
    kind: 'home centre',
    currency: 'USD',
    trip: 8.5,
    level: 0.99,
    range: 0.92,
    sells: ['board', 'sheet', 'hardware'],
  },
  {
    id: 'bobbin',
    name: 'Bobbin Fasteners',
    kind: 'online',
    currency: 'USD',
    trip: 0,
    level: 0.86,
    range: 1,
    sells: ['board', 'sheet', 'hardware'],
  },
];

const INCH = 25.4;
const FOOT = 12 * INCH;
const FEET = [6, 8, 10, 12, 14, 16];
/** What a board foot costs by material, and the sections it comes in. */
const WOODS: { material: string; perBoardFoot: number; sections: string[] }[] = [
  { material: 'stud', perBoardFoot: 0.72, sections: ['2x3', '2x4', '2x6', '2x8', '2x10', '2x12'] },
  {
    material: 'common pine',
    perBoardFoot: 1.85,
    sections: ['1x2', '1x3', '1x4', '1x6', '1x8', '1x10', '1x12'],
  },
  {
    material: 'select pine',
    perBoardFoot: 3.2,
    sections: ['1x2', '1x3', '1x4', '1x6', '1x8', '1x10', '1x12'],
  },
  {
    material: 'treated',
    perBoardFoot: 1.06,
    sections: ['2x2', '2x4', '2x6', '2x8', '2x10', '2x12', '4x4', '6x6', '5/4x6'],
  },
  {
    material: 'cedar',
    perBoardFoot: 3.7,
    sections: ['1x2', '1x4', '1x6', '1x8', '2x2', '2x4', '2x6', '4x4', '5/4x6'],
  },
  { material: 'fir', perBoardFoot: 1.1, sections: ['2x4', '2x6', '2x8', '2x10', '4x4'] },
];
const SHEETS: { material: string; perSquareFoot: number; inches: string[] }[] = [
  { material: 'birch ply', perSquareFoot: 2.1, inches: ['1/4', '1/2', '3/4'] },
  { material: 'sanded ply', perSquareFoot: 1.35, inches: ['1/4', '1/2', '5/8', '3/4'] },
  { material: 'MDF', perSquareFoot: 1.05, inches: ['1/4', '1/2', '3/4'] },
  { material: 'OSB', perSquareFoot: 0.62, inches: ['1/2', '5/8', '3/4'] },
];
const SIZES: [feetLong: number, feetWide: number, name: string][] = [
  [8, 4, '4x8'],
  [4, 4, 'half panel'],
  [4, 2, 'quarter panel'],
];
const FASTENERS: { name: string; lengths: string[]; each: number }[] = [
  { name: 'wood screw', lengths: ['3/4', '1', '1 1/4', '1 5/8', '2', '2 1/2', '3'], each: 0.07 },
  { name: 'deck screw', lengths: ['1 5/8', '2', '2 1/2', '3', '3 1/2'], each: 0.09 },
  { name: 'coated deck screw', lengths: ['1 5/8', '2', '2 1/2', '3', '3 1/2', '4'], each: 0.11 },
  { name: 'pocket screw', lengths: ['1', '1 1/4', '1 1/2', '2', '2 1/2'], each: 0.08 },
  { name: 'coated pocket screw', lengths: ['1 1/4', '2 1/2'], each: 0.14 },
  { name: 'nail', lengths: ['3/4', '1', '1 1/4', '1 1/2', '2', '2 1/2', '3'], each: 0.03 },
  { name: '3/8 bolt', lengths: ['2 1/2', '3', '3 1/2', '4', '5', '6'], each: 0.9 },
];
const PACKS = [25, 100, 250];

const sizeOf = (text: string): number => {
  const [whole = 0, top = 0, bottom = 1] = (/^(?:(\d+) ?)??(?:(\d+)\/(\d+))?$/.exec(text) ?? [])
    .slice(1)
    .map((part) => (part === undefined ? undefined : Number(part)));
  return whole + top / bottom;
};

const boards = (): CatalogueItem[] =>
  WOODS.flatMap(({ material, perBoardFoot, sections }) =>
    sections.flatMap((section) =>
      FEET.map((feet): CatalogueItem => {
        const [thick = '1', wide = '1'] = section.split('x');
        const boardFeet = (sizeOf(thick) * sizeOf(wide) * feet) / 12;
        // Longer boards are dearer by the foot.
        const base = boardFeet * perBoardFoot * (1 + 0.012 * (feet - 8));
        return {
          item: `${section}x${feet} ${material}`,
          kind: 'board',
          section,
          length: feet * FOOT,
          width: null,
          material,
          unit: 'each',
          pack: 1,
          base,
        };
      }),
    ),
  );

const sheets = (): CatalogueItem[] =>
  SHEETS.flatMap(({ material, perSquareFoot, inches }) =>
    inches.flatMap((inch) =>
      SIZES.map(([long, wide, name]): CatalogueItem => {
        const base = long * wide * perSquareFoot * (0.4 + 0.8 * sizeOf(inch)) * (long === 8 ? 1 : 1.25);
        return {
          item: `${inch}in ${material} ${name}`,
          kind: 'sheet',
          section: `${inch}in`,
          length: long * FOOT,
          width: wide * FOOT,
          material,
          unit: 'each',
          pack: 1,
          base,
        };
      }),
    ),
  );

const hardware = (): CatalogueItem[] =>
  FASTENERS.flatMap(({ name, lengths, each }) =>
    lengths.flatMap((length) =>
      PACKS.map((pack): CatalogueItem => {
        const base = pack * each * (0.6 + 0.25 * sizeOf(length)) * (1.3 - 0.15 * PACKS.indexOf(pack));
        return {
          item: `${name} ${length} in, ${pack}`,
          kind: 'hardware',
          section: '',
          length: null,
          width: null,
          material: '',
          unit: 'pack',
          pack,
          base,
        };
      }),
    ),
  );

const ALL = [...boards(), ...sheets(), ...hardware()];

/** What a store keeps: the same things every day. */
export const catalogueOf = (store: FeedStore): CatalogueItem[] =>
  ALL.filter(({ item, kind }) => store.sells.includes(kind) && chance('range', store.id, item) < store.range);
