/** Numbers between 0 and 1, the same each time (a linear congruential generator). */
export const randomNumbers = (): (() => number) => {
  let state = 12_345;
  return () => (state = (Math.imul(state, 1_103_515_245) + 12_345) & 0x7fffffff) / 0x7fffffff;
};
