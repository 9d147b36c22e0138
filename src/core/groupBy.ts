/** A list in runs that share a key, in the order in which keys come first. */
export const groupBy = <T>(list: T[], key: (entry: T) => unknown): T[][] => {
  const groups = new Map<unknown, T[]>();
  for (const entry of list) {
    const group = groups.get(key(entry));
    if (group) group.push(entry);
    else groups.set(key(entry), [entry]);
  }
  return [...groups.values()];
};
