import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { cartLine, type RunLine, type Deviation } from '@/core/budget';
import { faultOf } from '@/core/result';
import { formatMoney, formatTag, MICROS, symbol } from '@/core/units';
import { choosingNotes, materialOf } from '@/core/lumber';
import type { Book } from '@/core/project';
import { Button, Choice, Stepper, Detail, TextField, Text } from '@/ui';
import { cartCommands, seenCommand, surpriseOf, tellDone, type Run } from './cart';
import { readTake } from './take';

const REST = [
  { value: 'stays', label: 'Stays on the list' },
  { value: 'gone', label: 'No more there' },
] as const;

/** One thing at the shelf: how many, at what price, or that it is not there. */
export const TakeForm = ({
  run,
  line,
  onSurprise,
  onElse,
  onClose,
}: {
  run: Run;
  line: RunLine;
  /** What happened, or null: all as planned. */
  onSurprise: (surprise: Deviation | null) => void;
  onElse: () => void;
  onClose: () => void;
}) => {
  const { open, store } = run;
  const { project, book } = open;
  const { currency } = project;
  const [counted, setQuantity] = useState<string | null>(null);
  const quantity = counted ?? String(line.quantity);
  const [tag, setTag] = useState('');
  const [rest, setRest] = useState<'stays' | 'gone'>('stays');
  const read = readTake(line, { quantity, tag, rest }, { project, book });
  const { many, seen, typed, other, paid, isReady, isGone, per, cause } = read;
  const take = () => {
    if (!isReady) return;
    onSurprise(cause === null ? null : surpriseOf(run, cause, line.name));
    const seenThere = {
      price: other ?? undefined,
      available: isGone ? 0 : null,
    };
    open.dispatch([
      ...(other !== null || isGone ? seenCommand(run, line.offerKey, seenThere) : []),
      ...cartCommands(run, [cartLine(line, many, paid, store, project)]),
    ]);
    tellDone(run, `${many} × ${line.name} in the cart for ${formatMoney(paid, currency)}.`, () =>
      onSurprise(null),
    );
    onClose();
  };
  const notThere = () => {
    onSurprise(surpriseOf(run, `${line.name} is not there`, line.name));
    open.dispatch(seenCommand(run, line.offerKey, { available: 0 }));
    tellDone(run, `${line.name}: kept in the price book as not there.`, () => onSurprise(null));
    onClose();
  };
  const replan = () => {
    if (other === null) return;
    onSurprise(surpriseOf(run, `${line.name} costs ${formatTag(other, currency)}${per} here`, ''));
    open.dispatch(seenCommand(run, line.offerKey, { price: other, available: null }));
    onClose();
  };
  return (
    <Detail
      title={line.name}
      onClose={onClose}
      foot={
        <View style={styles.foot}>
          <View style={styles.others}>
            {line.offerKey === '' ? null : (
              <Button mode="outlined" onPress={notThere}>
                Not there
              </Button>
            )}
            <Button mode="outlined" onPress={onElse}>
              Something else
            </Button>
          </View>
          <Button mode="contained" onPress={take} disabled={!isReady}>
            {`In the cart: ${many} for ${formatMoney(paid, currency)}`}
          </Button>
        </View>
      }
    >
      <Stepper
        label={line.pack > 1 ? `Packs of ${line.pack}` : 'How many'}
        value={quantity}
        onChange={setQuantity}
        error={faultOf(read.count)}
      />
      {many < line.quantity ? (
        <Choice label={`The other ${line.quantity - many}`} value={rest} options={REST} onChange={setRest} />
      ) : null}
      <TextField
        label={`${seen ? `Price on the tag,${per}` : 'Paid in all'}, ${symbol(currency).trim()}`}
        value={tag}
        onChange={setTag}
        inputMode="decimal"
        onSubmitEditing={take}
        placeholder={seen ? String(seen.price / MICROS) : undefined}
        error={faultOf(typed)}
        help={seen ? `Blank: ${formatTag(seen.price, currency)}${per}, as the price book says.` : null}
      />
      {other !== null ? (
        <Button mode="outlined" onPress={replan}>
          Plan again with this price first
        </Button>
      ) : null}
      <Choosing line={line} book={book} />
    </Detail>
  );
};

/** What to look at in the boards of a pile. */
const Choosing = ({ line: { item }, book }: { line: RunLine; book: Book }) => {
  const notes = item.kind === 'hardware' ? [] : choosingNotes(materialOf(item.material, book.materials));
  if (notes.length === 0) return null;
  return (
    <View style={styles.notes} role="group" aria-label="Choosing the boards">
      <Text size="strong">Choosing them</Text>
      {notes.map((note) => (
        <Text key={note}>{note}</Text>
      ))}
      <Text size="small" tone="soft">
        Common practice.
      </Text>
    </View>
  );
};

const styles = StyleSheet.create({
  foot: { flex: 1, gap: 8 },
  others: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, justifyContent: 'space-between' },
  notes: { gap: 6, marginTop: 6 },
});
