import { byText } from './byText';
import { plainCharacters } from './units';

/** A size as one word: `2 1/2`, `#8`, `4x50`, `500ml`. */
const SIZE = /#?\d[\d./x]*(?: \d+\/\d+)?[a-z]*/g;

const singular = (word: string): string => {
  if (word.length < 4 || /(?:ss|us|is)$/.test(word)) return word;
  if (/ies$/.test(word)) return `${word.slice(0, -3)}y`;
  if (/(?:x|ch|sh)es$/.test(word)) return word.slice(0, -2);
  return word.replace(/s$/, '');
};

/** The words of a name of hardware in one form each: singular, without `of`; sizes as one word each, `2 1/2`, `4x50`. */
const wordsOf: (name: string) => { words: string[]; sizes: string[] } = byText((name) => {
  const plain = plainCharacters(name)
    .toLowerCase()
    .replace(/,/g, ' ')
    // 2-1/2 is 2 1/2; inches are meant where nothing is said.
    .replace(/(\d)\s*-\s*(\d+\/\d+)/g, '$1 $2')
    .replace(/(\d)\s*(?:inch(?:es)?|in\b\.?|")/g, '$1 ')
    .replace(/(\d)\s*x\s*(?=\d)/g, '$1x')
    .replace(/(\dx\d+(?:\.\d+)?)\s*mm\b/g, '$1')
    .replace(/(\d)\s+(mm|cm|m|kg|g|lb|l|ml|gal|qt|oz|ft)\b/g, '$1$2');
  const sizes = [...plain.matchAll(SIZE)].map(([size]) => size);
  const words = plain
    .replace(SIZE, ' ')
    .split(/[^\p{L}]+/u)
    .filter((word) => word !== '' && word !== 'of')
    .map(singular)
    .sort();
  return { words, sizes };
});

/**
 * What a name of hardware is matched by: kind, coating and size, however they are written. `Wood screws 2 1/2 in` and
 * `wood screw 2-1/2"` are one thing.
 */
export const hardwareKey: (name: string) => string = byText((name) => {
  const { words, sizes } = wordsOf(name);
  return [words.join(' '), ...sizes].join('|');
});

/** How near two names of hardware are, from 0 to 1: the share of their words and sizes that both have. */
export const hardwareNearness = (a: string, b: string): number => {
  const [first, second] = [a, b].map((name) => {
    const { words, sizes } = wordsOf(name);
    return new Set([...words, ...sizes]);
  });
  if (!first || !second || first.size === 0 || second.size === 0) return 0;
  const both = [...first].filter((word) => second.has(word)).length;
  return both / (first.size + second.size - both);
};
