import { parseAngle } from '../units';
import { isKnownMaterial, isNamedWood, parseMaterials, writeEnds, type Ends } from '../lumber';

const COUNTS = 'one two three four five six seven eight nine ten eleven twelve'.split(' ');

/** The number that a word says, `two`, `a`, `pair`; null: none. */
export const countOfWord = (word: string): number | null => {
  const plain = word.toLowerCase();
  if (plain === 'a' || plain === 'an') return 1;
  if (plain === 'pair') return 2;
  if (plain === 'dozen') return 12;
  const at = COUNTS.indexOf(plain);
  return at < 0 ? null : at + 1;
};

const HARDWARE =
  /\b(screws?|nails?|brads?|bolts?|nuts?|washers?|hinges?|hooks?|hangers?|brackets?|braces? plates?|plates?|straps?|staples?|dowels?|biscuits?|pipes?|nipples?|elbows?|tees?|flanges?|fittings?|casters?|castors?|wheels?|handles?|knobs?|pulls?|latch(?:es)?|locks?|magnets?|slides?|anchors?|plugs?|rods?|tubes?|cables?|chains?|ropes?|inserts?|pins?|clips?|corners? irons?|irons?|glue|adhesive|sandpaper|bits?|blades?|cans?|quarts?|gallons?|paint|stain|varnish|oil|sealer|fabric|mesh|felt|concrete|mortar|gravel|sand|soil|bags?|blocks? of concrete|pads?|feet|shelf pins?|shelf supports?|cloth|mirrors?|glass|tiles?|bars?)\b/i;

/** Whether words name what stores keep beside wood. */
export const namesHardware = (text: string): boolean => HARDWARE.test(text);

const PARTS_OF_WOOD =
  /\b(posts?|rails?|legs?|slats?|boards?|planks?|shel(?:f|ves)|braces?|aprons?|studs?|joists?|beams?|battens?|strips?|trims?|stretchers?|cleats?|panels?|sides?|backs?|tops?|bottoms?|seats?|plates?|rafters?|stakes?)\b/i;

/** Whether words name what is made of wood. */
export const namesWoodwork = (text: string): boolean => PARTS_OF_WOOD.test(text);

/** Words between a count and what is counted: `4 pcs`, `8 no.`, `3 Stk`. */
export const isFiller = (word: string): boolean =>
  /^(pcs?|pieces?|ea|each|off|x|of|nos?|st|stk|st(?:ü|u)ck|units?|lengths?)\.?$/i.test(word);

/** How many numbers a text has, a fraction with its whole as one. */
export const numbersIn = (text: string): number =>
  [...text.matchAll(/\d+(?:[ -]\d+\/\d+|\/\d+|[.,]\d+)?/g)].length;

/** Measures of what is in a can or bag, that could be how much of it or how many. */
export const isBulk = (word: string): boolean => /^(l|ml|cl|g|kg|m|cm|mm)$/i.test(word);

const MOST_WORDS_OF_A_WOOD = 3;

/** How many words at the front name a wood or how it was treated: `cedar`, `white oak`, `pressure treated pine`; 0: none. */
export const woodWords = (words: string[]): number => {
  for (let count = Math.min(MOST_WORDS_OF_A_WOOD, words.length); count > 0; count--) {
    const last = words[count - 1] ?? '';
    if (isNamedWood(words.slice(0, count).join(' ')) && isNamedWood(last) && !namesWoodwork(last))
      return count;
  }
  return 0;
};

const PANELS =
  /^(?:ply(?:wood)?|mdf|hdf|osb|hardboard|chipboard|particle ?board|melamine|blockboard|panel|sheet)$/i;
const BEFORE_PANEL =
  /^(?:birch|oak|maple|cherry|walnut|pine|marine|exterior|outdoor|sanded|baltic|white|treated|cdx|acx|bcx)$/i;

/** How many words at the front name a sheet: `birch ply`, `MDF`; 0: none. */
export const panelWords = (words: string[]): number => {
  const at = words.findIndex((word) => !BEFORE_PANEL.test(word));
  return at >= 0 && PANELS.test(words[at] ?? '') ? at + 1 : 0;
};

