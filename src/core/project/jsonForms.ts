import type { Schema } from '../jsonSchema';

/** How a value of a definition is written in its other form; `currency` is that of the nearest object around it that names one. */
export type Forms = Record<string, (value: unknown, currency: string) => unknown>;

type Convert = (value: unknown, currency: string) => unknown;
type Fields = Record<string, unknown>;

/**
 * Converts values of a definition of a schema: wherever it refers to one that has a form, at any depth, the value is put into that
 * form. What holds none is given back as it is. @throws where the schema has no such definition.
 */
export const converterOf = (root: Schema, definition: string, forms: Forms) => {
  const convert = convertRef(root, forms, `#/$defs/${definition}`);
  return (value: unknown, currency = ''): unknown => (convert ? convert(value, currency) : value);
};

/** Null: nothing of it has another form. */
const converter = (root: Schema, forms: Forms, schema: Schema): Convert | null => {
  if (schema.$ref !== undefined) return convertRef(root, forms, schema.$ref);
  if (schema.anyOf) return convertUnion(root, forms, schema.anyOf);
  if (schema.items) {
    const convert = converter(root, forms, schema.items);
    return convert && ((value, currency) => (value as unknown[]).map((entry) => convert(entry, currency)));
  }
  return convertFields(root, forms, schema);
};

const convertRef = (root: Schema, forms: Forms, ref: string): Convert | null => {
  const name = ref.split('/').at(-1) ?? '';
  const form = forms[name];
  if (form) return form;
  const schema = root.$defs?.[name];
  if (!schema) throw new Error(`no schema ${ref}`);
  return converter(root, forms, schema);
};

/** Of a tagged union the branch of the value's `type`; of others, a value or null, the branch that has another form. */
const convertUnion = (root: Schema, forms: Forms, branches: Schema[]): Convert | null => {
  const made = branches.map((branch) => ({
    tag: branch.properties?.['type']?.const,
    convert: converter(root, forms, branch),
  }));
  if (made.every(({ convert }) => convert === null)) return null;
  return (value, currency) => {
    if (value === null) return null;
    const isOf = ({ tag, convert }: (typeof made)[number]) =>
      tag === undefined ? convert !== null : tag === (value as Fields)['type'];
    const convert = made.find(isOf)?.convert;
    return convert ? convert(value, currency) : value;
  };
};

const convertFields = (root: Schema, forms: Forms, schema: Schema): Convert | null => {
  const own = Object.entries(schema.properties ?? {}).flatMap(([key, inner]) => {
    const convert = converter(root, forms, inner);
    return convert ? [{ key, convert }] : [];
  });
  if (own.length === 0) return null;
  return (value, around) => {
    const fields = { ...(value as Fields) };
    const currency = typeof fields['currency'] === 'string' ? fields['currency'] : around;
    for (const { key, convert } of own)
      if (fields[key] !== undefined) fields[key] = convert(fields[key], currency);
    return fields;
  };
};
