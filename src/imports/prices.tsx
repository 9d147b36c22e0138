import { StyleSheet, View } from 'react-native';
import { detectSheet, guessColumns, readHead, type SheetReading } from '@/core/io';
import type { Meaning } from '@/core/pricing';
import { map, ok, type Result } from '@/core/result';
import { freeForBook, notify } from '@/hooks';
import { remoteReader, type SheetSummary } from '@/state/reading';
import { Text } from '@/ui';
import { count } from '@/forms';
import { ColumnMatch } from './ColumnMatch';
import { SheetPreview } from './SheetPreview';
import type { ImportContext, ImportFile, ImportFormat, ImportPreview } from './types';

/** What is taken unasked: never what stands against a price that is there. */
const USUAL: Meaning[] = ['new', 'changed', 'history'];

/** A sheet of prices: foreign headings matched, what it holds shown line by line, and nothing taken before that. */
export const pricesFormat: ImportFormat = {
  id: 'prices',
  title: 'Prices from a file',
  hint: ({ prices: { unit, currency } }) =>
    `A sheet of prices as CSV: one price a line, with headings. You see what is in it before anything is taken. Bare lengths are ${unit === 'in' ? 'inches' : 'millimetres'}, prices ${currency}.`,
  accept: '.csv,text/csv',
  detect: ({ text }) => detectSheet(text) === 'prices',
  read: async (file, context) =>
    detectSheet(file.text) === 'prices' || headings(file).length <= 1
      ? summed(file, null, context)
      : ok(columnsOf(file)),
  otherwise: { label: 'Match columns', preview: (file) => columnsOf(file) },
};

const headings = ({ text }: ImportFile): string[] => readHead(text, 0).headings;

const guessed = (file: ImportFile): SheetReading => ({ columns: guessColumns(headings(file)), store: '' });

const summed = async (
  file: ImportFile,
  reading: SheetReading | null,
  { prices: { book, unit, currency, today } }: ImportContext,
): Promise<Result<ImportPreview>> =>
  map(
    await remoteReader().preview(file.text, book, {
      file: file.name,
      unit,
      currency,
      today,
      ...(reading ? { reading } : {}),
    }),
    (summary) => summaryOf(file, reading, summary, USUAL),
  );

const columnsOf = (file: ImportFile, reading = guessed(file)): ImportPreview => ({
  title: `Prices from ${file.name}`,
  body: (_, { show }) => (
    <ColumnMatch
      {...readHead(file.text, 3)}
      reading={reading}
      onChange={(next) => show(columnsOf(file, next))}
    />
  ),
  actions: (context, { read }) => [
    { label: 'Read it', isMain: true, run: () => read(summed(file, reading, context)) },
  ],
});

const summaryOf = (
  file: ImportFile,
  reading: SheetReading | null,
  summary: SheetSummary,
  meanings: Meaning[],
): ImportPreview => {
  const number = meanings.reduce((sum, meaning) => sum + summary.counts[meaning], 0);
  return {
    title: `Prices from ${file.name}`,
    body: ({ prices }, { show }) => (
      <SheetPreview
        summary={summary}
        currency={prices.currency}
        meanings={meanings}
        onChange={(next) => show(summaryOf(file, reading, summary, next))}
      />
    ),
    actions: (context, { show, close }) => [
      { label: 'Match columns', run: () => show(columnsOf(file, reading ?? undefined)) },
      {
        label: `Take ${count(number, 'price')}`,
        isMain: true,
        isDisabled: number === 0,
        run: () => void take(file, meanings, context, { show, close }),
      },
    ],
  };
};

const take = async (
  file: ImportFile,
  meanings: Meaning[],
  { prices: { book, dispatch, undo } }: ImportContext,
  { show, close }: { show: (next: ImportPreview) => void; close: () => void },
): Promise<void> => {
  const { prices, stores } = await remoteReader().taken({ meanings });
  const { fits, most } = await remoteReader().fitting(book, stores, prices, await freeForBook());
  if (!fits) return show(fullOf(file, most, prices.length));
  dispatch({ type: 'putPrices', prices, stores });
  notify({
    text: `${count(prices.length, 'price')} taken from ${file.name}.`,
    action: { label: 'Undo', run: undo },
  });
  close();
};

const fullOf = (file: ImportFile, most: number, of: number): ImportPreview => ({
  title: `Prices from ${file.name}`,
  body: () => (
    <View style={styles.full}>
      <Text tone="bad">
        There is not enough room in this browser: about {most} of these {of} prices would fit. Nothing was
        taken.
      </Text>
      <Text>
        Thin the old history under Settings, delete a project you have in a file, or take a shorter sheet.
      </Text>
    </View>
  ),
  actions: () => [],
});

const styles = StyleSheet.create({ full: { gap: 8 } });
