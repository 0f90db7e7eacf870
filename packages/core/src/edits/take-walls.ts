import { edit } from './edit';
import type { AddOpening } from './openings';
import { type WallFace, deriveFloor } from '../derived';
import { type Point, alongOf, direction, moved, offOf } from '../geometry';
import { type Draft, Refusal } from '../plan/draft';
import type { Plan, Id } from '../plan/plan';
import { type SeenWall, scaleOf } from '../underlay';
import { attachPath } from './attach';
import { scaleFaces } from './scale-faces';
import { settle } from './settle';
import { requireUnderlay } from './trace';

export interface TakeWalls {
  readonly kind: 'takeWalls';
  readonly underlay: Id;
  readonly walls: readonly SeenWall[];
  /** ISO 8601 */
  readonly time: string;
}

/**
 * Walls that were seen on an underlay become walls of the plan, as thick as they were seen; the lengths of rooms they enclose are scaled.
 * What is in them comes after: `openingsToAdd`.
 */
export function takeWalls(draft: Draft, { underlay: id, walls, time }: TakeWalls): void {
  const underlay = requireUnderlay(draft, id);
  const { floor } = underlay;
  if (!scaleOf(underlay).known) throw new Refusal('Set the true scale of the underlay first.');
  const before = new Set(Object.keys(draft.walls));
  // those that are there already are met; the new ones are laid out to meet each other
  const lines = walls.map((wall) => ({ wall, ends: attachPath(draft, floor, [wall.a, wall.b], false) }));
  for (const { wall, ends } of lines) {
    const [a, b] = ends.map(({ x, y }) => draft.addCorner(floor, x, y));
    const share = wall.thickness / 2;
    const made = draft.addWall({
      floor,
      start: a!.id,
      end: b!.id,
      left: share,
      right: share,
      kind: 'internal',
      typed: true,
    });
    draft.drawn.add(made.id);
  }
  settle(draft, floor, { changed: Object.keys(draft.walls).filter((wall) => !before.has(wall)) });
  scaleFaces(draft, underlay, time);
}

/** The doors and windows of seen walls, as edits of the plan that has those walls: each on the face of a room that it is in. */
export function openingsToAdd(plan: Plan, { underlay, walls }: TakeWalls): AddOpening[] {
  const floor = plan.underlays[underlay]!.floor;
  const derived = deriveFloor(plan, floor);
  const faces = [...derived.rooms.flatMap((room) => room.faces), ...derived.free];
  return walls.flatMap((wall) =>
    wall.gaps.flatMap((gap): AddOpening[] => {
      const at = moved(wall.a, direction(wall.a, wall.b), (gap.from + gap.to) / 2);
      const width = Math.round(gap.to - gap.from);
      const face = faceOn(faces, wall, at, width);
      if (!face) return [];
      const offset = alongOf(face.course, at) - width / 2;
      return [{ kind: 'addOpening', floor, opening: gap.kind, face: face.key, end: 'left', offset, width }];
    }),
  );
}

/** The face of the wall at this point of its middle line; one that the whole gap is in, where there is one. */
function faceOn(faces: readonly WallFace[], wall: SeenWall, at: Point, width: number): WallFace | undefined {
  const past = ({ course }: WallFace) => {
    const along = alongOf(course, at);
    return Math.max(0, width / 2 - along, along + width / 2 - course.length);
  };
  return faces
    .filter(({ course, bulge }) => {
      const along = alongOf(course, at);
      return bulge === 0 && along > 0 && along < course.length && Math.abs(offOf(course, at)) < wall.thickness;
    })
    .sort((a, b) => past(a) - past(b))[0];
}

export const takeWallsEdits = {
  takeWalls: edit<TakeWalls>('take walls', takeWalls),
};
