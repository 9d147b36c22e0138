import { formatLength, parseLength, type LengthUnit } from '../units';
import { type Result, andThen, at, fail, ok } from '../result';
import { parseEnds } from '../lumber';
import {
  evaluateAs,
  isWhole,
  lengthOf,
  numberOf,
  readFormula,
  toNumber,
  valueOf,
  type Quantity,
  type Scope,
} from './formula';
import { findPart, homeOf, type Home } from './findPart';
import { chosenOption } from './groups';
import { identifier } from './names';
import { fieldWords, measuresOf, type PartField } from './partMeasures';
import { sidesOf } from './sides';
import type { Extra, Group, Part, Project, Variable } from './types';

/** What every formula of a project comes to, each problem with its place. Entries only where there is a formula. */
export interface Values {
  /** By id. A length in ticks, or a number. */
  variables: Record<string, Result<number>>;
  /** By part id; lengths in ticks, which may be nothing or less. */
  parts: Record<string, Partial<Record<PartField, Result<number>>>>;
  /** Counts of joints, by id. */
  joints: Record<string, Result<number>>;
  /** Areas in ticks², volumes in ticks³, counts; by id. */
  extras: Record<string, Result<number>>;
}

/** What a formula may say of a part. */
const SAID = ['length', 'width', 'thickness', 'count', 'angle'] as const;
type Said = (typeof SAID)[number];

/** More pieces than these of one part are refused. */
export const MAX_PIECES = 100_000;

/** Whether a text is a formula and not one plain length. */
export const isFormula = (text: string, unit: LengthUnit): boolean => !parseLength(text, unit).ok;

const known = new WeakMap<Project, Values>();

/** Works out every formula of a project. Pure; what it found is kept as long as the project is. */
export const valuesOf = (project: Project): Values => {
  const held = known.get(project);
  if (held) return held;
  const values = workOut(project);
  known.set(project, values);
  return values;
};

/** Lets a project that differs from another only in what its formulas come to have the other's values. */
export const keepValues = (project: Project, values: Values): void => {
  known.set(project, values);
};

const workOut = (project: Project): Values => {
  const values: Values = { variables: {}, parts: {}, joints: {}, extras: {} };
  const scope = scopeOf(project);
  for (const variable of project.variables)
    values.variables[variable.id] = at(variable.name, scope().variable(variable));
  for (const group of project.groups)
    for (const option of group.options) {
      const inside = scope({ group, option });
      for (const part of option.parts) {
        const found = partValues(part, group, inside, project.unit);
        if (Object.keys(found).length > 0) values.parts[part.id] = found;
      }
      for (const joint of option.joints ?? [])
        if (joint.formula !== undefined)
          values.joints[joint.id] = at(`${group.name} / ${joint.name}`, inside.count(joint.formula));
    }
  for (const extra of project.extras)
    if (extra.amount.trim() !== '') {
      const group = project.groups.find(({ id }) => id === extra.groupId);
      const option = group && chosenOption(group);
      const inside = scope(group && option ? { group, option } : undefined);
      values.extras[extra.id] = at(extra.name, inside.amount(extra.amount, extra.rule));
    }
  return values;
};

const partValues = (part: Part, group: Group, inside: Reader, unit: LengthUnit): Values['parts'][string] => {
  const found: Values['parts'][string] = {};
  const put = (field: PartField, result: Result<number>) =>
    (found[field] = at(`${group.name} / ${part.name}: ${fieldWords(field)}`, result));
  for (const { field, measure } of measuresOf(part))
    if (measure && isFormula(measure.text, unit)) put(field, inside.length(measure.text));
  if (part.formulas?.quantity !== undefined) put('quantity', inside.count(part.formulas.quantity));
  if (part.formulas?.angle !== undefined) put('angle', inside.angle(part.formulas.angle));
  return found;
};

/** Of what dimension the amount of an extra is, by its rule. */
export const EXTRA_DIMENSIONS: Record<Extra['rule'], number> = {
  finish: 2,
  glue: 2,
  area: 2,
  volume: 3,
  count: 0,
};

/** What a project's cost may be divided by, each with its dimension. */
export const PER_DIMENSIONS = { number: 0, length: 1, area: 2, volume: 3 };

interface Reader {
  /** Ticks. */
  length: (text: string) => Result<number>;
  count: (text: string) => Result<number>;
  angle: (text: string) => Result<number>;
  amount: (text: string, rule: Extra['rule']) => Result<number>;
  /** A number, or ticks, ticks² or ticks³. */
  per: (text: string, of: keyof typeof PER_DIMENSIONS) => Result<number>;
  variable: (variable: Variable) => Result<number>;
  /** For those who read formulas further: what names mean there. */
  scope: Scope;
}

/** Works each thing out once; one that follows from itself is a fault that names the round. */
const workedOnce = () => {
  const worked = new Map<string, Result<Quantity> | 'open'>();
  const trail: string[] = [];
  return (key: string, name: string, work: () => Result<Quantity>): Result<Quantity> => {
    const held = worked.get(key);
    if (held === 'open') {
      const round = [...trail.slice(trail.indexOf(name)), name].join(' → ');
      return fail('circle', `it goes round in a circle: ${round}`);
    }
    if (held) return held;
    worked.set(key, 'open');
    trail.push(name);
    const result = work();
    trail.pop();
    worked.set(key, result);
    return result;
  };
};

