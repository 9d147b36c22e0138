import type { ErrorObject } from 'ajv';

/** A validator of the JSON Schemas beside this file, written by scripts/make-validators.js. */
interface Validator {
  (data: unknown): boolean;
  errors?: ErrorObject[] | null;
}

export const validateProjectFile: Validator;
export const validateProjectRecord: Validator;
export const validateBookRecord: Validator;
export const validateSettingsRecord: Validator;
