import { addDays as addCalendarDays } from 'date-fns/addDays';
import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';
import { isValid } from 'date-fns/isValid';
import { lightFormat } from 'date-fns/lightFormat';
import { parseISO } from 'date-fns/parseISO';

const ISO = 'yyyy-MM-dd';
const MONTH = new Intl.DateTimeFormat('en', { month: 'short' });
const WEEKDAY = new Intl.DateTimeFormat('en', { weekday: 'long' });

/** A day as ISO 8601 writes it, by the clock of whoever looks. */
export const isoDay = (moment: Date | number): string => lightFormat(moment, ISO);

/** Whether a text is a day of the calendar, as ISO 8601 writes it. */
export const isDay = (text: string): boolean => /^\d{4}-\d{2}-\d{2}$/.test(text) && isValid(parseISO(text));

/** An ISO date as people read it: `9 Nov 2026`. A text that is none stays as it is. */
export const formatDay = (iso: string): string =>
  isDay(iso) ? `${formatDayShort(iso)} ${iso.slice(0, 4)}` : iso;

/** As within the same year: `9 Nov`. */
export const formatDayShort = (iso: string): string =>
  `${Number(iso.slice(8))} ${MONTH.format(parseISO(iso))}`;

/** `Tuesday`. */
export const weekday = (iso: string): string => WEEKDAY.format(parseISO(iso));

/** Whole days from one ISO date to another. */
export const daysBetween = (from: string, to: string): number =>
  differenceInCalendarDays(parseISO(to), parseISO(from));

/** The ISO date so many days after one. */
export const addDays = (iso: string, days: number): string => isoDay(addCalendarDays(parseISO(iso), days));
