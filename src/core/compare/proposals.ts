import { capital } from '../capital';
import { groupBy } from '../groupBy';
import { shownPlan, type Plan } from '../plan';
import { needsOf, type Offer } from '../pricing';
import {
  chosenOption,
  madeNow,
  resolve,
  withChanges,
  type Book,
  type Group,
  type Project,
  type ProjectChange,
  type ResolvedPart,
  toolsOf,
} from '../project';
import {
  canRipWith,
  familyName,
  familyOf,
  materialOf,
  nameKey,
  rankOf,
  TABLE_SAW,
  USUAL_TOOLS,
  VERDICTS,
  type Material,
  type Verdict,
} from '../lumber';
import { fitnessIn } from './fit';
import { inMaterials, type Picked } from './materialChanges';
import { materialsOnSale, offersFor, sizeKey } from './onSale';
import { otherSections } from './sections';

/** Another way to do a project that the prices allow. */
export interface Proposal {
  /** The same for the same proposal. */
  id: string;
  kind: 'material' | 'section' | 'option' | 'ripping' | 'store' | 'fewer stores' | 'rack';
  name: string;
  /** The group it is about; null: the whole project. */
  groupId: string | null;
  changes: ProjectChange[];
  /** The worst that can be said of what it brings in, where that stands. */
  verdict: Verdict;
}

type Draft = Omit<Proposal, 'verdict'>;

/** Parts of one size within a group, with the materials they are sold in. */
interface Piece {
  group: Group;
  parts: ResolvedPart[];
  sold: { material: string; known: Material }[];
}

/**
 * Every other way to do a project that its prices allow, each once: whole materials, the cheapest that is fit, one group
 * in another material or section, its other options, sets of stores, ripping. In the order in which they are told. `plan` is
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
  ];
  return distinct(all, project, book);
};

/** The first so many columns of a comparison where the user has not chosen any: whole materials first, then what is fit. */
export const usualProposals = (proposals: Proposal[], most: number): Proposal[] => {
  const rank = ({ groupId, verdict }: Proposal) => (groupId === null ? 0 : 1 + rankOf(verdict));
  return [...proposals].sort((a, b) => rank(a) - rank(b)).slice(0, most);
};

