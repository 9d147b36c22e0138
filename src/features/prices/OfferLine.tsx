import { StyleSheet, View } from 'react-native';
import { asCompared, seriesOf, type Offer } from '@/core/pricing';
import { asSold } from '@/forms';
import { Row, StatusBadge, TrendLine, Text } from '@/ui';
import type { PriceBookView } from './priceBookView';
import { ageOf, cents, lowestBy, trendWords } from './words';

interface Props {
  title: string;
  /** Under the title, before the price as sold. */
  subtitle?: string;
  offer: Offer;
  desk: PriceBookView;
  isCheapest: boolean;
  onOpen: (offer: Offer) => void;
}

/** One offer: as sold, what one purchase comes to, as compared, when it was seen and how it moved. */
export const OfferLine = ({ title, subtitle, offer, desk, isCheapest, onOpen }: Props) => {
  const [tier] = offer.tiers;
  if (!tier) return null;
  const sold = offer.tiers.map(({ price }) => asSold(price, desk.currency)).join(', ');
  const age = ageOf(offer, desk);
  const isInPlan = desk.inPlan.has(offer.key);
  const trend = trendWords(offer, desk);
  const series = trend === '' ? [] : seriesOf(offer, desk.book);
  return (
    <Row
      onPress={() => onOpen(offer)}
      label={`${offer.name}, ${title}: ${sold}, ${age.text}`}
      style={styles.row}
    >
      <View style={styles.line}>
        <View style={styles.grow}>
          <View style={styles.head}>
            <Text>{title}</Text>
            {isInPlan ? <StatusBadge text="in the plan" /> : null}
            {isCheapest ? <StatusBadge text={lowestBy(offer, desk.unit)} tone="plain" /> : null}
            {offer.available === 0 ? <StatusBadge text="out of stock" tone="bad" /> : null}
          </View>
          <Text size="small" tone="soft">
            {[subtitle, sold].filter(Boolean).join(' · ')}
          </Text>
          <View style={styles.head}>
            <Text size="small" tone={age.isOld ? 'bad' : 'soft'}>
              {age.text}
            </Text>
            {series.length > 1 ? (
              <>
                <TrendLine
                  values={series.map(({ unitPrice }) => unitPrice)}
                  label={`Its price went ${trend}`}
                />
                <Text size="small" tone="soft">
                  {trend}
                </Text>
              </>
            ) : null}
          </View>
        </View>
        <View>
          <Text size="strong" align="right">
            {cents(tier.unitPrice, desk.currency)}
          </Text>
          <Text size="small" tone="soft" align="right">
            {asCompared(offer, desk.unit, desk.currency)}
          </Text>
        </View>
      </View>
    </Row>
  );
};

const styles = StyleSheet.create({
  row: { paddingVertical: 10, paddingHorizontal: 16 },
  line: { flexDirection: 'row', gap: 12, alignItems: 'center' },
  head: { flexDirection: 'row', gap: 10, alignItems: 'center', flexWrap: 'wrap' },
  grow: { flex: 1 },
});
