import { capital } from '../capital';
import { groupBy } from '../groupBy';
import type { Offer } from '../pricing';
import type { Book, Group, Project } from '../project';
import { familyName, familyOf, rankOf } from '../lumber';
import { fitnessIn } from './fit';
import { inMaterials, type Picked } from './materialChanges';
import { sizeKey } from './onSale';
import { idsOf, materialsIn, picksIn, type Draft, type Piece } from './pieces';

/** The whole project in one family of materials, as far as it is sold; and in the cheapest that is fit. */
export const wholes = (project: Project, book: Book, offers: Offer[], pieces: Piece[]): Draft[] => {
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
    return [...materialsIn(like).values()].map((material) =>
      named(
        `All ${section} in ${material}`,
        like.map(({ group, parts }) => ({ groupId: group.id, partIds: idsOf(parts), material })),
      ),
    );
  });
};

/** One group in each material that all its boards, or sheets, are sold in. */
export const inOtherMaterials = (
  group: Group,
  project: Project,
  book: Book,
  offers: Offer[],
  pieces: Piece[],
): Draft[] =>
  (['board', 'sheet'] as const).flatMap((kind) => {
    const own = pieces.filter((piece) => piece.group.id === group.id && piece.parts[0]?.kind === kind);
    return [...materialsIn(own)].map(([key, material]): Draft => {
      const picks = picksIn(own, material);
      const name =
        picks.length === own.length
          ? `${group.name} in ${material}`
          : `${capital(partNames(picks, own))} in ${material}`;
      return {
        id: `${group.id}:${key}`,
        kind: 'material',
        name,
        groupId: group.id,
        changes: inMaterials(project, book, offers, picks),
      };
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
