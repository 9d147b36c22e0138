import { shownPlan, type Plan } from '../plan';
import { needsOf, type Offer } from '../pricing';
import { resolve, toolsOf, type Book, type Project } from '../project';
import { canRipWith, TABLE_SAW, USUAL_TOOLS } from '../lumber';
import type { Draft } from './pieces';

/** One store alone, and each set with one store fewer or one more. */
export const storeSets = (project: Project, book: Book, offers: Offer[], plan: Plan | null): Draft[] => {
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
export const ripping = (project: Project, book: Book, offers: Offer[]): Draft[] => {
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
export const rackFirst = ({ leavesRack }: Project, book: Book): Draft[] => {
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
