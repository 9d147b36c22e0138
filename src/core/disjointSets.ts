/**
 * For each key one key that stands for all that hang together with it: those of one set do, and so do sets that share a
 * key. A key of no set stands for itself.
 */
export const disjointSets = <Key>(sets: Iterable<readonly Key[]>): ((key: Key) => Key) => {
  const parent = new Map<Key, Key>();
  const root = (key: Key): Key => {
    const above = parent.get(key);
    if (above === undefined) return key;
    const top = root(above);
    parent.set(key, top);
    return top;
  };
  for (const [first, ...others] of sets)
    for (const other of others) {
      const [from, to] = [root(other), root(first as Key)];
      if (from !== to) parent.set(from, to);
    }
  return root;
};
