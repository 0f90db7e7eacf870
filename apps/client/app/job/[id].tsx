import { useLocalSearchParams } from 'expo-router';
import { Suspense, lazy } from 'react';
import { Waiting } from '../../src/ui/Waiting';

const PlanScreen = lazy(() => import('../../src/heart').then((heart) => ({ default: heart.PlanScreen })));

export default function JobRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <Suspense fallback={<Waiting />}>
      <PlanScreen id={id} />
    </Suspense>
  );
}
