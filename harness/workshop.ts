import { readFileSync } from 'node:fs';
import { emptyBook, emptyHistory, type Book } from '@/core/project';
import { bookFromJson, projectFromJson } from '@/core/project/json';
import type { ProjectFile } from '@/core/io';
import { packBook } from '@/core/io/packedBook';
import { DEFAULT_SETTINGS, newProjectRecord, packProject, packSettings } from '@/data/records';

const FILES = ['compost-station', 'record-shelf', 'sandpit'];
const TAGS = { tag: 'workshop', parent: null };

/** What a browser keeps of someone whose own projects the files of `demo/` are, with their stores and prices, by key. */
export const workshopTexts = (): Record<string, string> => {
  const texts: Record<string, string> = { 'billet/settings': packSettings(DEFAULT_SETTINGS) };
  let book: Book = emptyBook();
  for (const name of FILES) {
    const file = JSON.parse(readFileSync(`demo/${name}.billet.json`, 'utf8')) as ProjectFile;
    const project = projectFromJson(file.project, file.purchases);
    const own = bookFromJson(file);
    book = {
      ...book,
      stores: { ...book.stores, ...own.stores },
      prices: { ...book.prices, ...own.prices },
    };
    texts[`billet/project/${project.id}`] = packProject(newProjectRecord(project), TAGS);
  }
  return { ...texts, 'billet/book': packBook({ book, history: emptyHistory() }, TAGS) };
};
