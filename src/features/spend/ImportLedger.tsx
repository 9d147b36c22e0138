import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { readLedger, takeLedger, type LedgerRow, type LedgerTaken } from '@/core/io';
import { chargesFor } from '@/core/budget';
import { formatDay, formatMoney } from '@/core/units';
import { tagName } from '@/core/project';
import type { Problem } from '@/core/result';
import { newId, notify, pickFile, type OpenProject } from '@/hooks';
import { SectionHeader, Button, Detail, Faults, Row, Text } from '@/ui';

type Read = { name: string; taken: LedgerTaken } | { name: string; problems: Problem[] } | null;

/** A ledger file read and shown before anything of it is taken. */
export const ImportLedger = ({ open, onClose }: { open: OpenProject; onClose: () => void }) => {
  const { project, book, dispatch, undo } = open;
  const [read, setRead] = useState<Read>(null);
  const pick = async () => {
    const file = await pickFile('.csv,text/csv');
    if (!file) return;
    const rows = readLedger(file.text, file.name, project.unit, project.currency);
    setRead(
      rows.ok
        ? { name: file.name, taken: takeLedger(rows.value, project, book, newId) }
        : { name: file.name, problems: rows.problems },
    );
  };
  const taken = read && 'taken' in read ? read.taken : null;
  const sum = taken?.added.reduce((all, { paid }) => all + paid, 0) ?? 0;
  const said = (money: number) => formatMoney(money, project.currency);
  const take = () => {
    if (!taken) return;
    dispatch({
      type: 'recordPurchases',
      entries: taken.purchases.map((purchase) => ({
        purchase,
        charges: chargesFor(project, book, null, purchase),
      })),
    });
    notify({
      text: `${lines(taken.added.length)} taken into the ledger.`,
      action: { label: 'Undo', run: undo },
    });
    onClose();
  };
  return (
    <Detail
      title="Take in a ledger file"
      onClose={onClose}
      foot={
        taken ? (
          <>
            <Button onPress={() => void pick()}>Another file</Button>
            <Button mode="contained" onPress={take} disabled={taken.added.length === 0}>
              {`Take in ${lines(taken.added.length)}, ${said(sum)}`}
            </Button>
          </>
        ) : (
          <Button mode="contained" onPress={() => void pick()}>
            Choose a file
          </Button>
        )
      }
    >
      {read === null ? (
        <Text>
          A CSV file with a line for each thing: date, store, item, and what was paid. Quantity, pack, price,
          tax, category and note are taken where they are there. Nothing is taken before it is shown.
        </Text>
      ) : null}
      {read && 'problems' in read ? <Faults file={read.name} problems={read.problems} /> : null}
      {taken ? (
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
      ) : null}
    </Detail>
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
