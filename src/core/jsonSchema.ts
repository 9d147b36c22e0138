/** One way in which a value is not what its schema asks; the fields are those of Ajv's errors. */
export interface SchemaFault {
  instancePath: string;
  keyword: string;
  params: Record<string, unknown>;
}

/** A JSON Schema of the keywords that Billet's schemas use. */
export interface Schema {
  $id?: string;
  $defs?: Record<string, Schema>;
  $ref?: string;
  type?: string;
  const?: unknown;
  enum?: unknown[];
  anyOf?: Schema[];
  properties?: Record<string, Schema>;
  required?: string[];
  additionalProperties?: boolean | Schema;
  items?: Schema;
  minItems?: number;
  maxItems?: number;
  minLength?: number;
  maxLength?: number;
  pattern?: string;
  minimum?: number;
  maximum?: number;
  exclusiveMinimum?: number;
  exclusiveMaximum?: number;
}

/** Says whether a value fits; where it does not, `errors` says why. */
export interface Validator {
  (data: unknown): boolean;
  errors?: SchemaFault[] | null;
}

/** Where faults go; null: the first one ends the look. */
type Faults = SchemaFault[] | null;
type Check = (value: unknown, faults: Faults, path: string) => boolean;

/** Keywords that only name or explain. */
const PLAIN = new Set(['$schema', '$id', '$defs', 'title', 'description']);

/**
 * Validators of JSON Schemas (draft 7, as far as `Schema` goes) without code made at run time, which the application's
 * content-security policy forbids, and without the half megabyte that code made beforehand takes. `schemas` may refer to each
 * other by `$id`. Returns the validator of a reference, `billet-project#/$defs/part`. @throws on a keyword it does not know.
 */
export const validatorsOf = (schemas: Schema[]): ((ref: string) => Validator) => {
  const made = new Map<string, Check>();
  const checkOf = (ref: string): Check => {
    const before = made.get(ref);
    if (before) return before;
    const [id = '', pointer = ''] = ref.split('#');
    const root = schemas.find(({ $id }) => $id === id);
    const schema = pointer
      .split('/')
      .slice(1)
      .reduce<unknown>((held, key) => (held as Record<string, unknown> | undefined)?.[key], root) as
      Schema | undefined;
    if (!schema) throw new Error(`no schema ${ref}`);
    // A definition may refer to itself.
    let check: Check = () => true;
    made.set(ref, (value, faults, path) => check(value, faults, path));
    check = compile(schema, (inner) => checkOf(inner.startsWith('#') ? id + inner : inner));
    return check;
  };
  return (ref) => {
    const check = checkOf(ref);
    const validator: Validator = (data) => {
      validator.errors = null;
      if (check(data, null, '')) return true;
      const faults: SchemaFault[] = [];
      check(data, faults, '');
      validator.errors = faults;
      return false;
    };
    return validator;
  };
};

const compile = (schema: Schema, refer: (ref: string) => Check): Check => {
  const checks: Check[] = [];
  for (const keyword of Object.keys(schema) as (keyof Schema)[]) {
    if (PLAIN.has(keyword)) continue;
    const make = KEYWORDS[keyword];
    if (!make) throw new Error(`the keyword ${keyword} of a schema is not known`);
    const check = make(schema, refer);
    // It tells most of what does not fit.
    if (keyword === 'type') checks.unshift(check);
    else checks.push(check);
  }
  const [first, ...rest] = checks;
  if (!first) return () => true;
  return (value, faults, path) => {
    let fits = first(value, faults, path);
    if (!fits && faults === null) return false;
    for (const check of rest)
      if (!check(value, faults, path)) {
        if (faults === null) return false;
        fits = false;
      }
    return fits;
  };
};

/** Notes a fault; always false. */
const fault = (
  faults: Faults,
  instancePath: string,
  keyword: string,
  params: Record<string, unknown>,
): false => {
  faults?.push({ instancePath, keyword, params });
  return false;
};

/** A step into a value, as JSON Pointer writes it. */
const step = (path: string, key: string | number): string =>
  `${path}/${String(key).replaceAll('~', '~0').replaceAll('/', '~1')}`;

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const IS_TYPE: Record<string, (value: unknown) => boolean> = {
  object: isObject,
  array: Array.isArray,
  string: (value) => typeof value === 'string',
  number: (value) => typeof value === 'number' && Number.isFinite(value),
  integer: (value) => Number.isInteger(value),
  boolean: (value) => typeof value === 'boolean',
  null: (value) => value === null,
};

/** The characters of a text: a pair of surrogates is one. */
const lengthOf = (text: string): number => {
  let length = text.length;
  for (let at = 0; at < text.length - 1; at++)
    if ((text.charCodeAt(at) & 0xfc00) === 0xd800 && (text.charCodeAt(at + 1) & 0xfc00) === 0xdc00) length--;
  return length;
};

