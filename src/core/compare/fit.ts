import { groupBy } from '../groupBy';
import {
  madeNow,
  resolve,
  toolsOf,
  type Book,
  type Group,
  type Item,
  type Project,
  type ResolvedPart,
} from '../project';
import {
  fitnessOf,
  materialOf,
  nameKey,
  parseThickness,
  rankOf,
  worstOf,
  type Fitness,
  type OwnMaterials,
  type Setting,
} from '../lumber';
import type { Plan } from '../plan';
import type { Check } from '../takeoff';
import { materialsOnSale, offersFor, sizeKey } from './onSale';

/** What decides which materials are fit for a group. */
export const settingOf = (group: Group, project: Project): Setting => ({
  exposure: group.exposure,
  nearFood: group.nearFood ?? false,
  treatedNearFood: project.treatedNearFood ?? 'avoid',
});

/** Whether the surface of a group is finished: by a finish of its own or of the whole project. */
export const isFinished = (group: Group, project: Project): boolean =>
  project.extras.some(({ rule, groupId }) => rule === 'finish' && (groupId === null || groupId === group.id));

/** Whether a material is fit for a group as it stands; a finish that is there already is not asked for again. */
export const fitnessIn = (material: string, group: Group, project: Project, own?: OwnMaterials): Fitness => {
  const found = fitnessOf(materialOf(material, own), settingOf(group, project));
  return found.verdict === 'finish' && isFinished(group, project)
    ? { ...found, verdict: 'fit', sentence: `${found.sentence} It has one here.` }
    : found;
};

/** A material that is not simply fit where it stands: why, for which parts, and what would be. */
export interface Unfit extends Fitness {
  groupId: string;
  group: string;
  material: string;
  parts: string[];
  /** Materials on sale for these parts that are better there, the fittest first, of equals the cheapest. */
  fitting: string[];
}

/**
 * Every material that the parts of a project may be of and that is not simply fit for its place, the worst first.
 * Flagged, never forbidden.
 */
export const unfitIn = (project: Project, book: Book): Unfit[] => {
  const offers = offersFor(project, book);
  const { parts } = resolve(project, book.materials);
  const found = madeNow(project).flatMap((group): Unfit[] => {
    const cut = parts.filter(({ groupId, kind }) => groupId === group.id && kind !== 'hardware');
    const names = new Map(
      cut.flatMap(({ materials }) => materials.map((name) => [nameKey(name), name] as const)),
    );
    return [...names.values()].flatMap((material): Unfit[] => {
      const fitness = fitnessIn(material, group, project, book.materials);
      if (fitness.verdict === 'fit') return [];
      const of = cut.filter(({ materials }) => materials.some((name) => nameKey(name) === nameKey(material)));
      const rank = (name: string) => rankOf(fitnessIn(name, group, project, book.materials).verdict);
      return [
        {
          ...fitness,
          groupId: group.id,
          group: group.name,
          material,
          parts: [...new Set(of.map(({ name }) => name))],
          fitting: soldForAll(of, (like) =>
            materialsOnSale(like, offers, project, toolsOf(project.settings, book)).map(
              (sold) => sold.material,
            ),
          )
            .filter((name) => rank(name) < rankOf(fitness.verdict))
            .sort((a, b) => rank(a) - rank(b)),
        },
      ];
    });
  });
  return found.sort((a, b) => rankOf(b.verdict) - rankOf(a.verdict));
};

/** What a plan makes of a material that is not fit where it stands, a finish aside; those that its parts merely may be of are not meant. */
export const unfitInPlan = (project: Project, book: Book, plan: Plan): Unfit[] => {
  const groupsOf = new Map<string, Set<string>>();
  const materialsOf = new Map<string, Set<string>>();
  const add = (map: Map<string, Set<string>>, key: string, value: string) =>
    map.set(key, (map.get(key) ?? new Set()).add(value));
  for (const { material, pieces } of plan.layouts)
    for (const { group, partId } of pieces) {
      add(groupsOf, nameKey(material), group);
      add(materialsOf, partId, material);
    }
  const planned = {
    ...project,
    groups: project.groups.map((group) => ({
      ...group,
      options: group.options.map((option) => ({
        ...option,
        parts: option.parts.map((part) => ({
          ...part,
          materials: [...(materialsOf.get(part.id) ?? part.materials)],
        })),
      })),
    })),
  };
  return unfitIn(planned, book).filter(
    ({ verdict, material, group }) => verdict === 'unfit' && groupsOf.get(nameKey(material))?.has(group),
  );
};

const isSize = ({ section: size, thickness }: ResolvedPart, section: string): boolean => {
  if (size) return nameKey(size.name) === nameKey(section);
  const read = parseThickness(section, 'in');
  return read.ok && read.value === thickness;
};

/**
 * What of projects a thing is not fit for, by its material and by what its section is wanted for there; null: nothing is
 * known against it. A part that names other materials is not meant.
 */
export const unfitFor = (
  { kind, section, material }: Pick<Item, 'kind' | 'section' | 'material'>,
  projects: Project[],
  book: Book,
): Pick<Unfit, 'group' | 'material' | 'sentence'> | null => {
  if (kind === 'hardware') return null;
  const isOf = (name: string) => nameKey(name) === nameKey(material);
  for (const project of projects) {
    const { parts } = resolve(project, book.materials);
    for (const group of madeNow(project)) {
      const isWanted = parts.some(
        (part) =>
          part.groupId === group.id &&
          part.kind === kind &&
          isSize(part, section) &&
          (part.materials.length === 0 || part.materials.some(isOf)),
      );
      const fitness = isWanted ? fitnessIn(material, group, project, book.materials) : null;
      if (fitness?.verdict === 'unfit') return { group: group.name, material, sentence: fitness.sentence };
    }
  }
  return null;
};

/** The materials that every size of some parts is sold in, in the order of the first. */
const soldForAll = (parts: ResolvedPart[], sold: (like: ResolvedPart[]) => string[]): string[] => {
  const [first = [], ...rest] = groupBy(parts, sizeKey).map(sold);
  return first.filter((name) =>
    rest.every((names) => names.some((other) => nameKey(other) === nameKey(name))),
  );
};

/** The worst that can be said of what a project is made of, with a finish that is there counted. */
export const fitnessOfMade = (
  made: { material: string; group: Group }[],
  project: Project,
  own?: OwnMaterials,
): Fitness => worstOf(made.map(({ material, group }) => fitnessIn(material, group, project, own)));

/** Of each group the worst that can be said of its materials, as something to look at beside it. */
export const fitChecks = (project: Project, book: Book): Check[] => {
  const worst = new Map<string, Unfit>();
  for (const unfit of unfitIn(project, book)) if (!worst.has(unfit.groupId)) worst.set(unfit.groupId, unfit);
  return [...worst.values()].map(({ groupId, material, sentence, verdict, fitting }) => ({
    code: 'unfit',
    id: groupId,
    groupId,
    weight: verdict === 'unfit' ? 'bad' : 'look',
    sentence: `${material}: ${sentence}${verdict !== 'finish' && fitting.length > 0 ? ` Fit: ${fitting.slice(0, 3).join(', ')}.` : ''}`,
  }));
};
