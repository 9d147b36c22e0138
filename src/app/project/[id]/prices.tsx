import { useLocalSearchParams } from 'expo-router';
import { PricesPlace } from '@/features/prices';

/** What a project needs of the price book. */
export default function PricesRoute() {
  const { id, take } = useLocalSearchParams<{ id: string; take?: string }>();
  return <PricesPlace id={id} key={take ?? ''} asksFile={take === 'file'} />;
}
