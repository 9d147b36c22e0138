import { useLocalSearchParams } from 'expo-router';
import { ComparePlace } from '@/features/compare';

/** Ways to do it, side by side. */
export default function CompareRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ComparePlace id={id} />;
}
