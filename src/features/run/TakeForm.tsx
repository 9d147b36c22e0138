import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { cartLine, lineCost, type RunLine, type Deviation } from '@/core/budget';
import { formatMoney, formatTag, MICROS, parseCount, parseMoney, parseTag, symbol } from '@/core/units';
import { newestOf, offerAt, perPurchase, tierFor, UNIT_WORDS } from '@/core/pricing';
import { choosingNotes, materialOf } from '@/core/lumber';
import { Button, Choice, Stepper, Detail, TextField, Text } from '@/ui';
import { cartCommands, seenCommand, surpriseOf, tellDone, type Run } from './cart';

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
  const offer = offerAt(book, line.offerKey);
  const tier = offer ? tierFor(offer.tiers, line.quantity) : null;
  const seen = tier?.price ?? (offer ? newestOf(offer) : null);
  const [counted, setQuantity] = useState<string | null>(null);
  const quantity = counted ?? String(line.quantity);
  const [tag, setTag] = useState('');
  const [rest, setRest] = useState<'stays' | 'gone'>('stays');
  const count = parseCount(quantity);
  const many = count.ok ? count.value : line.quantity;
  // At the shelf a price as its tag writes it; of what has no price there, the sum that was paid.
  const isTyped = tag.trim() !== '';
  const tagged = seen && isTyped ? parseTag(tag) : null;
  const sum = !seen && isTyped ? parseMoney(tag, currency) : null;
  const other = seen && tagged?.ok && tagged.value !== seen.price ? tagged.value : null;
  const unitPrice =
    seen && other !== null ? (perPurchase({ ...seen, price: other }) ?? undefined) : undefined;
  const paid = sum ? (sum.ok ? sum.value : 0) : lineCost(line, many, { project, book, unitPrice });
  const typed = tagged ?? sum;
  const isReady = count.ok && (typed === null || typed.ok);
  const isGone = rest === 'gone' && many < line.quantity;
  const happened = (): string | null => {
    if (isGone) return `only ${many} × ${line.name} there`;
    if (other !== null) return `${line.name} costs ${formatTag(other, currency)}${per} here`;
    if (many < line.quantity) return `${many} × ${line.name} taken, not ${line.quantity}`;
    return many > line.quantity ? `${many} × ${line.name} taken instead of ${line.quantity}` : null;
  };
  const take = () => {
    if (!isReady) return;
    const cause = happened();
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
  const per = seen
    ? ` ${seen.pack > 1 && seen.unit !== 'pack' ? `a pack of ${seen.pack}` : seen.unit === 'pack' && seen.pack === 1 ? 'each' : UNIT_WORDS[seen.unit]}`
    : '';
  const notes =
    line.item.kind === 'hardware' ? [] : choosingNotes(materialOf(line.item.material, book.materials));
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
        error={count.ok ? null : (count.problems[0]?.sentence ?? null)}
      />
      {many < line.quantity ? (
        <Choice label={`The other ${line.quantity - many}`} value={rest} options={REST} onChange={setRest} />
      ) : null}
      <TextField
        label={
          seen
            ? `Price on the tag,${per}, ${symbol(currency).trim()}`
            : `Paid in all, ${symbol(currency).trim()}`
        }
        value={tag}
        onChange={setTag}
        inputMode="decimal"
        onSubmitEditing={take}
        placeholder={seen ? String(seen.price / MICROS) : undefined}
        error={typed && !typed.ok ? (typed.problems[0]?.sentence ?? null) : null}
        help={seen ? `Blank: ${formatTag(seen.price, currency)}${per}, as the price book says.` : null}
      />
      {other !== null ? (
        <Button mode="outlined" onPress={replan}>
          Plan again with this price first
        </Button>
      ) : null}
      {notes.length > 0 ? (
        <View style={styles.notes} role="group" aria-label="Choosing the boards">
          <Text size="strong">Choosing them</Text>
          {notes.map((note) => (
            <Text key={note}>{note}</Text>
          ))}
          <Text size="small" tone="soft">
            Common practice.
          </Text>
        </View>
      ) : null}
    </Detail>
  );
};

const styles = StyleSheet.create({
  foot: { flex: 1, gap: 8 },
  others: { flexDirection: 'row', gap: 8, justifyContent: 'space-between' },
  notes: { gap: 6, marginTop: 6 },
});
