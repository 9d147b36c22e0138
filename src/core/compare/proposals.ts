import type { Plan } from '../plan';
import { madeNow, resolve, withChanges, type Book, type Project } from '../project';
import { nameKey, rankOf, VERDICTS, type Verdict } from '../lumber';
import { fitnessIn } from './fit';
import { inOtherSections, optionsOf, withAndWithout } from './groupProposals';
import { inOtherMaterials, wholes } from './materialProposals';
import { offersFor } from './onSale';
import { piecesOf, type Draft, type Proposal } from './pieces';
import { rackFirst, ripping, storeSets } from './storeProposals';

export type { Proposal } from './pieces';

/**
 * Every other way to do a project that its prices allow, each once: whole materials, the cheapest that is fit, one group
 * in another material or section, its other options, sets of stores, ripping, groups with and without. In the order in which they are told. `plan` is
 * what is planned now, where that is known: a store that it does not use need not be left out.
 */
export const proposalsFor = (project: Project, book: Book, plan: Plan | null): Proposal[] => {
  const offers = offersFor(project, book);
  const pieces = piecesOf(project, book, offers);
  const all = [
    ...wholes(project, book, offers, pieces),
    ...madeNow(project).flatMap((group) => [
      ...inOtherMaterials(group, project, book, offers, pieces),
      ...optionsOf(group),
      ...inOtherSections(group, project, book, offers),
    ]),
    ...storeSets(project, book, offers, plan),
    ...ripping(project, book, offers),
    ...rackFirst(project, book),
    ...withAndWithout(project),
  ];
  return distinct(all, project, book);
};

/**
 * The first so many columns of a comparison where the user has not chosen any: ways that a person made, whole materials, what is
 * fit. To build less is no other way to build it, and is compared only when it is asked for.
 */
export const usualProposals = (proposals: Proposal[], most: number): Proposal[] => {
  const rank = ({ kind, groupId, verdict }: Proposal) =>
    kind === 'option' || kind === 'with' ? -1 : groupId === null ? 0 : 1 + rankOf(verdict);
  return proposals
    .filter(({ kind }) => kind !== 'without')
    .sort((a, b) => rank(a) - rank(b))
    .slice(0, most);
};

/** Several proposals as one way to do a project: `Wall frames in cedar, Back slat in treated picket`. */
export const together = (
  proposals: Pick<Proposal, 'id' | 'name' | 'changes'>[],
): Pick<Proposal, 'id' | 'name' | 'changes'> => {
  const changes = proposals.flatMap((proposal) => proposal.changes);
  const spares = changes.flatMap((change) =>
    change.type === 'editSettings' && change.fields.spare ? [change.fields.spare] : [],
  );
  return {
    id: proposals.map(({ id }) => id).join('+'),
    name: proposals.map(({ name }) => name).join(', '),
    // Each names all spare boards as it knows them: together they are all of them.
    changes:
      spares.length > 1
        ? [...changes, { type: 'editSettings', fields: { spare: Object.assign({}, ...spares) } }]
        : changes,
  };
};

/** Those that change something, each outcome once, the first name of it; with what can be said against it. */
const distinct = (drafts: Draft[], project: Project, book: Book): Proposal[] => {
  const seen = new Set([contentOf(project)]);
  return drafts.flatMap((draft) => {
    const made = draft.changes.length === 0 ? project : withChanges(project, draft.changes);
    const content = contentOf(made);
    if (seen.has(content)) return [];
    seen.add(content);
    return [{ ...draft, verdict: worstBrought(made, project, book) }];
  });
};

/** The worst verdict on a material that a group has and had not before. */
const worstBrought = (made: Project, project: Project, book: Book): Verdict => {
  const held = new Set(
    resolve(project, book.materials).parts.flatMap(({ groupId, materials }) =>
      materials.map((name) => `${groupId}:${nameKey(name)}`),
    ),
  );
  const ranks = resolve(made, book.materials).parts.flatMap(({ groupId, materials }) => {
    const group = made.groups.find(({ id }) => id === groupId);
    const brought = materials.filter((name) => !held.has(`${groupId}:${nameKey(name)}`));
    return group ? brought.map((name) => rankOf(fitnessIn(name, group, made, book.materials).verdict)) : [];
  });
  return VERDICTS[Math.max(0, ...ranks)] ?? 'fit';
};

/** What of a project decides what it costs. */
const contentOf = ({
  groups,
  extras,
  settings,
  excludedStores,
  builds,
  variables,
  leavesRack,
}: Project): string =>
  JSON.stringify([
    leavesRack ?? false,
    groups,
    extras,
    settings,
    [...excludedStores].sort(),
    builds,
    variables,
  ]);
