import { useLocalSearchParams } from 'expo-router';
import { BuyPlace } from '@/features/buy';

/** What to buy, and the boards. */
export default function BuyRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <BuyPlace id={id} />;
}
