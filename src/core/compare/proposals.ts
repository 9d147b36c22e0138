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
  type Option,
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

/** The first so many columns of a comparison where the user has not chosen any: ways that a person made, whole materials, what is fit. */
export const usualProposals = (proposals: Proposal[], most: number): Proposal[] => {
  const rank = ({ kind, groupId, verdict }: Proposal) =>
    kind === 'option' ? -1 : groupId === null ? 0 : 1 + rankOf(verdict);
  return [...proposals].sort((a, b) => rank(a) - rank(b)).slice(0, most);
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
    ...sectionsInOne(named, pieces),
    named(`Cheapest fit: ${fitNames.join(', ')}`, cheapestFit),
  ];
};

/** All boards of one section, in whatever group, in each material that it is sold in: `All 2x4 in premium`. */
const sectionsInOne = (
  named: (name: string, picks: (Picked | null)[]) => Draft,
  pieces: Piece[],
): Draft[] => {
  const boards = pieces.filter(({ parts }) => parts[0]?.kind === 'board');
  return groupBy(boards, ({ parts }) => (parts[0] ? sizeKey(parts[0]) : '')).flatMap((like) => {
    const section = like[0]?.parts[0]?.section?.name;
    if (like.length < 2 || section === undefined) return [];
    const names = new Map(
      like.flatMap(({ sold }) => sold.map(({ material }) => [nameKey(material), material] as const)),
    );
    return [...names.values()].map((material) =>
      named(
        `All ${section} in ${material}`,
        like.map(({ group, parts }) => ({ groupId: group.id, partIds: idsOf(parts), material })),
      ),
    );
  });
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
    .map((option) => ({
      id: `${group.id}:option:${option.id}`,
      kind: 'option',
      name: optionWords(group, option),
      groupId: group.id,
      changes: [{ type: 'chooseOption', groupId: group.id, optionId: option.id }],
    }));

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
const inOtherSections = (group: Group, project: Project, book: Book, offers: Offer[]): Draft[] =>
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
      const picks = others.flatMap(({ parts, sold }) =>
        sold.some((one) => nameKey(one.material) === nameKey(material))
          ? [{ groupId: group.id, partIds: idsOf(parts), material }]
          : [],
      );
      return picks.length === others.length ? [draft(material, `:${nameKey(material)}`, picks)] : [];
    });
    return [...own, ...inOther];
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

/** Narrow boards ripped from wider ones where there is no table saw yet, or none where there is one and all is sold as it is. */
const ripping = (project: Project, book: Book, offers: Offer[]): Draft[] => {
  const tools = toolsOf(project.settings, book) ?? USUAL_TOOLS;
  const canRip = canRipWith(tools);
  const { parts } = resolve(project, book.materials);
  const needs = needsOf(parts, offers, canRip ? tools : [...tools, TABLE_SAW]);
  const isRipped = needs.some(({ ripped }) => ripped.length > 0);
  if (!isRipped || (canRip && needs.some(({ offers: fit }) => fit.length === 0))) return [];
  const other = canRip ? tools.filter((tool) => tool !== TABLE_SAW) : [...tools, TABLE_SAW];
  return [
    {
      id: canRip ? 'unripped' : 'ripping',
      kind: 'ripping',
      name: canRip ? 'Nothing ripped' : 'Narrow boards ripped',
      groupId: null,
      changes: [{ type: 'editSettings', fields: { tools: other } }],
    },
  ];
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
