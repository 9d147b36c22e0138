import type { Deviation, RunLine } from '@/core/budget';
import type { Purchase } from '@/core/project';
import { PurchaseForm } from '@/forms';
import type { Run } from './cart';
import { ElseForm } from './ElseForm';
import { TakeForm } from './TakeForm';
import { TillForm } from './TillForm';

/** What was touched on the list, and is open in a form. */
export type Shown =
  | { kind: 'take'; line: RunLine }
  | { kind: 'else'; line: RunLine | null }
  | { kind: 'line'; index: number }
  | { kind: 'till' }
  | null;

interface FormProps {
  run: Run;
  cart: Purchase | null;
  /** The line as it is now. */
  lineOf: (opened: RunLine) => RunLine;
  onShow: (shown: Shown) => void;
  onSurprise: (deviation: Deviation | null) => void;
  onOut: (index: number) => void;
  onPaid: (purchase: Purchase) => void;
  onClose: () => void;
}

/** The form of what was touched, or null: the list stands alone. */
export const formOf = (
  shown: Shown,
  { run, cart, lineOf, onShow, onSurprise, onOut, onPaid, onClose }: FormProps,
) => {
  const { open } = run;
  return shown?.kind === 'take' ? (
    <TakeForm
      key={shown.line.key}
      run={run}
      line={lineOf(shown.line)}
      onSurprise={onSurprise}
      onElse={() => onShow({ kind: 'else', line: shown.line })}
      onClose={onClose}
    />
  ) : shown?.kind === 'else' ? (
    <ElseForm
      key={`else-${shown.line?.key ?? ''}`}
      run={run}
      instead={shown.line}
      onSurprise={onSurprise}
      onClose={onClose}
    />
  ) : shown?.kind === 'line' && cart?.lines[shown.index] ? (
    <PurchaseForm
      key={`line-${shown.index}`}
      project={open.project}
      stores={[run.store]}
      at={{ purchase: cart, line: shown.index, isNew: false }}
      isPlanned
      onSave={(purchase) =>
        open.dispatch({ type: 'recordPurchase', purchase, charges: { trip: 0, shipping: null } })
      }
      onRemove={{ label: 'Out of the cart', run: () => onOut(shown.index) }}
      onClose={onClose}
    />
  ) : shown?.kind === 'till' && cart ? (
    <TillForm run={run} cart={cart} onClose={onClose} onPaid={onPaid} />
  ) : null;
};
