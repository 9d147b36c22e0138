import { askedFor, cartOf, firstBaseline, type ProjectMoney, type Deviation } from '@/core/budget';
import type { Plan } from '@/core/plan';
import { newestOf, offerAt } from '@/core/pricing';
import type { Micros } from '@/core/units';
import {
  allows,
  removeLine,
  type Price,
  type ProjectChange,
  type Purchase,
  type PurchaseLine,
  type Store,
} from '@/core/project';
import { newId, notify, today, type OpenProject } from '@/data';

/** A run through one store: what is open, and the plan and money that hold now. */
export interface Run {
  open: OpenProject;
  store: Store;
  plan: Plan | null;
  money: ProjectMoney;
}

/** What a surprise starts from: told with the plan that follows it. */
export const surpriseOf = ({ plan, money }: Run, cause: string, item: string): Deviation => ({
  cause,
  item,
  before: askedFor(plan),
  total: money.total,
});

/** Puts lines into the cart of the store; the first thing ever bought keeps the plan as it stood. */
export const putInCart = (
  { open: { project, book, run }, store, plan }: Run,
  lines: PurchaseLine[],
): void => {
  const held = cartOf(project, store.id);
  const cart: Purchase = held ?? {
    id: newId(),
    date: today(),
    storeId: store.id,
    store: store.name,
    note: '',
    lines: [],
    isOpen: true,
  };
  run({
    type: 'recordPurchase',
    purchase: { ...cart, lines: [...cart.lines, ...lines] },
    ...firstBaseline(project, book, plan, today()),
  });
};

/** Tells what was done, and offers to take back all the steps that it took. */
export const tellDone = ({ open: { undo } }: Run, text: string, steps: number, after: () => void): void => {
  const back = () => {
    for (let step = 0; step < steps; step++) undo();
    after();
  };
  notify({ text, action: { label: 'Undo', run: back } });
};

/** Takes a line of the cart out of it; an empty cart is none. */
export const takeOut = ({ open: { project, run }, store }: Run, index: number): void => {
  const cart = cartOf(project, store.id);
  if (cart) run(removeLine(cart, index));
};

/** Writes into the price book what was seen of an offer: another price, or that nothing is left of it. */
export const noteSeen = (
  { open: { book, runOnBook }, store }: Run,
  offerKey: string,
  seen: { price?: Micros; available: number | null },
): void => {
  const offer = offerAt(book, offerKey);
  if (!offer) return;
  const { item, price, unit, pack, minQty, weight, rough } = newestOf(offer);
  const observed: Price = {
    item,
    unit,
    pack,
    minQty,
    price: seen.price ?? price,
    available: seen.available,
    date: today(),
    source: 'typed',
    note: '',
    id: newId(),
    storeId: store.id,
    ...(weight ? { weight } : {}),
    ...(rough ? { rough } : {}),
  };
  runOnBook({ type: 'putPrices', prices: [observed] });
};

/** The changes that let parts which take `wanted` take `found` too. */
export const letServe = ({ open: { project } }: Run, wanted: string, found: string): ProjectChange[] => {
  const lacks = (names: string[]) => names.length > 0 && allows(names, wanted) && !allows(names, found);
  return project.groups.flatMap((group): ProjectChange[] => [
    ...(lacks(group.materials)
      ? [
          {
            type: 'editGroup' as const,
            groupId: group.id,
            fields: { materials: [...group.materials, found] },
          },
        ]
      : []),
    ...group.options
      .flatMap(({ parts }) => parts)
      .filter(({ materials }) => lacks(materials))
      .map((part) => ({
        type: 'editPart' as const,
        partId: part.id,
        fields: { materials: [...part.materials, found] },
      })),
  ]);
};
