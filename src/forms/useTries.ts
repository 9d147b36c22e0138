import { useState } from 'react';

/** What a form tells of its faults: of what was typed at once, of what is still blank once it was tried. */
export interface Tries {
  /** A field's fault as it is shown; `text`: what is typed there. */
  told: (fault: string | null, text?: string) => string | null;
  /** It was tried as it is. */
  attempt: () => void;
  /** It begins anew: nothing was tried. */
  restart: () => void;
}

/** The one rule of every form here, so that none scolds before anything is typed, and none stays silent when pressed. */
export const useTries = (): Tries => {
  const [isTried, setTried] = useState(false);
  return {
    told: (fault, text = '') => (isTried || text.trim() !== '' ? fault : null),
    attempt: () => setTried(true),
    restart: () => setTried(false),
  };
};
