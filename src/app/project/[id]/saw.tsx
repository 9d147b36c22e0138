import { useLocalSearchParams } from 'expo-router';
import { SawPlace } from '@/features/saw';

export default function SawRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <SawPlace id={id} />;
}
