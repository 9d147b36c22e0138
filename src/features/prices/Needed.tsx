import { StyleSheet, View } from 'react-native';
import type { Need, Offer } from '@/core/pricing';
import { SectionHeader, Button, Row, Text } from '@/ui';
import type { PriceBookView } from './priceBookView';
import { NeedCard, needTitle } from './NeedCard';
import { PriceAges } from './PriceAges';
import { WhatIf } from './WhatIf';

interface Props {
  desk: PriceBookView;
  onFill: (need: Need) => void;
  onOpen: (offer: Offer) => void;
}

/** What is needed: first what has no price yet, then what each store asks for the rest. */
export const Needed = ({ desk, onFill, onOpen }: Props) => {
  const missing = desk.needs.filter((need) => need.offers.length === 0 && need.ripped.length === 0);
  const ripped = desk.needs.filter((need) => need.offers.length === 0 && need.ripped.length > 0);
  const priced = desk.needs.filter((need) => need.offers.length > 0);
  return (
    <>
      {missing.length > 0 ? <Missing needs={missing} onFill={onFill} /> : null}
      {desk.needs.length === 0 ? (
        <Text style={styles.pad}>Nothing is needed yet. Add parts to a project first.</Text>
      ) : null}
      {desk.project ? <PriceAges desk={desk} project={desk.project} /> : null}
      {ripped.length > 0 ? <Ripped needs={ripped} onFill={onFill} /> : null}
      {priced.map((need) => (
        <NeedCard key={need.key} need={need} desk={desk} onAdd={() => onFill(need)} onOpen={onOpen} />
      ))}
      {desk.open ? <WhatIf open={desk.open} /> : null}
    </>
  );
};

const Missing = ({ needs, onFill }: { needs: Need[]; onFill: (need: Need) => void }) => (
  <View role="region" aria-label="No price yet">
    <SectionHeader
      title="No price yet"
      note={`${needs.length} ${needs.length === 1 ? 'thing' : 'things'}`}
      tone="bad"
    />
    {needs.map((need) => (
      <Row key={need.key} style={styles.row}>
        <View style={styles.missing}>
          <View style={styles.grow}>
            <Text>{needTitle(need)}</Text>
            <Text size="small" tone="soft">
              for {need.parts.map(({ name }) => name).join(', ')}
            </Text>
          </View>
          <Button
            mode="contained"
            onPress={() => onFill(need)}
            accessibilityLabel={`Add a price for ${needTitle(need)}`}
          >
            Add a price
          </Button>
        </View>
      </Row>
    ))}
  </View>
);

/** What nobody sells as it is, and is ripped from wider boards. */
const Ripped = ({ needs, onFill }: { needs: Need[]; onFill: (need: Need) => void }) => (
  <View role="region" aria-label="Ripped from wider boards">
    <SectionHeader title="Ripped from wider boards" note="with the table saw" />
    {needs.map((need) => (
      <Row
        key={need.key}
        style={styles.row}
        onPress={() => onFill(need)}
        label={`Add a price for ${needTitle(need)}`}
      >
        <View style={styles.grow}>
          <Text>{needTitle(need)}</Text>
          <Text size="small" tone="soft">
            {`from ${[...new Set(need.ripped.map(({ item }) => `${item.section} ${item.material}`))].join(', ')}`}
          </Text>
        </View>
      </Row>
    ))}
  </View>
);

const styles = StyleSheet.create({
  pad: { padding: 16 },
  row: { padding: 12, paddingHorizontal: 16 },
  missing: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  grow: { flex: 1 },
});
