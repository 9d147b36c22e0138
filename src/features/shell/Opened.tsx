import type { ReactNode } from 'react';
import { useOpeningFault } from '@/hooks';

/** Has the error screen around it told where what is kept cannot be opened. */
export const Opened = ({ children }: { children: ReactNode }) => {
  const fault = useOpeningFault();
  if (fault) throw fault;
  return children;
};
