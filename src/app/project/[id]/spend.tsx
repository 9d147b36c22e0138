import { useLocalSearchParams } from 'expo-router';
import { SpendPlace } from '@/features/spend';

/** What was spent. */
export default function SpendRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <SpendPlace id={id} />;
}