type Make = (schema: Schema, refer: (ref: string) => Check) => Check;

/** A keyword that sets a limit to what `measured` gives; undefined: it is not of the type that the keyword speaks of. */
const limit =
  (
    keyword: keyof Schema,
    measured: (value: unknown) => number | undefined,
    fits: (measure: number, limit: number) => boolean,
  ): Make =>
  (schema) => {
    const bound = schema[keyword] as number;
    return (value, faults, path) => {
      const measure = measured(value);
      return measure === undefined || fits(measure, bound) || fault(faults, path, keyword, { limit: bound });
    };
  };

const ofText = (value: unknown) => (typeof value === 'string' ? lengthOf(value) : undefined);
const ofList = (value: unknown) => (Array.isArray(value) ? value.length : undefined);
const ofNumber = (value: unknown) =>
  typeof value === 'number' && Number.isFinite(value) ? value : undefined;

const properties: Make = (schema, refer) => {
  const own = Object.entries(schema.properties ?? {}).map(
    ([key, inner]) => [key, compile(inner, refer)] as const,
  );
  return (value, faults, path) => {
    if (!isObject(value)) return true;
    let fits = true;
    for (const [key, check] of own) {
      const held = value[key];
      if (held === undefined || check(held, faults, faults ? step(path, key) : path)) continue;
      fits = false;
      if (!faults) return false;
    }
    return fits;
  };
};

const additionalProperties: Make = (schema, refer) => {
  const known = new Set(Object.keys(schema.properties ?? {}));
  const inner = schema.additionalProperties;
  const check = typeof inner === 'object' ? compile(inner, refer) : null;
  return (value, faults, path) => {
    if (!isObject(value) || inner === true) return true;
    let fits = true;
    for (const key in value) {
      if (known.has(key)) continue;
      const isFit = check
        ? check(value[key], faults, faults ? step(path, key) : path)
        : fault(faults, path, 'additionalProperties', { additionalProperty: key });
      if (isFit) continue;
      fits = false;
      if (!faults) return false;
    }
    return fits;
  };
};

const items: Make = (schema, refer) => {
  const check = compile(schema.items ?? {}, refer);
  return (value, faults, path) => {
    if (!Array.isArray(value)) return true;
    let fits = true;
    for (let index = 0; index < value.length; index++) {
      if (check(value[index], faults, faults ? step(path, index) : path)) continue;
      fits = false;
      if (!faults) return false;
    }
    return fits;
  };
};

const anyOf: Make = (schema, refer) => {
  const branches = (schema.anyOf ?? []).map((inner) => compile(inner, refer));
  return (value, faults, path) => {
    if (branches.some((check) => check(value, null, path))) return true;
    if (faults) for (const check of branches) check(value, faults, path);
    return fault(faults, path, 'anyOf', {});
  };
};

const KEYWORDS: Partial<Record<keyof Schema, Make>> = {
  $ref: (schema, refer) => {
    const check = refer(schema.$ref ?? '');
    return (value, faults, path) => check(value, faults, path);
  },
  type: ({ type = '' }) => {
    const isOfType = IS_TYPE[type];
    if (!isOfType) throw new Error(`the type ${type} of a schema is not known`);
    return (value, faults, path) => isOfType(value) || fault(faults, path, 'type', { type });
  },
  const: (schema) => (value, faults, path) =>
    value === schema.const || fault(faults, path, 'const', { allowedValue: schema.const }),
  enum:
    ({ enum: allowedValues = [] }) =>
    (value, faults, path) =>
      allowedValues.includes(value) || fault(faults, path, 'enum', { allowedValues }),
  anyOf,
  properties,
  additionalProperties,
  items,
  required:
    ({ required = [] }) =>
    (value, faults, path) => {
      if (!isObject(value)) return true;
      let fits = true;
      for (const missingProperty of required)
        if (value[missingProperty] === undefined) fits = fault(faults, path, 'required', { missingProperty });
      return fits;
    },
  pattern: ({ pattern = '' }) => {
    const form = new RegExp(pattern, 'u');
    return (value, faults, path) =>
      typeof value !== 'string' || form.test(value) || fault(faults, path, 'pattern', { pattern });
  },
  minItems: limit('minItems', ofList, (count, least) => count >= least),
  maxItems: limit('maxItems', ofList, (count, most) => count <= most),
  minLength: limit('minLength', ofText, (count, least) => count >= least),
  maxLength: limit('maxLength', ofText, (count, most) => count <= most),
  minimum: limit('minimum', ofNumber, (value, least) => value >= least),
  maximum: limit('maximum', ofNumber, (value, most) => value <= most),
  exclusiveMinimum: limit('exclusiveMinimum', ofNumber, (value, least) => value > least),
  exclusiveMaximum: limit('exclusiveMaximum', ofNumber, (value, most) => value < most),
};
