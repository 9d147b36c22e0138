import { View } from 'react-native';
import { formatLength } from '@/core/measure';
import { amountOf, perPiece, type Need, type Offer } from '@/core/prices';
import type { Price } from '@/core/project';
import type { OpenProject } from '@/data';
import { Band, Button, Row } from '@/ui';
import { OfferLine } from './OfferLine';

/** `2x4 · treated`, `18mm sheet · birch ply`, `deck screws`. */
export const needTitle = ({ kind, name, materials }: Need): string =>
  [kind === 'sheet' ? `${name} sheet` : name, materials.join(' or ')]
    .filter((word) => word !== '')
    .join(' · ');

/** One thing that is needed and what each store asks for it, the cheapest first. */
export const NeedCard = ({
  need,
  open: { project, book },
  onAdd,
  onEdit,
}: {
  need: Need;
  open: OpenProject;
  onAdd: () => void;
  onEdit: (price: Price) => void;
}) => {
  const sorted = [...need.offers].sort((a, b) => compared(a) - compared(b) || (a.key < b.key ? -1 : 1));
  const size =
    need.kind === 'hardware'
      ? `${need.count} pieces`
      : `${need.count} pieces, longest ${formatLength(need.longest, project.unit)}`;
  return (
    <View role="group" aria-label={needTitle(need)}>
      <Band title={needTitle(need)} note={size} />
      {sorted.map((offer, index) => (
        <OfferLine
          key={offer.key}
          title={book.stores[offer.storeId]?.name ?? ''}
          subtitle={offer.name}
          offer={offer}
          project={project}
          isCheapest={index === 0 && sorted.length > 1}
          onEdit={onEdit}
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
const compared = (offer: Offer): number => {
  const amount =
    offer.item.kind === 'board'
      ? amountOf(offer.item, 'm')
      : offer.item.kind === 'sheet'
        ? amountOf(offer.item, 'm2')
        : 1;
  return perPiece(offer) / (amount || 1);
};
