import { useSyncExternalStore } from 'react';
import { keepForOffline as register } from '@/platform/offline';
import { isHalfTyped } from '@/platform/page';
import { notify } from './notices';

let goOn: (() => void) | null = null;
const listeners = new Set<() => void>();

/** Goes on with the new version, unless something is half typed: then it waits. */
export const takeNewVersion = (): void => {
  if (isHalfTyped()) {
    notify({ text: 'Finish or close what is open first: the new Billet waits, under Settings too.' });
    return;
  }
  goOn?.();
};

/** Makes Billet open without a signal, and announces a new version once it is there. */
export const keepForOffline = (): Promise<void> =>
  register((withNew) => {
    goOn = withNew;
    listeners.forEach((listener) => listener());
    notify({
      text: 'A new Billet is here. It waits until you want it.',
      action: { label: 'Use it now', run: takeNewVersion },
      stays: true,
    });
  });

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Whether a new version waits to be used. */
export const useIsNewVersionWaiting = (): boolean =>
  useSyncExternalStore(
    subscribe,
    () => goOn !== null,
    () => false,
  );
