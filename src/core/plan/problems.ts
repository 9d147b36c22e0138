import { formatLength } from '../units';
import type { ResolvedPart } from '../project';
import { reach, thicknessName } from '../lumber';
import { serves, supplyOf, type Supply, PlanProblem } from '../cutting/model';
import { panelRoom, usableLength } from '../cutting/model';
import type { PlanInput } from './inputTypes';

/** The parts that nothing on sale or owned can make, and why; each sentence says what would help. */
export const findProblems = (input: PlanInput): PlanProblem[] => {
  const supplies: Supply[] = [...input.offers, ...input.owned.map(supplyOf)];
  return input.parts.flatMap(
    (part) =>
      problemOf(
        part,
        supplies.filter((supply) => serves(part, supply, input.settings)),
        input,
      ) ?? [],
  );
};

const problemOf = (part: ResolvedPart, supplies: Supply[], input: PlanInput): PlanProblem | null => {
  const { unit, settings } = input;
  const problem = (code: PlanProblem['code'], sentence: string): PlanProblem => ({
    code,
    partIds: [part.id],
    part: part.name,
    sentence,
  });
  const what = thing(part);
  if (supplies.length === 0)
    return problem('noPrice', `${part.name}: no price for ${what}. Add one under Prices.`);
  if (part.kind === 'hardware') return null;
  const size = (length: number) => formatLength(length, unit);
  if (part.kind === 'board') {
    const needed = reach(part.ends, part.length, part.thickness, part.width) - part.shortOk;
    const longest = Math.max(...supplies.map((supply) => usableLength(supply) - 2 * settings.endTrim.ticks));
    if (needed <= longest) return null;
    return problem(
      'tooLong',
      `${part.name}, ${size(part.length)}: the longest ${what} sold is ${size(longest + 2 * settings.endTrim.ticks)}. Add a price for a longer one, or make it of two pieces.`,
    );
  }
  const fitting = supplies.some((supply) => {
    const face = panelRoom({ kind: 'sheet', ...supply }, settings);
    const given = part.length <= face.length && part.width <= face.width;
    return given || (part.grain === 'any' && part.width <= face.length && part.length <= face.width);
  });
  if (fitting) return null;
  const largest = supplies.reduce((a, b) => (b.length * b.width > a.length * a.width ? b : a));
  const grain = part.grain === 'length' ? ' with its grain along the length' : '';
  return problem(
    'tooWide',
    `${part.name}, ${size(part.length)} x ${size(part.width)}${grain}: the largest sheet of ${what} sold is ${size(largest.length)} x ${size(largest.width)}. Add a price for a larger one, or make it of two pieces.`,
  );
};

/** `2x4 treated`, `18mm birch ply or poplar ply`, `deck screws`: what a part is to be bought as. */
export const thing = (part: ResolvedPart): string => {
  if (part.kind === 'hardware') return part.item;
  const name = part.section?.name ?? `${thicknessName(part.thickness)} sheet`;
  return part.materials.length === 0 ? name : `${name} ${part.materials.join(' or ')}`;
};
