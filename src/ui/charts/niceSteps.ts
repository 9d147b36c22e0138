/** Steps of an axis up to `most`: about so many, of 1, 2 or 5 by a power of ten each. */
export const niceSteps = (most: number, about: number): { step: number; sections: number } => {
  const least = Math.max(most / about, 1e-9);
  const power = 10 ** Math.floor(Math.log10(least));
  const step = power * ([1, 2, 5, 10].find((factor) => factor * power >= least) ?? 10);
  return { step, sections: Math.ceil(most / step) };
};
