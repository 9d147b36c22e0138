import fc, { type Arbitrary } from 'fast-check';
import { validatorsOf, type Schema } from '../jsonSchema';
import type { Project } from '.';
import {
  bookFromJson,
  projectFromJson,
  projectToJson,
  purchasesToJson,
  rackToJson,
  storeToJson,
  type JsonProject,
  type JsonPurchase,
  type JsonRackEntry,
  type JsonStore,
} from './json';
import { converterOf } from './jsonForms';
import { projectSchema } from './schemas/project';
import { storageSchema } from './schemas/storage';
import written from './schemas/project.schema.json';
import writtenStorage from './schemas/storage.schema.json';

const root = written as unknown as Schema;

/** What a definition holds in the form of files where it is put into another: whole cents, sixteenths, six decimals. */
const FORMS: Record<string, Arbitrary<unknown>> = {
  money: fc.nat(1e9).map((cents) => cents / 100),
  signedMoney: fc.integer({ min: -1e9, max: 1e9 }).map((cents) => cents / 100),
  unitPrice: fc.nat(1e9).map((micros) => micros / 1e6),
  measure: fc
    .nat(100_000)
    .map((sixteenths) => ({ text: `${sixteenths}/16`, mm: Math.round(sixteenths * 1_587_500) / 1e6 })),
};

/** Any value that fits a schema, small. */
const valuesOf = (schema: Schema): Arbitrary<unknown> => {
  if (schema.$ref !== undefined) {
    const name = schema.$ref.split('/').at(-1) ?? '';
    return FORMS[name] ?? valuesOf(root.$defs?.[name] ?? {});
  }
  if (schema.const !== undefined) return fc.constant(schema.const);
  if (schema.enum) return fc.constantFrom(...schema.enum);
  if (schema.anyOf) return fc.oneof(...schema.anyOf.map(valuesOf));
  if (schema.type === 'array')
    return fc.array(valuesOf(schema.items ?? {}), {
      minLength: schema.minItems ?? 0,
      maxLength: Math.max(2, schema.minItems ?? 0),
    });
  if (schema.type === 'object') {
    const fields = Object.entries(schema.properties ?? {});
    if (fields.length === 0) return fc.constant({});
    return fc.record(Object.fromEntries(fields.map(([key, inner]) => [key, valuesOf(inner)])), {
      requiredKeys: schema.required ?? [],
    });
  }
  return plainValuesOf(schema);
};

const plainValuesOf = ({ type, pattern, minimum = 0, exclusiveMinimum, maximum, ...schema }: Schema) => {
  switch (type) {
    case 'null':
      return fc.constant(null);
    case 'boolean':
      return fc.boolean();
    case 'integer':
      return fc.integer({ min: minimum, max: Math.min(maximum ?? 100, 1e6) });
    case 'number':
      return fc.constant(exclusiveMinimum === undefined ? minimum : 0.5);
    default:
      return pattern?.includes('A-Z')
        ? fc.constantFrom('USD', 'EUR')
        : pattern === undefined
          ? fc.constant('x'.repeat(Math.max(1, schema.minLength ?? 0)))
          : fc.constant('2026-11-28');
  }
};

const anyOf = <T>(definition: string) => valuesOf({ $ref: `#/$defs/${definition}` }) as Arbitrary<T>;

test('the schemas that are kept are what their declarations say', () => {
  expect(written).toEqual(JSON.parse(JSON.stringify(projectSchema)));
  expect(writtenStorage).toEqual(JSON.parse(JSON.stringify(storageSchema)));
});

test('whatever fits the schema of a project comes back from the code as it was', () => {
  const fits = validatorsOf([root])('billet-project#/$defs/project');
  fc.assert(
    fc.property(anyOf<JsonProject>('project'), fc.array(anyOf<JsonPurchase>('purchase')), (json, bought) => {
      expect(fits(json)).toBe(true);
      const project: Project = projectFromJson(json, bought);
      expect(projectToJson(project)).toEqual({ variables: [], extras: [], ...json });
      expect(purchasesToJson(project)).toEqual(bought);
    }),
    { numRuns: 200 },
  );
});

test('stores and what is on the rack come back as they were, each in its own currency', () => {
  const rack = fc.uniqueArray(anyOf<JsonRackEntry>('rackEntry'), { maxLength: 2, selector: ({ id }) => id });
  fc.assert(
    fc.property(anyOf<JsonStore>('store'), rack, (store, entries) => {
      const book = bookFromJson({ stores: [store], prices: [], rack: entries });
      expect(Object.values(book.stores).map(storeToJson)).toEqual([store]);
      expect(rackToJson(book.rack)).toEqual(entries);
    }),
  );
});

test('every sum of a record is put into the other form, in the currency it is of, and nothing else is', () => {
  const cents = converterOf(root, 'store', {
    measure: (value) => value,
    money: (sum, currency) => `${String(sum)} ${currency}`,
    signedMoney: () => 'signed',
    unitPrice: () => 'unit price',
  });
  const store = {
    currency: 'EUR',
    trip: 3,
    cutFee: 1,
    discount: 0.1,
    way: { distance: 4, rate: 0.3 },
    shipping: { fee: 5, freeFrom: null },
  };
  expect(cents(store)).toEqual({
    currency: 'EUR',
    trip: '3 EUR',
    cutFee: '1 EUR',
    discount: 0.1,
    way: { distance: 4, rate: 'unit price' },
    shipping: { fee: '5 EUR', freeFrom: null },
  });
  expect(() => converterOf(root, 'nothing', {})).toThrow(/no schema/);
});

test('an alternative holds its sums as files do', () => {
  const json = {
    currency: 'USD',
    target: 250,
    alternatives: [{ id: 'a', name: 'A', changes: [{ type: 'editProject', fields: { target: 200.5 } }] }],
  } as unknown as JsonProject;
  const project = projectFromJson(json, []);
  expect(project.target).toBe(25_000);
  expect(project.alternatives?.[0]?.changes[0]).toEqual({ type: 'editProject', fields: { target: 20_050 } });
});
