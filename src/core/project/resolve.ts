import { formatLength, type Minor } from '../units';
import { hardwareKey } from '../hardwareKey';
import {
  describeEnds,
  NO_OWN,
  parseEnds,
  parseSection,
  FASTENER_SPARE,
  parseThickness,
  shortestLength,
  SQUARE,
  type OwnMaterials,
} from '../lumber';
import type { Problem, Result } from '../result';
import { resolveExtra, type ResolvedExtra } from './extras';
import { chosenOption, copiesOf, fitOverOf, madeNow, materialsOf } from './groups';
import { jointName, resolveJoint } from './joints';
import type { ResolvedPart } from './resolvedPart';
import { withShape } from './shaping';
import type { Extra, Group, Part, Project } from './types';
import { fieldWords, type PartField } from './partMeasures';
import { valuesOf, type Values } from './values';

/** Every part worked out, with what stood in the way. */
export interface Resolved {
  parts: ResolvedPart[];
  /** What could not be worked out, by part; such a part is left out of `parts`. */
  problems: (Problem & { partId: string })[];
  /** Extras whose price was typed: bought beside the price book, and so beside the plan. */
  typedPriced: ResolvedTypedPrice[];
}

/** An extra whose price is typed in its own sheet, with how much of it is needed. */
export interface ResolvedTypedPrice {
  extra: Extra;
  item: string;
  count: number;
  /** How many are used up, where they need not be whole. */
  fractionalQuantity?: number;
  /** Of one, with tax. */
  price: Minor;
}

const known = new WeakMap<Project, WeakMap<OwnMaterials, Resolved>>();

/**
 * Every part of the chosen options worked out, groups left for later aside, with the fasteners of its joints and with its extras, each as
 * hardware. `own`: what the user says of materials. Pure and total; what it found is kept as long as the project is.
 */
export const resolve = (project: Project, own: OwnMaterials = NO_OWN): Resolved => {
  const byOwn = known.get(project) ?? new WeakMap<OwnMaterials, Resolved>();
  known.set(project, byOwn);
  const resolved = byOwn.get(own) ?? resolveAll(project, own);
  byOwn.set(own, resolved);
  return resolved;
};

const resolveAll = (project: Project, own: OwnMaterials): Resolved => {
  const resolved: Resolved = { parts: [], problems: [], typedPriced: [] };
  for (const group of madeNow(project))
    for (const part of chosenOption(group)?.parts ?? []) {
      const answer = resolvePart(part, group, project);
      if ('sentence' in answer) resolved.problems.push({ ...answer, partId: part.id });
      else if (answer.count > 0)
        for (const one of asMeasured(answer, part)) {
          const shaped = withShape(one, part, project.unit);
          if (shaped.ok) resolved.parts.push(shaped.value);
          else
            resolved.problems.push(
              ...shaped.problems.map(({ code, sentence }) => ({
                code,
                sentence: `${part.name}, shape: ${sentence}`,
                place: `${group.name} / ${part.name}`,
                partId: part.id,
              })),
            );
        }
    }
  const cut = resolved.parts.map(finished);
  resolved.parts.push(...fasteners(project, resolved, own));
  const later = new Set(project.groups.filter(({ isLater }) => isLater).map(({ id }) => id));
  for (const extra of project.extras)
    if (!extra.isOwned && !(extra.groupId !== null && later.has(extra.groupId)))
      putExtra(resolved, extra, project, cut);
  return resolved;
};

/** Puts what an extra asks for with what is resolved; `cut`: the parts that it is measured over. */
const putExtra = (resolved: Resolved, extra: Extra, project: Project, cut: ResolvedPart[]): void => {
  const answer = resolveExtra(extra, project, cut);
  if (!answer.ok) {
    for (const problem of answer.problems)
      resolved.problems.push({ ...problem, place: extra.name, partId: extra.id });
    return;
  }
  const { count } = answer.value;
  if (count <= 0) return;
  const item = extra.item || extra.name;
  if (extra.price !== undefined) {
    resolved.typedPriced.push({ extra, item, count, price: extra.price, ...filled(answer.value) });
    return;
  }
  const group = project.groups.find(({ id }) => id === extra.groupId);
  const part = bought(extra.id, extra.name, item, count, group?.name ?? '', group?.id ?? '');
  resolved.parts.push({ ...part, ...filled(answer.value) });
};

const filled = ({ fractionalQuantity }: ResolvedExtra) =>
  fractionalQuantity === undefined ? {} : { fractionalQuantity };

/** A part in its finished length. */
const finished = ({ over = 0, ...part }: ResolvedPart): ResolvedPart => ({
  ...part,
  length: part.length - over,
});

/** What is not cut yet takes the length that was measured; what is to be measured still is sawn a little longer. */
const asMeasured = (resolved: ResolvedPart, part: Part): ResolvedPart[] => {
  const { measured } = part;
  if (!measured) {
    const over = fitOverOf(part);
    return [over > 0 ? { ...resolved, length: resolved.length + over, over } : resolved];
  }
  const cut = Math.min(measured.cut, resolved.count);
  return [
    { ...resolved, count: cut },
    { ...resolved, count: resolved.count - cut, length: measured.length.ticks },
  ].filter(({ count }) => count > 0);
};

/** Something that is bought by the piece. */
const bought = (
  id: string,
  name: string,
  item: string,
  count: number,
  group: string,
  groupId: string,
): ResolvedPart => ({
  id,
  name,
  item,
  count,
  group,
  groupId,
  kind: 'hardware',
  section: null,
  thickness: 0,
  length: 0,
  width: 0,
  ends: SQUARE,
  grain: 'any',
  shortOk: 0,
  materials: [],
});