const ANGLE = String.raw`(\d{1,2}(?:[.,]\d+)?)`;
const DEGREES = String.raw`(?: ?(?:°|deg(?:rees?)?\b\.?))`;
const SHAPES: [pattern: RegExp, shape: 'mitre' | 'parallel' | 'one'][] = [
  // 45/45: where it would be a fraction it is more than one.
  [new RegExp(String.raw`(?<![\d/.])${ANGLE}${DEGREES}? ?/ ?\1${DEGREES}?(?![\d/.])`, 'i'), 'mitre'],
  [
    new RegExp(String.raw`\bparallel(?: at| ends)? ${ANGLE}${DEGREES}?( edge\b)?(?![\d/x.])`, 'i'),
    'parallel',
  ],
  [
    new RegExp(
      String.raw`\b(?:both|each|two) ends? (?:cut |mitred |mitered |at )*${ANGLE}${DEGREES}?( edge\b)?(?![\d/x.])`,
      'i',
    ),
    'mitre',
  ],
  [
    new RegExp(
      String.raw`(?<![\d/.])${ANGLE}${DEGREES}? (?:mitres? |miters? )?(?:on |at )?(?:both|each)(?: ends?)?\b`,
      'i',
    ),
    'mitre',
  ],
  [
    new RegExp(
      String.raw`\b(?:mitre|miter)(?:d|ed|s)?(?: at| both ends)? ${ANGLE}${DEGREES}?( edge\b)?(?![\d/x.])`,
      'i',
    ),
    'mitre',
  ],
  [new RegExp(String.raw`(?<![\d/.])${ANGLE}${DEGREES}? (?:on |at )?one end\b`, 'i'), 'one'],
  [new RegExp(String.raw`\bone end (?:cut |at )*${ANGLE}${DEGREES}?( edge\b)?(?![\d/x.])`, 'i'), 'one'],
  [
    new RegExp(
      String.raw`(?<=\S )\bone ${ANGLE}${DEGREES}?( edge\b)?(?![\d/x.'"]| ?(?:x|in|mm|cm|ft)\b)`,
      'i',
    ),
    'one',
  ],
];

/** How the ends are cut by the words of a text, and what is left of it; null: it says nothing of them. */
export const takeEnds = (text: string): { ends: string; said: string; rest: string } | null => {
  for (const [pattern, shape] of SHAPES) {
    const found = pattern.exec(text);
    const angle = found && parseAngle(found[1] ?? '');
    if (!found || !angle?.ok || angle.value <= 0) continue;
    const ends: Ends = { shape, angle: angle.value, across: found[2] ? 'edge' : 'face' };
    const rest = `${text.slice(0, found.index)} ${text.slice(found.index + found[0].length)}`;
    return { ends: writeEnds(ends), said: found[0].trim(), rest: rest.replace(/\s+/g, ' ').trim() };
  }
  return null;
};

const MOST_WORDS_OF_A_MATERIAL = 4;

/** Materials that a text names and nothing else: `cedar`, `pine|larch`; null: it is something else, a note. */
export const materialsIn = (text: string): string[] | null => {
  const names = parseMaterials(text.replace(/ or /gi, '|'));
  const areAll = names.every(
    (name) => name.split(' ').length <= MOST_WORDS_OF_A_MATERIAL && isKnownMaterial(name),
  );
  return names.length > 0 && areAll ? names : null;
};

/** A number that a name may end with: `leg 2`. */
const NUMBERED = /(?<=\p{L}{2,}) (?:\d|1[0-2])$/u;

/** Words that have a number which nothing says what it is of; null: none. */
export const leftOver = (words: string[]): string | null =>
  /\d/.test(
    words
      .join(' ')
      .replace(NUMBERED, '')
      .replace(/[\p{L}_]+\d+/gu, ''),
  )
    ? (words.find((word) => /\d/.test(word)) ?? null)
    : null;
