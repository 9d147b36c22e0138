const MOST = 5000;

/**
 * A reader that remembers what it made of a text: sections and formulas are read again with every change, and
 * nearly all of them are as they were. `read` must be pure.
 */
export const byText = <T>(read: (text: string) => T): ((text: string) => T) => {
  const held = new Map<string, T>();
  return (text) => {
    const before = held.get(text);
    if (before !== undefined) return before;
    const made = read(text);
    if (held.size >= MOST) held.clear();
    held.set(text, made);
    return made;
  };
};
