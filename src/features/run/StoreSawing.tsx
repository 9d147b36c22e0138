import { StyleSheet, View } from 'react-native';
import { storeSawing, type StoreSawing as Sawing } from '@/core/budget';
import { formatLength, type LengthUnit } from '@/core/units';
import type { PlannedProject } from '@/hooks';
import { Row, SectionHeader, Text } from '@/ui';

/** What the store saws so that it goes in the car: each a line of its own, with the edge to measure from. */
export const StoreSawing = ({ open, storeId }: { open: PlannedProject; storeId: string }) => {
  const { project, book, plan } = open;
  const sawn = storeSawing(project, book, plan, storeId);
  if (sawn.length === 0) return null;
  return (
    <View role="group" aria-label="To be sawn in the store">
      <SectionHeader title="To be sawn in the store" note="so that it goes in the car" />
      {sawn.map((one, index) => (
        <Row key={index} style={styles.row}>
          <Text>{`${one.count} × ${one.item}`}</Text>
          <Text size="small">{cutWords(one, project.unit)}</Text>
        </Row>
      ))}
    </View>
  );
};

/** `Cut at 84″ and 120″, measured from one end: mark that end.` */
const cutWords = ({ kind, length, width, cuts }: Sawing, unit: LengthUnit): string =>
  (['crosscut', 'rip'] as const)
    .flatMap((way) => {
      const places = cuts.filter((cut) => cut.kind === way).map(({ at }) => formatLength(at, unit));
      if (places.length === 0) return [];
      // The edge that stands square to what is measured.
      const edge = formatLength(way === 'crosscut' ? width : length, unit);
      const from = kind === 'board' && way === 'crosscut' ? 'one end' : `an edge of ${edge}`;
      return [`Cut at ${places.join(' and ')}, measured from ${from}: mark it.`];
    })
    .join(' ');

const styles = StyleSheet.create({ row: { paddingHorizontal: 16, paddingVertical: 10 } });
