import { Redirect, useLocalSearchParams } from 'expo-router';

/** A project opens at its parts. */
export default function ProjectRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <Redirect href={`/project/${id}/parts`} />;
}
