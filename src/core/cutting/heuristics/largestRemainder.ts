/**
 * Whole numbers that add up to `total` and lie as near to `shares` as whole numbers can: each share rounded down, and what
 * is left given to those that lost most by it, of equals the first.
 */
export const largestRemainder = (total: number, shares: number[]): number[] => {
  const whole = shares.map(Math.floor);
  const order = shares
    .map((share, index) => ({ index, lost: share - Math.floor(share) }))
    .sort((a, b) => b.lost - a.lost || a.index - b.index);
  let left = total - whole.reduce((sum, share) => sum + share, 0);
  for (let turn = 0; left !== 0 && order.length > 0; turn++) {
    const { index } = order[left > 0 ? turn % order.length : order.length - 1 - (turn % order.length)] ?? {
      index: 0,
    };
    whole[index] = (whole[index] ?? 0) + Math.sign(left);
    left -= Math.sign(left);
  }
  return whole;
};
