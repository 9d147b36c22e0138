import type { LengthUnit } from '../../units';
import { type Result, fail, map, ok } from '../../result';
import * as fractions from './fraction';
import type { Formula, FunctionName } from './readFormula';
import {
  alike,
  asLength,
  bareOf,
  combine,
  expectDimension,
  lengthOf,
  numberOf,
  over,
  rootOf,
  times,
  toStep,
  usualStep,
  valueOf,
  type Quantity,
} from './quantity';

/** What a formula's names mean where it stands, and in which unit its bare numbers are. */
export interface Scope {
  /** The unit that bare numbers take where they are added to lengths. */
  unit: LengthUnit;
  lookUp: (path: string[]) => Result<Quantity>;
  /** Told of every bare number that was taken for a length, and of every rounding to a step that was not written. */
  turned?: (part: Formula, into: 'length' | 'stepped') => void;
}

/** What a formula comes to. Exact wherever the operation is. Problems of lookUp, and `mixed`, `zero`, `root`, `angle`. */
export const evaluate = (formula: Formula, scope: Scope): Result<Quantity> => {
  switch (formula.type) {
    case 'number':
      return ok(bareOf(formula.value));
    case 'length':
      return ok({ amount: formula.ticks, dimension: 1, bare: false });
    case 'section':
      return ok(lengthOf(formula.section[formula.side]));
    case 'name':
      return scope.lookUp(formula.path);
    case 'negative': {
      const of = evaluate(formula.of, scope);
      return map(of, (value) => ({ ...value, amount: fractions.negate(value.amount) }));
    }
    case 'binary':
      return binary(formula, scope);
    case 'call':
      return call(formula.name, formula, scope);
  }
};

/** A formula as a length, a number, an area or a volume; see expectDimension. */
export const evaluateAs = (formula: Formula, dimension: number, scope: Scope): Result<Quantity> => {
  const value = evaluate(formula, scope);
  if (!value.ok) return value;
  if (dimension === 1 && value.value.bare) scope.turned?.(formula, 'length');
  return expectDimension(value.value, dimension, scope.unit);
};

const binary = (
  { sign, left, right }: Extract<Formula, { type: 'binary' }>,
  scope: Scope,
): Result<Quantity> => {
  const a = evaluate(left, scope);
  if (!a.ok) return a;
  const b = evaluate(right, scope);
  if (!b.ok) return b;
  if (sign === '*') return ok(times(a.value, b.value));
  if (sign === '/') {
    if (fractions.isZero(b.value.amount)) return fail('zero', 'it divides by nothing');
    // A bare number over a length is a length too: how many times the one goes into the other.
    if (!(a.value.bare && b.value.dimension === 1)) return ok(over(a.value, b.value));
    scope.turned?.(left, 'length');
    return ok(over(asLength(a.value, scope.unit), b.value));
  }
  return pair(left, a.value, right, b.value, scope, sign === '+' ? fractions.add : fractions.subtract);
};

const pair = (
  left: Formula,
  a: Quantity,
  right: Formula,
  b: Quantity,
  scope: Scope,
  by: (a: fractions.Fraction, b: fractions.Fraction) => fractions.Fraction,
): Result<Quantity> => {
  const both = alike(a, b, scope.unit);
  if (!both.ok) return both;
  if (both.value.turned) scope.turned?.(both.value.turned === 'a' ? left : right, 'length');
  return ok(combine(both.value.a, both.value.b, by));
};

const DEGREES = Math.PI / 180;

const call = (
  name: FunctionName,
  formula: Extract<Formula, { type: 'call' }>,
  scope: Scope,
): Result<Quantity> => {
  const inputs: Quantity[] = [];
  for (const input of formula.inputs) {
    const value = evaluate(input, scope);
    if (!value.ok) return value;
    inputs.push(value.value);
  }
  const [first = bareOf(fractions.toFraction(0)), second] = inputs;
  switch (name) {
    case 'min':
    case 'max':
      return extreme(name, formula.inputs, inputs, scope);
    case 'round':
    case 'ceil':
    case 'floor': {
      if (!second) {
        if (first.dimension === 1) scope.turned?.(formula, 'stepped');
        return ok(toStep(first, usualStep(first, scope.unit, name), name));
      }
      const both = alike(first, second, scope.unit);
      if (!both.ok) return both;
      if (fractions.compare(both.value.b.amount, fractions.toFraction(0)) <= 0)
        return fail('zero', `${name} to steps of nothing`);
      if (both.value.turned)
        scope.turned?.(formula.inputs[both.value.turned === 'a' ? 0 : 1] as Formula, 'length');
      return ok(toStep(both.value.a, both.value.b, name));
    }
    case 'abs':
      return ok(valueOf(first) < 0 ? { ...first, amount: fractions.negate(first.amount) } : first);
    case 'sqrt':
      return rootOf(first);
    default: {
      if (first.dimension !== 0) return fail('angle', `${name} takes a number, not a length`);
      const value = valueOf(first);
      if (name === 'tan' && Math.abs(Math.cos(value * DEGREES)) < 1e-9)
        return fail('angle', 'there is no tangent of 90 degrees');
      return ok(numberOf(name === 'atan' ? Math.atan(value) / DEGREES : Math[name](value * DEGREES)));
    }
  }
};

const extreme = (
  name: 'min' | 'max',
  formulas: Formula[],
  inputs: Quantity[],
  scope: Scope,
): Result<Quantity> => {
  let best = inputs[0] as Quantity;
  let bestFormula = formulas[0] as Formula;
  for (let index = 1; index < inputs.length; index++) {
    const formula = formulas[index] as Formula;
    const larger = pair(bestFormula, best, formula, inputs[index] as Quantity, scope, (a, b) =>
      fractions.compare(a, b) < 0 === (name === 'max') ? b : a,
    );
    if (!larger.ok) return larger;
    best = larger.value;
    bestFormula = formula;
  }
  return ok(best);
};
