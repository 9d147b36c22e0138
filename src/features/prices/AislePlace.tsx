import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { useRouter } from 'expo-router';
import { isLike, keepDraft, newId, today, useDraft } from '@/hooks';
import { emptyStore } from '@/core/project';
import { Button, IconAction, Row, TextField, useColors, useIsWide, Text } from '@/ui';
import { asksOf, type Visit } from './aisle';
import { AisleEntry } from './AisleEntry';
import { AisleList } from './AisleList';
import { usePriceBookView, type PriceBookView } from './priceBookView';
import { storeWords } from './words';

const NAME = 'aisle';
const newVisit = (storeId: string): Visit => ({ storeId, day: today(), answers: {}, key: null, entry: null });
const isVisit = isLike(newVisit(''));

/** Prices typed at the shelf: the store once, then one thing after the other that the projects need there. */
export const AislePlace = ({ projectId }: { projectId: string | null }) => {
  const desk = usePriceBookView(projectId);
  const kept = useDraft(NAME, isVisit);
  const router = useRouter();
  if (desk === null) return <ActivityIndicator style={styles.wait} aria-label="Reading the prices" />;
  if (desk === undefined) return null;
  const back = () => {
    keepDraft(NAME, null);
    router.navigate(projectId === null ? '/prices' : `/project/${projectId}/prices`);
  };
  // A visit of another day is over; its prices are in the book.
  const goesOn = kept && kept.day === today() && desk.book.stores[kept.storeId] ? kept : null;
  return <Aisle desk={desk} kept={goesOn} onBack={back} />;
};

const Aisle = ({ desk, kept, onBack }: { desk: PriceBookView; kept: Visit | null; onBack: () => void }) => {
  const [visit, setVisit] = useState<Visit | null>(kept);
  const colors = useColors();
  const isWide = useIsWide();
  const change = (next: Visit | null) => {
    setVisit(next);
    keepDraft(NAME, next);
  };
  const store = visit ? desk.book.stores[visit.storeId] : undefined;
  const asks = visit && store ? asksOf(desk, visit.storeId) : [];
  const done = visit ? asks.filter(({ key }) => key in visit.answers).length : 0;
  return (
    <View style={styles.place}>
      <View style={[styles.head, { borderColor: colors.hairline }]}>
        <IconAction icon="back" label="Back to prices" onPress={onBack} />
        <View style={styles.grow}>
          <Text size="title" level={1} numberOfLines={1}>
            {store?.name ?? 'Which store are you in?'}
          </Text>
          {store ? (
            <Text size="small" tone="soft">
              {done} of {asks.length} done
            </Text>
          ) : null}
        </View>
        {store ? <Button onPress={() => change(null)}>Another store</Button> : null}
      </View>
      {visit && store ? (
        <View style={[styles.body, isWide && styles.beside]}>
          <AisleEntry desk={desk} visit={visit} asks={asks} onVisit={change} onDone={onBack} />
          {isWide ? (
            <ScrollView style={[styles.list, { borderColor: colors.hairline }]}>
              <AisleList desk={desk} visit={visit} asks={asks} onVisit={change} />
            </ScrollView>
          ) : null}
        </View>
      ) : (
        <StoreChoice desk={desk} onChoose={(storeId) => change(newVisit(storeId))} />
      )}
    </View>
  );
};

const StoreChoice = ({ desk, onChoose }: { desk: PriceBookView; onChoose: (storeId: string) => void }) => {
  const [name, setName] = useState('');
  const isTaken = desk.stores.some((store) => store.name.toLowerCase() === name.trim().toLowerCase());
  const add = () => {
    if (name.trim() === '' || isTaken) return;
    const store = emptyStore(newId(), name.trim(), desk.currency);
    desk.dispatch({ type: 'putStore', store });
    onChoose(store.id);
  };
  return (
    <ScrollView>
      {desk.stores.map((store) => (
        <Row key={store.id} onPress={() => onChoose(store.id)} label={store.name} style={styles.store}>
          <Text size="strong">{store.name}</Text>
          <Text size="small" tone="soft">
            {storeWords(store)}
          </Text>
        </Row>
      ))}
      <View style={styles.another}>
        <TextField
          label="Another store, by name"
          value={name}
          onChange={setName}
          error={isTaken ? 'It is in the list above.' : null}
          onSubmitEditing={add}
        />
        <Button mode="outlined" onPress={add} disabled={name.trim() === ''}>
          I am there
        </Button>
      </View>
    </ScrollView>
  );
};

const styles = StyleSheet.create({
  wait: { marginTop: 80 },
  place: { flex: 1 },
  head: { flexDirection: 'row', alignItems: 'center', minHeight: 56, borderBottomWidth: 1, paddingRight: 8 },
  grow: { flex: 1 },
  body: { flex: 1 },
  beside: { flexDirection: 'row' },
  list: { width: 420, flexGrow: 0, borderLeftWidth: 1 },
  store: { padding: 14, paddingHorizontal: 16 },
  another: { padding: 16, gap: 10, maxWidth: 520 },
});
