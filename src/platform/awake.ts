import { onVisibility } from './page';

/** Keeps the screen on where the browser can; tells each time whether it does. Returns how to end it. */
export const keepAwake = (tell: (isAwake: boolean) => void): (() => void) => {
  if (!('wakeLock' in navigator)) return () => undefined;
  let isGone = false;
  let held: WakeLockSentinel | null = null;
  const ask = async () => {
    try {
      const lock = await navigator.wakeLock.request('screen');
      if (isGone) return void lock.release();
      held = lock;
      tell(true);
      lock.addEventListener('release', () => tell(false));
    } catch {
      // The battery is low, or the user forbids it: the screen goes out as usual.
      tell(false);
    }
  };
  // The browser takes it back when the tab is left.
  const stop = onVisibility((isVisible) => {
    if (isVisible) void ask();
  });
  void ask();
  return () => {
    isGone = true;
    stop();
    void held?.release();
  };
};
