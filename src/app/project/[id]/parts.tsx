import { useLocalSearchParams } from 'expo-router';
import { PartsPlace } from '@/features/parts';

export default function PartsRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PartsPlace id={id} />;
}
