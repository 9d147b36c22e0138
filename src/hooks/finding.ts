let opener: (() => void) | null = null;

/** Opens what finds things by their name, as Ctrl+K does. */
export const openFinder = (): void => opener?.();

/** Who opens it. Returns how to stop. */
export const onOpenFinder = (open: () => void): (() => void) => {
  opener = open;
  return () => {
    if (opener === open) opener = null;
  };
};
