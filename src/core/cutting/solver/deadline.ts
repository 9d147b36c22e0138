/** When a search is to stop, in seconds that are left. */
export interface Deadline {
  left: () => number;
}

/** What is left when nothing more is begun, in seconds. */
const NEARLY_OVER = 0.03;

/** A deadline in so many seconds from now. */
export const deadlineIn = (seconds: number): Deadline => {
  const began = performance.now();
  return { left: () => seconds - (performance.now() - began) / 1000 };
};

/** Whether there is no time to begin anything more. */
export const isLate = ({ left }: Deadline): boolean => left() <= NEARLY_OVER;
