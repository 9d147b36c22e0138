import { useEffect } from 'react';
import { Slot, useGlobalSearchParams, useLocalSearchParams } from 'expo-router';
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

/** The frame around the places of one project. */
export default function ProjectLayout() {
  // From one project straight to another the layout stays, and its own parameters with it: those of the address are meant.
  const own = useLocalSearchParams<{ id: string }>().id;
  const { id = own } = useGlobalSearchParams<{ id?: string }>();
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
