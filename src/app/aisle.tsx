import { useLocalSearchParams } from 'expo-router';
import { AislePlace } from '@/features/prices';

/** Prices typed in the aisle. */
export default function AisleRoute() {
  const { project } = useLocalSearchParams<{ project?: string }>();
  return <AislePlace projectId={project ?? null} />;
}
