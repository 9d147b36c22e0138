import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { paidFor, paidInAll, searchLedger, type Entry } from '@/core/budget';
import { fileBase, writeJournal, writeLedger } from '@/core/io';
import { formatDay, formatMoney } from '@/core/units';
import type { Project } from '@/core/project';
import { saveFile } from '@/hooks';
import { ActionMenu, SectionHeader, Button, SumRow, TextField, Text } from '@/ui';

/** Everything that was paid, day after day; found, filed, and opened to be mended. */
export const Ledger = ({
  project,
  entries,
  onRecord,
  onImport,
  onChoose,
}: {
  project: Project;
  entries: Entry[];
  onRecord: () => void;
  onImport: () => void;
  onChoose: (entry: Entry) => void;
}) => {
  const [words, setWords] = useState('');
  const { currency, unit } = project;
  const shown = searchLedger(entries, words);
  const said = (sum: number) => formatMoney(sum, currency);
  const name = fileBase(project);
  return (
    <>
      <View style={styles.actions}>
        <Button mode="contained" icon="add" onPress={onRecord}>
          Record something bought
        </Button>
        <ActionMenu
          label="Files of the ledger"
          anchor={(show) => (
            <Button mode="outlined" onPress={show}>
              Files
            </Button>
          )}
          actions={[
            { title: 'Take in a CSV file', run: onImport },
            ...(entries.length === 0
              ? []
              : [
                  {
                    title: 'Save as CSV',
                    run: () =>
                      saveFile(`${name}-ledger.csv`, writeLedger(entries, currency, unit), 'text/csv'),
                  },
                  {
                    title: 'Save as a plain-text journal',
                    run: () =>
                      saveFile(
                        `${name}.journal`,
                        writeJournal(entries, currency, project.name),
                        'text/plain',
                      ),
                  },
                ]),
          ]}
        />
      </View>
      {entries.length > 0 ? (
        <View style={styles.search}>
          <TextField
            label="Find in the ledger"
            value={words}
            onChange={setWords}
            help={
              words.trim() === '' ? null : `${shown.length} of ${entries.length}, ${said(paidInAll(shown))}`
            }
          />
        </View>
      ) : (
        <Text style={styles.pad}>Nothing is paid yet. Shop with the list under Buy, or record it here.</Text>
      )}
      <Days entries={shown} said={said} onChoose={onChoose} />
    </>
  );
};

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
        <SectionHeader title={formatDay(date)} note={said(paidInAll(of))} />
        {of.map((entry, index) => (
          <EntryRow key={index} entry={entry} said={said} onChoose={onChoose} />
        ))}
      </View>
    );
  });
};

const EntryRow = ({
  entry,
  said,
  onChoose,
}: {
  entry: Entry;
  said: (sum: number) => string;
  onChoose: (entry: Entry) => void;
}) => {
  const { kind, item, store, category, quantity, share, isOpen } = entry;
  const isLine = kind === 'bought' || kind === 'returned';
  const facts = [
    kind === 'returned' ? '' : isOpen ? 'in the cart' : '',
    store,
    category,
    share ? `${Math.round(share.part * 100)} % of ${said(share.whole)}` : '',
    entry.note,
  ];
  return (
    <SumRow
      label={Math.abs(quantity) > 1 ? `${Math.abs(quantity)} × ${item}` : item}
      about={facts.filter(Boolean).join(' · ')}
      sum={said(paidFor(entry))}
      inAll={entry.tax === 0 ? undefined : `tax ${said(entry.tax)}`}
      press={
        isLine ? { label: `Change ${item}, ${said(paidFor(entry))}`, run: () => onChoose(entry) } : undefined
      }
    />
  );
};

const styles = StyleSheet.create({
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 10, paddingHorizontal: 16, paddingBottom: 10 },
  search: { paddingHorizontal: 16, paddingBottom: 10 },
  pad: { padding: 16 },
});
