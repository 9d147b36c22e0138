import { wrap, type Remote } from 'comlink';
import { startReader } from '@/platform/workers';
import type { Reader } from '@/workers/reading.worker';

export type { SheetSummary, Taking } from '@/workers/reading.worker';

let worker: Worker | null = null;
let reader: Remote<Reader> | null = null;

/** The worker that reads long sheets; made when it is first needed. */
export const remoteReader = (): Remote<Reader> => {
  if (!reader) {
    worker = startReader();
    reader = wrap<Reader>(worker);
  }
  return reader;
};

/** Ends what the worker does: the next question starts a new one. */
export const stopReading = (): void => {
  worker?.terminate();
  worker = null;
  reader = null;
};
