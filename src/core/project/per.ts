import { fail, ok, type Result } from '../result';
import { TICKS_PER_FOOT, TICKS_PER_METRE, type LengthUnit } from '../units';
import type { Project } from './types';
import { PER_DIMENSIONS, scopeOf } from './values';

/** What the cost of a project is divided by. */
export type Per = NonNullable<Project['per']>;

/** A foot, or a metre, in ticks: what a length, an area, a volume is counted in. */
const unitTicks = (unit: LengthUnit): number => (unit === 'in' ? TICKS_PER_FOOT : TICKS_PER_METRE);

const SIZE = { in: '96in * 48in', mm: '2400mm * 1200mm' };

const UNITS: Record<LengthUnit, Record<Per['of'], string>> = {
  in: { number: '', length: 'foot', area: 'sq ft', volume: 'cu ft' },
  mm: { number: '', length: 'metre', area: 'm²', volume: 'm³' },
};

/**
 * How much of it one of a project has: pieces, feet or metres, square or cubic ones. Problems: those of formulas, and `per` where it
 * is nothing or less.
 */
export const perAmount = (project: Project, { formula, of }: Per): Result<number> => {
  const found = scopeOf(project)().per(formula, of);
  if (!found.ok) {
    const [first] = found.problems;
    const isBare = first?.code === 'kind' && of !== 'number';
    return isBare
      ? fail('kind', `${first.sentence}; write numbers with their unit, as in ${SIZE[project.unit]}`)
      : found;
  }
  const amount = found.value / unitTicks(project.unit) ** PER_DIMENSIONS[of];
  return amount > 0 ? ok(amount) : fail('per', 'it comes to nothing, and by nothing no cost is divided');
};

/** `seat`, `foot of shelf`, `sq ft of bed`. */
export const perWords = ({ name, of }: Per, unit: LengthUnit): string =>
  of === 'number' ? name : `${UNITS[unit][of]} of ${name}`;

/** `6`, `8.6 sq ft`, `1.25 m³`. */
export const perAmountWords = (amount: number, of: Per['of'], unit: LengthUnit): string =>
  `${Number(amount.toFixed(2))} ${of === 'length' && amount !== 1 ? { in: 'feet', mm: 'metres' }[unit] : UNITS[unit][of]}`.trim();
