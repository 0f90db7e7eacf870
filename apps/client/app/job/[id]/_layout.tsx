import { Slot, useGlobalSearchParams, useLocalSearchParams } from 'expo-router';
import { lazy } from 'react';
import { Part } from '../../../src/ui/Part';

const PlanScreen = lazy(() => import('../../../src/heart').then((heart) => ({ default: heart.PlanScreen })));

/** One job, whichever part of it is looked at: the plan stays as it is meanwhile. */
export default function JobRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const { part } = useGlobalSearchParams<{ part?: string }>();
  return (
    <Part>
      <PlanScreen id={id} part={part ?? null} />
      <Slot />
    </Part>
  );
}
