import { useLocalSearchParams } from 'expo-router';
import { lazy } from 'react';
import { Part } from '../../src/ui/Part';

const PlanScreen = lazy(() => import('../../src/heart').then((heart) => ({ default: heart.PlanScreen })));

export default function JobRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <Part>
      <PlanScreen id={id} />
    </Part>
  );
}
