import { StyleSheet, View } from 'react-native';
import { wholeLines, type Purchase } from '@/core/project';
import { Button, Text } from '@/ui';

/** What was paid, and where the rest is to be had. */
export const Paid = ({
  paid,
  others,
  said,
  onNext,
  onEnd,
}: {
  paid: Purchase;
  others: { storeId: string; store: string; goods: number; tax: number }[];
  said: (sum: number) => string;
  onNext: (storeId: string) => void;
  onEnd: () => void;
}) => {
  const sum = paid.receipt?.total ?? wholeLines(paid);
  return (
    <View role="region" aria-label="Paid" style={styles.paid}>
      <Text size="strong">{`${said(sum)} paid at ${paid.store}.`}</Text>
      {others.map(({ storeId, store, goods, tax }) => (
        <Button key={storeId} mode="contained" onPress={() => onNext(storeId)}>
          {`Go on at ${store}: ${said(goods + tax)}`}
        </Button>
      ))}
      <Button mode={others.length === 0 ? 'contained' : 'outlined'} onPress={onEnd}>
        {others.length === 0 ? 'All is bought: back to Buy' : 'Enough for now'}
      </Button>
    </View>
  );
};

const styles = StyleSheet.create({ paid: { padding: 16, gap: 10, alignItems: 'flex-start' } });
