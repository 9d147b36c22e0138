import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { useRouter } from 'expo-router';
import { cartLine, cartOf, replanWords, runLines, type RunLine, type Deviation } from '@/core/budget';
import { formatMoney } from '@/core/units';
import { shownPlan } from '@/core/plan';
import { tagName, wholeLines, type Purchase } from '@/core/project';
import {
  isLike,
  keepDraft,
  notify,
  useDraft,
  usePending,
  usePlanned,
  useProject,
  type OpenProject,
  type PlannedProject,
} from '@/hooks';
import { Button, Columns, IconAction, useAwake, useColors, Text } from '@/ui';
import { UnpricedFold } from '@/forms';
import { cartCommands, takeOut, type Run } from './cart';
import { CartList } from './CartList';
import { Paid } from './Paid';
import { Lines } from './RunLines';
import { formOf, type Shown } from './RunForms';
import { StoreSawing } from './StoreSawing';

const isSurprise = isLike<Deviation>({ cause: '', item: '', before: [], total: 0 });

/** Shopping at one store, list in hand: what is ticked goes in the cart, and what is otherwise plans the rest anew. */
export const RunPlace = ({ id, storeId }: { id: string; storeId: string }) => {
  const open = useProject(id);
  const kept = useDraft(`run-${id}`, isSurprise);
  if (!open) return <ActivityIndicator style={styles.wait} aria-label="Opening the list" />;
  const store = open.book.stores[storeId];
  if (!store)
    return (
      <View style={styles.pad}>
        <Text>This store is not in the price book any more. Choose one under Buy.</Text>
      </View>
    );
  return <Planned open={open} storeId={storeId} kept={kept} />;
};

const Planned = ({ open, ...rest }: { open: OpenProject; storeId: string; kept: Deviation | null }) => {
  const planned = usePlanned(open);
  return planned ? (
    <Shopping open={planned} {...rest} />
  ) : (
    <ActivityIndicator style={styles.wait} aria-label="Opening the list" />
  );
};