/** The fasteners of every joint, and per item the spares for all of them. */
const fasteners = (project: Project, { problems }: Resolved, own: OwnMaterials): ResolvedPart[] => {
  const needed: ResolvedPart[] = [];
  const totals = new Map<string, { item: string; count: number }>();
  for (const group of madeNow(project)) {
    const option = chosenOption(group);
    for (const joint of option?.joints ?? []) {
      const place = `${group.name} / ${option ? jointName(joint, option) : joint.name}`;
      const count = valuesOf(project).joints[joint.id];
      if (count && !count.ok)
        problems.push(...count.problems.map((problem) => ({ ...problem, place, partId: joint.id })));
      const resolved = option && resolveJoint(joint, option, group, project, own);
      if (!resolved) {
        const sentence = `${joint.name}: one of the two parts it fastens is gone. Choose the parts again, or delete it.`;
        problems.push({ code: 'joint', place, sentence, partId: joint.id });
        continue;
      }
      for (const { item, count: each } of resolved.needs) {
        const all = each * copiesOf(group) * project.builds;
        if (all === 0) continue;
        needed.push(bought(joint.id, resolved.name, item, all, group.name, group.id));
        const total = totals.get(hardwareKey(item)) ?? { item, count: 0 };
        totals.set(hardwareKey(item), { ...total, count: total.count + all });
      }
    }
  }
  const share = project.fastenerSpare ?? FASTENER_SPARE;
  for (const [key, { item, count }] of totals) {
    // Brackets do not strip.
    const spare = /bracket/i.test(item) ? 0 : Math.ceil(count * share);
    if (spare > 0)
      needed.push({ ...bought(`spare:${key}`, `Spare ${item}`, item, spare, '', ''), isSpare: true });
  }
  return needed;
};

type PartValues = Values['parts'][string];
type Fault = (code: string, sentence: string) => Problem;

const resolvePart = (part: Part, group: Group, project: Project): ResolvedPart | Problem => {
  const place = `${group.name} / ${part.name}`;
  const fault: Fault = (code, sentence) => ({ code, place, sentence });
  const values = valuesOf(project).parts[part.id] ?? {};
  const wrong = valueFault(part, values, project, fault);
  if (wrong) return wrong;
  const base = unsized(part, group, project, values);
  if (part.kind === 'hardware') return base;
  if (base.length <= 0)
    return fault(
      'length',
      values.length
        ? `${part.name}, length: it comes to nothing. Change a measure that it follows from.`
        : `${part.name} has no length; give it one.`,
    );
  return part.kind === 'sheet' ? asSheet(base, part, project, fault) : asBoard(base, part, project, fault);
};

/** A part before its section is read. */
const unsized = (part: Part, group: Group, project: Project, values: PartValues): ResolvedPart => {
  const worked = (field: PartField, kept: number): number => {
    const value = values[field];
    return value?.ok ? value.value : kept;
  };
  return {
    id: part.id,
    name: part.name,
    group: group.name,
    groupId: group.id,
    kind: part.kind,
    count: worked('quantity', part.quantity) * copiesOf(group) * project.builds,
    section: null,
    thickness: 0,
    length: worked('length', part.length?.ticks ?? 0),
    width: worked('width', part.width?.ticks ?? 0),
    ends: SQUARE,
    grain: part.grain,
    shortOk: (part.shortOk ?? project.settings.shortOk).ticks,
    materials: part.kind === 'hardware' ? [] : materialsOf(part, group),
    item: part.item.trim() === '' ? part.name : part.item,
  };
};

/** What is wrong with what the formulas of a part come to. */
const valueFault = (part: Part, values: PartValues, project: Project, fault: Fault): Problem | null => {
  for (const [field, value] of Object.entries(values) as [PartField, Result<number>][]) {
    const what = fieldWords(field);
    if (!value.ok)
      return fault(
        value.problems[0]?.code ?? 'formula',
        `${part.name}, ${what}: ${value.problems[0]?.sentence ?? ''}.`,
      );
    if (value.value < 0 && field !== 'quantity')
      return fault(
        'negative',
        `${part.name}, ${what}: it comes to −${formatLength(-value.value, project.unit)}. Change a measure that it follows from.`,
      );
  }
  return null;
};

const asSheet = (base: ResolvedPart, part: Part, project: Project, fault: Fault): ResolvedPart | Problem => {
  const thickness = parseThickness(part.section, project.unit);
  if (!thickness.ok) return fault('section', thickness.problems[0]?.sentence ?? '');
  if (base.width <= 0)
    return fault('width', `${part.name} is cut from a sheet and has no width; give it one.`);
  return { ...base, thickness: thickness.value };
};

const asBoard = (base: ResolvedPart, part: Part, project: Project, fault: Fault): ResolvedPart | Problem => {
  const section = parseSection(part.section, project.unit);
  if (!section.ok) return fault('section', section.problems[0]?.sentence ?? '');
  const ends = parseEnds(part.ends);
  if (!ends.ok) return fault('ends', ends.problems[0]?.sentence ?? '');
  const shortest = shortestLength(ends.value, section.value.thickness, section.value.width);
  if (base.length < shortest)
    return fault(
      'ends',
      `${part.name} is too short for its ends, ${describeEnds(ends.value)}: they need ${formatLength(shortest, project.unit)} at least.`,
    );
  return {
    ...base,
    section: section.value,
    thickness: section.value.thickness,
    width: section.value.width,
    ends: ends.value,
  };
};
