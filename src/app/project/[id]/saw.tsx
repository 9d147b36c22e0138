import { useLocalSearchParams } from 'expo-router';
import { SawPlace } from '@/features/saw';

/** At the saw. */
export default function SawRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <SawPlace id={id} />;
}
