import { useLocalSearchParams } from 'expo-router';
import { RunPlace } from '@/features/run';

/** In the store. */
export default function RunRoute() {
  const { id, store } = useLocalSearchParams<{ id: string; store?: string }>();
  return <RunPlace id={id} storeId={store ?? ''} key={store} />;
}
