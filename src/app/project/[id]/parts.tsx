import { useLocalSearchParams } from 'expo-router';
import { PartsPlace } from '@/features/parts/PartsPlace';

export default function PartsRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PartsPlace id={id} />;
}
