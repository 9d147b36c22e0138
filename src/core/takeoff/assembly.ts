import type { Ticks } from '../units';
import {
  chosenOption,
  copiesOf,
  fitOverOf,
  hasParts,
  madeNow,
  resolve,
  resolveJoint,
  type Group,
  type JointKind,
  type Option,
  type Project,
} from '../project';
import { NO_OWN, type OwnMaterials } from '../lumber';
import { isAsMade } from './asMade';
import { sizesOf } from './build';
import { helperOf } from './helpers';
import type { View } from './types';

/** One thing to do when a group is put together. */
export type AssemblyStep =
  | { kind: 'lay'; pieces: { partId: string; name: string; count: number }[] }
  | {
      kind: 'join';
      jointId: string;
      name: string;
      how: JointKind;
      places: number;
      each: number;
      /** What holds it, as the shelf tag names it; blank where it is glued alone. */
      item: string;
      /** It goes into an end, or close to one: it wants a pilot hole. */
      isNearEnd: boolean;
    }
  /** Both diagonals are of this length, in ticks, before glue sets or the last screws go in. */
  | { kind: 'square'; diagonal: Ticks }
  /** What was glued holds before it is worked on; how long, its label says. */
  | { kind: 'wait' }
  | { kind: 'fit'; pieces: string[] }
  /** Parts that are cut to fit: their length is taken on what stands, then they are cut. */
  | { kind: 'measure'; pieces: { partId: string; name: string }[] };

/** One group, as it is put together. */
export interface AssemblyGroup {
  groupId: string;
  name: string;
  /** How many of it are made, in all that is built. */
  copies: number;
  steps: AssemblyStep[];
  isDone: boolean;
}

/**
 * The groups that are made, in the order in which they are put together: as one has set it, else as they stand in the project. In each
 * its pieces, then its joints with what holds them, and what is to be checked. Hardware that no joint uses is fitted last.
 */
export const assemblyOf = (project: Project, own: OwnMaterials = NO_OWN): AssemblyGroup[] => {
  const { order = [], done = [] } = project.assembly ?? {};
  const place = ({ id }: Group): number => {
    const at = order.indexOf(id);
    return at < 0 ? order.length : at;
  };
  return madeNow(project)
    .filter(hasParts)
    .sort((a, b) => place(a) - place(b))
    .flatMap((group) => {
      const option = chosenOption(group);
      return option
        ? [
            {
              groupId: group.id,
              name: group.name,
              copies: copiesOf(group) * project.builds,
              steps: stepsOf(group, option, project, own),
              isDone: done.includes(group.id),
            },
          ]
        : [];
    });
};

const stepsOf = (group: Group, option: Option, project: Project, own: OwnMaterials): AssemblyStep[] => {
  const each = copiesOf(group) * project.builds;
  const counts = new Map<string, number>();
  for (const { id, count, isSpare } of resolve(project, own).parts)
    if (!isSpare) counts.set(id, (counts.get(id) ?? 0) + count / each);
  const pieces = option.parts.flatMap(({ id, name, kind }) => {
    const count = counts.get(id) ?? 0;
    return count > 0 ? [{ partId: id, name, count, kind }] : [];
  });
  const wooden = pieces.filter(({ kind }) => kind !== 'hardware');
  const hardware = pieces.filter(({ kind }) => kind === 'hardware');
  const toFit = option.parts
    .filter((part) => fitOverOf(part) > 0)
    .map(({ id, name }) => ({ partId: id, name }));
  const joins = joinsOf(group, option, project, own);
  const diagonal = diagonalOf(group, option, project);
  const isGlued = joins.some(({ how }) => how === 'glue' || how === 'nail');
  return [
    ...(wooden.length > 0
      ? [{ kind: 'lay' as const, pieces: wooden.map(({ kind: _, ...piece }) => piece) }]
      : []),
    ...(toFit.length > 0 ? [{ kind: 'measure' as const, pieces: toFit }] : []),
    ...joins,
    ...(diagonal !== null && wooden.length > 0 ? [{ kind: 'square' as const, diagonal }] : []),
    ...(isGlued ? [{ kind: 'wait' as const }] : []),
    ...(hardware.length > 0
      ? [{ kind: 'fit' as const, pieces: hardware.map(({ name, count }) => `${count} × ${name}`) }]
      : []),
  ];
};

type Join = Extract<AssemblyStep, { kind: 'join' }>;

const joinsOf = (group: Group, option: Option, project: Project, own: OwnMaterials): Join[] =>
  (option.joints ?? []).flatMap((joint): Join[] => {
    const resolved = joint.quantity > 0 ? resolveJoint(joint, option, group, project, own) : null;
    if (!resolved) return [];
    return [
      {
        kind: 'join',
        jointId: joint.id,
        name: resolved.name,
        how: joint.how,
        places: joint.quantity,
        each: joint.each,
        item: resolved.needs[0]?.item ?? '',
        isNearEnd: joint.how === 'through' || joint.how === 'nail',
      },
    ];
  });

/** What stands square, seen from its broadest side: by Pythagoras. Null: nothing that is known to, or it was changed by hand. */
const diagonalOf = (group: Group, option: Option, project: Project): Ticks | null => {
  const helper = option.made ? helperOf(option.made.helper) : undefined;
  if (!helper?.isSquare || !isAsMade(helper, project, group)) return null;
  const sides = helper.draw(sizesOf(project, group, option)).map(outlineOf);
  const broadest = Math.max(...sides.map(([wide, high]) => wide * high));
  const [wide, high] = sides.find(([along, across]) => along * across === broadest) ?? [0, 0];
  return wide > 0 && high > 0 ? Math.round(Math.hypot(wide, high)) : null;
};

const outlineOf = ({ shapes }: View): [Ticks, Ticks] => {
  const corners = shapes.flatMap((shape) => shape.corners);
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
  return corners.length === 0
    ? [0, 0]
    : [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
};
