import { Suspense, lazy } from 'react';
import { Waiting } from '../src/ui/Waiting';

const NewJobScreen = lazy(() => import('../src/heart').then((heart) => ({ default: heart.NewJobScreen })));

export default function NewJobRoute() {
  return (
    <Suspense fallback={<Waiting />}>
      <NewJobScreen />
    </Suspense>
  );
}
