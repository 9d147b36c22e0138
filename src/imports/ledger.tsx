import { StyleSheet, View } from 'react-native';
import { detectSheet, readLedger, takeLedger, type LedgerRow, type LedgerTaken } from '@/core/io';
import { chargesFor } from '@/core/budget';
import { formatDay, formatMoney } from '@/core/units';
import { tagName, type Book, type Project } from '@/core/project';
import { map } from '@/core/result';
import { newId, notify } from '@/hooks';
import { SectionHeader, Row, Text } from '@/ui';
import { keepingLast } from './keepingLast';
import type { ImportFormat, ImportPreview } from './types';

/** A ledger file: what is new in it is taken, what is known or cannot be is told. */
export const ledgerFormat: ImportFormat = {
  id: 'ledger',
  title: 'Take in a ledger file',
  hint: () =>
    'A CSV file with a line for each thing: date, store, item, and what was paid. Quantity, pack, price, tax, category and note are taken where they are there. Nothing is taken before it is shown.',
  accept: '.csv,text/csv',
  detect: ({ text }) => detectSheet(text) === 'ledger',
  elsewhere: 'This is a ledger. Open the project that it was spent for, and take it in under Spend.',
  read: async ({ name, text }, { open, prices }) => {
    const { unit, currency } = open?.project ?? prices;
    return map(readLedger(text, name, unit, currency), previewOf);
  },
};

const previewOf = (rows: LedgerRow[]): ImportPreview => {
  const takenInto = keepingLast((project: Project, book: Book) => takeLedger(rows, project, book, newId));
  return {
    title: 'Take in a ledger file',
    body: ({ open }) =>
      open ? <Taken taken={takenInto(open.project, open.book)} currency={open.project.currency} /> : null,
    actions: ({ open }, { close }) => {
      if (!open) return [];
      const { project, book } = open;
      const taken = takenInto(project, book);
      const sum = taken.added.reduce((all, { paid }) => all + paid, 0);
      const run = () => {
        open.dispatch({
          type: 'recordPurchases',
          entries: taken.purchases.map((purchase) => ({
            purchase,
            charges: chargesFor(project, book, null, purchase),
          })),
        });
        notify({
          text: `${lines(taken.added.length)} taken into the ledger.`,
          action: { label: 'Undo', run: open.undo },
        });
        close();
      };
      const label = `Take in ${lines(taken.added.length)}, ${formatMoney(sum, project.currency)}`;
      return [{ label, isMain: true, isDisabled: taken.added.length === 0, run }];
    },
  };
};

const Taken = ({ taken, currency }: { taken: LedgerTaken; currency: string }) => {
  const said = (money: number) => formatMoney(money, currency);
  return (
    <View>
      <Lines title="New" rows={taken.added} said={said} />
      {taken.passed.length > 0 ? (
        <View>
          <SectionHeader title="Not taken" note={lines(taken.passed.length)} tone="bad" />
          {taken.passed.map(({ row, sentence }) => (
            <Row key={row.line} style={styles.row}>
              <Text>{`Line ${row.line}: ${tagName(row.item)}, ${said(row.paid)}`}</Text>
              <Text size="small" tone="soft">
                {sentence}
              </Text>
            </Row>
          ))}
        </View>
      ) : null}
      {taken.known.length > 0 ? (
        <SectionHeader title="In the ledger already" note={lines(taken.known.length)} />
      ) : null}
    </View>
  );
};

const lines = (count: number): string => (count === 1 ? 'one line' : `${count} lines`);

/** More are not drawn; their number is told. */
const MOST = 200;

const Lines = ({
  title,
  rows,
  said,
}: {
  title: string;
  rows: LedgerRow[];
  said: (money: number) => string;
}) => (
  <View>
    <SectionHeader title={title} note={lines(rows.length)} />
    {rows.slice(0, MOST).map((row) => (
      <Row key={row.line} style={styles.row}>
        <View style={styles.line}>
          <View style={styles.grow}>
            <Text>{`${Math.abs(row.quantity) > 1 ? `${Math.abs(row.quantity)} × ` : ''}${tagName(row.item)}`}</Text>
            <Text size="small" tone="soft">
              {[formatDay(row.date), row.store, row.category, row.quantity < 0 ? 'taken back' : '']
                .filter(Boolean)
                .join(' · ')}
            </Text>
          </View>
          <Text size="strong">{said(row.paid)}</Text>
        </View>
      </Row>
    ))}
    {rows.length > MOST ? <Text>{`and ${rows.length - MOST} more`}</Text> : null}
  </View>
);

const styles = StyleSheet.create({
  row: { paddingVertical: 8 },
  line: { flexDirection: 'row', gap: 12 },
  grow: { flex: 1 },
});
