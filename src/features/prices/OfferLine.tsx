import { StyleSheet, View } from 'react-native';
import { formatDay, formatTag } from '@/core/measure';
import { asCompared, type Offer } from '@/core/prices';
import type { Price, Project } from '@/core/project';
import { Row, Stamp, Words } from '@/ui';
import { asSold } from './words';

interface Props {
  title: string;
  /** Under the title, before the price as sold. */
  subtitle?: string;
  offer: Offer;
  project: Project;
  isCheapest: boolean;
  onEdit: (price: Price) => void;
}

/** One offer: as sold, what one purchase comes to, as compared, and when it was seen. */
export const OfferLine = ({ title, subtitle, offer, project, isCheapest, onEdit }: Props) => {
  const seen = offer.tiers[0]?.price;
  if (!seen) return null;
  const sold = offer.tiers.map(({ price }) => asSold(price, project.currency)).join(', ');
  return (
    <Row
      onPress={() => onEdit(seen)}
      label={`Change the price of ${offer.name}, ${title}: ${sold}`}
      style={styles.row}
    >
      <View style={styles.line}>
        <View style={styles.grow}>
          <View style={styles.head}>
            <Words>{title}</Words>
            {isCheapest ? <Stamp text="cheapest" /> : null}
          </View>
          <Words size="small" tone="soft">
            {[subtitle, sold, seen.date ? `seen ${formatDay(seen.date)}` : 'date unknown']
              .filter(Boolean)
              .join(' · ')}
          </Words>
        </View>
        <View>
          <Words size="strong" align="right">
            {formatTag(Math.round((offer.tiers[0]?.unitPrice ?? 0) / 10_000) * 10_000, project.currency)}
          </Words>
          <Words size="small" tone="soft" align="right">
            {asCompared(offer, project.unit, project.currency)}
          </Words>
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
