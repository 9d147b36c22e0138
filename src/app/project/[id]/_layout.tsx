import { useEffect } from 'react';
import { Slot, useLocalSearchParams } from 'expo-router';
import { BuyPlace } from '@/features/buy';
import { ComparePlace } from '@/features/compare';
import { PartsPlace } from '@/features/parts';
import { PricesPlace } from '@/features/prices';
import { ProjectFrame } from '@/features/projects/ProjectFrame';
import { RunPlace } from '@/features/run';
import { ErrorScreen } from '@/features/shell/ErrorScreen';
import { SpendPlace } from '@/features/spend';

/** When a project has been on screen for so long, the code of its other places is fetched. */
const SETTLED = 1200;

export default function ProjectLayout() {
  const { id } = useLocalSearchParams<{ id: string }>();
  useEffect(() => {
    const timer = setTimeout(() => {
      void PartsPlace.ready();
      void PricesPlace.ready();
      void BuyPlace.ready();
      void ComparePlace.ready();
      void SpendPlace.ready();
      void RunPlace.ready();
    }, SETTLED);
    return () => clearTimeout(timer);
  }, []);
  return (
    <ProjectFrame id={id} key={id}>
      <ErrorScreen where="This place">
        <Slot />
      </ErrorScreen>
    </ProjectFrame>
  );
}
