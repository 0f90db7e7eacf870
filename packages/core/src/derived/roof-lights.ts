import { type SlopeOnFloor, onSheet } from '../ceilings';
import { type Ring, pointAt } from '../geometry';
import { openingSpan } from '../openings';
import type { Opening } from '../plan/plan';
import type { DerivedFloor } from './derive-floor';

/** A roof light where it lies in the slope that rises from its wall. */
export interface RoofLight {
  readonly slope: SlopeOnFloor;
  /** From above, mm. */
  readonly ring: Ring;
  /** How far from the wall its lower and its upper edge are, on plan, mm. */
  readonly from: number;
  readonly to: number;
  /** Its upper edge over the floor, mm. */
  readonly head: number;
}

/** Where a roof light lies: from its sill so far up the slope as it is high; null for what is none, or has no slope over its wall. */
export function roofLightIn(floor: DerivedFloor, opening: Opening): RoofLight | null {
  if (opening.form !== 'roof light') return null;
  const on = floor.slopes.find(
    ({ slope: { stand }, fit }) =>
      stand.kind === 'wall' && stand.wall === opening.wall && stand.side === opening.side && fit && fit.out > 0,
  );
  if (!on?.fit) return null;
  const { fit, frame } = on;
  const room = floor.rooms.find(({ faces }) =>
    faces.some((face) => face.openings.some((each) => each.opening.id === opening.id)),
  );
  const pitch = Math.atan(fit.out);
  const from = Math.max(0, (opening.sill + (room?.room.step ?? 0) - fit.c) / fit.out);
  const to = from + opening.height * Math.cos(pitch);
  const { course } = floor.network.half(opening.wall, true);
  const span = openingSpan(floor.network, opening);
  const ends = [pointAt(course, span.from), pointAt(course, span.to)].map(
    (p) => (p.x - frame.at.x) * frame.along.x + (p.y - frame.at.y) * frame.along.y,
  );
  const [left, right] = [Math.min(...ends), Math.max(...ends)];
  return {
    slope: on,
    ring: [
      onSheet(frame, left, from),
      onSheet(frame, right, from),
      onSheet(frame, right, to),
      onSheet(frame, left, to),
    ],
    from,
    to,
    head: opening.sill + opening.height * Math.sin(pitch),
  };
}
