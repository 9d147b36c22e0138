import compost from '@demo/compost-station.billet.json';
import shelf from '@demo/record-shelf.billet.json';
import sandpit from '@demo/sandpit.billet.json';
import type { ProjectFile } from '@/core/io';
import { type Book, type Project } from '@/core/project';
import { bookFromJson, projectFromJson } from '@/core/project/json';

/** Ids of stores and prices of the samples begin so: a project file opened by hand may bring the same ones. */
const PREFIX = 'sample-';

/** The sample projects. They come with the app, and a test holds them to the schema: they are not checked again here. */
export const samples = (): { project: Project; book: Book }[] =>
  ([compost, shelf, sandpit] as unknown as ProjectFile[]).map((file) =>
    asSample({ project: projectFromJson(file.project, file.purchases), book: bookFromJson(file) }),
  );

const asSample = ({ project, book }: { project: Project; book: Book }): { project: Project; book: Book } => {
  const idOf = (id: string) => PREFIX + id;
  return {
    project: {
      ...project,
      isSample: true,
      excludedStores: project.excludedStores.map(idOf),
      purchases: project.purchases.map((purchase) => ({ ...purchase, storeId: idOf(purchase.storeId) })),
    },
    book: {
      ...book,
      stores: byId(
        Object.values(book.stores).map((store) => ({
          ...store,
          id: idOf(store.id),
          isSample: true as const,
        })),
      ),
      prices: byId(
        Object.values(book.prices).map((price) => ({
          ...price,
          id: idOf(price.id),
          storeId: idOf(price.storeId),
        })),
      ),
    },
  };
};

const byId = <T extends { id: string }>(all: T[]): Record<string, T> =>
  Object.fromEntries(all.map((one) => [one.id, one]));
