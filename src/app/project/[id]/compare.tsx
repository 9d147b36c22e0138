import { lazy, Suspense } from 'react';
import { ActivityIndicator } from 'react-native-paper';
import { useLocalSearchParams } from 'expo-router';

// Fetched when it is first opened: the first screen does without it.
const ComparePlace = lazy(async () => ({
  default: (await import('@/features/compare/ComparePlace')).ComparePlace,
}));

export default function CompareRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <Suspense fallback={<ActivityIndicator aria-label="Opening" />}>
      <ComparePlace id={id} />
    </Suspense>
  );
}
