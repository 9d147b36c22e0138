import type { LengthUnit } from '../units';
import { fail, ok, type Result } from '../result';
import type { QuickReading } from './quickTypes';
import { isBulk, namesHardware, namesWoodwork, numbersIn } from './quickWords';

/** So many of a thing of wood, and nothing else said, is a length: `800 post`. */
const MANY = 100;

/** Whether what is no size could be meant as one. */
const isUnclear = (line: string, after: string, quantity: number): boolean => {
  const measures = numbersIn(line);
  return (
    measures >= 2 ||
    /^\d|\d ?x/i.test(line) ||
    /\d/.test(after) ||
    ((measures > 0 || quantity >= MANY) && namesWoodwork(line))
  );
};

/** Takes a line for hardware, unless it could be meant as wood: then it asks. Problems: `quick`, `ask`. */
export const takeHardware = (
  { part, tokens }: QuickReading,
  words: string[],
  after: string,
  unit: LengthUnit,
): Result<true> => {
  const line = words.join(' ');
  const example = `4 2x4 ${unit === 'in' ? '31 1/2' : '740'} post`;
  if (line === '')
    return fail(
      'quick',
      `${tokens[0]?.text ?? ''} of what? Write a section such as 2x4, or the name of a piece of hardware.`,
    );
  const [first = '', next = ''] = words;
  if (tokens.length > 0 && isBulk(first) && next !== '')
    return fail(
      'ask',
      `Is ${first} part of the size of one? Write 1 ${next} ${tokens[0]?.text ?? ''} ${first}.`,
    );
  const isSaidSo = /^hardware:$/i.test(first) && next !== '';
  if (isSaidSo) words.shift();
  else if (!namesHardware(line) && isUnclear(line, after, part.quantity))
    return fail(
      'quick',
      `Is ${line} a board, a sheet or hardware? Write a board as ${example}, a sheet as 2 ${unit === 'in' ? '3/4 24 x 36' : '18 600 x 400'} shelf, and what is bought as it is with “hardware:” before it.`,
    );
  part.kind = 'hardware';
  return ok(true);
};
