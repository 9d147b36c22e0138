import { useEffect } from 'react';
import { services } from './services';

/** A moment after a project is opened, a worker is made ready for what may be compared, in ms. */
const WARM_AFTER = 1200;

/** Has a worker with its solver loaded soon after a project is opened. */
export const useReadyToCompare = (): void => {
  useEffect(() => {
    const timer = setTimeout(() => services().pool.warm('long', (planner) => planner.ready()), WARM_AFTER);
    return () => clearTimeout(timer);
  }, []);
};
