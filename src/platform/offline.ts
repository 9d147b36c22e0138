import { Workbox } from 'workbox-window';
import { reloadPage } from './page';

/** Makes the app open without a signal; `onWaiting` is given how to go on with a newer version once one is there. */
export const keepForOffline = async (onWaiting: (goOn: () => void) => void): Promise<void> => {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
  const worker = new Workbox('/sw.js');
  worker.addEventListener('waiting', () =>
    onWaiting(() => {
      worker.addEventListener('controlling', reloadPage);
      worker.messageSkipWaiting();
    }),
  );
  try {
    await worker.register();
  } catch {
    // Without it Billet works as before, with a signal.
  }
};
