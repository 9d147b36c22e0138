import { useEffect, useState } from 'react';

/** Whether something has gone on for a second: what is over sooner needs no button. */
export const useForAWhile = (isOn: boolean): boolean => {
  const [isLong, setLong] = useState(false);
  useEffect(() => {
    if (!isOn) return undefined;
    const timer = setTimeout(() => setLong(true), 1000);
    return () => {
      clearTimeout(timer);
      setLong(false);
    };
  }, [isOn]);
  return isLong;
};
