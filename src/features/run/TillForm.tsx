import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { faultOf } from '@/core/result';
import { receiptWords, learnedAisleOrder } from '@/core/budget';
import { formatMoney, parseMoney, symbol, type Minor } from '@/core/units';
import { receiptGap, tagName, wholeLines, type Purchase } from '@/core/project';
import { Button, Detail, Row, TextField, Text } from '@/ui';
import type { Run } from './cart';

/** At the till: what lies in the cart held against what the receipt says, and kept as bought. */
export const TillForm = ({
  run,
  cart,
  onPaid,
  onClose,
}: {
  run: Run;
  cart: Purchase;
  onPaid: (purchase: Purchase) => void;
  onClose: () => void;
}) => {
  const { open, store } = run;
  const { currency } = open.project;
  const [total, setTotal] = useState('');
  const [tax, setTax] = useState('');
  const money = (sum: Minor) => formatMoney(sum, currency);
  const lines = wholeLines(cart);
  const ofTax = cart.lines.reduce((sum, line) => sum + line.tax, 0);
  const paid = total.trim() === '' ? null : parseMoney(total, currency);
  const told = tax.trim() === '' ? null : parseMoney(tax, currency);
  const receipt = paid?.ok ? { total: paid.value, tax: told?.ok ? told.value : null } : undefined;
  const words = receipt ? receiptWords(receiptGap({ ...cart, receipt }), cart.lines.length, currency) : '';
  const isReady = (paid === null || paid.ok) && (told === null || told.ok);
  const keep = () => {
    if (!isReady) return;
    const { isOpen: _, ...bought } = cart;
    const purchase: Purchase = receipt ? { ...bought, receipt } : bought;
    const aisles = learnedAisleOrder(cart, store);
    open.dispatch([
      { type: 'payCart', purchaseId: cart.id, ...(receipt ? { receipt } : {}) },
      { type: 'editStore', storeId: store.id, fields: { aisles } },
    ]);
    onPaid(purchase);
  };
  return (
    <Detail
      title={`At the till of ${store.name}`}
      onClose={onClose}
      foot={
        <Button mode="contained" onPress={keep} disabled={!isReady}>
          {`Paid: ${money(receipt?.total ?? lines)}`}
        </Button>
      }
    >
      <View>
        {cart.lines.map((line, index) => (
          <Row key={index} style={styles.row}>
            <View style={styles.line}>
              <Text style={styles.grow}>{`${line.quantity} × ${tagName(line.item)}`}</Text>
              <Text>{money(line.price + line.tax)}</Text>
            </View>
          </Row>
        ))}
        <Row style={styles.row}>
          <View style={styles.line}>
            <Text size="strong" style={styles.grow}>
              By the lines
            </Text>
            <View>
              <Text size="strong" align="right">
                {money(lines)}
              </Text>
              {ofTax > 0 ? <Text size="small" tone="soft" align="right">{`tax ${money(ofTax)}`}</Text> : null}
            </View>
          </View>
        </Row>
      </View>
      <TextField
        label={`Total on the receipt, ${symbol(currency).trim()}`}
        value={total}
        onChange={setTotal}
        inputMode="decimal"
        onSubmitEditing={keep}
        error={faultOf(paid)}
        help={
          store.shipping
            ? 'Blank: as the lines say. Without the shipping, which is counted by itself.'
            : 'Blank: as the lines say.'
        }
      />
      <TextField
        label="Tax on the receipt, where it says it"
        value={tax}
        onChange={setTax}
        inputMode="decimal"
        onSubmitEditing={keep}
        error={faultOf(told)}
      />
      {receipt ? (
        <Text role="status" tone={words === '' ? 'good' : 'ink'}>
          {words === '' ? 'The receipt agrees with the lines to the cent.' : words}
        </Text>
      ) : null}
    </Detail>
  );
};

const styles = StyleSheet.create({
  row: { paddingVertical: 8 },
  line: { flexDirection: 'row', gap: 12 },
  grow: { flex: 1 },
});
