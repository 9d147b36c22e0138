import { nameKey } from '../nameKey';
import { byText } from '../byText';
import type { Static } from '../schemaKinds';
import type { material } from './materialSchema';
import {
  GRADES,
  SPECIES,
  TREATED_SPECIES,
  TREATMENTS,
  USUAL_SPECIES,
  type Grade,
  type Species,
  type Treatment,
} from './species';
export { nameKey } from '../nameKey';

/** The wood colours of the drawings: by material, never by piece. */
export type WoodTone = 'softwood' | 'treated' | 'cedar' | 'larch' | 'sheet' | 'fibreboard';

/** `pine|cedar` as a list; blank is an empty list: any material will do. */
export const parseMaterials = (text: string): string[] =>
  text
    .split('|')
    .map((name) => name.trim().replace(/\s+/g, ' '))
    .filter((name) => name !== '');

/** What the name on a shelf tag stands for; its fields are explained in `materialSchema.ts`. */
export interface Material extends Static<typeof material> {}

/** Materials that the user added or changed, by `nameKey` of their name. */
export type OwnMaterials = Record<string, Material>;

/** Where the user has said nothing of any material. */
export const NO_OWN: OwnMaterials = {};

/** The source of what the user typed. */
export const YOURS = 'yours';

/** What a name stands for: as the user says, or else by the words in it. Total: a name that says nothing is framing wood. */
export const materialOf = (name: string, own: OwnMaterials = NO_OWN): Material =>
  own[nameKey(name)] ?? byWords(name);

const byWords = byText((name): Material => {
  const treatment = TREATMENTS.find(({ words }) => words.test(name)) ?? null;
  const named = speciesOf(name);
  const species = named ?? (treatment ? TREATED_SPECIES : USUAL_SPECIES);
  const grade = species.panel ? null : (GRADES.find(({ words }) => words.test(name)) ?? null);
  return describe(name, species, treatment, grade);
});

/** Words that only sheets have in their names, and those that only sawn wood has. */
const SHEET_WORDS =
  /ply|multiplex|block ?board|sheathing|mdf|hdf|osb|strand ?board|particle|chip ?board|fib(?:re|er) ?board|hard ?board|\bsheet/i;
const SAWN_WORDS =
  /lumber|timber|stud|board(?!s? sheet)|plank|picket|fence|post|rail|deck|batten|moulding|glued|dimension/i;

/**
 * The species that a name speaks of: sheets and sawn wood asked apart, and of what is left the one whose words say most of it;
 * of two that say as much, the one that stands first. Undefined: none.
 */
const speciesOf = (name: string): Species | undefined => {
  const said = SPECIES.flatMap((species) => {
    const [found = ''] = species.words.exec(name) ?? [];
    return found === '' ? [] : [{ species, length: found.length }];
  });
  const isSheet = SHEET_WORDS.test(name);
  const isSawn = !isSheet && (SAWN_WORDS.test(name) || said.some(({ species }) => !species.panel));
  const asked = said.filter(({ species }) =>
    isSheet ? species.panel !== undefined : !isSawn || species.panel === undefined,
  );
  // "Fence panel" names no wood: then what is sawn, of the usual kind.
  return asked.reduce<(typeof said)[number] | undefined>(
    (best, one) => (best && best.length >= one.length ? best : one),
    undefined,
  )?.species;
};

/** Whether a name speaks of a wood or of how it was treated. */
export const isNamedWood = (name: string): boolean =>
  speciesOf(name) !== undefined || TREATMENTS.some(({ words }) => words.test(name));

/** The same, or of a grade. */
export const isKnownMaterial = (name: string): boolean =>
  isNamedWood(name) || GRADES.some(({ words }) => words.test(name));

const TREATED_NOTE = 'Heavy and wet when new; coated fasteners.';

const describe = (
  name: string,
  species: Species,
  treatment: Treatment | null,
  grade: Grade | null,
): Material => ({
  name,
  species: species.name,
  treatment: treatment?.name ?? '',
  grade: grade?.name ?? '',
  // Pressed wood on the racks is mostly the dense southern kind, whatever else its name says.
  density: treatment && !species.panel ? Math.max(species.density, TREATED_SPECIES.density) : species.density,
  decay: treatment ? 'treated' : species.decay,
  inGround: treatment?.inGround ?? null,
  panel: species.panel ?? null,
  spare: grade?.spare ?? 0,
  note: [grade?.note, treatment ? TREATED_NOTE : species.note].filter(Boolean).join(' '),
  source: treatment ? `${species.source}; ${treatment.source}` : species.source,
});

/** What makes materials one choice, whatever their grade and form: how they were treated, or else their species. */
export const familyOf = ({ decay, panel, species }: Material): string =>
  decay === 'treated' ? (panel ? 'treated sheet' : 'treated') : species;

/** What a family is called in a sentence: `cedar`, `treated`. */
export const familyName = (family: string): string =>
  SPECIES.find(({ name }) => name === family)?.short ?? family;

/** Whether two materials are the same wood in another grade: what is built of it is as good, and lasts as long. */
export const differByGrade = (one: Material, other: Material): boolean =>
  one.species === other.species &&
  one.treatment === other.treatment &&
  one.panel === other.panel &&
  one.grade !== other.grade;

/** The grade's place among the grades, cheapest first; a name that says none stands between. */
export const gradeRank = ({ grade }: Material): number =>
  GRADES.find(({ name }) => name === grade)?.rank ?? 1;

const TONES: Partial<Record<string, WoodTone>> = {
  'western redcedar': 'cedar',
  redwood: 'cedar',
  'Alaska yellow-cedar': 'cedar',
  'northern white-cedar': 'cedar',
  'eastern redcedar': 'cedar',
  'incense-cedar': 'cedar',
  larch: 'larch',
  'Douglas-fir': 'larch',
};

/** The tone of a material; bare softwood for a name that says nothing. */
export const woodTone = (name: string, own: OwnMaterials = NO_OWN): WoodTone => {
  const { decay, panel, species } = materialOf(name, own);
  if (decay === 'treated') return 'treated';
  if (panel) return panel.endsWith('board') ? 'fibreboard' : 'sheet';
  return TONES[species] ?? 'softwood';
};

/** Water: 62.4 lb per cubic foot, in kilograms per cubic millimetre. */
const WATER = (62.4 * 0.45359237) / 304.8 ** 3;
/** At 12 % moisture a board weighs so much more than its dry wood. */
const MOISTURE = 1.12;

/** Kilograms of so much wood, in cubic millimetres: volume x relative density x 62.4 lb/ft3 x 1.12. */
export const woodWeight = (cubicMm: number, material: string, own: OwnMaterials = NO_OWN): number =>
  cubicMm * materialOf(material, own).density * WATER * MOISTURE;

/** Whether a material is pressed full of preservative. */
export const isTreated = (material: string, own: OwnMaterials = NO_OWN): boolean =>
  materialOf(material, own).decay === 'treated';
