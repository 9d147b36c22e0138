/** 106 bits of a multiplicative hash, twice over with other seeds: two inputs do not meet by chance. */
export const textHash = (text: string): string =>
  `${text.length}-${half(text, 0xdeadbeef)}-${half(text, 0x9e3779b9)}`;

const half = (text: string, seed: number): string => {
  let high = seed;
  let low = 0x41c6ce57 ^ seed;
  for (let index = 0; index < text.length; index++) {
    const code = text.charCodeAt(index);
    high = Math.imul(high ^ code, 2654435761);
    low = Math.imul(low ^ code, 1597334677);
  }
  high = Math.imul(high ^ (high >>> 16), 2246822507) ^ Math.imul(low ^ (low >>> 13), 3266489909);
  low = Math.imul(low ^ (low >>> 16), 2246822507) ^ Math.imul(high ^ (high >>> 13), 3266489909);
  return `${(low >>> 0).toString(36)}${(high >>> 0).toString(36)}`;
};
