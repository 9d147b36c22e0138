import { isCoated, isSteel, isTreated } from '../lumber';
import { resolve, type Book, type Extra, type Group, type Project } from '../project';
import { shownPlan, type Plan } from '../plan';
import { fitnessIn } from './fit';
import { madeOf, type Made } from './made';

/** What wood demands where it stands, beside itself, as it is said: `without the finish it wants`. */
export type Want = 'finish' | 'liner' | 'coated steel';

const LINER = /\b(?:pond )?(?:liner|membrane)\b/i;

/** Whether a name is that of something that keeps soil from wood. */
export const isLiner = (name: string): boolean => LINER.test(name);

const isFor = (extra: Extra, group: Group): boolean => extra.groupId === null || extra.groupId === group.id;

/** Whether something keeps the soil from the wood of a group. */
export const isLined = (group: Group, project: Project): boolean =>
  project.extras.some((extra) => isFor(extra, group) && (isLiner(extra.name) || isLiner(extra.item)));

/** Whether treated wood of a group is lined, as this project holds with it near food. */
export const wantsLiner = (group: Group, project: Project): boolean =>
  (group.nearFood ?? false) && project.treatedNearFood === 'liner';

/** What something that a plan makes demands and is not there, each once; nothing where there is no plan. */
export const wantsIn = (project: Project, book: Book, plan: Plan | null): Want[] => {
  const shown = shownPlan(plan);
  return shown ? wantsOf(madeOf(project, book, shown), project, book) : [];
};

/** The same of what is made. */
export const wantsOf = (made: Made[], project: Project, book: Book): Want[] => {
  const treated = made
    .filter(({ material }) => isTreated(material, book.materials))
    .map(({ group }) => group);
  const wants: Record<Want, boolean> = {
    finish: made.some(
      ({ material, group }) => fitnessIn(material, group, project, book.materials).verdict === 'finish',
    ),
    liner: treated.some((group) => wantsLiner(group, project) && !isLined(group, project)),
    'coated steel': plainSteelIn(new Set(treated.map(({ id }) => id)), project, book).length > 0,
  };
  return (Object.keys(wants) as Want[]).filter((want) => wants[want]);
};

/** Plain steel among the hardware of groups. */
export const plainSteelIn = (
  groupIds: ReadonlySet<string>,
  project: Project,
  book: Book,
): { id: string; item: string; groupId: string; group: string }[] =>
  resolve(project, book.materials).parts.filter(
    ({ kind, groupId, item }) =>
      kind === 'hardware' && groupIds.has(groupId) && isSteel(item) && !isCoated(item),
  );

/**
 * What is not there: `without the finish and the liner it wants`. Whether steel is coated is read off its name, and a name may
 * leave it out: that is said as a question.
 */
export const wantWords = (wants: Want[]): string => {
  const named = wants.filter((want) => want !== 'coated steel').map((want) => `the ${want}`);
  return [
    ...(named.length > 0 ? [`without ${named.join(' and ')} it wants`] : []),
    ...(wants.includes('coated steel') ? [MAY_BE_PLAIN] : []),
  ].join('; ');
};

/** Of steel in treated wood whose name does not say that it is coated. */
export const MAY_BE_PLAIN = 'its steel may be plain: read the tag';
