import type { Flavour } from './flavour';
import { fail, ok, type Result } from '../result';
import { NUMBER, numberValue, plainCharacters } from './number';

/** Degrees off square, as a mitre gauge reads. */
export type Degrees = Flavour<'degrees'>;

const ANGLE = new RegExp(`^(${NUMBER}) ?(?:°|deg|degrees?)?$`);

/** An angle of a cut: more than 0 and at most 60 degrees off square, as `45`, `22.5°`, `31,6 deg`. Problems: `angle`. */
export const parseAngle = (text: string): Result<Degrees> => {
  const match = ANGLE.exec(plainCharacters(text).toLowerCase());
  const degrees = match ? numberValue(match[1] ?? '') : NaN;
  return degrees > 0 && degrees <= 60
    ? ok(degrees)
    : fail(
        'angle',
        `"${text.trim()}" is not an angle of a cut; write degrees off square, more than 0 and at most 60, such as 45`,
      );
};

/** `22.5°` */
export const formatAngle = (degrees: Degrees): string => `${Number(degrees.toFixed(2))}°`;
