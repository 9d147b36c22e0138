import { Slot, useLocalSearchParams } from 'expo-router';
import { ProjectFrame } from '@/features/projects/ProjectFrame';

export default function ProjectLayout() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <ProjectFrame id={id} key={id}>
      <Slot />
    </ProjectFrame>
  );
}
