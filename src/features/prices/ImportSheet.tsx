import { useEffect, useEffectEvent, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { guessColumns, readHead, type SheetReading } from '@/core/io';
import type { Meaning } from '@/core/pricing';
import { notify, pickFile, freeForBook } from '@/hooks';
import { remoteReader, stopReading, type SheetSummary } from '@/state/reading';
import { Button, Faults, Sheet, Text } from '@/ui';
import type { Problem } from '@/core/result';
import { ColumnMatch } from './ColumnMatch';
import type { PriceBookView } from './priceBookView';
import { SheetPreview } from './SheetPreview';
import { count } from './words';

interface Picked {
  name: string;
  text: string;
  headings: string[];
  first: string[][];
}

/** Where the taking of a file stands. */
type Step =
  | { at: 'start' }
  | { at: 'columns' }
  | { at: 'reading' }
  | { at: 'wrong'; problems: Problem[] }
  | { at: 'preview'; summary: SheetSummary }
  | { at: 'full'; most: number; of: number };

/** What is taken unasked: never what stands against a price that is there. */
const USUAL: Meaning[] = ['new', 'changed', 'history'];

/** Takes prices from a sheet: its columns matched, what it holds shown line by line, and nothing taken before that. */
export const ImportSheet = ({
  desk,
  asksAtOnce,
  onClose,
}: {
  desk: PriceBookView;
  asksAtOnce: boolean;
  onClose: () => void;
}) => {
  const { book, unit, currency, today, dispatch, undo } = desk;
  const [sheet, setSheet] = useState<Picked | null>(null);
  const [reading, setReading] = useState<SheetReading>({ columns: {}, store: '' });
  const [step, setStep] = useState<Step>({ at: 'start' });
  const [meanings, setMeanings] = useState<Meaning[]>(USUAL);

  const read = async ({ name, text }: Picked, how: SheetReading | null) => {
    setStep({ at: 'reading' });
    setMeanings(USUAL);
    const result = await remoteReader().preview(text, book, {
      file: name,
      unit,
      currency,
      today,
      ...(how ? { reading: how } : {}),
    });
    setStep(
      result.ok ? { at: 'preview', summary: result.value } : { at: 'wrong', problems: result.problems },
    );
  };

  const pick = async () => {
    const file = await pickFile('.csv,text/csv');
    if (!file) return;
    const picked: Picked = { ...file, ...readHead(file.text, 3) };
    setSheet(picked);
    const named = picked.headings.map((heading) => heading.toLowerCase());
    if (named.includes('store') && named.includes('price')) return read(picked, null);
    setReading({ columns: guessColumns(picked.headings), store: '' });
    setStep({ at: picked.headings.length > 1 ? 'columns' : 'reading' });
    if (picked.headings.length <= 1) await read(picked, null);
  };
  const pickAtOnce = useEffectEvent(() => void pick());
  useEffect(() => {
    const asking = asksAtOnce ? setTimeout(() => pickAtOnce(), 0) : undefined;
    return () => {
      clearTimeout(asking);
      stopReading();
    };
  }, [asksAtOnce]);

  const take = async () => {
    const { prices, stores } = await remoteReader().taken({ meanings });
    const { fits, most } = await remoteReader().fitting(book, stores, prices, await freeForBook());
    if (!fits) return setStep({ at: 'full', most, of: prices.length });
    dispatch({ type: 'putPrices', prices, stores });
    notify({
      text: `${count(prices.length, 'price')} taken from ${sheet?.name ?? 'the file'}.`,
      action: { label: 'Undo', run: undo },
    });
    onClose();
  };

  const number =
    step.at === 'preview' ? meanings.reduce((sum, meaning) => sum + step.summary.counts[meaning], 0) : 0;
  const another = (
    <Button mode={step.at === 'start' ? 'contained' : 'text'} onPress={() => void pick()}>
      {step.at === 'start' ? 'Choose a file' : 'Another file'}
    </Button>
  );
  return (
    <Sheet
      title={sheet ? `Prices from ${sheet.name}` : 'Prices from a file'}
      onClose={onClose}
      foot={
        <>
          {step.at === 'reading' ? <Button onPress={onClose}>Stop</Button> : another}
          {step.at === 'columns' && sheet ? (
            <Button mode="contained" onPress={() => void read(sheet, reading)}>
              Read it
            </Button>
          ) : null}
          {(step.at === 'preview' || step.at === 'wrong') && sheet ? (
            <Button onPress={() => setStep({ at: 'columns' })}>Match columns</Button>
          ) : null}
          {step.at === 'preview' ? (
            <Button mode="contained" onPress={() => void take()} disabled={number === 0}>
              Take {count(number, 'price')}
            </Button>
          ) : null}
        </>
      }
    >
      {step.at === 'start' ? (
        <Text>
          A sheet of prices as CSV: one price a line, with headings. You see what is in it before anything is
          taken. Bare lengths are {unit === 'in' ? 'inches' : 'millimetres'}, prices {currency}.
        </Text>
      ) : null}
      {step.at === 'columns' && sheet ? (
        <ColumnMatch
          headings={sheet.headings}
          first={sheet.first}
          reading={
            Object.keys(reading.columns).length > 0
              ? reading
              : { ...reading, columns: guessColumns(sheet.headings) }
          }
          onChange={setReading}
        />
      ) : null}
      {step.at === 'reading' ? (
        <View style={styles.reading}>
          <ActivityIndicator />
          <Text>Reading {sheet?.name} …</Text>
        </View>
      ) : null}
      {step.at === 'wrong' ? <Faults file={sheet?.name ?? ''} problems={step.problems} /> : null}
      {step.at === 'preview' ? (
        <SheetPreview summary={step.summary} currency={currency} meanings={meanings} onChange={setMeanings} />
      ) : null}
      {step.at === 'full' ? (
        <View style={styles.full}>
          <Text tone="bad">
            There is not enough room in this browser: about {step.most} of these {step.of} prices would fit.
            Nothing was taken.
          </Text>
          <Text>
            Thin the old history under Settings, delete a project you have in a file, or take a shorter sheet.
          </Text>
        </View>
      ) : null}
    </Sheet>
  );
};

const styles = StyleSheet.create({
  reading: { flexDirection: 'row', gap: 12, alignItems: 'center', paddingVertical: 24 },
  full: { gap: 8 },
});
