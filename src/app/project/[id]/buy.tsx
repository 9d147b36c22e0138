import { useLocalSearchParams } from 'expo-router';
import { BuyPlace } from '@/features/buy';

export default function BuyRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <BuyPlace id={id} />;
}
