import { signedArea } from '../geometry';
import { lastFor } from '../memory';
import type { StairOnFloor } from '../stairs/on-floor';
import { prism, raise } from './columns';
import { EMPTY, type Mesh, together } from './mesh';
import { surfaceId } from '../finishes/surface';
import { cornersOfRings } from './triangulate';

/** A tread of open stairs, or of a ladder, and what is under the steps of closed ones, mm (common practice, no source). */
const TREAD = 40;
const UNDER = 30;

const lastStairs = lastFor<StairOnFloor, Mesh>();

/** Stairs as they are built, step by step, from the floor they go up from; of a hatch nothing. Heights over that floor. */
export const stairsRaised = (on: StairOnFloor): Mesh =>
  lastStairs(on, [], () => {
    const { stair, shape, steps } = on;
    if (stair.form === 'hatch') return EMPTY;
    const of = surfaceId('stairs', stair.id);
    if (stair.form === 'ramp') return ramp(on, of);
    const open = stair.open || stair.form === 'ladder';
    const built = shape.treads.flatMap(({ ring, level }) => {
      const low = open ? level - TREAD : Math.max(0, level - steps.riser - UNDER);
      return signedArea(ring) > 0 ? [prism([ring], low, level, of)] : [];
    });
    return built.length > 0 ? together(built) : EMPTY;
  });

/** It rises evenly from where it begins. */
function ramp({ stair, shape, steps }: StairOnFloor, of: string): Mesh {
  const angle = (stair.turn * Math.PI) / 180;
  const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
  const length = Math.max(1, shape.length);
  const up = (p: { x: number; y: number }) => {
    const along = (p.x - stair.x) * dx + (p.y - stair.y) * dy;
    return Math.max(1, (steps.rise * Math.min(length, Math.max(0, along))) / length);
  };
  return raise(
    shape.treads.map(({ ring }) => ({
      rings: cornersOfRings([ring]),
      spans: [{ from: () => 0, to: up, top: of, bottom: of }],
    })),
    () => of,
  );
}
