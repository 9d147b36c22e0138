import { parseLength, type LengthUnit } from '../units';
import type { Measure } from '../project';
import type { Problem, Result } from '../result';
import { fileProblem, type TableRow } from './table';

/** Reads the cells of one record and gathers what is wrong in them, each fault with file, line and column. */
export const rowReader = ({ line, cells }: TableRow, file: string, unit: LengthUnit) => {
  const faults: Problem[] = [];
  const cell = (column: string): string => cells[column] ?? '';
  const fault = (column: string, sentence: string): void => {
    faults.push(fileProblem(file, line, column, sentence));
  };
  /** The value of a result; null, and its problems noted, where there is none. */
  const read = <T>(column: string, result: Result<T>): T | null => {
    if (result.ok) return result.value;
    result.problems.forEach(({ sentence }) => fault(column, sentence));
    return null;
  };
  /** One of a few words; `otherwise` where it is blank. */
  const oneOf = <T extends string>(column: string, choices: readonly T[], otherwise: T): T => {
    const value = cell(column).toLowerCase();
    const choice = value === '' ? otherwise : choices.find((candidate) => candidate === value);
    if (!choice) fault(column, `"${cell(column)}" is not known; write one of ${choices.join(', ')}`);
    return choice ?? otherwise;
  };
  /** A length of zero or more, as it was written. */
  const lengthOrZero = (column: string): Measure | null => {
    const ticks = read(column, parseLength(cell(column), unit));
    return ticks === null ? null : { text: cell(column), ticks };
  };
  const length = (column: string): Measure | null => {
    const measure = lengthOrZero(column);
    if (measure?.ticks === 0) fault(column, `"${cell(column)}" is no length; it must be more than nothing`);
    return measure;
  };
  return { faults, cell, fault, read, oneOf, length, lengthOrZero };
};

/** Reads the cells of one row, and collects what is wrong with them. */
export type RowReader = ReturnType<typeof rowReader>;
