import { formatLength, type Ticks } from '../units';
import {
  chosenOption,
  madeNow,
  otherHand,
  resolve,
  resolveJoint,
  valuesOf,
  type Group,
  type Option,
  type Part,
  type Project,
  type ResolvedPart,
} from '../project';
import { NO_OWN, reach, type OwnMaterials } from '../lumber';
import { buildMade, sizesOf, toldBefore } from './build';
import { helperOf } from './helpers';
import type { Helper } from './types';

/** Something about a part, a joint or a group that a builder would want to look at. */
export interface Check {
  code:
    'formula' | 'tooLong' | 'none' | 'gap' | 'row' | 'count' | 'mirror' | 'unjoined' | 'fastener' | 'unfit';
  /** Of a part, a joint, an extra or a group. */
  id: string;
  groupId: string;
  sentence: string;
  /** `bad`: it cannot be made so. `look`: it may be meant. */
  weight: 'bad' | 'look';
}

/**
 * Every check of a project, in the order of its groups. `longestSold`: the longest board on sale or owned for a part;
 * null where none is priced, which is another matter.
 */
export const checksOf = (
  project: Project,
  longestSold: (part: ResolvedPart) => Ticks | null,
  own: OwnMaterials = NO_OWN,
): Check[] => {
  const { parts, problems } = resolve(project, own);
  const checks: Check[] = [];
  for (const group of madeNow(project)) {
    const option = chosenOption(group);
    if (!option) continue;
    const put = (id: string, code: Check['code'], weight: Check['weight'], sentence: string) =>
      checks.push({ id, groupId: group.id, code, weight, sentence });
    for (const part of option.parts) {
      const problem = problems.find(({ partId }) => partId === part.id);
      if (problem) put(part.id, 'formula', 'bad', problem.sentence);
      else if (part.quantity === 0) put(part.id, 'none', 'look', 'None is needed as things stand.');
      const sold = parts
        .filter(({ id, kind }) => id === part.id && kind === 'board')
        .map((resolved) => tooLong(resolved, longestSold(resolved), project))
        .find((sentence) => sentence !== null);
      if (sold) put(part.id, 'tooLong', 'bad', sold);
      const mirror = mirrorFault(part, option);
      if (mirror) put(part.id, 'mirror', 'look', mirror);
    }
    for (const joint of option.joints ?? []) {
      const problem = problems.find(({ partId }) => partId === joint.id);
      const fault = problem?.sentence ?? resolveJoint(joint, option, group, project, own)?.fault;
      if (fault) put(joint.id, 'fastener', problem ? 'bad' : 'look', fault);
    }
    for (const { code, id, sentence, weight } of helperChecks(project, group, option))
      put(id, code, weight, sentence);
    if (isUnjoined(project, group, option))
      put(group.id, 'unjoined', 'look', 'Nothing to join it with yet: add fasteners, or glue.');
  }
  return checks;
};

const tooLong = (part: ResolvedPart, longest: Ticks | null, project: Project): string | null => {
  const needed =
    reach(part.ends, part.length, part.thickness, part.width) +
    2 * project.settings.endTrim.ticks -
    part.shortOk;
  return longest === null || needed <= longest
    ? null
    : `Longer than any ${part.section?.name ?? ''} sold here: the longest is ${formatLength(longest, project.unit)}.`;
};

const mirrorFault = (part: Part, option: Option): string | null => {
  if (part.mirrorOf !== undefined) {
    const other = option.parts.find(({ id }) => id === part.mirrorOf);
    if (!other) return 'Its mirror image is gone: it is one of a pair without the other.';
    if (other.quantity !== part.quantity)
      return `There are ${part.quantity} of it, and ${other.quantity} of its mirror image ${other.name}.`;
  }
  // A left without a right, or the other way round, by the names.
  const wanted = otherHand(part.name)?.toLowerCase();
  if (wanted === undefined) return null;
  const isThere = option.parts.some(
    ({ name, mirrorOf }) => name.toLowerCase() === wanted || mirrorOf === part.id,
  );
  return isThere || part.mirrorOf !== undefined ? null : `There is no ${wanted} to go with it.`;
};

