import { useEffect, useRef } from 'react';
import { openLayer } from '@/platform/layers';

/** For what lies open over a place: Back and Escape close it, what opened last first. */
export const useLayer = (onClose: () => void): void => {
  const close = useRef(onClose);
  useEffect(() => {
    close.current = onClose;
  }, [onClose]);
  useEffect(() => openLayer(() => close.current()), []);
};
