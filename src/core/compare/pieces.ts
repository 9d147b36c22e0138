import { groupBy } from '../groupBy';
import type { Offer } from '../pricing';
import {
  madeNow,
  resolve,
  toolsOf,
  type Book,
  type Group,
  type Project,
  type ProjectChange,
  type ResolvedPart,
} from '../project';
import { materialOf, nameKey, type Material, type Verdict } from '../lumber';
import type { Picked } from './materialChanges';
import { materialsOnSale, sizeKey } from './onSale';

/** Another way to do a project that the prices allow. */
export interface Proposal {
  /** The same for the same proposal. */
  id: string;
  kind:
    'material' | 'section' | 'option' | 'ripping' | 'store' | 'fewer stores' | 'rack' | 'with' | 'without';
  name: string;
  /** The group it is about; null: the whole project. */
  groupId: string | null;
  changes: ProjectChange[];
  /** The worst that can be said of what it brings in, where that stands. */
  verdict: Verdict;
}

/** A proposal of which it is not said yet what speaks against it. */
export type Draft = Omit<Proposal, 'verdict'>;

/** Parts of one size within a group, with the materials they are sold in. */
export interface Piece {
  group: Group;
  parts: ResolvedPart[];
  sold: { material: string; known: Material }[];
}

/** The parts of a project by group and size, with what each size is sold in. */
export const piecesOf = (project: Project, book: Book, offers: Offer[]): Piece[] => {
  const { parts } = resolve(project, book.materials);
  return madeNow(project).flatMap((group) => {
    const cut = parts.filter(({ groupId, kind }) => groupId === group.id && kind !== 'hardware');
    return groupBy(cut, sizeKey).map((like) => ({
      group,
      parts: like,
      sold: materialsOnSale(like, offers, project, toolsOf(project.settings, book)).map(({ material }) => ({
        material,
        known: materialOf(material, book.materials),
      })),
    }));
  });
};

/** The ids of parts, each once. */
export const idsOf = (parts: ResolvedPart[]): string[] => [...new Set(parts.map(({ id }) => id))];

/** The materials that any of some pieces is sold in, each once, by name key. */
export const materialsIn = (pieces: Piece[]): Map<string, string> =>
  new Map(pieces.flatMap(({ sold }) => sold.map(({ material }) => [nameKey(material), material] as const)));

/** Those of some pieces that are sold in a material, as parts that are to be of it. */
export const picksIn = (pieces: Piece[], material: string): Picked[] =>
  pieces
    .filter(({ sold }) => sold.some((one) => nameKey(one.material) === nameKey(material)))
    .map(({ group, parts }) => ({ groupId: group.id, partIds: idsOf(parts), material }));
