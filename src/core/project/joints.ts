import { formatLength, parseLength, type Ticks } from '../units';
import {
  besideBolt,
  fastenerFault,
  fastenerFinish,
  fastenerItem,
  fastenerLength,
  isCoated,
  isTreated,
  NO_OWN,
  SCREWS_A_BRACKET,
  type Meeting,
  type OwnMaterials,
} from '../lumber';
import { materialsOf } from './groups';
import { sidesOf } from './sides';
import type { Group, Joint, Option, Project } from './types';

/** A joint with everything worked out. */
export interface ResolvedJoint {
  id: string;
  name: string;
  groupId: string;
  /** What to buy, as the shelf tag names it, and how many for one of the project, spares aside. */
  needs: { item: string; count: number }[];
  /** Of the fastener, by rule or as its name says. */
  length: Ticks;
  meeting: Meeting;
  /** What is wrong with it; null: nothing. */
  fault: string | null;
  /** What steel it wants there. */
  finish: '' | 'coated ';
}

/** Where a joint's two parts meet; null when one of them is not there. */
export const meetingOf = (joint: Joint, option: Option, group: Group, project: Project): Meeting | null => {
  const part = (id: string) => option.parts.find((candidate) => candidate.id === id);
  const [first, second] = [part(joint.first), part(joint.second)];
  const passed = first && sidesOf(first, group, project.unit);
  const into = second && sidesOf(second, group, project.unit);
  if (!passed?.ok || !into?.ok) return null;
  const behind = joint.into === 'end' ? (second?.length?.ticks ?? 0) : into.value[joint.into];
  return { first: passed.value[joint.through], second: behind };
};

/** Whether a joint needs steel that wood outdoors, or treated wood, does not eat. */
const finishOf = (joint: Joint, option: Option, group: Group, own: OwnMaterials): '' | 'coated ' =>
  fastenerFinish(
    option.parts.some(
      (part) =>
        (part.id === joint.first || part.id === joint.second) &&
        materialsOf(part, group).some((name) => isTreated(name, own)),
    ),
    group.exposure !== 'indoors',
  );

/** The length that an item's name says, such as `deck screw 2 1/2 in`; null when it says none. */
const namedLength = (item: string, project: Project): Ticks | null => {
  const match = /(\d+(?:[ -]\d+\/\d+|\/\d+|\.\d+)?) ?(in|mm|")\s*$/i.exec(item.trim());
  const length = match && parseLength(`${match[1]}${match[2]}`, project.unit);
  return length && length.ok ? length.value : null;
};

/** `Rail to post`, by the names its parts have now. */
export const jointName = (joint: Joint, option: Option): string => {
  const name = (id: string) => option.parts.find((part) => part.id === id)?.name;
  const [first, second] = [name(joint.first), name(joint.second)];
  if (first === undefined || second === undefined) return joint.name;
  if (joint.first === joint.second)
    return `${first} ${joint.how === 'glue' ? `to ${first.toLowerCase()}` : 'at its ends'}`;
  return `${first} to ${second.toLowerCase()}`;
};

/** The fasteners of a joint, by the rules of fasteners.ts; null when one of its parts is not there. */
export const resolveJoint = (
  joint: Joint,
  option: Option,
  group: Group,
  project: Project,
  own: OwnMaterials = NO_OWN,
): ResolvedJoint | null => {
  const meeting = meetingOf(joint, option, group, project);
  if (!meeting) return null;
  const finish = finishOf(joint, option, group, own);
  const whose = { id: joint.id, name: jointName(joint, option), groupId: group.id };
  if (joint.how === 'glue') return { ...whose, needs: [], length: 0, meeting, finish, fault: null };
  const byRule = fastenerLength(joint.how, meeting, project.unit);
  const length = (joint.item !== '' && namedLength(joint.item, project)) || byRule;
  const item = joint.item === '' ? fastenerItem(joint.how, byRule, project.unit, finish) : joint.item;
  const count = joint.quantity * joint.each;
  const bracketScrew = {
    item: fastenerItem('through', byRule, project.unit, finish),
    count: count * SCREWS_A_BRACKET,
  };
  const plain = finish !== '' && !isCoated(item);
  return {
    ...whose,
    needs: [
      { item, count },
      ...(joint.how === 'bracket' ? [bracketScrew] : []),
      ...(joint.how === 'bolt' ? besideBolt(item) : []).map((one) => ({
        item: one.item,
        count: one.each * count,
      })),
    ],
    length,
    meeting,
    finish,
    fault:
      fastenerFault(joint.how, length, meeting, project.unit) ??
      (plain
        ? `${item}: coated or stainless is wanted here, where it is damp or the wood is treated.`
        : null),
  };
};

/** `2 in each of 8 places, through 1 1/2" into 3 1/2"` */
export const describeJoint = (joint: Joint, resolved: ResolvedJoint, project: Project): string =>
  joint.how === 'glue'
    ? `Glued in ${joint.quantity} ${joint.quantity === 1 ? 'place' : 'places'}, clamped until it holds; glue is bought by what it covers`
    : `${joint.each} in each of ${joint.quantity} ${joint.quantity === 1 ? 'place' : 'places'} · through ${formatLength(resolved.meeting.first, project.unit)}${joint.into === 'end' ? ' into an end' : ` into ${formatLength(resolved.meeting.second, project.unit)}`}`;
