import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { lineChange, refundFor, shareLine, splitLine, takeBack, WHOLE } from '@/core/budget';
import { formatMoney, parseCount, parseMoney, symbol, writeMoney } from '@/core/units';
import { keptQuantity, tagName, type PurchaseLine } from '@/core/project';
import { newId, notify, today, useOtherProjects, type OpenProject } from '@/hooks';
import { Button, Choice, Stepper, TextField, Text } from '@/ui';
import { type PurchaseAt } from '@/forms';
import { ChargeFields } from './ChargeFields';
import { ReceiptFields } from './ReceiptFields';

interface Props {
  open: OpenProject;
  at: PurchaseAt;
  onClose: () => void;
}

/** Another line of the same receipt is to be written. */
type Another = { onAnother: () => void };

type Doing = 'back' | 'split' | 'share' | null;

/** What else can be done with a line of the ledger: taken back, split, shared; how a tool counts. */
export const LineMore = ({ open, at, onAnother, onClose }: Props & Another) => {
  const [doing, setDoing] = useState<Doing>(null);
  const line = at.purchase.lines[at.line];
  if (!line) return null;
  const shown = { open, at, line, onClose };
  const returned = line.returned ?? [];
  return (
    <View style={styles.more}>
      {line.share ? (
        <Text
          size="small"
          tone="soft"
        >{`${Math.round(line.share.part * 100)} % of ${formatMoney(line.share.whole, open.project.currency)}; the rest is with ${line.share.with}.`}</Text>
      ) : null}
      {returned.map(({ id, date, quantity, price, tax }) => (
        <View key={id} style={styles.line}>
          <Text
            size="small"
            style={styles.grow}
          >{`${quantity} taken back on ${date}: ${formatMoney(price + tax, open.project.currency)} came back`}</Text>
          <Button
            compact
            onPress={() =>
              open.dispatch({
                type: 'replaceLine',
                purchaseId: at.purchase.id,
                line,
                by: [{ ...line, returned: returned.filter((back) => back.id !== id) }],
              })
            }
          >
            Not taken back
          </Button>
        </View>
      ))}
      {line.category === 'tools' ? (
        <ChargeFields
          name={tagName(line.item)}
          charge={line.charge ?? WHOLE}
          onChange={(charge) =>
            open.dispatch({
              type: 'replaceLine',
              purchaseId: at.purchase.id,
              line,
              by: [{ ...line, charge }],
            })
          }
        />
      ) : null}
      {doing === null ? (
        <View style={styles.buttons}>
          <Button mode="outlined" onPress={() => setDoing('back')} disabled={keptQuantity(line) === 0}>
            Take some back
          </Button>
          <Button mode="outlined" onPress={() => setDoing('split')}>
            Split
          </Button>
          {line.share ? null : (
            <Button mode="outlined" onPress={() => setDoing('share')}>
              Share with a project
            </Button>
          )}
        </View>
      ) : null}
      {doing === 'back' ? <TakeBack {...shown} /> : null}
      {doing === 'split' ? <Split {...shown} /> : null}
      {doing === 'share' ? <ShareLine {...shown} /> : null}
      <ReceiptFields open={open} purchase={at.purchase} />
      <Button mode="outlined" icon="add" onPress={onAnother}>
        Another line of this receipt
      </Button>
    </View>
  );
};

type FormProps = Props & { line: PurchaseLine };

const firstFault = (read: { ok: boolean; problems?: { sentence: string }[] }): string | null =>
  read.ok ? null : (read.problems?.[0]?.sentence ?? null);

const TakeBack = ({ open: { project, dispatch, undo }, at, line, onClose }: FormProps) => {
  const { currency } = project;
  const [quantity, setQuantity] = useState('1');
  const [refund, setRefund] = useState<string | null>(null);
  const count = parseCount(quantity);
  const proposed = count.ok ? refundFor(line, count.value) : 0;
  const sum = refund === null ? { ok: true as const, value: proposed } : parseMoney(refund, currency);
  const tooMany =
    count.ok && count.value > keptQuantity(line) ? `Only ${keptQuantity(line)} are left of it.` : null;
  const save = () => {
    if (!count.ok || !sum.ok || tooMany) return;
    const after = takeBack(at.purchase, at.line, {
      id: newId(),
      date: today(),
      quantity: count.value,
      refund: sum.value,
    });
    dispatch(lineChange(at.purchase, at.line, after));
    notify({
      text: `${count.value} × ${tagName(line.item)} taken back: ${formatMoney(sum.value, currency)} came back.`,
      action: { label: 'Undo', run: undo },
    });
    onClose();
  };
  return (
    <View style={styles.form} role="group" aria-label="Take some back">
      <Stepper
        label="How many go back"
        value={quantity}
        onChange={setQuantity}
        error={firstFault(count) ?? tooMany}
      />
      <TextField
        label={`What comes back, ${symbol(currency).trim()}`}
        value={refund ?? writeMoney(proposed, currency)}
        onChange={setRefund}
        inputMode="decimal"
        onSubmitEditing={save}
        error={firstFault(sum)}
      />
      <Button mode="contained" onPress={save}>
        Taken back
      </Button>
    </View>
  );
};

