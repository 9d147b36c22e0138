import compost from '@demo/compost-station.billet.json';
import shelf from '@demo/record-shelf.billet.json';
import sandpit from '@demo/sandpit.billet.json';
import type { ProjectFile } from '@/core/io';
import { bookFromJson, projectFromJson, type Book, type Project } from '@/core/project';

/** The sample projects. They come with the app, and a test holds them to the schema: they are not checked again here. */
export const samples = (): { project: Project; book: Book }[] =>
  ([compost, shelf, sandpit] as unknown as ProjectFile[]).map((file) => ({
    project: projectFromJson(file.project, file.purchases),
    book: bookFromJson(file),
  }));
