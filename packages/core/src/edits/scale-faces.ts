import { deriveFloor } from '../derived';
import type { Draft } from '../plan/draft';
import type { Place, Underlay } from '../plan/plan';
import { networkOfFloor } from '../rooms';
import { valueOnPlan } from '../trueup';
import { covers } from '../underlay';
import { putReading } from './readings';
import { tracedValue } from './trace';

/**
 * The inner faces of rooms at walls that this edit drew are as long as the picture says, where nothing else tells how long they are: where a wall
 * across begins is in the picture too.
 */
export function scaleFaces(draft: Draft, underlay: Underlay, time: string): void {
  const { floor } = underlay;
  const network = networkOfFloor(draft, floor);
  const derived = deriveFloor(draft.plan(), floor);
  const touched = derived.rooms.filter(({ faces }) =>
    faces.some((face) => face.halves.some((half) => !Object.hasOwn(draft.before.walls, half.wall.id))),
  );
  for (const face of touched.flatMap((room) => room.faces)) {
    if (face.bulge !== 0 || face.provenance !== 'rough') continue;
    if (!covers(underlay, face.a) || !covers(underlay, face.b)) continue;
    const place: Place = { kind: 'length', face: 'inside', from: face.from, to: face.to, via: [] };
    if (valueOnPlan(network, place) !== null)
      putReading(draft, floor, place, { ...tracedValue(draft, underlay, face.a, face.b), time });
  }
}
