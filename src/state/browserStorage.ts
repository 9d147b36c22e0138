import { wrap } from 'comlink';
import {
  loadBook,
  loadProjects,
  loadSettings,
  readBookText,
  readProject,
  saveBook,
  saveProject,
  saveSettings,
  withSamples,
} from '@/data/repository';
import { setAside } from '@/data/aside';
import { hasWorkers, startPacker } from '@/platform/workers';
import type { BookPacker } from '@/workers/pack.worker';
import { newPacking } from './bookPacker';
import type { WorkspaceStorage } from './workspaceStore';

const spawn = (): BookPacker => wrap<BookPacker>(startPacker()) as unknown as BookPacker;

/** The workspace as this browser keeps it; the price book is packed in a worker where there are workers. */
export const browserStorage = (): WorkspaceStorage => {
  const packing = newPacking(hasWorkers() ? spawn : null);
  return {
    loadProjects,
    readProject,
    loadSettings,
    saveSettings,
    saveProject,
    withSamples,
    setAside,
    loadBook: async (now) => {
      const stored = await loadBook(now);
      const text = await readBookText();
      // Of the form that the worker reads; an older one is sent whole with the first change.
      if (text?.startsWith('billet-book 3 ')) packing.start(text, stored.record.book);
      return stored;
    },
    saveBook: async (record, tags, own) => saveBook(await packing.pack(record, tags), tags, own),
  };
};
