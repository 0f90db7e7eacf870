import { lazy } from 'react';
import { Part } from '../src/ui/Part';

const NewJobScreen = lazy(() => import('../src/heart').then((heart) => ({ default: heart.NewJobScreen })));

export default function NewJobRoute() {
  return (
    <Part>
      <NewJobScreen />
    </Part>
  );
}
