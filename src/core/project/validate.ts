import type { ErrorObject } from 'ajv';
import type { Problem } from '../result';

/** Ajv's errors as sentences, each with its place: `project.groups[0].parts[3].quantity`. */
export const schemaProblems = (errors: ErrorObject[] | null | undefined): Problem[] => {
  const problems = (errors ?? [])
    // `anyOf` repeats in general what its branches say in particular.
    .filter(
      ({ keyword, params }) => keyword !== 'anyOf' && !(keyword === 'type' && params['type'] === 'null'),
    )
    .map(({ instancePath, keyword, params, message }) => ({
      code: `schema:${keyword}`,
      place: placeOf(instancePath, keyword, params),
      sentence: sentenceOf(keyword, params, message ?? ''),
    }));
  return problems.filter(
    ({ place, sentence }, index) =>
      problems.findIndex((other) => other.place === place && other.sentence === sentence) === index,
  );
};

const placeOf = (path: string, keyword: string, params: Record<string, unknown>): string => {
  const missing = keyword === 'required' ? `/${String(params['missingProperty'])}` : '';
  const extra = keyword === 'additionalProperties' ? `/${String(params['additionalProperty'])}` : '';
  const place = `${path}${missing}${extra}`
    .split('/')
    .slice(1)
    .reduce(
      (text, step) => (/^\d+$/.test(step) ? `${text}[${step}]` : text === '' ? step : `${text}.${step}`),
      '',
    );
  return place === '' ? 'the file' : place;
};

const TYPES: Record<string, string> = {
  string: 'a text',
  number: 'a number',
  integer: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  object: 'an object',
};

const sentenceOf = (keyword: string, params: Record<string, unknown>, message: string): string => {
  switch (keyword) {
    case 'required':
      return 'is missing';
    case 'additionalProperties':
      return 'is not something that Billet knows; take it out';
    case 'type':
      return `must be ${TYPES[String(params['type'])] ?? String(params['type'])}`;
    case 'enum':
      return `must be one of: ${(params['allowedValues'] as unknown[]).join(', ')}`;
    case 'const':
      return `must be ${String(params['allowedValue'])}`;
    case 'minimum':
      return `must be ${String(params['limit'])} or more`;
    case 'maximum':
      return `must be ${String(params['limit'])} or less`;
    case 'minLength':
    case 'minItems':
      return 'must not be empty';
    case 'maxLength':
      return `must not be longer than ${String(params['limit'])} characters`;
    case 'pattern':
      return params['pattern'] === '^[A-Z]{3}$'
        ? 'must be a currency of three capitals, such as USD'
        : 'must be a date such as 2026-05-31';
    default:
      return message;
  }
};
