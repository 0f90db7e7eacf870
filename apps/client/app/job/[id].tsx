import { useLocalSearchParams } from 'expo-router';
import { PlanScreen } from '../../src/features/plan/PlanScreen';

export default function JobRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PlanScreen id={id} />;
}
