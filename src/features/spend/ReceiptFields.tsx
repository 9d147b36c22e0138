import { StyleSheet, View } from 'react-native';
import { receiptWords } from '@/core/budget';
import { formatMoney, parseMoney, symbol } from '@/core/units';
import { receiptGap, wholeLines, type Purchase, type Receipt } from '@/core/project';
import type { OpenProject } from '@/hooks';
import { ReadField, Text } from '@/ui';
import { orBlank, orNone } from '@/forms';

/** What the receipt of a purchase says, held against its lines: total and tax, and the difference in words. */
export const ReceiptFields = ({
  open: { project, dispatch },
  purchase,
}: {
  open: OpenProject;
  purchase: Purchase;
}) => {
  const { currency } = project;
  const { receipt, lines } = purchase;
  const money = orNone((text) => parseMoney(text, currency));
  const change = (next: Receipt | undefined) => {
    dispatch({ type: 'editPurchase', purchaseId: purchase.id, fields: { receipt: next ?? null } });
  };
  const sum = wholeLines(purchase);
  const words = receipt ? receiptWords(receiptGap(purchase), lines.length, currency) : '';
  const sign = symbol(currency).trim();
  return (
    <View role="group" aria-label="The receipt" style={styles.fields}>
      <Text size="strong">The receipt</Text>
      <Text size="small" tone="soft">
        {`${lines.length === 1 ? 'One line' : `${lines.length} lines`}, ${formatMoney(sum, currency)} in all.`}
      </Text>
      <View style={styles.pair}>
        <View style={styles.grow}>
          <ReadField
            label={`Total on it, ${sign}`}
            inputMode="decimal"
            text={orBlank(receipt?.total, currency)}
            read={money}
            onRead={(total) => change(total === null ? undefined : { total, tax: receipt?.tax ?? null })}
          />
        </View>
        <View style={styles.grow}>
          <ReadField
            label={`Tax on it, ${sign}`}
            inputMode="decimal"
            text={orBlank(receipt?.tax, currency)}
            read={money}
            onRead={(tax) => {
              if (receipt || tax !== null) change({ total: receipt?.total ?? sum, tax });
            }}
          />
        </View>
      </View>
      <View style={styles.pair}>
        <View style={styles.grow}>
          <ReadField
            label={`Trip there, ${sign}`}
            inputMode="decimal"
            text={orBlank(purchase.trip, currency)}
            read={money}
            onRead={(trip) =>
              dispatch({ type: 'editPurchase', purchaseId: purchase.id, fields: { trip: trip ?? 0 } })
            }
          />
        </View>
        <View style={styles.grow}>
          <ReadField
            label={`Shipping, ${sign}`}
            inputMode="decimal"
            text={orBlank(purchase.shipping, currency)}
            read={money}
            onRead={(shipping) =>
              dispatch({ type: 'editPurchase', purchaseId: purchase.id, fields: { shipping } })
            }
          />
        </View>
      </View>
      {receipt ? (
        <Text size="small" role="status" tone={words === '' ? 'good' : 'ink'}>
          {words === '' ? 'The receipt agrees with the lines to the cent.' : words}
        </Text>
      ) : null}
    </View>
  );
};

const styles = StyleSheet.create({
  fields: { gap: 8, marginTop: 6 },
  pair: { flexDirection: 'row', gap: 12 },
  grow: { flex: 1 },
});
