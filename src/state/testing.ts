/** What the tests of this folder share. */
import type { ShortTexts } from '@/platform/room';

/** Short texts that lie in a map. */
export const textsIn = (kept: Map<string, string>): ShortTexts => ({
  keys: () => [...kept.keys()],
  read: (key) => kept.get(key) ?? null,
  write: (key, text) => void kept.set(key, text),
  remove: (key) => void kept.delete(key),
});
