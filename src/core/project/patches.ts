import { applyPatches as applyByImmer, type Objectish, type Patch } from 'immer';

type Container = Record<string, unknown>;

/** Keys that reach beyond the document itself. */
const UNSAFE = new Set<string | number>(['__proto__', 'constructor', 'prototype']);

const isPlain = (value: unknown): value is Container =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * `document` after some patches; what no patch touches is shared with it. Each object on the way is copied once, so that a
 * patch in a record of thousands costs that one copy. Patches into lists are left to immer.
 */
export const applyPatches = <T extends Objectish>(document: T, patches: Patch[]): T => {
  const copied = new Set<unknown>();
  const copyOf = (value: Container): Container => {
    if (copied.has(value)) return value;
    const copy = { ...value };
    copied.add(copy);
    return copy;
  };
  const made = copyOf(document as Container);
  for (const { op, path, value } of patches) {
    if (path.some((step) => UNSAFE.has(step))) throw new Error('a patch reaches outside its document');
    let home = made;
    for (const step of path.slice(0, -1)) {
      const next = home[step];
      if (!isPlain(next)) return applyByImmer(document, patches);
      home = home[step] = copyOf(next);
    }
    const last = path.at(-1);
    if (last === undefined) return applyByImmer(document, patches);
    if (op === 'remove') delete home[last];
    else home[last] = value;
  }
  return made as T;
};
