import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { byCategory, ledgerOf, paidFor, searchLedger, type Entry } from '@/core/budget';
import { writeJournal, writeLedger } from '@/core/formats';
import { formatDay, formatMoney } from '@/core/measure';
import { saveFile, useProject, useToday, type OpenProject } from '@/data';
import { usePlanAndMoney } from '@/planning';
import { ActionMenu, Band, Button, Columns, Row, Segments, TextField, useIsWide, Words } from '@/ui';
import { blankPurchase, EntryForm, type Writing } from './EntryForm';
import { Sums } from './Sums';

/** Where the money of a project stands and went: the ledger and its sums. */
export const SpendPlace = ({ id }: { id: string }) => {
  const open = useProject(id);
  return open ? <Spend open={open} /> : null;
};

const VIEWS = [
  { value: 'ledger', label: 'Ledger' },
  { value: 'sums', label: 'Sums' },
] as const;

const Spend = ({ open }: { open: OpenProject }) => {
  const { project, book } = open;
  const { plan, money } = usePlanAndMoney(project, book);
  const day = useToday();
  const isWide = useIsWide();
  const [view, setView] = useState<'ledger' | 'sums'>('ledger');
  const [words, setWords] = useState('');
  const [writing, setWriting] = useState<Writing | null>(null);
  const entries = useMemo(() => ledgerOf(project, book, plan), [project, book, plan]);
  const shown = searchLedger(entries, words);
  const said = (sum: number) => formatMoney(sum, project.currency);
  const choose = ({ purchaseId, line }: Entry) => {
    const purchase = project.purchases.find(({ id }) => id === purchaseId);
    if (purchase) setWriting({ purchase, line, isNew: false });
  };
  const form = writing ? (
    <EntryForm
      key={`${writing.purchase.id}-${writing.line}`}
      open={open}
      writing={writing}
      onClose={() => setWriting(null)}
    />
  ) : null;
  const name = project.name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase();
  return (
    <Columns detail={form}>
      <View style={styles.head}>
        <Words size="title">{said(money.spent)} spent</Words>
        <Words size="small" tone="soft">
          {forecastWords(money, said)}
        </Words>
      </View>
      <Segments label="What is shown of the money" value={view} onChange={setView} options={VIEWS} />
      {view === 'ledger' ? (
        <>
          <View style={styles.actions}>
            <Button mode="contained" icon="add" onPress={() => setWriting({ purchase: blankPurchase(day), line: 0, isNew: true })}>
              Record something bought
            </Button>
            <ActionMenu
              label="Files of the ledger"
              anchor={(show) => (
                <Button mode="outlined" onPress={show} disabled={entries.length === 0}>
                  Files
                </Button>
              )}
              actions={[
                { title: 'Save as CSV', run: () => saveFile(`${name}-ledger.csv`, writeLedger(entries, project.currency), 'text/csv') },
                { title: 'Save as a plain-text journal', run: () => saveFile(`${name}.journal`, writeJournal(entries, project.currency, project.name), 'text/plain') },
              ]}
            />
          </View>
          {entries.length > 0 ? (
            <View style={styles.search}>
              <TextField label="Find in the ledger" value={words} onChange={setWords} help={words.trim() === '' ? null : `${shown.length} of ${entries.length}, ${said(shown.reduce((sum, entry) => sum + paidFor(entry), 0))}`} />
            </View>
          ) : (
            <Words style={styles.pad}>Nothing is paid yet. Tick what is bought under Buy, or record it here.</Words>
          )}
          <Days entries={shown} said={said} onChoose={choose} />
        </>
      ) : (
        <Sums entries={entries} rows={byCategory(entries, plan)} currency={project.currency} />
      )}
      {isWide ? null : form}
    </Columns>
  );
}; // prettier-ignore

/** What it comes to when all that is planned is bought, and how that stands against the target. */
const forecastWords = ({ toBuy, total, target, left, complete }: ReturnType<typeof usePlanAndMoney>['money'], said: (sum: number) => string): string => {
  const lacking = complete ? '' : ', so far: something has no price yet';
  const whole = `${said(toBuy)} still to buy: ${said(total)} when it is done${lacking}`;
  if (target === null || left === null) return `${whole}. No target is set.`;
  return left >= 0 ? `${whole}, ${said(left)} under target.` : `${whole}, ${said(-left)} over target.`;
}; // prettier-ignore

/** The entries, day after day, the newest first. */
const Days = ({
  entries,
  said,
  onChoose,
}: {
  entries: Entry[];
  said: (sum: number) => string;
  onChoose: (entry: Entry) => void;
}) => {
  const days = [...new Set(entries.map(({ date }) => date))];
  return days.map((date) => {
    const of = entries.filter((entry) => entry.date === date);
    return (
      <View key={date} role="group" aria-label={formatDay(date)}>
        <Band title={formatDay(date)} note={said(of.reduce((sum, entry) => sum + paidFor(entry), 0))} />
        {of.map((entry) => {
          const { purchaseId, line, item, store, category, quantity } = entry;
          return (
            <Row
              key={`${purchaseId ?? store}-${line}-${item}`}
              style={styles.row}
              label={`Change ${item}, ${said(paidFor(entry))}`}
              onPress={purchaseId === null ? undefined : () => onChoose(entry)}
            >
              <View style={styles.line}>
                <View style={styles.grow}>
                  <Words>{quantity > 1 ? `${quantity} × ${item}` : item}</Words>
                  <Words size="small" tone="soft">
                    {[store, category, entry.note].filter(Boolean).join(' · ')}
                  </Words>
                </View>
                <View>
                  <Words size="strong" align="right">
                    {said(paidFor(entry))}
                  </Words>
                  {entry.tax > 0 ? (
                    <Words size="small" tone="soft" align="right">
                      {`tax ${said(entry.tax)}`}
                    </Words>
                  ) : null}
                </View>
              </View>
            </Row>
          );
        })}
      </View>
    );
  });
};

const styles = StyleSheet.create({
  head: { paddingHorizontal: 16, paddingTop: 14, gap: 2 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 10, paddingHorizontal: 16, paddingBottom: 10 },
  search: { paddingHorizontal: 16, paddingBottom: 10 },
  pad: { padding: 16 },
  row: { paddingHorizontal: 16, paddingVertical: 10 },
  line: { flexDirection: 'row', gap: 12, alignItems: 'center' },
  grow: { flex: 1 },
});