/** Rows that do not come out, gaps that are too large, counts that the helper would not make. */
const helperChecks = (project: Project, group: Group, option: Option): Found[] => {
  const helper = option.made && helperOf(option.made.helper);
  return helper
    ? [...rowChecks(helper, project, group, option), ...countChecks(helper, project, group, option)]
    : [];
};

type Found = Pick<Check, 'code' | 'id' | 'sentence' | 'weight'>;

const rowChecks = (helper: Helper, project: Project, group: Group, option: Option): Found[] => {
  const found: Found[] = [];
  const sizes = sizesOf(project, group, option);
  const size = (ticks: Ticks) => formatLength(ticks, project.unit);
  const counted = option.parts.reduce((sum, { quantity }) => sum + quantity, 0);
  for (const { name, total, span, gap, largestGap } of helper.rows?.(sizes) ?? []) {
    if (gap !== null && gap < 0)
      found.push({
        code: 'gap',
        id: group.id,
        weight: 'bad',
        sentence: `${name}: the gap comes to −${size(-gap)}. There are too many, or they are too wide.`,
      });
    else if (gap !== null && largestGap !== null && gap > largestGap)
      found.push({
        code: 'gap',
        id: group.id,
        weight: 'look',
        sentence: `${name}: the gap is ${size(gap)}, and ${size(largestGap)} was to be the largest.`,
      });
    // Gaps are kept in whole ticks: less than a tick apiece is no difference.
    if (Math.abs(total - span) > counted + 4)
      found.push({
        code: 'row',
        id: group.id,
        weight: 'look',
        sentence: `${name}: it adds up to ${size(total)}, and ${size(span)} was asked for.`,
      });
  }
  return found;
};

const countChecks = (helper: Helper, project: Project, group: Group, option: Option): Found[] => {
  const told = toldBefore(helper, option, project);
  const command = buildMade(helper, told, {
    project,
    groupName: group.name,
    groupId: group.id,
    materials: group.materials,
    newId: () => 'check',
  });
  if (!command.ok || command.value.type !== 'remake') return [];
  const found: Found[] = [];
  for (const wanted of command.value.option.parts) {
    const part = option.parts.find(({ role }) => role !== undefined && role === wanted.role);
    if (!part || part.formulas?.quantity === wanted.formulas?.quantity) continue;
    const count =
      wanted.formulas?.quantity === undefined
        ? wanted.quantity
        : countOf(project, group, option, part, wanted.formulas.quantity);
    if (count !== null && count !== part.quantity)
      found.push({ code: 'count', id: part.id, weight: 'look', sentence: `The helper would make ${count}.` });
  }
  return found;
};

/** What a part's count would be by another formula. */
const countOf = (
  project: Project,
  group: Group,
  option: Option,
  part: Part,
  formula: string,
): number | null => {
  const parts = option.parts.map((held) =>
    held === part ? { ...held, formulas: { ...held.formulas, quantity: formula } } : held,
  );
  const other: Group = {
    ...group,
    options: group.options.map((held) => (held === option ? { ...held, parts } : held)),
  };
  const value = valuesOf({
    ...project,
    groups: project.groups.map((held) => (held === group ? other : held)),
  }).parts[part.id]?.quantity;
  return value?.ok ? value.value : null;
};

/** Two or more things to put together, and neither fasteners nor glue for them. */
const isUnjoined = (project: Project, group: Group, option: Option): boolean => {
  const cut = option.parts.filter(({ kind }) => kind !== 'hardware');
  const pieces = cut.reduce((sum, { quantity }) => sum + quantity, 0);
  return (
    pieces > 1 &&
    (option.joints ?? []).length === 0 &&
    !option.parts.some(({ kind }) => kind === 'hardware') &&
    !project.extras.some(({ rule, groupId }) => rule === 'glue' && (groupId === null || groupId === group.id))
  );
};
