import jsep, { type Expression } from 'jsep';
import { NUMBER, parseLength, plainCharacters } from '../../units';
import { byText } from '../../byText';
import { type Result, fail, map, ok } from '../../result';
import { parseSection, type Section } from '../../lumber';
import { readFraction, toFraction, type Fraction } from './fraction';

/** A side of a section that a formula may ask for. */
export type Side = 'thickness' | 'width';

/** A formula as a tree. `text` is how a leaf was written. */
export type Formula =
  | { type: 'number'; value: Fraction; text: string }
  | { type: 'length'; ticks: Fraction; text: string }
  | { type: 'section'; section: Section; side: Side; text: string }
  /** `height`, `top.thickness`, `frame.rail.length`. */
  | { type: 'name'; path: string[] }
  | { type: 'binary'; sign: '+' | '-' | '*' | '/'; left: Formula; right: Formula }
  | { type: 'negative'; of: Formula }
  | { type: 'call'; name: FunctionName; inputs: Formula[] };

/** How many inputs each function takes, at least and at most. */
export const FUNCTIONS = {
  min: [1, 20],
  max: [1, 20],
  ceil: [1, 2],
  floor: [1, 2],
  round: [1, 2],
  abs: [1, 1],
  sqrt: [1, 1],
  sin: [1, 1],
  cos: [1, 1],
  tan: [1, 1],
  atan: [1, 1],
} as const;
/** A function that formulas have. */
export type FunctionName = keyof typeof FUNCTIONS;

const UNIT = `(?:mm|cm|m|inches|inch|ins|in|feet|foot|ft)(?![\\p{L}\\d_])|["']`;
const MIXED = String.raw`\d+(?: |-)\d+\/\d+`;
const SECTION = /^([\d.][\d/.-]*(?:mm|cm|in)?x[\d/.-]+(?:mm|cm|in)?)\.(thickness|width)(?![\p{L}\d_])/iu;
const FEET_INCHES = new RegExp(
  `^\\d+ ?(?:(?:ft|feet|foot)(?![\\p{L}\\d_])|')[ -]?(?:${MIXED}|\\d+\\/\\d+|\\d+(?:\\.\\d+)?)(?: ?(?:inches|inch|ins|in)(?![\\p{L}\\d_])| ?")?`,
  'iu',
);
const WITH_UNIT = new RegExp(`^(?:${MIXED}|\\d+\\/\\d+|\\d*[.]?\\d+|\\d+,\\d+) ?(?:${UNIT})`, 'iu');
const PLAIN = new RegExp(`^(?:${MIXED}|\\d+(?:\\.\\d+)?|\\.\\d+)`, 'u');
const WORD = /^[\p{L}_$][\p{L}\p{N}_.]*/u;

/**
 * Reads a formula: lengths in any form (`1 1/2`, `6' 2"`, `740mm`), variables, `part.length`, `2x4.thickness`,
 * `+ - * /`, brackets and the functions of FUNCTIONS. Problems: `formula`, quoting where it goes wrong.
 */
export const readFormula = (text: string): Result<Formula> =>
  // Those who come from a table write = before a formula.
  read(text.replace(/^\s*=/, ''));

const parse = (text: string): Result<Formula> => {
  const lexed = takeLiterals(text);
  if (!lexed.ok) return lexed;
  let tree: Expression;
  try {
    tree = jsep(lexed.value.code);
  } catch (error) {
    const at = (error as { index?: number }).index ?? lexed.value.code.length;
    const rest = lexed.value.code
      .slice(at)
      .replace(/\$(\d+)/g, (_, index) => wordsOf(lexed.value.leaves[Number(index)]));
    return notAFormula(
      text,
      rest.trim() === ''
        ? 'something is missing at its end'
        : `it cannot be read from "${rest.trim().slice(0, 30)}" on`,
    );
  }
  return convert(tree, lexed.value.leaves, text);
};

const notAFormula = (text: string, why: string): Result<never> =>
  fail('formula', `"${text.trim()}" is not a length or a formula: ${why}`);

const wordsOf = (leaf: Formula | undefined): string => (leaf && 'text' in leaf ? leaf.text : '');

