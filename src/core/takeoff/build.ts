import type { LengthUnit } from '../units';
import {
  DERIVED_NOTE,
  apply,
  chosenOption,
  freeVariableName,
  identifier,
  mapFormula,
  measureAnswered,
  readFormula,
  sidesOf,
  valuesOf,
  writeFormula,
  type Command,
  type Group,
  type Option,
  type Part,
  type Project,
  type Variable,
} from '../project';
import { ok, type Problem, type Result } from '../result';
import { answerFaults, isAsked, usualAnswers, type HelperInput } from './answers';
import { toExtra, toJoint, toPart } from './made';
import type { Answers, Helper, Made, Sizes } from './types';

interface Names {
  /** Measures by key: new ones, those it made before, and those of others it was told. */
  variables: Variable[];
  nameOf: (key: string) => string;
  /** The answers as they are kept. */
  kept: HelperInput;
}

/** Gives every length and count that was told a measure, or finds the measure that was named. */
const nameMeasures = (
  helper: Helper,
  told: HelperInput,
  project: Project,
  groupName: string,
  before: Option | undefined,
  newId: () => string,
): Names => {
  const variables: Variable[] = [];
  const names = new Map<string, string>();
  const kept: HelperInput = {};
  const taken = () => [...project.variables, ...variables].map(({ name }) => name);
  const own = (key: string): Variable | undefined => {
    const held = before?.made?.answers[key];
    return held?.startsWith('=') ? project.variables.find(({ id }) => id === held.slice(1)) : undefined;
  };
  const put = (key: string, kind: Variable['kind'], formula: string, note: string): void => {
    const wanted = taken().some((name) => name.toLowerCase() === key.toLowerCase())
      ? `${identifier(groupName)}_${key}`
      : key;
    const variable: Variable = own(key) ?? {
      id: newId(),
      name: freeVariableName(wanted, taken()),
      kind,
      formula,
      note,
    };
    variables.push({ ...variable, kind, formula });
    names.set(key, variable.name);
    kept[key] = `=${variable.id}`;
  };
  for (const ask of helper.asks) {
    const text = (told[ask.key] ?? '').trim();
    if (!isAsked(ask, told) || text === '' || (ask.kind !== 'length' && ask.kind !== 'count')) {
      kept[ask.key] = text;
      continue;
    }
    const other = project.variables.find(
      ({ id, name }) => name.toLowerCase() === text.toLowerCase() && id !== own(ask.key)?.id,
    );
    if (other) {
      names.set(ask.key, other.name);
      kept[ask.key] = `@${other.id}`;
    } else put(ask.key, ask.kind === 'length' ? 'length' : 'number', text, ask.label);
  }
  // What follows is named as it comes up, and given its formula afterwards.
  const nameOf = (key: string): string => {
    // What was not answered is nothing, and no measure of its own.
    if (!names.has(key) && helper.asks.some((ask) => ask.key === key)) return '0';
    if (!names.has(key)) put(key, 'length', '0', DERIVED_NOTE);
    return names.get(key) ?? key;
  };
  return { variables, nameOf, kept };
};

const answersOf = (told: HelperInput, helper: Helper, nameOf: (key: string) => string): Answers => ({
  measure: nameOf,
  text: (key) => (told[key] ?? '').trim(),
  has: (key) => {
    const ask = helper.asks.find((candidate) => candidate.key === key);
    return ask !== undefined && isAsked(ask, told) && (told[key] ?? '').trim() !== '';
  },
});

/** Names of its own parts in a formula as they are called now: a leg that was renamed is meant by its new name. */
const withNewNames = (text: string, renamed: Map<string, string>): string => {
  if (renamed.size === 0) return text;
  const formula = readFormula(text);
  if (!formula.ok) return text;
  return writeFormula(
    mapFormula(formula.value, (part) => {
      const name =
        part.type === 'name' && part.path.length === 2 ? renamed.get(part.path[0] ?? '') : undefined;
      return part.type === 'name' && name !== undefined
        ? { type: 'name', path: [name, part.path[1] ?? ''] }
        : null;
    }),
  );
};

/** What a helper builds with: the project, its new ids, and the name of the group. */
export interface BuildContext {
  project: Project;
  groupName: string;
  materials: string[];
  newId: () => string;
  /** The group that it made before, when it makes it anew. */
  groupId?: string;
}

/**
 * The command that adds what a helper makes to a project, or makes it anew: parts and joints with formulas over
 * named measures. Of parts it had made before, ids, names, notes and what was measured stay. Problems: the answers'.
 */
