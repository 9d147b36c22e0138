import { useEffect, useState } from 'react';

/** Keeps the screen on while this is shown, where the browser can; says whether it does. */
export const useAwake = (): boolean => {
  const [isAwake, setAwake] = useState(false);
  useEffect(() => {
    if (!('wakeLock' in navigator)) return undefined;
    let isGone = false;
    let held: WakeLockSentinel | null = null;
    const ask = async () => {
      try {
        const lock = await navigator.wakeLock.request('screen');
        if (isGone) return void lock.release();
        held = lock;
        setAwake(true);
        lock.addEventListener('release', () => setAwake(false));
      } catch {
        // The battery is low, or the user forbids it: the screen goes out as usual.
        setAwake(false);
      }
    };
    // The browser takes it back when the tab is left.
    const again = () => {
      if (document.visibilityState === 'visible') void ask();
    };
    void ask();
    document.addEventListener('visibilitychange', again);
    return () => {
      isGone = true;
      document.removeEventListener('visibilitychange', again);
      void held?.release();
    };
  }, []);
  return isAwake;
};
