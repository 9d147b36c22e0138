const waiting = new Set<() => void>();

/** Runs `work` once the screen has been drawn, all that waits in one go. */
export const afterPaint = (work: () => void): void => {
  if (waiting.size === 0)
    requestAnimationFrame(() =>
      setTimeout(() => {
        const all = [...waiting];
        waiting.clear();
        for (const one of all) one();
      }, 0),
    );
  waiting.add(work);
};
