import { View } from 'react-native';
import { tagName } from '@/core/project';
import { asSold } from '@/forms';
import { SectionHeader, Row, Text } from '@/ui';
import { lastPrice, type Ask, type Visit } from './aisle';
import type { PriceBookView } from './priceBookView';

interface Props {
  desk: PriceBookView;
  visit: Visit;
  asks: Ask[];
  onVisit: (visit: Visit) => void;
}

/** All there is to find here, and what became of it: any can be gone back to. */
export const AisleList = ({ desk, visit, asks, onVisit }: Props) => (
  <View role="group" aria-label="What is needed here">
    <SectionHeader title="What is needed here" note={`${asks.length}`} />
    {asks.map((ask) => {
      const answer = visit.answers[ask.key];
      const priced = answer && answer.kind !== 'passed' ? desk.book.prices[answer.priceId] : undefined;
      const last = lastPrice(ask);
      const note =
        answer?.kind === 'out'
          ? 'out of stock'
          : answer?.kind === 'passed'
            ? 'passed by'
            : priced
              ? asSold(priced, desk.currency)
              : last && ask.last
                ? `last ${asSold({ ...last, pack: ask.last.pack, minQty: 1 }, desk.currency)}`
                : 'never seen here';
      return (
        <Row
          key={ask.key}
          isChosen={visit.key === ask.key}
          onPress={() => onVisit({ ...visit, key: ask.key, entry: null })}
          label={`${tagName(ask.item)}: ${note}`}
          style={{ paddingVertical: 8, paddingHorizontal: 16 }}
        >
          <Text tone={answer ? 'soft' : 'ink'}>
            {answer ? '✓ ' : ''}
            {tagName(ask.item)}
          </Text>
          <Text size="small" tone="soft">
            {note}
          </Text>
        </Row>
      );
    })}
  </View>
);
