import { parseLength } from '../../units';
import {
  apply,
  chosenOption,
  emptyExtra,
  emptyGroup,
  emptyPart,
  freeVariableName,
  identifier,
  numbered,
  valuesOf,
  type Command,
  type Extra,
  type Group,
  type Part,
  type Project,
} from '../../project';
import { parseSection } from '../../lumber';
import { ok, type Problem, type Result } from '../../result';
import { answerFaults, usualAnswers, type HelperInput } from '../answers';
import { buildMade, partSizes } from '../build';
import { helperOf } from '../helpers';
import type {
  Template,
  TemplateExtra,
  TemplateGroup,
  TemplatePart,
  TemplateSizes,
  TemplateText,
} from './types';

/** What a template builds with. */
export interface TemplateContext {
  project: Project;
  materials: string[];
  newId: () => string;
}

/** What a template makes: the commands that add it, in their order, and the project with all of it. */
export interface BuiltTemplate {
  commands: Command[];
  project: Project;
  /** Its groups in the project, in the order of the template. */
  groups: Group[];
  sizes: TemplateSizes;
  /** The part that a role of the drawing, `group.part`, stands for. */
  partOf: (role: string) => Part | undefined;
}

/** Puts together the commands one after the other, each over the project as those before leave it. */
class Builder {
  readonly commands: Command[] = [];
  /** What stands for `{key}`. */
  private readonly names = new Map<string, string>();
  private readonly measures = new Map<string, string>();
  private readonly groupIds = new Map<string, string>();

  constructor(
    public project: Project,
    private readonly newId: () => string,
    private readonly materials: string[],
  ) {}

  /** Names the answers: lengths and counts as measures of the project, or the measure that was named. */
  nameAnswers({ asks, title }: Template, told: HelperInput): void {
    for (const { key, kind, label } of asks) {
      const text = (told[key] ?? '').trim();
      const held = this.project.variables.find(({ name }) => name.toLowerCase() === text.toLowerCase());
      if (kind !== 'length' && kind !== 'count') this.names.set(key, text);
      else if (held) {
        this.names.set(key, held.name);
        this.measures.set(key, held.id);
      } else {
        const taken = this.project.variables.map(({ name }) => name);
        const isTaken = taken.some((name) => name.toLowerCase() === key);
        const name = freeVariableName(isTaken ? `${identifier(title)}_${key}` : key, taken);
        this.names.set(key, name);
        const variable = { id: this.newId(), name, formula: text, note: label };
        this.measures.set(key, variable.id);
        this.add({
          type: 'addVariable',
          variable: { ...variable, kind: kind === 'length' ? 'length' : 'number' },
        });
      }
    }
  }

  addGroup({ key, name: wanted, helper: id, answers = {}, parts = [], exposure }: TemplateGroup): Problem[] {
    const name = numbered(wanted, (one) => this.project.groups.some((group) => group.name === one));
    this.names.set(key, identifier(name));
    const helper = id === undefined ? undefined : helperOf(id);
    const own = parts.map((part) => this.partOf(part));
    if (helper) {
      const told = Object.entries(answers).map(([ask, text]) => [ask, this.say(text)]);
      const made = buildMade(
        helper,
        { ...usualAnswers(helper, this.project.unit), ...(Object.fromEntries(told) as HelperInput) },
        { project: this.project, groupName: name, materials: this.materials, newId: this.newId },
      );
      if (!made.ok) return made.problems;
      this.add(
        made.value.type === 'addMade' && exposure
          ? { ...made.value, group: { ...made.value.group, exposure } }
          : made.value,
      );
    } else {
      const empty = emptyGroup(this.newId(), this.newId(), name);
      const group = { ...empty, materials: this.materials, exposure: exposure ?? empty.exposure };
      this.add({ type: 'addGroup', group });
    }
    const added = this.project.groups.at(-1);
    if (added && own.length > 0) this.add({ type: 'addParts', groupId: added.id, parts: own });
    if (added) this.groupIds.set(key, added.id);
    return [];
  }

