import type { Part } from './types';

/** What of a part may follow from a formula. */
export type PartField =
  'length' | 'width' | 'shortOk' | 'fitOver' | 'measured' | 'quantity' | 'angle' | ShapeField;
/** A measure of what is done to its outline: of which, from 0, and which one. */
type ShapeField = `shape ${number} ${'along' | 'across' | 'from'}`;
/** What each of them is called in a sentence. */
export const fieldWords = (field: PartField): string =>
  field in WORDS ? WORDS[field as Exclude<PartField, ShapeField>] : 'shape';

const WORDS: Record<Exclude<PartField, ShapeField>, string> = {
  length: 'length',
  width: 'width',
  shortOk: 'may come out short by',
  fitOver: 'a little over',
  measured: 'length as measured',
  quantity: 'how many',
  angle: 'degrees off square',
};

/** A length of a part, with where in the part it stands. */
export interface PartMeasure {
  field: PartField;
  measure: Part['length'];
  path: (string | number)[];
}

/** The lengths of a part, each with its field. */
export const measuresOf = (part: Part): PartMeasure[] => [
  { field: 'length', measure: part.length, path: ['length'] },
  { field: 'width', measure: part.width, path: ['width'] },
  { field: 'shortOk', measure: part.shortOk, path: ['shortOk'] },
  { field: 'fitOver', measure: part.fitOver ?? null, path: ['fitOver'] },
  { field: 'measured', measure: part.measured?.length ?? null, path: ['measured', 'length'] },
  ...(part.shape ?? []).flatMap((shaping, index): PartMeasure[] =>
    (['along', 'across', 'from'] as const).map((name) => ({
      field: `shape ${index} ${name}`,
      measure: shaping[name],
      path: ['shape', index, name],
    })),
  ),
];