export const buildMade = (helper: Helper, told: HelperInput, context: BuildContext): Result<Command> => {
  const { project, groupId, newId } = context;
  const faults = answerFaults(helper, told, project);
  const problems = Object.entries(faults).map(([place, sentence]): Problem => ({
    code: 'answer',
    place,
    sentence,
  }));
  if (problems.length > 0) return { ok: false, problems };
  const group = project.groups.find(({ id }) => id === groupId);
  const before = group && chosenOption(group);
  const names = nameMeasures(helper, told, project, context.groupName, before, newId);
  const made = helper.make(answersOf(told, helper, names.nameOf));
  const held = new Map(
    (before?.parts ?? []).flatMap((part) => (part.role ? [[part.role, part] as const] : [])),
  );
  const renamed = new Map(
    [...held].flatMap(([role, { name }]) =>
      identifier(name) === role ? [] : [[role, identifier(name)] as const],
    ),
  );
  const say = (text: string) => withNewNames(text, renamed);
  followParts(names, made, (formula) => ownParts(say(formula), context, made));
  const parts = made.parts
    .filter(({ quantity }) => quantity !== '0')
    .map((part) => toPart(part, held.get(identifier(part.name)), say, project.unit, newId));
  const byRole = new Map(parts.map((part) => [part.role ?? '', part]));
  const jointsBefore = before?.joints ?? [];
  const option: Option = {
    id: before?.id ?? newId(),
    name: before?.name ?? helper.title,
    // What was added by hand stays.
    parts: [...parts, ...(before?.parts.filter(({ role }) => role === undefined) ?? [])],
    joints: [
      ...made.joints.flatMap((joint) => toJoint(joint, byRole, jointsBefore, say, project.unit, newId)),
      ...jointsBefore.filter(({ role }) => role === undefined),
    ],
    made: { helper: helper.id, answers: names.kept },
  };
  const extras = (made.extras ?? []).map((extra) => toExtra(extra, group?.id ?? '', project, say, newId));
  if (group) return ok({ type: 'remake', groupId: group.id, option, variables: names.variables, extras });
  const added: Group = {
    id: newId(),
    name: context.groupName,
    exposure: made.exposure ?? 'indoors',
    materials: context.materials,
    chosen: option.id,
    options: [option],
  };
  return ok({
    type: 'addMade',
    group: added,
    variables: names.variables,
    extras: extras.map((extra) => ({ ...extra, groupId: added.id })),
  });
};

/** Gives the measures that follow from others the formulas of what is made. */
const followParts = (
  names: ReturnType<typeof nameMeasures>,
  { follows = [] }: Made,
  formulaOf: (formula: string) => string,
): void => {
  for (const { key, formula, kind } of follows) {
    const name = names.nameOf(key);
    const variable = names.variables.find((candidate) => candidate.name === name);
    if (variable) Object.assign(variable, { formula: formulaOf(formula), kind: kind ?? 'length' });
  }
};

/** A measure stands outside of its group: parts of the group are named with it. */
const ownParts = (formula: string, { groupName, project, groupId }: BuildContext, made: Made): string => {
  const roles = new Set(made.parts.map(({ name }) => identifier(name)));
  const group = project.groups.find(({ id }) => id === groupId);
  const own = new Set([
    ...roles,
    ...(group ? (chosenOption(group)?.parts ?? []).map(({ name }) => identifier(name)) : []),
  ]);
  const read = readFormula(formula);
  if (!read.ok) return formula;
  return writeFormula(
    mapFormula(read.value, (part) =>
      part.type === 'name' && part.path.length === 2 && own.has(part.path[0] ?? '')
        ? { type: 'name', path: [identifier(group?.name ?? groupName), ...part.path] }
        : null,
    ),
  );
};

/** What a helper was told, to change it: measures by their formula, those of others by their name. */
export const toldBefore = (helper: Helper, option: Option, project: Project): HelperInput => {
  const usual = usualAnswers(helper, project.unit);
  const variable = (id: string) => project.variables.find((candidate) => candidate.id === id);
  return Object.fromEntries(
    helper.asks.map(({ key }) => {
      const kept = option.made?.answers[key];
      if (kept === undefined) return [key, usual[key] ?? ''];
      if (kept.startsWith('=')) return [key, variable(kept.slice(1))?.formula ?? usual[key] ?? ''];
      if (kept.startsWith('@')) return [key, variable(kept.slice(1))?.name ?? usual[key] ?? ''];
      return [key, kept];
    }),
  );
};

/** What a part comes to, for a drawing: ticks, and how many. What is not there is nothing. */
export const partSizes = (
  part: Part | undefined,
  group: Group | undefined,
  unit: LengthUnit,
): ReturnType<Sizes['part']> => {
  if (!part || !group) return { length: 0, width: 0, thickness: 0, count: 0 };
  const sides = sidesOf(part, group, unit);
  const { thickness, width } = sides.ok ? sides.value : { thickness: 0, width: part.width?.ticks ?? 0 };
  return { length: part.length?.ticks ?? 0, width, thickness, count: part.quantity };
};

/** What the parts of an option that a helper made come to: for its drawings, notes and rows. */
export const sizesOf = (project: Project, group: Group, option: Option): Sizes => {
  const values = valuesOf(project);
  const answers = option.made?.answers ?? {};
  return {
    measure: (key) => {
      const kept = answers[key];
      const value = values.variables[measureAnswered(kept ?? '') ?? ''];
      return value?.ok ? value.value : 0;
    },
    text: (key) => answers[key] ?? '',
    part: (role) =>
      partSizes(
        option.parts.find((candidate) => candidate.role === role),
        group,
        project.unit,
      ),
  };
};

/** What a helper would make of its answers: the project with it, and its group there. Problems: the answers'. */
export const previewMade = (
  helper: Helper,
  told: HelperInput,
  context: BuildContext,
): Result<{ project: Project; group: Group; option: Option; command: Command }> => {
  const command = buildMade(helper, told, context);
  if (!command.ok) return command;
  const project = apply(context.project, command.value, 0)?.document ?? context.project;
  const group = project.groups.find(({ id }) => id === (context.groupId ?? project.groups.at(-1)?.id));
  const option = group && chosenOption(group);
  if (!group || !option)
    return { ok: false, problems: [{ code: 'group', place: '', sentence: 'The group is gone.' }] };
  return ok({ project, group, option, command: command.value });
};