/** Puts `$0`, `$1` for lengths, numbers and sections, which only we can read, so that jsep can read the rest. */
const takeLiterals = (text: string): Result<{ code: string; leaves: Formula[] }> => {
  // Between a space and a space a cross multiplies; within a word it is that of a section.
  const plain = plainCharacters(
    text
      .replace(/(?<=\s)[×✕](?=\s)/g, '*')
      .replace(/·|⋅/g, '*')
      .replace(/÷/g, '/'),
  );
  const leaves: Formula[] = [];
  let code = '';
  let depth = 0;
  for (let at = 0; at < plain.length;) {
    const rest = plain.slice(at);
    const word = WORD.exec(rest)?.[0];
    const taken = word ? null : takeLiteral(rest, depth);
    if (taken === 'wrong') return notAFormula(text, `"${rest.slice(0, 30)}" cannot be read`);
    if (taken) {
      code += ` $${leaves.length} `;
      leaves.push(taken.leaf);
      at += taken.size;
      continue;
    }
    if (word?.startsWith('$')) return notAFormula(text, 'it has a $ in it');
    const step = word ?? rest.charAt(0);
    depth += step === '(' ? 1 : step === ')' ? -1 : 0;
    code += step === ';' ? ',' : step;
    at += step.length;
  }
  return code.trim() === '' ? notAFormula(text, 'it is empty') : ok({ code, leaves });
};

const takeLiteral = (rest: string, depth: number): { leaf: Formula; size: number } | 'wrong' | null => {
  const section = SECTION.exec(rest);
  if (section) {
    const read = parseSection(section[1] ?? '');
    if (!read.ok) return 'wrong';
    const side = (section[2] ?? '').toLowerCase() as Side;
    return {
      leaf: { type: 'section', section: read.value, side, text: `${read.value.name}.${side}` },
      size: section[0].length,
    };
  }
  const measured = FEET_INCHES.exec(rest)?.[0] ?? WITH_UNIT.exec(rest)?.[0];
  if (measured && !(measured.includes(',') && depth > 0)) {
    const ticks = parseLength(measured, 'in');
    return ticks.ok
      ? {
          leaf: { type: 'length', ticks: toFraction(ticks.value), text: measured.trim() },
          size: measured.length,
        }
      : 'wrong';
  }
  const number = PLAIN.exec(rest)?.[0];
  if (!number) return null;
  if (!new RegExp(`^${NUMBER}$`).test(number) || /\/0+$/.test(number)) return 'wrong';
  return { leaf: { type: 'number', value: readFraction(number), text: number }, size: number.length };
};

const convert = (tree: Expression, leaves: Formula[], text: string): Result<Formula> => {
  const wrong = (why: string) => notAFormula(text, why);
  const inner = (node: unknown) => convert(node as Expression, leaves, text);
  switch (tree.type) {
    case 'Identifier': {
      const name = String(tree['name']);
      const leaf = /^\$\d+$/.test(name) ? leaves[Number(name.slice(1))] : undefined;
      return ok(leaf ?? { type: 'name', path: [name] });
    }
    case 'MemberExpression': {
      const of = inner(tree['object']);
      if (!of.ok) return of;
      const property = tree['property'] as Expression;
      if (of.value.type !== 'name' || tree['computed'] || property.type !== 'Identifier')
        return wrong('a point stands only between names, as in top.thickness');
      return ok({ type: 'name', path: [...of.value.path, String(property['name'])] });
    }
    case 'BinaryExpression': {
      const sign = String(tree['operator']);
      if (!isSign(sign)) return wrong(`"${sign}" is not + - * or /`);
      const left = inner(tree['left']);
      if (!left.ok) return left;
      const right = inner(tree['right']);
      return map(right, (value) => ({ type: 'binary', sign, left: left.value, right: value }));
    }
    case 'UnaryExpression': {
      const sign = String(tree['operator']);
      const of = inner(tree['argument']);
      if (!of.ok || sign === '+') return of;
      return sign === '-' ? ok({ type: 'negative', of: of.value }) : wrong(`"${sign}" is not + - * or /`);
    }
    case 'CallExpression':
      return convertCall(tree, inner, wrong);
    default:
      return wrong('two values stand side by side with no sign between them');
  }
};

const convertCall = (
  tree: Expression,
  inner: (node: unknown) => Result<Formula>,
  wrong: (why: string) => Result<Formula>,
): Result<Formula> => {
  const name = String((tree['callee'] as Expression)['name'] ?? '').toLowerCase();
  if (!(name in FUNCTIONS))
    return wrong(
      `there is no function ${name || 'of that form'}; there are ${Object.keys(FUNCTIONS).join(', ')}`,
    );
  const [least, most] = FUNCTIONS[name as FunctionName];
  const inputs: Formula[] = [];
  for (const argument of tree['arguments'] as Expression[]) {
    const input = inner(argument);
    if (!input.ok) return input;
    inputs.push(input.value);
  }
  if (inputs.length < least || inputs.length > most)
    return wrong(`${name} takes ${least === most ? least : `${least} to ${most}`} values`);
  return ok({ type: 'call', name: name as FunctionName, inputs });
};

const isSign = (sign: string): sign is '+' | '-' | '*' | '/' => sign.length === 1 && '+-*/'.includes(sign);

const read = byText(parse);
