import type { ErrorObject } from 'ajv';

/** A validator of the price service's schemas (server/feed), written by scripts/make-validators.js. */
interface Validator {
  (data: unknown): boolean;
  errors?: ErrorObject[] | null;
}

export const validateStorePrices: Validator;
export const validateStores: Validator;
