import { recordPurchase } from '@/core/budget';
import type { Plan } from '@/core/plan';
import { tagName } from '@/core/project';
import { notify, today, type OpenProject } from '@/hooks';
import { PurchaseForm, type PurchaseAt } from '@/forms';
import { LineMore } from './LineMore';

/** A line of the ledger: written, mended, split, taken back, deleted. */
export const EntryForm = ({
  open,
  plan,
  at: opened,
  onAnother,
  onClose,
}: {
  open: OpenProject;
  plan: Plan | null;
  at: PurchaseAt;
  /** Another line of a receipt is to be written. */
  onAnother: () => void;
  onClose: () => void;
}) => {
  const { project, book, dispatch, undo } = open;
  // As it is now: what is done to it in the form changes it.
  const kept = opened.isNew ? undefined : project.purchases.find(({ id }) => id === opened.purchase.id);
  const purchase = kept ?? opened.purchase;
  const at = { ...opened, purchase };
  const line = purchase.lines[at.line];
  const remove = () => {
    if (line) dispatch({ type: 'removeLine', purchaseId: purchase.id, line });
    onClose();
    notify({
      text: `${line ? tagName(line.item) : 'It'} is out of the ledger.`,
      action: { label: 'Undo', run: undo },
    });
  };
  return (
    <PurchaseForm
      project={project}
      stores={Object.values(book.stores).filter(({ currency }) => currency === project.currency)}
      at={at}
      more={at.isNew ? null : <LineMore open={open} at={at} onAnother={onAnother} onClose={onClose} />}
      onSave={(purchase) => dispatch(recordPurchase(project, book, plan, purchase, today()))}
      onRemove={at.isNew ? undefined : { label: 'Delete', run: remove }}
      onClose={onClose}
    />
  );
};