/** Several proposals as one way to do a project: `Wall frames in cedar, Back slat in treated picket`. */
export const together = (proposals: Proposal[]): Pick<Proposal, 'id' | 'name' | 'changes'> => {
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

const piecesOf = (project: Project, book: Book, offers: Offer[]): Piece[] => {
  const { parts } = resolve(project, book.materials);
  return madeNow(project).flatMap((group) => {
    const cut = parts.filter(({ groupId, kind }) => groupId === group.id && kind !== 'hardware');
    return groupBy(cut, sizeKey).map((like) => ({
      group,
      parts: like,
      sold: materialsOnSale(like, offers, project, toolsOf(project.settings, book)).map(({ material }) => ({
        material,
        known: materialOf(material, book.materials),
      })),
    }));
  });
};

const idsOf = (parts: ResolvedPart[]): string[] => [...new Set(parts.map(({ id }) => id))];

/** The whole project in one family of materials, as far as it is sold; and in the cheapest that is fit. */
const wholes = (project: Project, book: Book, offers: Offer[], pieces: Piece[]): Draft[] => {
  const named = (name: string, picks: (Picked | null)[]): Draft => ({
    id: name,
    kind: 'material',
    name,
    groupId: null,
    changes: inMaterials(
      project,
      book,
      offers,
      picks.filter((pick) => pick !== null),
    ),
  });
  const families = (kind: 'board' | 'sheet'): Draft[] => {
    const of = pieces.filter(({ parts }) => parts[0]?.kind === kind);
    const isMixed = of.length < pieces.length;
    return [...new Set(of.flatMap(({ sold }) => sold.map(({ known }) => familyOf(known))))].flatMap(
      (family) => {
        const picks = of.map(({ group, parts, sold }) => {
          const one = sold.find(({ known }) => familyOf(known) === family);
          return one ? { groupId: group.id, partIds: idsOf(parts), material: one.material } : null;
        });
        const isAll = picks.every((pick) => pick !== null);
        // One group of several goes by its own name.
        if (!isAll && new Set(picks.flatMap((pick) => pick?.groupId ?? [])).size < 2) return [];
        const word = familyName(family);
        return named(
          isMixed
            ? `${kind === 'sheet' ? 'Sheets' : 'Boards'} of ${word}`
            : isAll
              ? `All ${word}`
              : `${capital(word)} where it is sold`,
          picks,
        );
      },
    );
  };
  const cheapestFit = pieces.map(({ group, parts, sold }) => {
    const rank = (material: string) => rankOf(fitnessIn(material, group, project, book.materials).verdict);
    const best = Math.min(...sold.map(({ material }) => rank(material)));
    const one = sold.find(({ material }) => rank(material) === best);
    return one ? { groupId: group.id, partIds: idsOf(parts), material: one.material } : null;
  });
  const fitNames = [...new Set(cheapestFit.flatMap((pick) => pick?.material ?? []))];
  return [
    ...families('board'),
    ...families('sheet'),
    named(`Cheapest fit: ${fitNames.join(', ')}`, cheapestFit),
  ];
};

/** One group in each material that all its boards, or sheets, are sold in. */
const inOtherMaterials = (
  group: Group,
  project: Project,
  book: Book,
  offers: Offer[],
  pieces: Piece[],
): Draft[] =>
  (['board', 'sheet'] as const).flatMap((kind) => {
    const own = pieces.filter((piece) => piece.group.id === group.id && piece.parts[0]?.kind === kind);
    const names = new Map(
      own.flatMap(({ sold }) => sold.map(({ material }) => [nameKey(material), material] as const)),
    );
    return [...names].flatMap(([key, material]): Draft[] => {
      const picks = own.flatMap(({ parts, sold }) =>
        sold.some((one) => nameKey(one.material) === key)
          ? [{ groupId: group.id, partIds: idsOf(parts), material }]
          : [],
      );
      const name =
        picks.length === own.length
          ? `${group.name} in ${material}`
          : `${capital(partNames(picks, own))} in ${material}`;
      return [
        {
          id: `${group.id}:${key}`,
          kind: 'material',
          name,
          groupId: group.id,
          changes: inMaterials(project, book, offers, picks),
        },
      ];
    });
  });

const partNames = (picks: Picked[], pieces: Piece[]): string => {
  const ids = new Set(picks.flatMap(({ partIds }) => partIds));
  return [
    ...new Set(
      pieces.flatMap(({ parts }) =>
        parts.filter(({ id }) => ids.has(id)).map(({ name }) => name.toLowerCase()),
      ),
    ),
  ].join(', ');
};

const optionsOf = (group: Group): Draft[] =>
  group.options
    .filter(({ id }) => id !== chosenOption(group)?.id)
    .map(({ id, name }) => ({
      id: `${group.id}:option:${id}`,
      kind: 'option',
      name: `${group.name}: ${name}`,
      groupId: group.id,
      changes: [{ type: 'chooseOption', groupId: group.id, optionId: id }],
    }));

/** A group in another section: in its own materials where they are sold so, else in one of their kind, else in the cheapest as fit. */
const inOtherSections = (group: Group, project: Project, book: Book, offers: Offer[]): Draft[] =>
  otherSections(group, project, offers).flatMap(({ from, to, changes }): Draft[] => {
    if (group.options.some(({ name }) => name === `In ${to}`)) return [];
    const made = withChanges(project, changes);
    const madeOffers = offersFor(made, book);
    const verdict = (material: string) => rankOf(fitnessIn(material, group, project, book.materials).verdict);
    const picks = piecesOf(made, book, madeOffers)
      .filter((piece) => piece.group.id === group.id)
      .map(({ parts, sold }): Picked | null => {
        const asked = parts[0]?.materials ?? [];
        const isAsked = ({ material }: Piece['sold'][number]) =>
          asked.length === 0 || asked.some((name) => nameKey(name) === nameKey(material));
        const families = asked.map((name) => familyOf(materialOf(name, book.materials)));
        const worst = Math.max(0, ...asked.map(verdict));
        const one =
          sold.find(isAsked) ??
          sold.find(({ known }) => families.includes(familyOf(known))) ??
          sold.find(({ material }) => verdict(material) <= worst);
        return one ? { groupId: group.id, partIds: idsOf(parts), material: one.material } : null;
      });
    if (picks.some((pick) => pick === null)) return [];
    const chosen = picks.filter((pick) => pick !== null);
    const named = chosen.find(({ partIds }) =>
      made.groups.some(({ options }) =>
        options.some(({ parts }) => parts.some((part) => partIds.includes(part.id) && part.section === to)),
      ),
    );
    return [
      {
        id: `${group.id}:${from}>${to}`,
        kind: 'section',
        name: `${group.name} in ${to} ${named?.material ?? ''} for ${from}`,
        groupId: group.id,
        changes: [...changes, ...inMaterials(made, book, madeOffers, chosen)],
      },
    ];
  });

/** One store alone, and each set with one store fewer or one more. */
const storeSets = (project: Project, book: Book, offers: Offer[], plan: Plan | null): Draft[] => {
  const used = Object.values(book.stores).filter(({ currency }) => currency === project.currency);
  const needs = needsOf(resolve(project, book.materials).parts, offers, toolsOf(project.settings, book));
  const sells = (storeId: string) =>
    needs.every(({ offers: fit, ripped }) => [...fit, ...ripped].some((offer) => offer.storeId === storeId));
  const only = used
    .filter(({ id }) => sells(id))
    .map(({ id, name }): Draft => ({
      id: `only:${id}`,
      kind: 'fewer stores',
      name: `Only ${name}`,
      groupId: null,
      changes: used.map((store) => ({ type: 'excludeStore', storeId: store.id, excluded: store.id !== id })),
    }));
  const visited = shownPlan(plan)?.stores.map(({ storeId }) => storeId) ?? used.map(({ id }) => id);
  const isAlone = (others: string[]) =>
    others.length === 1 && only.some(({ id }) => id === `only:${others[0]}`);
  const without = used
    .filter(
      ({ id }) =>
        visited.length > 1 && visited.includes(id) && !isAlone(visited.filter((other) => other !== id)),
    )
    .map(({ id, name }): Draft => ({
      id: `without:${id}`,
      kind: 'fewer stores',
      name: `Without ${name}`,
      groupId: null,
      changes: [{ type: 'excludeStore', storeId: id, excluded: true }],
    }));
  const again = used
    .filter(({ id }) => project.excludedStores.includes(id))
    .map(({ id, name }): Draft => ({
      id: `with:${id}`,
      kind: 'store',
      name: `Also ${name}`,
      groupId: null,
      changes: [{ type: 'excludeStore', storeId: id, excluded: false }],
    }));
  return [...again, ...only, ...without];
};

/** Narrow boards ripped from wider ones, where there is no table saw yet and something is sold to rip. */
const ripping = (project: Project, book: Book, offers: Offer[]): Draft[] => {
  const tools = toolsOf(project.settings, book) ?? USUAL_TOOLS;
  if (canRipWith(tools)) return [];
  const withSaw = [...tools, TABLE_SAW];
  const canRip = needsOf(resolve(project, book.materials).parts, offers, withSaw).some(
    ({ ripped }) => ripped.length > 0,
  );
  return canRip
    ? [
        {
          id: 'ripping',
          kind: 'ripping',
          name: 'Narrow boards ripped',
          groupId: null,
          changes: [{ type: 'editSettings', fields: { tools: withSaw } }],
        },
      ]
    : [];
};

/** With what is on the rack used first, or left there. */
const rackFirst = ({ leavesRack }: Project, book: Book): Draft[] => {
  if (Object.keys(book.rack ?? {}).length === 0) return [];
  const [name, isLeft] = leavesRack ? ['The rack first', false] : ['Without the rack', true];
  return [
    {
      id: `rack:${isLeft}`,
      kind: 'rack',
      name,
      groupId: null,
      changes: [{ type: 'editProject', fields: { leavesRack: isLeft } }],
    },
  ];
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
