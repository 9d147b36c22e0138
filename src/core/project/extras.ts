import { cubicMm, parseArea, parseVolume, squareMm, type SquareMm } from '../units';
import { fail, ok, type Result } from '../result';
import { actualThickness, meanLength, NO_OWN, woodWeight, type OwnMaterials } from '../lumber';
import { chosenOption, copiesOf } from './groups';
import { packsToBuy, type ResolvedPart } from './resolvedPart';
import type { Extra, Joint, Project, Shows } from './types';
import { valuesOf } from './values';

/** What an extra comes to, for all that is built. */
export interface ResolvedExtra {
  /** Square or cubic millimetres, all coats together; a count for `count`. */
  amount: number;
  /** How many of the item: whole cans, bags, sheets. */
  count: number;
  /** How many of it are used up, whole or not; absent for a count. */
  fractionalQuantity?: number;
}

/** Surface of one piece: all round, or one wide face, both long edges and both ends. */
export const surface = (part: ResolvedPart, shows: Shows): SquareMm => {
  if (part.kind === 'hardware' || shows === 'none') return 0;
  const sides = shows === 'all' ? 2 : 1;
  const { area, edge } = faceAndEdge(part);
  return squareMm(area * sides + realThickness(part) * edge);
};

/** The face of one piece in square ticks, and all its edges in ticks. */
const faceAndEdge = ({ shape, ends, length, over = 0, thickness, width }: ResolvedPart) => {
  if (shape) return shape;
  const mean = meanLength(ends, length - over, thickness, width);
  return { area: mean * width, edge: 2 * (mean + width) };
};

const realThickness = (part: ResolvedPart): number =>
  part.kind === 'sheet' ? actualThickness(part.thickness, part.materials[0] ?? '') : part.thickness;

/** Kilograms of one piece. */
export const weightOf = (part: ResolvedPart, own: OwnMaterials = NO_OWN): number =>
  part.kind === 'hardware'
    ? 0
    : woodWeight(cubicMm(faceAndEdge(part).area * realThickness(part)), part.materials[0] ?? '', own);

/** The surface of parts, by extra: of its group or of all, all faces or those that show. What is glued shows on neither side. */
export const surfaceFor = (extra: Extra, project: Project, parts: ResolvedPart[]): SquareMm => {
  const shows = new Map(
    project.groups.flatMap(({ options }) =>
      options.flatMap((option) => option.parts.map((part) => [part.id, part.shows ?? 'all'] as const)),
    ),
  );
  const all = parts
    .filter(({ groupId }) => extra.groupId === null || groupId === extra.groupId)
    .reduce(
      (sum, part) =>
        sum + part.count * surface(part, extra.faces === 'all' ? 'all' : (shows.get(part.id) ?? 'all')),
      0,
    );
  return extra.faces === 'all' ? all : Math.max(0, all - 2 * gluedArea(extra, project, parts));
};

/** Pieces whose lengths differ by less than this share lie along each other; others cross. A rule of thumb. */
const ALONG = 0.1;

/**
 * How much of two pieces meets in one joint, in square ticks. On an end: that end. On an edge: so much of the edge as the first
 * covers. Face to face: all of the smaller face where they lie along each other, as in a lamination; else where they cross.
 */
export const contactOf = (joint: Pick<Joint, 'into'>, first: ResolvedPart, second: ResolvedPart): number => {
  const thick = realThickness(second);
  if (joint.into === 'end') return thick * Math.min(second.width, first.length);
  const isAlong =
    first.id === second.id ||
    first.kind === 'sheet' ||
    Math.abs(first.length - second.length) <= ALONG * Math.max(first.length, second.length);
  const covered = isAlong ? Math.min(longer(first), second.length) : Math.min(first.width, second.length);
  if (joint.into === 'width') return thick * covered;
  return covered * (isAlong ? Math.min(shorter(first), second.width) : second.width);
};

const longer = ({ length, width }: ResolvedPart): number => Math.max(length, width);
const shorter = ({ length, width }: ResolvedPart): number => Math.min(length, width);

/** Where the glued joints of the groups meet, in square millimetres. */
const gluedArea = (extra: Extra, project: Project, parts: ResolvedPart[]): SquareMm => {
  const byId = new Map(parts.map((part) => [part.id, part]));
  const glued = (joint: Joint): number => {
    const [first, second] = [byId.get(joint.first), byId.get(joint.second)];
    if ((joint.how !== 'nail' && joint.how !== 'glue') || !first || !second) return 0;
    return joint.quantity * squareMm(contactOf(joint, first, second));
  };
  return (
    project.groups
      .filter(({ id }) => extra.groupId === null || id === extra.groupId)
      .reduce(
        (sum, group) =>
          sum +
          copiesOf(group) *
            (chosenOption(group)?.joints ?? []).reduce((area, joint) => area + glued(joint), 0),
        0,
      ) * project.builds
  );
};

/** Works an extra out. Problems: those of its formula, and `covers`. */
export const resolveExtra = (
  extra: Extra,
  project: Project,
  parts: ResolvedPart[],
): Result<ResolvedExtra> => {
  const given = valuesOf(project).extras[extra.id];
  if (given && !given.ok) return given;
  const value = given?.value ?? 0;
  const times = project.builds * copiesOf(project.groups.find(({ id }) => id === extra.groupId));
  if (extra.rule === 'count') return ok({ amount: value * times, count: value * times });
  const covers = extra.rule === 'volume' ? parseVolume(extra.covers) : parseArea(extra.covers);
  if (!covers.ok)
    return fail(
      'covers',
      `${extra.name}: say what one ${extra.rule === 'volume' ? 'fills, such as 1.5 ft3 or 40 l' : 'covers, such as 60 ft2 or 5 m2'}.`,
    );
  const once =
    extra.rule === 'volume'
      ? cubicMm(value) * times
      : squareMm(value) * times +
        (extra.rule === 'finish' ? surfaceFor(extra, project, parts) : 0) +
        (extra.rule === 'glue' ? gluedArea(extra, project, parts) : 0);
  // Nothing of it would be bought, without a word.
  if (extra.rule === 'glue' && once === 0)
    return fail('joints', `${extra.name}: no glued joint is entered. Add one, or write how much is glued.`);
  const amount = once * extra.coats;
  const fractionalQuantity = amount / covers.value;
  return ok({ amount, count: packsToBuy(fractionalQuantity, 0), fractionalQuantity });
};
