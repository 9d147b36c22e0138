import { useSyncExternalStore } from 'react';
import { Workbox } from 'workbox-window';
import { notify } from './notices';

let waiting: Workbox | null = null;
const listeners = new Set<() => void>();

/** Something half typed that a reload would take away. */
const isTyping = (): boolean => document.querySelector('[role=dialog], [data-half-typed]') !== null;

/** Goes on with the new version, unless something is half typed: then it waits. */
export const takeNewVersion = (): void => {
  if (isTyping()) {
    notify({ text: 'Finish or close what is open first: the new Billet waits, under Settings too.' });
    return;
  }
  waiting?.addEventListener('controlling', () => window.location.reload());
  waiting?.messageSkipWaiting();
};

/** Makes Billet open without a signal, and announces a new version once it is there. */
export const keepForOffline = async (): Promise<void> => {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
  const worker = new Workbox('/sw.js');
  worker.addEventListener('waiting', () => {
    waiting = worker;
    listeners.forEach((listener) => listener());
    notify({
      text: 'A new Billet is here. It waits until you want it.',
      action: { label: 'Use it now', run: takeNewVersion },
      stays: true,
    });
  });
  try {
    await worker.register();
  } catch {
    // Without it Billet works as before, with a signal.
  }
};

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Whether a new version waits to be used. */
export const useIsNewVersionWaiting = (): boolean =>
  useSyncExternalStore(
    subscribe,
    () => waiting !== null,
    () => false,
  );
