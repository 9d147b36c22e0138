/** A number from 0 up to 1 that is always the same for the same words: the one source of chance of the simulated stores. */
export const chance = (...words: (string | number)[]): number => {
  let hash = 2166136261;
  for (const code of words.join('|')) hash = Math.imul(hash ^ code.charCodeAt(0), 16777619);
  hash = Math.imul(hash ^ (hash >>> 15), 2246822507);
  hash = Math.imul(hash ^ (hash >>> 13), 3266489909);
  return ((hash ^ (hash >>> 16)) >>> 0) / 2 ** 32;
};
