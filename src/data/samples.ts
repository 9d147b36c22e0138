import compost from '@demo/compost-station.billet.json';
import shelf from '@demo/record-shelf.billet.json';
import sandpit from '@demo/sandpit.billet.json';
import { readProjectFile } from '@/core/formats';
import type { Book, Project } from '@/core/project';

/** The sample projects, read as any file is. Loaded only when they are asked for. */
export const samples = (): { project: Project; book: Book }[] =>
  [compost, shelf, sandpit].map((file) => {
    const read = readProjectFile(JSON.stringify(file), 'sample');
    if (!read.ok)
      throw new Error(read.problems.map(({ place, sentence }) => `${place}: ${sentence}`).join('\n'));
    return read.value;
  });
