import type { Flavour } from './flavour';
/**
 * Every length in the core is a whole number of ticks. 1 tick = 1/320 mm, so that millimetres and
 * sixty-fourths of an inch are both whole and sums never drift.
 */
export type Ticks = Flavour<'ticks'>;

/** A tick is 1/320 mm, so that 1/64 in and 0.1 mm are whole numbers of them. */
export const TICKS_PER_MM = 320;
/** 25.4 mm, exactly. */
export const TICKS_PER_INCH = 8128;
/** Twelve inches. */
export const TICKS_PER_FOOT = 12 * TICKS_PER_INCH;
/** A thousand millimetres. */
export const TICKS_PER_METRE = 1000 * TICKS_PER_MM;

/** The unit that a bare number takes, and in which a project is read. */
export type LengthUnit = 'in' | 'mm';

/** Nearest tick to a number of millimetres. */
export const fromMm = (mm: number): Ticks => Math.round(mm * TICKS_PER_MM);

/** Millimetres, to six decimals: the form of lengths in JSON files. Exact for every tick. */
export const toMm = (ticks: Ticks): number => Number((ticks / TICKS_PER_MM).toFixed(6));

/** Nearest tick to a number of inches. */
export const fromInches = (inches: number): Ticks => Math.round(inches * TICKS_PER_INCH);