const Shopping = ({
  open,
  storeId,
  kept,
}: {
  open: PlannedProject;
  storeId: string;
  kept: Deviation | null;
}) => {
  const { project, book, undo, plan, money, isStale, doing } = open;
  const router = useRouter();
  const isAwake = useAwake();
  const colors = useColors();
  const pending = usePending(open.generation);
  const [surprise, setSurprise] = useState(kept);
  const [shown, setShown] = useState<Shown>(null);
  const [paid, setPaid] = useState<Purchase | null>(null);
  const store = book.stores[storeId];
  if (!store) return null;
  const run: Run = { open, store, plan, money };
  const cart = cartOf(project, storeId);
  const lines = runLines(project, book, plan, storeId);
  const said = (sum: number) => formatMoney(sum, project.currency);
  const inCart = cart ? wholeLines(cart) : 0;
  const surprised = (next: Deviation | null) => {
    setSurprise(next);
    keepDraft(`run-${project.id}`, next);
  };
  const close = () => setShown(null);
  // As it is now: the plan may have become better since it was opened.
  const lineOf = (opened: RunLine) => lines.find(({ key }) => key === opened.key) ?? opened;
  const tick = (line: RunLine) => {
    if (!pending.claim(line.key)) return;
    surprised(null);
    open.dispatch(cartCommands(run, [cartLine(line, line.quantity, line.paid, store, project)]));
  };
  const untick = (index: number) => {
    const line = cart?.lines[index];
    surprised(null);
    if (line) takeOut(run, line);
    close();
    notify({
      text: `${line ? tagName(line.item) : 'It'} is out of the cart.`,
      action: { label: 'Undo', run: undo },
    });
  };
  const told = surprise && !isStale ? replanWords(surprise, plan, money.total, storeId) : null;
  const leave = () => router.navigate(`/project/${project.id}/buy`);
  const others = (shownPlan(plan)?.stores ?? []).filter((one) => one.storeId !== storeId);
  const detail = formOf(shown, {
    run,
    cart,
    lineOf,
    onShow: setShown,
    onSurprise: surprised,
    onOut: untick,
    onPaid: (purchase) => {
      surprised(null);
      setPaid(purchase);
      close();
    },
    onClose: close,
  });
  return (
    <View style={styles.place}>
      <Columns detail={detail}>
        <View style={styles.head}>
          <IconAction icon="back" label="Back to Buy" onPress={leave} />
          <View style={styles.grow}>
            <Text size="title">{store.name}</Text>
            <Text size="small" tone="soft">
              {headWords(lines.length, doing !== null, isAwake)}
            </Text>
          </View>
        </View>
        {surprise ? (
          <ReplanNote
            told={told}
            cause={surprise.cause}
            isBusy={told === null || doing !== null}
            onSeen={() => surprised(null)}
          />
        ) : null}
        {paid && !cart ? (
          <Paid
            paid={paid}
            others={others}
            said={said}
            onNext={(next) => router.navigate(`/project/${project.id}/run?store=${next}`)}
            onEnd={leave}
          />
        ) : null}
        {lines.length > 0 ? (
          <Text size="small" tone="soft" style={styles.hint}>
            Touch a line that has another price, of which there are fewer, or that is not there.
          </Text>
        ) : null}
        <Lines
          lines={lines}
          open={open}
          storeId={store.id}
          pending={pending}
          onTick={tick}
          onOpen={(line) => setShown({ kind: 'take', line })}
        />
        {lines.length === 0 && !cart && !paid ? (
          <Text style={styles.pad}>{`Nothing is to buy at ${store.name} as things stand.`}</Text>
        ) : null}
        <StoreSawing open={open} storeId={store.id} />
        <UnpricedFold open={open} plan={plan} at={store.id} />
        <View style={styles.another}>
          <Button mode="outlined" icon="add" onPress={() => setShown({ kind: 'else', line: null })}>
            Something that is not on the list
          </Button>
        </View>
        {cart ? (
          <CartList
            cart={cart}
            said={said}
            onOut={untick}
            onOpen={(index) => setShown({ kind: 'line', index })}
          />
        ) : null}
      </Columns>
      {cart ? (
        <View style={[styles.till, { backgroundColor: colors.paper, borderColor: colors.ink }]}>
          <Button mode="contained" onPress={() => setShown({ kind: 'till' })} style={styles.grow}>
            {`To the till: ${said(inCart)}`}
          </Button>
        </View>
      ) : null}
    </View>
  );
};

const headWords = (left: number, isDoing: boolean, isAwake: boolean): string =>
  [
    left === 0 ? 'nothing more to take' : `${left} to take`,
    isDoing ? 'still looking for a cheaper way' : '',
    isAwake ? 'the screen stays on' : '',
  ]
    .filter(Boolean)
    .join(' · ');

/** What a deviation changed, once the rest is planned anew. */
const ReplanNote = ({
  told,
  cause,
  isBusy,
  onSeen,
}: {
  told: ReturnType<typeof replanWords> | null;
  cause: string;
  isBusy: boolean;
  onSeen: () => void;
}) => {
  const colors = useColors();
  return (
    <View
      role="status"
      aria-busy={isBusy}
      style={[
        styles.told,
        { backgroundColor: colors.pale, borderColor: told?.isWorse ? colors.red : colors.spruce },
      ]}
    >
      <Text style={styles.grow}>{told ? told.text : `${cause}: planning the rest anew`}</Text>
      <IconAction icon="check" label="Seen: put this note away" onPress={onSeen} />
    </View>
  );
};

const styles = StyleSheet.create({
  wait: { marginTop: 80 },
  place: { flex: 1 },
  head: { flexDirection: 'row', alignItems: 'center', minHeight: 56, paddingRight: 12 },
  grow: { flex: 1 },
  told: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    marginHorizontal: 12,
    marginBottom: 8,
    paddingLeft: 12,
    paddingVertical: 4,
    borderLeftWidth: 4,
  },
  hint: { paddingHorizontal: 16, paddingBottom: 10 },
  another: { padding: 16, alignItems: 'flex-start' },
  pad: { padding: 16 },
  till: { flexDirection: 'row', padding: 10, borderTopWidth: 1 },
});
