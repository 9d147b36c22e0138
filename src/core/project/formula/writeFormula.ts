import type { Formula } from './readFormula';

/** How tightly a sign binds; what binds less than where it stands is put in brackets. */
const STRENGTH = { '+': 1, '-': 1, '*': 2, '/': 2 } as const;

/** Writes a formula so that it reads back as the same: lengths as they were written, brackets only where they count. */
export const writeFormula = (formula: Formula): string => {
  switch (formula.type) {
    case 'number':
    case 'length':
    case 'section':
      return formula.text;
    case 'name':
      return formula.path.join('.');
    case 'negative':
      return `-${bracketed(formula.of, 3)}`;
    case 'call':
      return `${formula.name}(${formula.inputs.map(writeFormula).join(', ')})`;
    case 'binary': {
      const strength = STRENGTH[formula.sign];
      return `${bracketed(formula.left, strength)} ${formula.sign} ${bracketed(formula.right, strength + 1)}`;
    }
  }
};

const bracketed = (formula: Formula, least: number): string => {
  const text = writeFormula(formula);
  const strength = formula.type === 'binary' ? STRENGTH[formula.sign] : formula.type === 'negative' ? 2 : 4;
  return strength < least ? `(${text})` : text;
};

/** The same formula with some of its names, or anything else in it, replaced. Null: stays. */
export const mapFormula = (formula: Formula, replace: (part: Formula) => Formula | null): Formula => {
  const replaced = replace(formula);
  if (replaced) return replaced;
  switch (formula.type) {
    case 'negative':
      return { ...formula, of: mapFormula(formula.of, replace) };
    case 'call':
      return { ...formula, inputs: formula.inputs.map((input) => mapFormula(input, replace)) };
    case 'binary':
      return {
        ...formula,
        left: mapFormula(formula.left, replace),
        right: mapFormula(formula.right, replace),
      };
    default:
      return formula;
  }
};

/** The names in a formula, each as its path. */
export const namesIn = (formula: Formula): string[][] => {
  const names: string[][] = [];
  mapFormula(formula, (part) => {
    if (part.type === 'name') names.push(part.path);
    return null;
  });
  return names;
};
