import { StyleSheet, View } from 'react-native';
import { formatDay, fromMain } from '@/core/units';
import { emptyStore, type Store } from '@/core/project';
import { nameKey } from '@/core/lumber';
import { newId, notify, useFeedStores, type FeedStore } from '@/hooks';
import { count } from '@/forms';
import { SectionHeader, Button, Row, Text } from '@/ui';
import type { PriceBookView } from './priceBookView';
import { storeWords } from './words';

/** The stores of the book, and those whose prices can be followed. */
export const StoreList = ({
  desk,
  onOpen,
}: {
  desk: PriceBookView;
  onOpen: (storeId: string | null) => void;
}) => {
  const { stores, project, offers } = desk;
  return (
    <>
      <View style={styles.pad}>
        <Button mode="outlined" icon="add" onPress={() => onOpen(null)}>
          Add a store
        </Button>
      </View>
      {stores.map((store) => (
        <Row
          key={store.id}
          onPress={() => onOpen(store.id)}
          label={`Change ${store.name}`}
          style={styles.row}
        >
          <View style={styles.line}>
            <View style={styles.grow}>
              <Text size="strong">{store.name}</Text>
              <Text size="small" tone="soft">
                {storeWords(store)}
                {project?.excludedStores.includes(store.id) ? ' · not used for this project' : ''}
              </Text>
            </View>
            <Text size="small" tone="soft">
              {count(offers.filter(({ storeId }) => storeId === store.id).length, 'price')}
            </Text>
          </View>
        </Row>
      ))}
      <Followed desk={desk} />
    </>
  );
};

/** Stores that tell their prices themselves: to follow, or to follow no more. */
const Followed = ({ desk }: { desk: PriceBookView }) => {
  const { data, error, fetchStatus, refetch, isPending } = useFeedStores(true);
  const told = (data ?? []).filter(({ currency }) => currency === desk.currency);
  return (
    <View role="region" aria-label="Stores that tell their prices">
      <SectionHeader title="Stores that tell their prices" note="a service, looked at when you open Prices" />
      {error ? (
        <View style={styles.trouble}>
          <Text tone="bad" style={styles.grow}>
            {error.message}
          </Text>
          <Button mode="outlined" onPress={() => void refetch()}>
            Ask again
          </Button>
        </View>
      ) : null}
      {isPending ? (
        <Text tone="soft" style={styles.pad}>
          {fetchStatus === 'paused' ? 'No signal: they are asked when there is one.' : 'Asking …'}
        </Text>
      ) : null}
      {data && told.length === 0 ? (
        <Text tone="soft" style={styles.pad}>
          None tells prices in {desk.currency}.
        </Text>
      ) : null}
      {told.map((store) => (
        <FollowRow key={store.id} told={store} desk={desk} />
      ))}
    </View>
  );
};

const FollowRow = ({ told, desk }: { told: FeedStore; desk: PriceBookView }) => {
  const { stores, dispatch, undo } = desk;
  const held =
    stores.find(({ feed }) => feed?.id === told.id) ??
    stores.find(({ name }) => nameKey(name) === nameKey(told.name));
  const follow = () => {
    const store: Store = held ?? {
      ...emptyStore(newId(), told.name, told.currency),
      kind: told.kind,
      trip: fromMain(told.trip, told.currency),
    };
    dispatch({ type: 'putStore', store: { ...store, feed: { id: told.id, taken: null } } });
    notify({ text: `${told.name} is followed. Its prices wait to be looked at.` });
  };
  const leave = (store: Store) => {
    dispatch({ type: 'editStore', storeId: store.id, fields: { feed: undefined } });
    notify({
      text: `${told.name} is followed no more. Its prices stay.`,
      action: { label: 'Undo', run: undo },
    });
  };
  return (
    <Row style={styles.row}>
      <View style={styles.line}>
        <View style={styles.grow}>
          <Text>{told.name}</Text>
          <Text size="small" tone="soft">
            {held?.feed
              ? `followed · ${held.feed.taken ? `looked at ${formatDay(held.feed.taken)}` : 'not looked at yet'}`
              : told.kind}
          </Text>
        </View>
        {held?.feed ? (
          <Button onPress={() => leave(held)} accessibilityLabel={`Stop following ${told.name}`}>
            Stop
          </Button>
        ) : (
          <Button mode="outlined" onPress={follow} accessibilityLabel={`Follow ${told.name}`}>
            Follow
          </Button>
        )}
      </View>
    </Row>
  );
};

const styles = StyleSheet.create({
  pad: { padding: 16, alignItems: 'flex-start' },
  row: { padding: 12, paddingHorizontal: 16 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  grow: { flex: 1 },
  trouble: { flexDirection: 'row', alignItems: 'center', gap: 12, padding: 16 },
});
