import { assertNever } from '../../assertNever';
import { isSameStore, withCharges, withoutPurchase } from '../charges';
import type { Baseline, Charges, Purchase, PurchaseLine } from '../types';
import { assign, type ProjectDraft } from './draft';
import type { MoneyCommand } from './types';

/** Changes target and ledger. Purchases and lines are looked for where they are now, not where they were drawn. */
export const reduceMoney = (draft: ProjectDraft, command: MoneyCommand): void => {
  switch (command.type) {
    case 'editTarget':
      assign(draft, { target: command.target, budget: command.budget });
      if (command.budget === undefined) delete draft.budget;
      return;
    case 'keepBaseline':
      assign(draft, { baseline: command.baseline });
      return;
    case 'dismissReminder':
      if (!draft.dismissed?.includes(command.reminderId))
        draft.dismissed = [...(draft.dismissed ?? []), command.reminderId];
      return;
    case 'addToCart': {
      if (command.lines.length === 0) return;
      const open = draft.purchases.find(
        ({ isOpen, storeId }) => isOpen === true && storeId === command.cart.storeId,
      );
      if (open) open.lines.push(...command.lines);
      else put(draft, { ...command.cart, note: '', lines: command.lines, isOpen: true }, command.charges);
      keepFirst(draft, command.baseline);
      return;
    }
    case 'payCart': {
      const cart = draft.purchases.find(({ id }) => id === command.purchaseId);
      if (!cart?.isOpen) return;
      delete cart.isOpen;
      if (command.receipt) cart.receipt = command.receipt;
      return;
    }
    case 'recordPurchase':
      put(draft, command.purchase, command.charges);
      keepFirst(draft, command.baseline);
      return;
    case 'recordPurchases':
      for (const { purchase, charges } of command.entries) put(draft, purchase, charges);
      return;
    case 'removePurchase':
      if (draft.purchases.some(({ id }) => id === command.purchaseId))
        draft.purchases = withoutPurchase(draft.purchases, command.purchaseId);
      return;
    case 'removeLine':
      replace(draft, command, []);
      return;
    case 'replaceLine':
      replace(draft, command, command.by);
      return;
    case 'editPurchase': {
      const purchase = draft.purchases.find(({ id }) => id === command.purchaseId);
      if (purchase) editPurchase(purchase, command.fields);
      return;
    }
    default:
      assertNever(command);
  }
};

const keepFirst = (draft: ProjectDraft, baseline: Baseline | undefined): void => {
  if (baseline) draft.baseline ??= baseline;
};

const put = (draft: ProjectDraft, purchase: Purchase, charges: Charges): void => {
  const index = draft.purchases.findIndex(({ id }) => id === purchase.id);
  const before = draft.purchases[index];
  // Bought elsewhere, it was another way.
  const { trip: _trip, shipping: _shipping, ...bare } = purchase;
  const isElsewhere = before !== undefined && !isSameStore(before, purchase);
  const recorded = withCharges(isElsewhere ? bare : purchase, charges, draft.purchases as Purchase[]);
  if (index < 0) draft.purchases.push(recorded);
  else if (!isEqual(draft.purchases[index], recorded)) draft.purchases[index] = recorded;
};

const isEqual = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

const replace = (
  draft: ProjectDraft,
  { purchaseId, line }: { purchaseId: string; line: PurchaseLine },
  by: PurchaseLine[],
): void => {
  const purchase = draft.purchases.find(({ id }) => id === purchaseId);
  const index = purchase?.lines.findIndex((one) => isEqual(one, line)) ?? -1;
  if (!purchase || index < 0 || (by.length === 1 && isEqual(by[0], line))) return;
  if (by.length === 0 && purchase.lines.length === 1)
    draft.purchases = withoutPurchase(draft.purchases as Purchase[], purchaseId);
  else purchase.lines.splice(index, 1, ...by);
};

type PurchaseFields = Extract<MoneyCommand, { type: 'editPurchase' }>['fields'];

const editPurchase = (purchase: Purchase, { receipt, shipping, trip }: PurchaseFields): void => {
  if (receipt === null) delete purchase.receipt;
  else if (receipt !== undefined) assign(purchase, { receipt });
  if (shipping === null) delete purchase.shipping;
  else if (shipping !== undefined) assign(purchase, { shipping });
  if (trip !== undefined) assign(purchase, { trip });
};
