/** A text with the caret in it. */
export interface Edited {
  text: string;
  caret: number;
}

const FRACTION = /(?:^|[ -])\d+\/\d+$/;

/** Writes a key at the caret: a fraction stands apart from the whole number before it and takes the place of another. */
export const typeKey = ({ text, caret }: Edited, key: string): Edited => {
  const before = text.slice(0, caret);
  const after = text.slice(caret);
  const isFraction = key.includes('/') && key.length > 1;
  const isWord = /^[a-z]+$/.test(key);
  const kept = isFraction ? before.replace(FRACTION, '').trimEnd() : before;
  // Feet and inches are told apart by a space: 6ft 2.
  const gap = (isFraction && /\d$/.test(kept)) || (/^\d$/.test(key) && /[a-z'"]$/.test(kept)) ? ' ' : '';
  const bare = isWord ? kept.trimEnd().replace(/(?:mm|cm|ft|in|m)$/, '') : kept;
  const typed = `${bare}${gap}${key}`;
  return { text: typed + after, caret: typed.length };
};

/** Takes back what one key wrote: a digit, a whole fraction, a whole unit, a whole name. */
export const eraseUnit = ({ text, caret }: Edited): Edited => {
  const before = text.slice(0, caret).trimEnd();
  const left = before.replace(/(?:\d+\/\d+|[\p{L}_][\p{L}\p{N}_.]*|["']|.)$/u, '').trimEnd();
  return { text: left + text.slice(caret), caret: left.length };
};
