import { View } from 'react-native';
import { hardwareItem, purchaseLine, recordPurchase, type TypedPriceLine } from '@/core/budget';
import { formatMoney } from '@/core/units';
import type { Purchase } from '@/core/project';
import { newId, useToday, type Pending, type PlannedProject } from '@/hooks';
import { SectionHeader } from '@/ui';
import type { PurchaseAt } from '@/forms';
import { BuyLine } from './BuyLine';

/** What has a typed price, and may be bought anywhere. */
export const Anywhere = ({
  open: { project, dispatch, ...open },
  beside,
  pending,
  onEdit,
}: {
  open: PlannedProject;
  beside: TypedPriceLine[];
  pending: Pending;
  onEdit: (at: PurchaseAt) => void;
}) => {
  const { book, plan } = open;
  const day = useToday();
  if (beside.length === 0) return null;
  return (
    <View role="group" aria-label="Anywhere">
      <SectionHeader title="Anywhere" note="at a price that was typed" />
      {beside.map(({ extraId, item, quantity, costWithTax, category }) => {
        const bought = (): Purchase => ({
          id: newId(),
          date: day,
          storeId: '',
          store: 'elsewhere',
          note: '',
          lines: [
            {
              ...purchaseLine(
                hardwareItem(item),
                1,
                quantity,
                costWithTax,
                { taxFree: false },
                project.settings,
                project.currency,
              ),
              category,
            },
          ],
        });
        return (
          <BuyLine
            key={extraId}
            title={`${quantity} × ${item}`}
            note={category}
            sum={formatMoney(costWithTax, project.currency)}
            isBought={pending.has(extraId)}
            onTick={() => {
              if (!pending.claim(extraId)) return;
              dispatch(recordPurchase(project, book, plan, bought(), day, { trip: 0, shipping: 0 }));
            }}
            onOpen={() => onEdit({ purchase: bought(), line: 0, isNew: true })}
          />
        );
      })}
    </View>
  );
};
