import { addDays as addCalendarDays, differenceInCalendarDays, format, isValid, parseISO } from 'date-fns';

const ISO = 'yyyy-MM-dd';

/** A day as ISO 8601 writes it, by the clock of whoever looks. */
export const isoDay = (moment: Date | number): string => format(moment, ISO);

/** Whether a text is a day of the calendar, as ISO 8601 writes it. */
export const isDay = (text: string): boolean => /^\d{4}-\d{2}-\d{2}$/.test(text) && isValid(parseISO(text));

/** An ISO date as people read it: `9 Nov 2026`. A text that is none stays as it is. */
export const formatDay = (iso: string): string => (isDay(iso) ? format(parseISO(iso), 'd MMM yyyy') : iso);

/** As within the same year: `9 Nov`. */
export const formatDayShort = (iso: string): string => format(parseISO(iso), 'd MMM');

/** `Tuesday`. */
export const weekday = (iso: string): string => format(parseISO(iso), 'EEEE');

/** Whole days from one ISO date to another. */
export const daysBetween = (from: string, to: string): number =>
  differenceInCalendarDays(parseISO(to), parseISO(from));

/** The ISO date so many days after one. */
export const addDays = (iso: string, days: number): string => isoDay(addCalendarDays(parseISO(iso), days));
