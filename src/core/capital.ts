/** `words` with its first letter large, as a sentence or a title begins. */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
