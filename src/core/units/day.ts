const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** An ISO date as people read it: `9 Nov 2026`. A text that is none stays as it is. */
export const formatDay = (iso: string): string => {
  const [year, month, day] = iso.split('-').map(Number);
  const name = MONTHS[(month ?? 0) - 1];
  return year && name && day ? `${day} ${name} ${year}` : iso;
};
