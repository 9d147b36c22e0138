/** The end of an exhaustive switch: a variant that nobody handles does not compile. @throws where one comes all the same. */
export const assertNever = (value: never): never => {
  throw new Error(`not handled: ${JSON.stringify(value)}`);
};
