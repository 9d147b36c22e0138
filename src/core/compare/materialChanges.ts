import type { Offer } from '../pricing';
import {
  cutParts,
  materialsOf,
  withChanges,
  type Book,
  type Group,
  type Project,
  type ProjectChange,
} from '../project';
import { materialOf, nameKey } from '../lumber';
import { demandChanges } from './demands';

/** Parts of a group that are to be of another material. */
export interface Picked {
  groupId: string;
  partIds: string[];
  material: string;
}

/**
 * The changes that give parts another material, with what goes with it: the spare boards its grade is known for, and the
 * finish, liner and steel that it demands where it stands, or no longer does.
 */
export const inMaterials = (
  project: Project,
  book: Book,
  offers: Offer[],
  picked: Picked[],
): ProjectChange[] => {
  const changes = project.groups.flatMap((group) =>
    inGroup(
      group,
      picked.filter(({ groupId }) => groupId === group.id),
    ),
  );
  if (changes.length === 0) return [];
  const spares = spareChanges(project, book, picked);
  const all = [...changes, ...spares];
  const groups = new Set(picked.map(({ groupId }) => groupId));
  return [...all, ...demandChanges(withChanges(project, all), book, offers, groups)];
};

const inGroup = (group: Group, picked: Picked[]): ProjectChange[] => {
  const materialFor = new Map(
    picked.flatMap(({ partIds, material }) => partIds.map((id) => [id, material] as const)),
  );
  const cut = cutParts(group);
  const following = cut.filter(({ materials }) => materials.length === 0);
  const [first] = following;
  const one = first && materialFor.get(first.id);
  const isWhole = one !== undefined && following.every(({ id }) => materialFor.get(id) === one);
  const changes: ProjectChange[] = [];
  if (isWhole && !isOnly(group.materials, one))
    changes.push({ type: 'editGroup', groupId: group.id, fields: { materials: [one] } });
  for (const part of cut) {
    const material = materialFor.get(part.id);
    if (material === undefined || (isWhole && part.materials.length === 0)) continue;
    if (!isOnly(materialsOf(part, group), material))
      changes.push({ type: 'editPart', partId: part.id, fields: { materials: [material] } });
  }
  return changes;
};

const isOnly = (materials: string[], name: string): boolean =>
  materials.length === 1 && nameKey(materials[0] ?? '') === nameKey(name);

/**
 * Spare boards by grade, for materials of which the project says nothing. Like against like: only where what is replaced has
 * spares too or is of a grade that wants fewer, so that no way looks dearer by boards that the other would want as well.
 */
const spareChanges = (project: Project, book: Book, picked: Picked[]): ProjectChange[] => {
  const held = project.settings.spare ?? {};
  const shares = new Map(Object.entries(held).map(([name, share]) => [nameKey(name), share]));
  const parts = new Map(
    project.groups.flatMap((group) =>
      cutParts(group).map((part) => [part.id, materialsOf(part, group)] as const),
    ),
  );
  const wants = (name: string): number => materialOf(name, book.materials).spare;
  const isSpared = ({ partIds, material }: Picked) =>
    partIds.some((id) =>
      parts.get(id)?.some((name) => (shares.get(nameKey(name)) ?? 0) > 0 || wants(name) < wants(material)),
    );
  const added = picked.filter(isSpared).flatMap(({ material }) => {
    const { spare } = materialOf(material, book.materials);
    return spare > 0 && !shares.has(nameKey(material)) ? [[material, spare] as const] : [];
  });
  return added.length === 0
    ? []
    : [{ type: 'editSettings', fields: { spare: { ...held, ...Object.fromEntries(added) } } }];
};
