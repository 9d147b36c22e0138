/**
 * What the stored records are made of. From one declaration come the type that the code uses (`Static`) and the JSON Schema that
 * files are checked by; the application itself only has the JSON. Written out by `npm run schemas`.
 */
import {
  Type,
  type SchemaOptions,
  type Static,
  type TObject,
  type TProperties,
  type TSchema,
} from '@sinclair/typebox';

export type { Static } from '@sinclair/typebox';

/** An object of these properties and no others. */
export const object = <T extends TProperties>(properties: T, description?: string): TObject<T> =>
  Type.Object(properties, { additionalProperties: false, ...described(description) });

/** A property that may be absent. */
export const optional = <T extends TSchema>(schema: T, description?: string) =>
  Type.Optional(description === undefined ? schema : withWords(schema, description));

/** Some properties of an object, each of which may be absent. */
export const some = <T extends TObject, K extends (keyof T['properties'] & string)[]>(
  schema: T,
  keys: [...K],
) => Type.Partial(Type.Pick(schema, keys), { additionalProperties: false });

/** Any properties of an object but its id. */
export const someFields = <T extends TObject>(schema: T) =>
  Type.Partial(Type.Omit(schema, ['id']), { additionalProperties: false });

/** This, or null. */
export const orNull = <T extends TSchema>(schema: T) => Type.Union([schema, Type.Null()]);

/** A list of these. */
export const list = <T extends TSchema>(schema: T, limits: { minItems?: number; maxItems?: number } = {}) =>
  Type.Array(schema, limits);

/** An object with any keys. */
export const record = <T extends TSchema>(schema: T) =>
  Type.Unsafe<Record<string, Static<T>>>({ type: 'object', additionalProperties: schema });

/** One of these words. */
export const oneOf = <T extends string | null>(...values: T[]) => Type.Unsafe<T>({ enum: values });

/** This and nothing else. */
export const literal = <const T extends string | number | boolean>(value: T) =>
  Type.Unsafe<T>({ const: value });

/** A definition under its name: `name` is its key in `$defs`, `schemaId` the schema that has it, where it is another. */
export const refer = <T extends TSchema>(name: string, _: T, schemaId = '') =>
  Type.Unsafe<Static<T>>({ $ref: `${schemaId}#/$defs/${name}` });

/** A text of at most so many characters. */
export const text = (maxLength: number, minLength?: number) =>
  Type.String({ ...(minLength === undefined ? {} : { minLength }), maxLength });

/** A whole number from the least to the most. */
export const whole = (minimum: number, maximum?: number) =>
  Type.Integer({ minimum, ...(maximum === undefined ? {} : { maximum }) });

/** A number from the least to the most. */
export const number = (minimum: number, maximum: number) => Type.Number({ minimum, maximum });

/** A number above 0. */
export const positive = (maximum: number) => Type.Number({ exclusiveMinimum: 0, maximum });

/** The id of a record. */
export const ID = text(100, 1);
/** A name that is not blank. */
export const NAME = text(200, 1);
/** A text that may be blank. */
export const TEXT = text(500);
/** A formula over the project's measures. */
export const FORMULA = text(500, 1);
/** Any words. */
export const NOTE = text(10_000);
/** A share from 0 to 1. */
export const SHARE = number(0, 1);
/** A count, 1 or more. */
export const COUNT = whole(1, 100_000);
/** A count that may be 0. */
export const COUNT_OR_NONE = whole(0, 100_000);
/** Yes or no. */
export const FLAG = Type.Boolean();
/** Yes; no is said by leaving it out. */
export const YES = literal(true);
/** A day as 2026-12-02. */
export const DAY = Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}$' });
/** A currency by its code of three letters. */
export const CURRENCY = Type.String({ pattern: '^[A-Z]{3}$' });

const described = (description: string | undefined): SchemaOptions =>
  description === undefined ? {} : { description };

const withWords = <T extends TSchema>(schema: T, description: string): T => ({ ...schema, description });
