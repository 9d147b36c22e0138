import { Ajv } from 'ajv';
import fc from 'fast-check';
import { samples } from '@/data/samples';
import { emptyHistory } from '.';
import { projectToJson, purchasesToJson } from './json';
import { writeProjectFile } from '../io';
import { validatorsOf, type Schema, type Validator } from '../jsonSchema';
import project from './schemas/project.schema.json';
import storage from './schemas/storage.schema.json';
import { schemaProblems, validateProjectFile, validateProjectRecord } from './validation';

const ajv = new Ajv({ schemas: [project, storage], allErrors: true });
const ofAjv = (ref: string) => ajv.getSchema(ref) as unknown as Validator;

/** Documents as they are kept and sent, of every sample. */
const documents = samples().flatMap((sample): { json: unknown; own: Validator; other: Validator }[] => [
  {
    json: JSON.parse(writeProjectFile(sample.project, sample.book)),
    own: validateProjectFile,
    other: ofAjv('billet-project'),
  },
  {
    json: {
      history: emptyHistory(),
      deletedAt: null,
      project: projectToJson(sample.project),
      purchases: purchasesToJson(sample.project),
    },
    own: validateProjectRecord,
    other: ofAjv('billet-storage#/$defs/projectRecord'),
  },
]);

/** Puts `value` somewhere into a copy of a document: `steps` choose the way down; an entry may be taken out or added too. */
const damaged = (json: unknown, steps: number[], value: unknown, how: 'set' | 'drop' | 'add'): unknown => {
  const copy: unknown = structuredClone(json);
  let place = copy as Record<string, unknown>;
  for (const [depth, step] of steps.entries()) {
    const keys = Object.keys(place);
    const key = keys[step % Math.max(1, keys.length)];
    if (key === undefined) break;
    const inner = place[key];
    const isLast = depth === steps.length - 1 || typeof inner !== 'object' || inner === null;
    if (!isLast) {
      place = inner as Record<string, unknown>;
      continue;
    }
    if (how === 'set') place[key] = value;
    else if (how === 'drop') delete place[key];
    else place['another'] = value;
    break;
  }
  return copy;
};

/** What a person can type into such a file. */
const values = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    true,
    '',
    'x',
    'USD',
    '2026-11-27',
    0,
    -1,
    1e9,
    1.5,
    [],
    {},
    'a'.repeat(600),
  ),
  fc.string({ unit: 'grapheme' }),
  fc.double({ noNaN: true }),
  fc.array(fc.anything({ maxDepth: 0 }), { maxLength: 3 }),
  fc.dictionary(fc.string(), fc.integer()),
);

test('says of every document, whole or damaged, what Ajv says of it', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...documents),
      fc.array(fc.nat(40), { minLength: 1, maxLength: 7 }),
      values,
      fc.constantFrom<'set' | 'drop' | 'add'>('set', 'drop', 'add'),
      ({ json, own, other }, steps, value, how) => {
        const document = damaged(json, steps, value, how);
        expect(own(document)).toBe(other(document));
        const places = (validator: Validator) =>
          schemaProblems(validator.errors)
            .map(({ place, sentence }) => `${place}: ${sentence}`)
            .sort();
        expect(places(own)).toEqual(places(other));
      },
    ),
    { numRuns: 600 },
  );
});

test('whole documents fit, and a fault says where it is', () => {
  for (const { json, own } of documents) expect(own(json)).toBe(true);
  const [first] = documents;
  const file = structuredClone(first?.json) as { project: { groups: { name: unknown }[] } };
  const group = file.project.groups[1];
  if (group) group.name = 4;
  expect(validateProjectFile(file)).toBe(false);
  expect(schemaProblems(validateProjectFile.errors)).toEqual([
    { code: 'schema:type', place: 'project.groups[1].name', sentence: 'must be a text' },
  ]);
});

test('a keyword or a schema that it does not know is refused when it is made', () => {
  const strange = { $id: 'strange', multipleOf: 2 } as unknown as Schema;
  expect(() => validatorsOf([strange])('strange')).toThrow(/multipleOf/);
  expect(() => validatorsOf([strange])('other')).toThrow(/no schema other/);
});
