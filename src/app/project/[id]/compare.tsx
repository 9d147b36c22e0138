import { useLocalSearchParams } from 'expo-router';
import { ComparePlace } from '@/features/compare';

export default function CompareRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ComparePlace id={id} />;
}