const Split = ({ open: { project, dispatch, undo }, at, line, onClose }: FormProps) => {
  const { currency } = project;
  const several = line.quantity > 1;
  const [name, setName] = useState(several ? tagName(line.item) : '');
  const [quantity, setQuantity] = useState('1');
  const [paid, setPaid] = useState<string | null>(several ? null : '');
  const count = parseCount(quantity);
  const isSame = several && name.trim() === tagName(line.item);
  const proposed = count.ok ? refundFor(line, count.value) : 0;
  const sum = paid === null ? { ok: true as const, value: proposed } : parseMoney(paid, currency);
  const tooMany =
    isSame && count.ok && count.value >= line.quantity ? `Split off fewer than ${line.quantity}.` : null;
  const tooMuch =
    sum.ok && sum.value > line.price + line.tax
      ? `The line is ${formatMoney(line.price + line.tax, currency)} in all.`
      : null;
  const save = () => {
    if (!count.ok || !sum.ok || tooMany || tooMuch || name.trim() === '') return;
    const after = splitLine(at.purchase, at.line, {
      name: isSame ? line.item.name : name.trim(),
      quantity: count.value,
      paid: sum.value,
    });
    dispatch(lineChange(at.purchase, at.line, after));
    notify({ text: `${tagName(line.item)} is two lines now.`, action: { label: 'Undo', run: undo } });
    onClose();
  };
  return (
    <View style={styles.form} role="group" aria-label="Split">
      {line.item.kind === 'hardware' ? (
        <TextField label="What the other part is" value={name} onChange={setName} onSubmitEditing={save} />
      ) : null}
      {several ? (
        <Stepper
          label="How many of them"
          value={quantity}
          onChange={setQuantity}
          error={firstFault(count) ?? tooMany}
        />
      ) : null}
      <TextField
        label={`Paid for it, with tax, ${symbol(currency).trim()}`}
        value={paid ?? writeMoney(proposed, currency)}
        onChange={setPaid}
        inputMode="decimal"
        onSubmitEditing={save}
        error={paid === '' ? null : (firstFault(sum) ?? tooMuch)}
      />
      <Button mode="contained" onPress={save}>
        Make it two lines
      </Button>
    </View>
  );
};

const ShareLine = ({ open: { project, dispatch, undo }, at, line, onClose }: FormProps) => {
  const { projects, dispatchIn, undoIn } = useOtherProjects(project.id);
  const likely = projects.filter(({ currency }) => currency === project.currency);
  const [other, setOther] = useState(likely[0]?.id ?? '');
  const [percent, setPercent] = useState('50');
  const count = parseCount(percent.replace('%', ''));
  const wrong = count.ok && count.value >= 100 ? 'Less than 100: the rest is the other project’s.' : null;
  const chosen = likely.find(({ id }) => id === other);
  const save = () => {
    if (!chosen || !count.ok || wrong) return;
    const shared = shareLine(at.purchase, at.line, {
      part: count.value / 100,
      here: project.name,
      there: chosen.name,
      id: newId(),
    });
    if (!shared) return;
    dispatch(lineChange(at.purchase, at.line, shared.here));
    dispatchIn(chosen.id, {
      type: 'recordPurchase',
      purchase: shared.there,
      charges: { trip: 0, shipping: 0 },
    });
    const back = () => {
      undo();
      undoIn(chosen.id);
    };
    notify({
      text: `${tagName(line.item)}: ${count.value} % here, the rest with ${chosen.name}.`,
      action: { label: 'Undo', run: back },
    });
    onClose();
  };
  if (likely.length === 0)
    return <Text>{`There is no other project in ${project.currency} to share it with.`}</Text>;
  return (
    <View style={styles.form} role="group" aria-label="Share with a project">
      <Choice
        label="The rest is for"
        value={other}
        options={likely.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={setOther}
      />
      <TextField
        label={`Of it stays with ${project.name}, percent`}
        value={percent}
        onChange={setPercent}
        inputMode="numeric"
        onSubmitEditing={save}
        error={firstFault(count) ?? wrong}
      />
      <Button mode="contained" onPress={save}>
        Share it
      </Button>
    </View>
  );
};

const styles = StyleSheet.create({
  more: { gap: 10, marginTop: 4 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  form: { gap: 10, alignItems: 'stretch' },
  line: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  grow: { flex: 1 },
});
