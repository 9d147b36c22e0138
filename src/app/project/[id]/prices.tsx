import { useLocalSearchParams } from 'expo-router';
import { PricesPlace } from '@/features/prices/PricesPlace';

export default function PricesRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PricesPlace id={id} />;
}
