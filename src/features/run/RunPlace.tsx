import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { useRouter } from 'expo-router';
import {
  aislesWith,
  cartLine,
  cartOf,
  replanWords,
  runLines,
  type RunLine,
  type Deviation,
} from '@/core/budget';
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
import {
  SectionHeader,
  Button,
  Columns,
  IconAction,
  PurchaseForm,
  useAwake,
  useColors,
  useIsWide,
  Text,
} from '@/ui';
import { cartCommand, takeOut, type Run } from './cart';
import { CartList } from './CartList';
import { ElseForm } from './ElseForm';
import { Paid } from './Paid';
import { RunRow } from './RunRow';
import { TakeForm } from './TakeForm';
import { TillForm } from './TillForm';

const isSurprise = isLike<Deviation>({ cause: '', item: '', before: [], total: 0 });

/** Shopping at one store, list in hand: what is ticked goes in the cart, and what is otherwise plans the rest anew. */
export const RunPlace = ({ id, storeId }: { id: string; storeId: string }) => {
  const open = useProject(id);
  const kept = useDraft(`run-${id}`, isSurprise);
  if (!open || kept === undefined)
    return <ActivityIndicator style={styles.wait} aria-label="Opening the list" />;
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

type Shown =
  | { kind: 'take'; line: RunLine }
  | { kind: 'else'; line: RunLine | null }
  | { kind: 'line'; index: number }
  | { kind: 'till' }
  | null;

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
  const isWide = useIsWide();
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
    open.dispatch(cartCommand(run, [cartLine(line, line.quantity, line.paid, store, project)]));
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
  const detail =
    shown?.kind === 'take' ? (
      <TakeForm
        key={shown.line.key}
        run={run}
        line={lineOf(shown.line)}
        onSurprise={surprised}
        onElse={() => setShown({ kind: 'else', line: shown.line })}
        onClose={close}
      />
    ) : shown?.kind === 'else' ? (
      <ElseForm
        key={`else-${shown.line?.key ?? ''}`}
        run={run}
        instead={shown.line}
        onSurprise={surprised}
        onClose={close}
      />
    ) : shown?.kind === 'line' && cart?.lines[shown.index] ? (
      <PurchaseForm
        key={`line-${shown.index}`}
        project={project}
        stores={[store]}
        at={{ purchase: cart, line: shown.index, isNew: false }}
        isPlanned
        onSave={(purchase) =>
          open.dispatch({ type: 'recordPurchase', purchase, charges: { trip: 0, shipping: null } })
        }
        onRemove={{ label: 'Out of the cart', run: () => untick(shown.index) }}
        onClose={close}
      />
    ) : shown?.kind === 'till' && cart ? (
      <TillForm
        run={run}
        cart={cart}
        onClose={close}
        onPaid={(purchase) => {
          surprised(null);
          setPaid(purchase);
          close();
        }}
      />
    ) : null;
  return (
    <View style={styles.place}>
      <Columns detail={detail}>
        <View style={styles.head}>
          <IconAction icon="back" label="Back to Buy" onPress={leave} />
          <View style={styles.grow}>
            <Text size="title">{store.name}</Text>
            <Text size="small" tone="soft">
              {[
                lines.length === 0 ? 'nothing more to take' : `${lines.length} to take`,
                doing === null ? '' : 'still looking for a cheaper way',
                isAwake ? 'the screen stays on' : '',
              ]
                .filter(Boolean)
                .join(' · ')}
            </Text>
          </View>
        </View>
        {surprise ? (
          <View
            role="status"
            aria-busy={told === null || doing !== null}
            style={[
              styles.told,
              { backgroundColor: colors.pale, borderColor: told?.isWorse ? colors.red : colors.spruce },
            ]}
          >
            <Text style={styles.grow}>{told ? told.text : `${surprise.cause}: planning the rest anew`}</Text>
            <IconAction icon="check" label="Seen: put this note away" onPress={() => surprised(null)} />
          </View>
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
        {lines.map((line, index) => {
          const before = lines[index - 1]?.category;
          const earlier = before && {
            note: 'move up',
            label: `${AISLES[line.category]}: move up, before ${AISLES[before].toLowerCase()}`,
            onPress: () =>
              open.dispatch({
                type: 'editStore',
                storeId: store.id,
                fields: { aisles: aislesWith(store, line.category, before) },
              }),
          };
          return (
            <View key={line.key}>
              {line.category === before ? null : <SectionHeader title={AISLES[line.category]} {...earlier} />}
              <RunRow
                line={line}
                project={project}
                book={book}
                isTaken={pending.has(line.key)}
                onTick={() => tick(line)}
                onOpen={() => setShown({ kind: 'take', line })}
              />
            </View>
          );
        })}
        {lines.length === 0 && !cart && !paid ? (
          <Text style={styles.pad}>{`Nothing is to buy at ${store.name} as things stand.`}</Text>
        ) : null}
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
      {isWide ? null : detail}
    </View>
  );
};

const AISLES: Record<RunLine['category'], string> = {
  wood: 'Boards',
  sheets: 'Sheets',
  hardware: 'Hardware',
  finish: 'Finish',
  consumables: 'Used up in building',
  tools: 'Tools',
  trips: 'Trips',
  other: 'Other',
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
