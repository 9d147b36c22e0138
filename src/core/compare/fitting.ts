import type { Book, Project, ProjectChange } from '../project';
import { cutParts, madeNow } from '../project';
import { capital } from '../capital';
import type { Unfit } from './fit';
import { inMaterials } from './materialChanges';
import { offersFor } from './onSale';

/** Another wood for what is not fit where it stands: the cheapest on sale that is. */
export interface FittingWay {
  /** The same for the same way. */
  id: string;
  name: string;
  material: string;
  changes: ProjectChange[];
}

/** What would be fit in place of an unfit material; null: nothing on sale is. */
export const fittingWay = (
  { groupId, group, parts, fitting: [material] }: Unfit,
  project: Project,
  book: Book,
): FittingWay | null => {
  const home = madeNow(project).find(({ id }) => id === groupId);
  if (material === undefined || !home) return null;
  const partIds = cutParts(home)
    .filter(({ name }) => parts.includes(name))
    .map(({ id }) => id);
  return {
    id: `fit:${groupId}:${material}`,
    name: capital(`${group} in ${material}`),
    material,
    changes: inMaterials(project, book, offersFor(project, book), [{ groupId, partIds, material }]),
  };
};
