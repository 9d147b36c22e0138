import { useEffect, useState } from 'react';
import { keepAwake } from '@/platform/awake';

/** Keeps the screen on while this is shown, where the browser can; says whether it does. */
export const useAwake = (): boolean => {
  const [isAwake, setAwake] = useState(false);
  useEffect(() => keepAwake(setAwake), []);
  return isAwake;
};
