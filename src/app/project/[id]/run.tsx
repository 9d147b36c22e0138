import { useLocalSearchParams } from 'expo-router';
import { RunPlace } from '@/features/run';

export default function RunRoute() {
  const { id, store } = useLocalSearchParams<{ id: string; store?: string }>();
  return <RunPlace id={id} storeId={store ?? ''} key={store} />;
}
