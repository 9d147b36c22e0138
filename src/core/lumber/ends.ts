import { fail, ok, type Result } from '../result';
import { byText } from '../byText';
import { formatAngle, parseAngle, plainCharacters } from '../units';
import type { Ends } from '../cutting/model';

export { meanLength, reach, shortestLength, slantedKerf, slantOffset, type Ends } from '../cutting/model';

/** Ends that are not slanted. */
export const SQUARE: Ends = { shape: 'square' };

/** Reads `square`, `mitre 45`, `parallel 22.5`, `one 30 edge`. Blank is square. Problems: `ends`. */
export const parseEnds = (text: string): Result<Ends> => read(text);

const read = byText((text: string): Result<Ends> => {
  const plain = plainCharacters(text).toLowerCase();
  if (plain === '' || plain === 'square') return ok(SQUARE);
  const match = /^(mitre|miter|parallel|one) (.+?)( edge)?$/.exec(plain);
  const angle = match ? parseAngle(match[2] ?? '') : null;
  if (!match || !angle)
    return fail(
      'ends',
      `"${text.trim()}" is not a way to cut ends; write square, mitre 45, parallel 22.5 or one 30`,
    );
  if (!angle.ok) return fail('ends', angle.problems[0]?.sentence ?? '');
  const shape = match[1] === 'miter' ? 'mitre' : (match[1] as 'mitre' | 'parallel' | 'one');
  return ok({ shape, angle: angle.value, across: match[3] ? 'edge' : 'face' });
});

/** The form that parseEnds reads and files hold. */
export const writeEnds = (ends: Ends): string =>
  ends.shape === 'square' ? 'square' : `${ends.shape} ${ends.angle}${ends.across === 'edge' ? ' edge' : ''}`;

/** `both ends 45° inward`, for reading. */
export const describeEnds = (ends: Ends): string => {
  if (ends.shape === 'square') return 'square ends';
  const angle = `${formatAngle(ends.angle)}${ends.across === 'edge' ? ' across the edge' : ''}`;
  if (ends.shape === 'mitre') return `both ends ${angle} inward`;
  return ends.shape === 'parallel' ? `both ends ${angle} the same way` : `one end ${angle}`;
};