/** Reads formulas where they stand: names mean parts of the same option first, then parts anywhere, and variables. */
export const scopeOf = (project: Project): ((home?: Home) => Reader) => {
  const once = workedOnce();
  const variables = new Map(project.variables.map((variable) => [variable.name.toLowerCase(), variable]));

  const variableValue = (variable: Variable): Result<Quantity> =>
    once(`variable:${variable.id}`, variable.name, () => {
      const formula = readFormula(variable.formula);
      if (!formula.ok) return formula;
      return evaluateAs(formula.value, variable.kind === 'length' ? 1 : 0, scopeIn());
    });

  const partValue = (part: Part, home: Home, said: Said): Result<Quantity> =>
    once(`part:${part.id}:${said}`, `${identifier(part.name)}.${said}`, () => {
      const measureValue = (measure: Part['length'], what: string): Result<Quantity> => {
        if (!measure) return fail('name', `${part.name} has no ${what}`);
        return isFormula(measure.text, project.unit)
          ? quantityIn(measure.text, 1, home)
          : ok(lengthOf(measure.ticks));
      };
      switch (said) {
        case 'length':
          return measureValue(part.length, 'length');
        case 'count':
          return part.formulas?.quantity !== undefined
            ? quantityIn(part.formulas.quantity, 0, home)
            : ok(numberOf(part.quantity));
        case 'angle': {
          const ends = parseEnds(part.ends);
          if (part.formulas?.angle !== undefined) return quantityIn(part.formulas.angle, 0, home);
          return ends.ok && ends.value.shape !== 'square' ? ok(numberOf(ends.value.angle)) : ok(numberOf(0));
        }
        default:
          if (part.kind === 'sheet' && said === 'width') return measureValue(part.width, 'width');
          return sideOf(part, home.group, said);
      }
    });

  const sideOf = (part: Part, group: Group, side: 'thickness' | 'width'): Result<Quantity> => {
    const sides = sidesOf(part, group, project.unit);
    if (sides.ok) return ok(lengthOf(sides.value[side]));
    return part.kind === 'board' ? sides : fail('name', `${part.name} has no ${side}`);
  };

  const quantityIn = (text: string, dimension: number, home?: Home): Result<Quantity> => {
    const formula = readFormula(text);
    return formula.ok ? evaluateAs(formula.value, dimension, scopeIn(home)) : formula;
  };

  const lookUp = (path: string[], home?: Home): Result<Quantity> => {
    const written = path.join('.');
    if (path.length === 1) {
      const variable = variables.get(written.toLowerCase());
      return variable
        ? named(variable.name, variableValue(variable))
        : fail('name', `"${written}" is not a length, and there is no measure of that name`);
    }
    const said = path.at(-1)?.toLowerCase() as Said;
    if (!SAID.includes(said)) return fail('name', `a part has ${SAID.join(', ')}, and no ${path.at(-1)}`);
    const found = findPart(project, path.slice(0, -1), home);
    return found.ok ? named(written, partValue(found.value.part, found.value.home, said)) : found;
  };
  const scopeIn = (home?: Home): Scope => ({ unit: project.unit, lookUp: (path) => lookUp(path, home) });

  return (home) => ({
    scope: scopeIn(home),
    length: (text) => andThen(quantityIn(text, 1, home), (value) => ok(Math.round(valueOf(value)))),
    count: (text) => andThen(quantityIn(text, 0, home), wholeCount),
    angle: (text) =>
      andThen(quantityIn(text, 0, home), (value) => {
        const degrees = Number(valueOf(value).toFixed(4));
        return degrees > 0 && degrees <= 60
          ? ok(degrees)
          : fail('angle', `it comes to ${degrees}°; a cut is more than 0 and at most 60 degrees off square`);
      }),
    amount: (text, rule) =>
      andThen(quantityIn(text, EXTRA_DIMENSIONS[rule], home), (value) =>
        rule === 'count' ? wholeCount(value) : ok(valueOf(value)),
      ),
    per: (text, of) => andThen(quantityIn(text, PER_DIMENSIONS[of], home), (value) => ok(valueOf(value))),
    variable: (variable) =>
      andThen(variableValue(variable), (value) =>
        ok(variable.kind === 'length' ? Math.round(valueOf(value)) : valueOf(value)),
      ),
  });
};

const wholeCount = (value: Quantity): Result<number> => {
  const count = toNumber(value.amount);
  if (!isWhole(value.amount))
    return fail(
      'count',
      `it comes to ${Number(count.toFixed(3))}, not a whole number; use ceil, floor or round`,
    );
  if (count < 0) return fail('count', `it comes to ${count}; there is no less than none`);
  return count > MAX_PIECES ? fail('count', `it comes to ${count}; the most is ${MAX_PIECES}`) : ok(count);
};

/** A fault inside a thing that is named tells which. */
const named = (name: string, result: Result<Quantity>): Result<Quantity> =>
  result.ok || result.problems[0]?.code === 'circle' || result.problems[0]?.code === WITHIN
    ? result
    : fail(WITHIN, `in ${name}: ${result.problems[0]?.sentence ?? ''}`);

/** A fault of something that is named, which has told where it is. */
const WITHIN = 'within';

/** What a formula being typed comes to, for reading back: in the place where it stands. */
export const readMeasure = (
  text: string,
  project: Project,
  groupId: string | null,
): Result<{ text: string; ticks: number }> => {
  const plain = parseLength(text, project.unit);
  // A text that is clearly meant as a plain length gets the plain length's advice.
  if (plain.ok || !/[\p{L}_(*/+]/u.test(text.replace(/\b(?:mm|cm|m|in|ft|inch(?:es)?|feet|foot)\b/giu, '')))
    return plain.ok ? ok({ text: text.trim(), ticks: plain.value }) : plain;
  const ticks = scopeOf(project)(homeOf(project, groupId)).length(text);
  if (!ticks.ok) return ticks;
  return ticks.value < 0
    ? fail('negative', `it comes to −${formatLength(-ticks.value, project.unit)}; that is less than nothing`)
    : ok({ text: text.trim(), ticks: ticks.value });
};
