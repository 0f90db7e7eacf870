import type { SlopeOnFloor } from '../ceilings';
import { type Ring, pointAt, rightOf, valueOf } from '../geometry';
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

/** A slope rises from a wall when it does so square to it, up to about 8°. */
const SQUARE = 0.99;

/** Where a roof light lies: from its sill so far up the slope as it is high; null for what is none, or has no slope over its wall. */
export function roofLightIn(floor: DerivedFloor, opening: Opening): RoofLight | null {
  if (opening.form !== 'roof light' || floor.slopes.length === 0) return null;
  for (const { room, faces, ceiling } of floor.rooms) {
    const face = faces.find(({ openings }) => openings.some((each) => each.opening.id === opening.id));
    if (!face || face.bulge !== 0) continue;
    const on = face.openings.find((each) => each.opening.id === opening.id)!;
    const inward = rightOf(face.d);
    const foot = pointAt(face.course, (on.from + on.to) / 2);
    const rising = ceiling.slopes
      .filter(({ frame }) => frame.out.x * inward.x + frame.out.y * inward.y > SQUARE)
      .sort((a, b) => valueOf(a.plane!, foot) - valueOf(b.plane!, foot));
    const [slope] = rising;
    const plane = slope?.plane;
    const rise = plane ? plane.a * inward.x + plane.b * inward.y : 0;
    if (!slope || !plane || rise <= 0) continue;
    const pitch = Math.atan(rise);
    const from = Math.max(0, (opening.sill + room.step - valueOf(plane, foot)) / rise);
    const to = from + opening.height * Math.cos(pitch);
    const at = (along: number, out: number) => pointAt(face.course, along, out);
    return {
      slope,
      ring: [at(on.from, from), at(on.to, from), at(on.to, to), at(on.from, to)],
      from,
      to,
      head: opening.sill + opening.height * Math.sin(pitch),
    };
  }
  return null;
}
