import { View } from 'react-native';
import { formatLength } from '@/core/units';
import { comparedBy, perPiece, pieceBy, type Need, type Offer } from '@/core/pricing';
import { SectionHeader, Button, Row } from '@/ui';
import type { PriceBookView } from './priceBookView';
import { OfferLine } from './OfferLine';

/** `2x4 · treated`, `18mm sheet · birch ply`, `deck screws`. */
export const needTitle = ({ kind, name, materials }: Need): string =>
  [kind === 'sheet' ? `${name} sheet` : name, materials.join(' or ')]
    .filter((word) => word !== '')
    .join(' · ');

/** One thing that is needed and what each store asks for it, the cheapest first. */
export const NeedCard = ({
  need,
  desk,
  onAdd,
  onOpen,
}: {
  need: Need;
  desk: PriceBookView;
  onAdd: () => void;
  onOpen: (offer: Offer) => void;
}) => {
  const isOut = (offer: Offer) => Number(offer.available === 0);
  const sorted = [...need.offers].sort(
    (a, b) => isOut(a) - isOut(b) || compared(a) - compared(b) || (a.key < b.key ? -1 : 1),
  );
  const pieces = `${need.count} ${need.count === 1 ? 'piece' : 'pieces'}`;
  const size =
    need.kind === 'hardware' ? pieces : `${pieces}, longest ${formatLength(need.longest, desk.unit)}`;
  return (
    <View role="group" aria-label={needTitle(need)}>
      <SectionHeader title={needTitle(need)} note={size} />
      {sorted.map((offer, index) => (
        <OfferLine
          key={offer.key}
          title={desk.book.stores[offer.storeId]?.name ?? ''}
          subtitle={offer.name}
          offer={offer}
          desk={desk}
          isCheapest={index === 0 && sorted.length > 1 && offer.available !== 0}
          onOpen={onOpen}
        />
      ))}
      <Row>
        <Button
          onPress={onAdd}
          icon="add"
          contentStyle={{ justifyContent: 'flex-start' }}
          accessibilityLabel={`Add another price for ${needTitle(need)}`}
        >
          Add another price
        </Button>
      </Row>
    </View>
  );
};

/** Per length, area or piece: what makes offers of one need comparable. */
const compared = (offer: Offer): number =>
  pieceBy(offer, comparedBy(offer.item.kind, 'mm')) ?? perPiece(offer);
