import type { SchemaFault } from '../jsonSchema';
import type { Problem } from '../result';

/** What does not fit a schema, as sentences, each with its place: `project.groups[0].parts[3].quantity`. */
export const schemaProblems = (errors: SchemaFault[] | null | undefined): Problem[] => {
  const problems = (errors ?? [])
    // `anyOf` repeats in general what its branches say in particular.
    .filter(
      ({ keyword, params }) => keyword !== 'anyOf' && !(keyword === 'type' && params['type'] === 'null'),
    )
    .map(({ instancePath, keyword, params }) => ({
      code: `schema:${keyword}`,
      place: placeOf(instancePath, keyword, params),
      sentence: sentenceOf(keyword, params),
    }));
  const told = new Map(problems.map((problem) => [`${problem.place} ${problem.sentence}`, problem]));
  return [...told.values()];
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

const sentenceOf = (keyword: string, params: Record<string, unknown>): string => {
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
    case 'exclusiveMinimum':
      return `must be more than ${String(params['limit'])}`;
    case 'exclusiveMaximum':
      return `must be less than ${String(params['limit'])}`;
    case 'maxItems':
      return `must not have more than ${String(params['limit'])} entries`;
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
      return 'is not what Billet expects here';
  }
};
