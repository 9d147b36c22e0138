import { Type } from '@sinclair/typebox';
import type { Micros, Minor, Ticks } from '../../units';
import { oneOf, refer } from '../../schemaKinds';
import { CATEGORIES, type Category } from '../category';

/** A measure as it was written, a formula too, and what it comes to; `apply` keeps the two in step. */
export interface Measure {
  text: string;
  ticks: Ticks;
}

/**
 * What a file holds in another form than the code. The types are those of the code; the schemas, and `json.ts` that converts
 * between the two, those of files.
 */
export const FORMS = {
  measure: Type.Unsafe<Measure>(
    Type.Object(
      {
        text: Type.String({ minLength: 1, maxLength: 500 }),
        mm: Type.Number({ minimum: 0, maximum: 1_000_000 }),
      },
      {
        additionalProperties: false,
        description:
          'A length as it was written, a formula too, and what it comes to in millimetres to six decimals.',
      },
    ),
  ),
  length: Type.Unsafe<Ticks>(
    Type.Number({ minimum: 0, maximum: 1_000_000, description: 'A length in millimetres to six decimals.' }),
  ),
  money: Type.Unsafe<Minor>(
    Type.Number({ minimum: 0, maximum: 1e9, description: "A sum in the currency's main unit." }),
  ),
  signedMoney: Type.Unsafe<Minor>(
    Type.Number({
      minimum: -1e9,
      maximum: 1e9,
      description: "A sum in the currency's main unit, below 0 where it comes back.",
    }),
  ),
  unitPrice: Type.Unsafe<Micros>(
    Type.Number({
      minimum: 0,
      maximum: 1e9,
      description: "A price in the currency's main unit, to six decimals.",
    }),
  ),
};

/** A measure, as a field refers to it. */
export const MEASURE = refer('measure', FORMS.measure);
/** A length, as a field refers to it. */
export const LENGTH = refer('length', FORMS.length);
/** 0 or more. */
export const MONEY = refer('money', FORMS.money);
/** A sum that may be below 0. */
export const SIGNED_MONEY = refer('signedMoney', FORMS.signedMoney);
/** A price to six decimals. */
export const UNIT_PRICE = refer('unitPrice', FORMS.unitPrice);

/** What money goes into, by its word in files. */
export const category = oneOf<Category>(...CATEGORIES);
/** A category, as a field refers to it. */
export const CATEGORY = refer('category', category);

/** Columns of a file that mean nothing here, kept for the way back. */
export const OTHER_COLUMNS = Type.Unsafe<Record<string, string>>({
  type: 'object',
  additionalProperties: { type: 'string' },
});
