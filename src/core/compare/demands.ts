import { MICROS, SQUARE_FOOT, SQUARE_METRE, squareMm, type SquareMm } from '../units';
import { hardwareKey } from '../hardwareKey';
import { perPiece, type Offer } from '../pricing';
import {
  chosenOption,
  copiesOf,
  cutParts,
  emptyExtra,
  materialsOf,
  resolve,
  surfaceFor,
  type Book,
  type Extra,
  type Group,
  type Project,
  type ProjectChange,
} from '../project';
import {
  coverage,
  coveredArea,
  finishSuits,
  isCoated,
  isFinish,
  isTreated,
  materialOf,
  wantsFinish,
} from '../lumber';
import { isFinished } from './fit';
import { isLined, isLiner, plainSteelIn, wantsLiner } from './wants';

/**
 * For groups whose material became another: what that demands where it stands, as far as stores of the book sell it, and away
 * with what only the one before did.
 */
export const demandChanges = (
  project: Project,
  book: Book,
  offers: Offer[],
  groupIds: Set<string>,
): ProjectChange[] =>
  project.groups
    .filter(({ id }) => groupIds.has(id))
    .flatMap((group) => {
      const sold = { group, project, book, offers };
      return [...finishChanges(sold), ...linerChanges(sold), ...steelChanges(sold)];
    });

interface Demanding {
  group: Group;
  project: Project;
  book: Book;
  offers: Offer[];
}

const isAny = (group: Group, test: (material: string) => boolean): boolean =>
  cutParts(group).some((part) => materialsOf(part, group).some(test));

/** An extra that Billet adds for a group's material, and takes away again with it; one of a person's own stays. */
const extraChanges = (
  { project }: Demanding,
  id: string,
  { isWanted, isThere, made }: { isWanted: boolean; isThere: boolean; made: () => Extra | null },
): ProjectChange[] => {
  if (!isWanted)
    return project.extras.some((extra) => extra.id === id) ? [{ type: 'removeExtra', extraId: id }] : [];
  const extra = isThere ? null : made();
  return extra ? [{ type: 'addExtra', extra }] : [];
};

const finishId = (groupId: string): string => `finish:${groupId}`;

const finishChanges = (of: Demanding): ProjectChange[] => {
  const { group, project, book, offers } = of;
  return extraChanges(of, finishId(group.id), {
    isWanted: isAny(group, (name) => wantsFinish(materialOf(name, book.materials), group.exposure)),
    isThere: isFinished(group, project),
    made: () => finishFor(group, project, book, offers),
  });
};

const linerId = (groupId: string): string => `liner:${groupId}`;

const linerChanges = (of: Demanding): ProjectChange[] => {
  const { group, project, book, offers } = of;
  return extraChanges(of, linerId(group.id), {
    isWanted: wantsLiner(group, project) && isAny(group, (name) => isTreated(name, book.materials)),
    isThere: isLined(group, project),
    made: () => linerFor(group, project, book, offers),
  });
};

/** Plain screws, nails and bolts that treated wood would eat, each as the coated one of its size that costs least. */
const steelChanges = ({ group, project, book, offers }: Demanding): ProjectChange[] => {
  if (!isAny(group, (name) => isTreated(name, book.materials))) return [];
  const own = new Set((chosenOption(group)?.parts ?? []).map(({ id }) => id));
  return plainSteelIn(new Set([group.id]), project, book).flatMap(({ id, item }): ProjectChange[] => {
    const coated = own.has(id) ? coatedLike(item, offers) : null;
    return coated ? [{ type: 'editPart', partId: id, fields: { item: coated } }] : [];
  });
};

const KINDS = /\b(screw|nail|bolt|bracket|hinge|staple|washer)s?\b/i;
const kindOf = (name: string): string => KINDS.exec(name)?.[1]?.toLowerCase() ?? '';
/** Its sizes, as names are matched by them. */
const sizesOf = (name: string): string => hardwareKey(name).split('|').slice(1).join('|');

/** The coated one of the same kind and size that costs least a piece; null where none has a price. */
const coatedLike = (item: string, offers: Offer[]): string | null =>
  offers
    .filter(
      ({ item: { kind }, name }) =>
        kind === 'hardware' &&
        isCoated(name) &&
        kindOf(name) === kindOf(item) &&
        sizesOf(name) === sizesOf(item),
    )
    .sort(byPiece)[0]?.name ?? null;

const byPiece = (a: Offer, b: Offer): number => perPiece(a) - perPiece(b) || (a.key < b.key ? -1 : 1);

/** Two coats outdoors: common practice. */
const COATS = 2;

/** Finish for a group, of the can that does it for least; null where no finish for such a place has a price. */
export const finishFor = (group: Group, project: Project, book: Book, offers: Offer[]): Extra | null => {
  const extra: Extra = {
    ...emptyExtra(finishId(group.id)),
    name: 'Finish',
    rule: 'finish',
    groupId: group.id,
    coats: COATS,
  };
  const area = surfaceFor(extra, project, resolve(project, book.materials).parts) * COATS;
  const can = cheapestFor(area, offers, (name) =>
    isFinish(name) && finishSuits(name, group.exposure) ? coverage(name) : null,
  );
  return can && { ...extra, item: can.name, covers: areaText(can.covers, project) };
};

/** A liner for a group: one wide face of every part, an estimate; null where none whose tag says its area has a price. */
const linerFor = (group: Group, project: Project, book: Book, offers: Offer[]): Extra | null => {
  const faces = resolve(project, book.materials)
    .parts.filter(({ groupId, kind }) => groupId === group.id && kind !== 'hardware')
    .reduce((sum, { count, length, width }) => sum + count * squareMm(length * width), 0);
  const liner = cheapestFor(faces, offers, (name) => (isLiner(name) ? coveredArea(name) : null));
  if (!liner) return null;
  const one = faces / (project.builds * copiesOf(group));
  const amount =
    project.unit === 'in'
      ? `1 ft * ${(one / SQUARE_FOOT).toFixed(2)} ft`
      : `${METRE} mm * ${Math.round(one / METRE)} mm`;
  return {
    ...emptyExtra(linerId(group.id)),
    name: 'Liner',
    rule: 'area',
    groupId: group.id,
    amount,
    item: liner.name,
    covers: areaText(liner.covers, project),
  };
};

/** In millimetres: an area is written as a strip so wide. */
const METRE = 1000;

/** Of what covers an area, by the words on its tag, that of which enough costs least. */
const cheapestFor = (
  area: SquareMm,
  offers: Offer[],
  coversOf: (name: string) => SquareMm | null,
): { name: string; covers: SquareMm } | null => {
  const found = offers.flatMap((offer) => {
    const covers = offer.item.kind === 'hardware' ? coversOf(offer.name) : null;
    return covers === null
      ? []
      : [{ offer, covers, cost: Math.ceil(area / covers) * (perPiece(offer) / MICROS) }];
  });
  const best = found.sort((a, b) => a.cost - b.cost || (a.offer.key < b.offer.key ? -1 : 1))[0];
  return best ? { name: best.offer.name, covers: best.covers } : null;
};

const areaText = (area: SquareMm, { unit }: Project): string =>
  unit === 'in' ? `${Math.round(area / SQUARE_FOOT)} ft2` : `${Number((area / SQUARE_METRE).toFixed(1))} m2`;
