import { Redirect, useLocalSearchParams } from 'expo-router';

export default function ProjectRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <Redirect href={`/project/${id}/parts`} />;
}
