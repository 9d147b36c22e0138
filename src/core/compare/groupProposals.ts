import type { Offer } from '../pricing';
import {
  choiceOf,
  chosenOption,
  hasParts,
  isLeftForLater,
  madeNow,
  withChanges,
  type Book,
  type Group,
  type Option,
  type Project,
} from '../project';
import { familyOf, nameKey, rankOf } from '../lumber';
import { fitnessIn } from './fit';
import { inMaterials, type Picked } from './materialChanges';
import { offersFor } from './onSale';
import { picksIn, piecesOf, type Draft, type Piece } from './pieces';
import { otherSections } from './sections';

/** The other ways that a group has been given. */
export const optionsOf = (group: Group): Draft[] =>
  group.options
    .filter(({ id }) => id !== chosenOption(group)?.id)
    .map((option) => ({
      ...choiceOf(group, option),
      kind: 'option',
      name: optionWords(group, option),
      groupId: group.id,
    }));

/** A group left for another time. */
export const putOff = ({ id, name }: Pick<Group, 'id' | 'name'>): Pick<Draft, 'name' | 'changes'> => ({
  name: `${name} another time`,
  changes: [{ type: 'editGroup', groupId: id, fields: { isLater: true } }],
});

const broughtIn = ({ id, name }: Pick<Group, 'id' | 'name'>): Pick<Draft, 'name' | 'changes'> => ({
  name: `With ${name}`,
  changes: [{ type: 'editGroup', groupId: id, fields: { isLater: false } }],
});

/** With a group that is left for another time; and without one that is made now, where something else is. */
export const withAndWithout = (project: Project): Draft[] => {
  const draft = (kind: 'with' | 'without', { id, name }: Group): Draft => ({
    id: `${kind}:${id}`,
    kind,
    groupId: id,
    ...(kind === 'without' ? putOff({ id, name }) : broughtIn({ id, name })),
  });
  const now = madeNow(project).filter(hasParts);
  return [
    ...project.groups.filter(isLeftForLater).map((group) => draft('with', group)),
    ...(now.length > 1 ? now.map((group) => draft('without', group)) : []),
  ];
};

/** `Slats: sheets`; an option that is called as its group is, by what it is made of: `Slats of 1x4`. */
const optionWords = (group: Group, { name, parts }: Option): string => {
  if (nameKey(name) !== nameKey(group.name) && name.trim() !== '') return `${group.name}: ${name}`;
  const sections = [...new Set(parts.filter(({ kind }) => kind !== 'hardware').map((part) => part.section))];
  return sections.length > 0 ? `${group.name} of ${sections.join(' and ')}` : `${group.name}, the other way`;
};

/**
 * A group in another section: in its own materials where they are sold so, and in the cheapest of each other kind that is as
 * fit. Nothing else of it changes: what stays in its section keeps its materials, and what is open stays open.
 */
export const inOtherSections = (group: Group, project: Project, book: Book, offers: Offer[]): Draft[] =>
  otherSections(group, project, offers).flatMap(({ from, to, changes }): Draft[] => {
    if (group.options.some(({ name }) => name === `In ${to}`)) return [];
    const made = withChanges(project, changes);
    const madeOffers = offersFor(made, book);
    const isOther = ({ parts }: Piece) => parts.some(({ section }) => section?.name === to);
    const others = piecesOf(made, book, madeOffers).filter(
      (piece) => piece.group.id === group.id && isOther(piece),
    );
    const first = others[0];
    if (!first || others.some(({ sold }) => sold.length === 0)) return [];
    const draft = (words: string, id: string, picks: Picked[]): Draft => ({
      id: `${group.id}:${from}>${to}${id}`,
      kind: 'section',
      name: `${group.name} in ${to} ${words} for ${from}`.replace(/ {2}/g, ' '),
      groupId: group.id,
      changes: [...changes, ...inMaterials(made, book, madeOffers, picks)],
    });
    const asked = first.parts[0]?.materials ?? [];
    const isAsked = (name: string) => asked.some((one) => nameKey(one) === nameKey(name));
    const verdict = (material: string) => rankOf(fitnessIn(material, group, project, book.materials).verdict);
    const worst = Math.max(0, ...asked.map(verdict));
    const own =
      asked.length === 0 || first.sold.some(({ material }) => isAsked(material))
        ? [draft(asked.length === 1 ? (asked[0] ?? '') : '', '', [])]
        : [];
    if (asked.length === 0) return own;
    const families = new Map<string, string>();
    for (const { material, known } of first.sold)
      if (!isAsked(material) && verdict(material) <= worst && !families.has(familyOf(known)))
        families.set(familyOf(known), material);
    const inOther = [...families.values()].flatMap((material) => {
      const picks = picksIn(others, material);
      return picks.length === others.length ? [draft(material, `:${nameKey(material)}`, picks)] : [];
    });
    return [...own, ...inOther];
  });
