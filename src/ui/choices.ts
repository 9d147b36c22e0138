import type { LengthUnit } from '@/core/units';
import type { Kind } from '@/core/project';

/** Choices that more than one form offers, in the same words. */
export const LENGTH_UNITS: { value: LengthUnit; label: string }[] = [
  { value: 'in', label: 'Inches' },
  { value: 'mm', label: 'Millimetres' },
];

/** Whether the prices on tags hold the tax. */
export const TAX_ON_TAGS: { value: 'without' | 'with'; label: string }[] = [
  { value: 'without', label: 'Without tax' },
  { value: 'with', label: 'Tax included' },
];

/** Board, sheet or hardware, in words. */
export const KINDS: { value: Kind; label: string }[] = [
  { value: 'board', label: 'Board' },
  { value: 'sheet', label: 'Sheet' },
  { value: 'hardware', label: 'Hardware' },
];
