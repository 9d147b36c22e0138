/** The cheapest packs that hold so many pieces, by dynamic programming over the pieces still wanted. Null where there are none. */
export const cheapestPacks = (
  pieces: number,
  packs: { pack: number; cost: number }[],
): { counts: number[]; cost: number } | null => {
  if (packs.length === 0) return null;
  const least = new Float64Array(pieces + 1);
  const chosen = new Int32Array(pieces + 1);
  for (let wanted = 1; wanted <= pieces; wanted++) {
    let best = Infinity;
    packs.forEach(({ pack, cost }, index) => {
      const sum = cost + (least[Math.max(0, wanted - pack)] as number);
      if (sum < best) {
        best = sum;
        chosen[wanted] = index;
      }
    });
    least[wanted] = best;
  }
  const counts = packs.map(() => 0);
  for (let wanted = pieces; wanted > 0;) {
    const index = chosen[wanted] as number;
    counts[index] = (counts[index] ?? 0) + 1;
    wanted -= packs[index]?.pack ?? wanted;
  }
  return { counts, cost: least[pieces] as number };
};
