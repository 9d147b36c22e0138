import {
  askedFor,
  cartOf,
  chargesFor,
  firstBaseline,
  type ProjectMoney,
  type Deviation,
} from '@/core/budget';
import { keepForBegun, type Plan } from '@/core/plan';
import { newestOf, offerAt } from '@/core/pricing';
import type { Micros } from '@/core/units';
import { allows, type Price, type ProjectChange, type PurchaseLine, type Store } from '@/core/project';
import { newId, notify, today, type OpenProject } from '@/hooks';
import type { WorkspaceCommand } from '@/state/transaction';

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

/**
 * The commands that put lines into the cart of the store; the first thing ever bought keeps the plan as it stood, and what
 * that cuts of the rack.
 */
export const cartCommands = (
  { open: { project, book }, store, plan }: Run,
  lines: PurchaseLine[],
): WorkspaceCommand[] => [
  {
    type: 'addToCart',
    cart: { id: newId(), date: today(), storeId: store.id, store: store.name },
    lines,
    charges: chargesFor(project, book, plan, { storeId: store.id, lines }),
    ...firstBaseline(project, book, plan, today()),
  },
  ...keepForBegun(project, book, plan),
];

/** Tells what was done, and offers to take it back. */
export const tellDone = ({ open: { undo } }: Run, text: string, after: () => void): void => {
  const back = () => {
    undo();
    after();
  };
  notify({ text, action: { label: 'Undo', run: back } });
};

/** Takes a line out of the cart; an empty cart is none. */
export const takeOut = ({ open: { project, dispatch }, store }: Run, line: PurchaseLine): void => {
  const cart = cartOf(project, store.id);
  if (cart) dispatch({ type: 'removeLine', purchaseId: cart.id, line });
};

/** The command that notes what was seen of an offer: another price, or that nothing is left of it. None where it is gone. */
export const seenCommand = (
  { open: { book }, store }: Run,
  offerKey: string,
  seen: { price?: Micros; available: number | null },
): WorkspaceCommand[] => {
  const offer = offerAt(book, offerKey);
  if (!offer) return [];
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
  return [{ type: 'putPrices', prices: [observed] }];
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