  /** A finish or a cover; none where the project has one of its name. */
  addExtra({ name, rule, amount = '', covers, coats = 1 }: TemplateExtra): void {
    if (this.project.extras.some((held) => held.name === name)) return;
    const extra: Extra = {
      ...emptyExtra(this.newId()),
      name,
      rule,
      amount: this.say(amount),
      coats,
      covers: covers[this.project.unit],
    };
    this.add({ type: 'addExtra', extra });
  }

  /** What it made, as it stands in the project with all of it. */
  built(): BuiltTemplate {
    const { project, commands } = this;
    const values = valuesOf(project);
    const groupOf = (key: string) => project.groups.find(({ id }) => id === this.groupIds.get(key));
    const partOf = (role: string): Part | undefined => {
      const [key = '', name = ''] = role.split('.');
      const group = groupOf(key);
      return group && chosenOption(group)?.parts.find((part) => identifier(part.name) === name);
    };
    const part: TemplateSizes['part'] = (key, role) => {
      return partSizes(partOf(`${key}.${role}`), groupOf(key), project.unit);
    };
    const measure = (key: string): number => {
      const value = values.variables[this.measures.get(key) ?? ''];
      return value?.ok ? value.value : 0;
    };
    const groups = [...this.groupIds.keys()].flatMap((key) => groupOf(key) ?? []);
    return { commands, project, groups, sizes: { measure, part }, partOf };
  }

  private add(command: Command): void {
    this.commands.push(command);
    this.project = apply(this.project, command, 0)?.document ?? this.project;
  }

  private say(text: TemplateText): string {
    const own = typeof text === 'string' ? text : text[this.project.unit];
    return own.replace(/\{(\w+)\}/g, (_, key: string) => this.names.get(key) ?? key);
  }

  private partOf({ name, quantity, section, length, width, ends, angle, note }: TemplatePart): Part {
    // A formula is worked out when the part is added.
    const measure = (text: TemplateText) => {
      const plain = parseLength(this.say(text), this.project.unit);
      return { text: this.say(text), ticks: plain.ok ? plain.value : 0 };
    };
    const many = this.say(quantity);
    const isCount = /^\d+$/.test(many);
    const formulas = {
      ...(isCount ? {} : { quantity: many }),
      ...(angle === undefined ? {} : { angle: this.say(angle) }),
    };
    const said = section === undefined ? '' : this.say(section);
    const board = width === undefined && said !== '' ? parseSection(said, this.project.unit) : null;
    return {
      ...emptyPart(this.newId()),
      name: this.say(name),
      kind: section === undefined ? 'hardware' : width === undefined ? 'board' : 'sheet',
      quantity: isCount ? Number(many) : 1,
      formulas: Object.keys(formulas).length > 0 ? formulas : undefined,
      section: board?.ok ? board.value.name : said,
      length: length === undefined ? null : measure(length),
      width: width === undefined ? null : measure(width),
      ends: ends ?? 'square',
      note: note ?? '',
    };
  }
}

/**
 * What adds a template to a project: its measures, its groups with their parts, joints and hardware, and its finish. Names that are
 * taken there get a number. Problems: `answer`, by the key that was asked.
 */
export const buildTemplate = (
  template: Template,
  told: HelperInput,
  { project, materials, newId }: TemplateContext,
): Result<BuiltTemplate> => {
  const faults = Object.entries(answerFaults(template, told, project));
  const problems: Problem[] = faults.map(([place, sentence]) => ({ code: 'answer', place, sentence }));
  if (problems.length > 0) return { ok: false, problems };
  const builder = new Builder(project, newId, materials);
  builder.nameAnswers(template, told);
  for (const group of template.groups) problems.push(...builder.addGroup(group));
  if (problems.length > 0) return { ok: false, problems };
  for (const extra of template.extras) builder.addExtra(extra);
  return ok(builder.built());
};
