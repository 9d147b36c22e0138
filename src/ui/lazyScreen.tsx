import { startTransition, useDeferredValue, useEffect, useState, type ComponentType } from 'react';
import { ActivityIndicator } from 'react-native-paper';

/** A component whose code is fetched when it is first drawn, or before, by `ready`. Once it is there it is drawn at once. */
export const lazyScreen = <P extends object>(
  load: () => Promise<ComponentType<P>>,
): ComponentType<P> & { ready: () => Promise<void> } => {
  let Loaded: ComponentType<P> | null = null;
  let loading: Promise<void> | null = null;
  const ready = (): Promise<void> => {
    loading ??= load().then((component) => {
      Loaded = component;
    });
    return loading;
  };
  const Later = (props: P) => {
    // The compiler would lift what stands in this function out of it.
    'use no memo';
    const [Shown, setShown] = useState<ComponentType<P> | null>(() => Loaded);
    // The link that was touched answers at once; the place follows, in pieces between which the page is free.
    const isDrawn = useDeferredValue(true, false);
    useEffect(() => {
      let isGone = false;
      void ready().then(() => {
        // Drawn between what is touched, not before it.
        if (!isGone) startTransition(() => setShown(() => Loaded));
      });
      return () => {
        isGone = true;
      };
    }, []);
    if (!isDrawn) return null;
    return Shown ? <Shown {...props} /> : <ActivityIndicator aria-label="Opening" />;
  };
  return Object.assign(Later, { ready });
};
