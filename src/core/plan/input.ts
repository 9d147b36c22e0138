import type { Micros } from '../units';
import { goodsOf, itemKey, resolve, shippingFor, tagName, toolsOf, usesStore } from '../project';
import type { Book, Item, PlanSettings, Project, Purchase, Store } from '../project';
import { currentOffers, withDressed, type Offer } from '../pricing';
import { undominated, usefulOffers } from '../cutting/model';
import type { Owned, PlanInput, StoreTerms } from './inputTypes';
import { parseSection, parseThickness } from '../lumber';
import { workLeft, type There } from './workLeft';

/** The input that a project and the price book give: stores of its currency that it does not leave out. */
export const planInput = (project: Project, book: Book): PlanInput => {
  const held = inputs.get(project);
  if (held?.book === book) return held.input;
  const input = makeInput(project, book);
  inputs.set(project, { book, input });
  return input;
};

/** The last input of each project, kept as long as the project is. */
const inputs = new WeakMap<Project, { book: Book; input: PlanInput }>();

const makeInput = (project: Project, book: Book): PlanInput => {
  const resolved = resolve(project, book.materials);
  const { problems } = resolved;
  const { parts, singly, there, sawn, whole } = workLeft(project, book, resolved.parts);
  // An offer is of use where it is for either way.
  const wanted = singly ? [...parts, ...singly] : parts;
  const settings = withTools(project, book);
  const usable = Object.values(book.stores).filter((store) => usesStore(project, store));
  const ids = new Set(usable.map(({ id }) => id));
  const useful = usefulOffers({
    parts: wanted,
    settings,
    offers: withDressed(
      currentOffers(book).filter(({ storeId }) => ids.has(storeId)),
      wanted,
    ).map((offer) => withStoreCuts(offer, book)),
  });
  return {
    currency: project.currency,
    unit: project.unit,
    parts,
    offers: undominated(useful, { parts: wanted, settings, stores: usable }),
    stores: usable
      .map((store) =>
        termsOf(
          store,
          project.purchases.filter(({ storeId }) => storeId === store.id),
        ),
      )
      .sort((a, b) => (a.id < b.id ? -1 : 1)),
    owned: there.map(ownedFrom),
    ...(singly ? { singly } : {}),
    ...(sawn.length > 0 ? { sawn, whole: { parts: whole.parts, owned: whole.there.map(ownedFrom) } } : {}),
    settings,
    problems: problems.map(({ partId, place, sentence }) => ({
      code: 'part',
      partIds: [partId],
      part: place,
      sentence,
    })),
  };
};

/** An offer of a store that makes several cuts in a board says so; most are as they were. */
const withStoreCuts = (offer: Offer, { stores }: Book): Offer => {
  const storeCuts = Number(stores[offer.storeId]?.cuts ?? 0);
  return storeCuts > 1 ? { ...offer, storeCuts } : offer;
};

/** The settings of a project; where it says nothing of tools, those that are owned. */
const withTools = ({ settings }: Project, book: Book): PlanSettings => {
  const tools = toolsOf(settings, book);
  return tools === settings.tools ? settings : { ...settings, tools };
};

const termsOf = (
  { id, name, trip, taxFree, taxRate, discount, cuts, cutFee, shipping }: Store,
  purchases: Purchase[],
): StoreTerms => {
  const bought = goodsOf(purchases);
  const isSettled = purchases.some((purchase) => purchase.shipping !== undefined);
  const freeFrom = shipping?.freeFrom ?? null;
  return {
    id,
    name,
    trip: purchases.length > 0 ? 0 : trip,
    taxFree,
    taxRate: taxRate ?? null,
    discount,
    cuts: Number(cuts),
    cutFee: cutFee ?? 0,
    shipping:
      shipping && !isSettled
        ? { fee: shipping.fee, freeFrom: freeFrom === null ? null : Math.max(0, freeFrom - bought) }
        : null,
    committedShipping: purchases.length > 0 && !isSettled ? shippingFor(shipping, bought) : 0,
  };
};

const ownedFrom = ({ item, count, value, isBought, name }: There): Owned => ({
  ...ownedOf(item, count, value),
  ...(isBought ? { isBought } : {}),
  ...(name === undefined ? {} : { name }),
});

/** So many pieces of a thing that are there already; `value` is what one was bought for, with tax. */
export const ownedOf = (item: Item, count: number, value: Micros): Owned => {
  const section = item.kind === 'board' ? parseSection(item.section, 'mm') : null;
  const thickness = item.kind === 'sheet' ? parseThickness(item.section, 'in') : null;
  return {
    itemKey: itemKey(item),
    name: tagName(item),
    kind: item.kind,
    section: item.section,
    material: item.material,
    thickness: section?.ok ? section.value.thickness : thickness?.ok ? thickness.value : 0,
    width: section?.ok ? section.value.width : (item.width?.ticks ?? 0),
    length: item.length?.ticks ?? 0,
    ...(item.unusable ? { unusable: item.unusable.ticks } : {}),
    count,
    value,
  };
};
