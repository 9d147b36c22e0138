import { useLocalSearchParams } from 'expo-router';
import { PartsPlace } from '@/features/parts';

/** What a project is made of. */
export default function PartsRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PartsPlace id={id} />;
}
