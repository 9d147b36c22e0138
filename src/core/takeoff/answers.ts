import { parseLength, type LengthUnit } from '../units';
import { isFormula, scopeOf, type Project } from '../project';
import { faultOf } from '../result';
import { parseSection, parseThickness } from '../lumber';
import type { Ask, Helper } from './types';

/** Whatever asks: a helper, or a template. */
type Asking = Pick<Helper, 'asks'>;

/** What the helper was told, by key of what it asks. Kept with the option, where `=id` and `@id` are a measure of its own and one of others. */
export type HelperInput = Record<string, string>;

/** What a helper or a template starts from. */
export const usualAnswers = ({ asks }: Asking, unit: LengthUnit): HelperInput =>
  Object.fromEntries(asks.map((ask) => [ask.key, ask.usual[unit]]));

/** Whether a thing is asked at all, given the other answers. */
export const isAsked = ({ when }: Ask, told: HelperInput): boolean => {
  if (!when) return true;
  const answer = (told[when.key] ?? '').trim();
  return when.is === 'any' ? answer !== '' : when.is.split('|').includes(answer);
};

/** What is wrong with an answer, as a sentence; null: nothing. */
export const answerFault = (ask: Ask, told: HelperInput, project: Project): string | null => {
  const text = (told[ask.key] ?? '').trim();
  if (!isAsked(ask, told) || (text === '' && ask.blank !== undefined)) return null;
  if (text === '') return 'It is needed to work out the parts.';
  switch (ask.kind) {
    case 'choice':
      return null;
    case 'section':
      return faultOf(parseSection(text, project.unit));
    case 'sheet':
      return faultOf(parseThickness(text, project.unit));
    case 'count':
      return faultOf(scopeOf(project)().count(text));
    case 'length': {
      const ticks = scopeOf(project)().length(text);
      if (!ticks.ok)
        return isFormula(text, project.unit) && /[\p{L}(*/+]/u.test(text)
          ? faultOf(ticks)
          : faultOf(parseLength(text, project.unit));
      return ticks.value < 0 ? 'It comes to less than nothing.' : null;
    }
  }
};

/** All faults of the answers, by key. */
export const answerFaults = ({ asks }: Asking, told: HelperInput, project: Project): Record<string, string> =>
  Object.fromEntries(
    asks.flatMap((ask) => {
      const fault = answerFault(ask, told, project);
      return fault === null ? [] : [[ask.key, fault]];
    }),
  );
