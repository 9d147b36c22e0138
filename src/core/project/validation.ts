/** Checks of what comes from outside, by the JSON Schemas. Apart from the rest of the project model: half a megabyte of code. */
export { schemaProblems } from './validate';
export * from './validators.generated';
