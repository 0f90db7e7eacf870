import type { DerivedFloor, WallFace } from '../../derived';
import { type Point, boxAround, courseOf, direction, distance, dot, flattened, moved } from '../../geometry';
import { onceFor } from '../../memory';
import { surfaceContains } from '../../rooms';
import { type Space, spaceAt } from '../clear';

/** What pieces may turn their backs to round a point: the faces of its space, or, outside, walls that enclose no room. */
export function backsAt(floor: DerivedFloor, p: Point): readonly WallFace[] {
  const space = spaceAt(floor, p) ?? spaceOfSolid(floor, p);
  return space ? backsOf(space) : floor.free.filter(isBuilt);
}

/** The space that what stands solid at a point stands in. */
function spaceOfSolid(floor: DerivedFloor, p: Point): Space | null {
  const solid = floor.solids.find(({ ring }) => surfaceContains([ring], p));
  if (!solid) return null;
  const { minX, minY, maxX, maxY } = boxAround(solid.ring)!;
  const middle = { x: (minX + maxX) / 2, y: (minY + maxY) / 2 };
  const beyond = flattened(solid.ring).map((q) => moved(q, direction(middle, q), 10));
  return beyond.map((q) => spaceAt(floor, q)).find((space) => space !== null) ?? null;
}

const isBuilt = ({ halves }: WallFace) => halves[0]!.wall.kind !== 'chalk';

/** The faces of a space that can be stood against: one behind the end of a chalk line goes on beyond it. */
const backsOf = onceFor(({ rooms }: Space): readonly WallFace[] => {
  const faces = rooms.flatMap((room) => room.faces).filter(isBuilt);
  const joined: WallFace[] = [];
  for (const face of faces) {
    if (faces.some((other) => goesOnInto(other, face))) continue;
    let whole = face;
    for (let next = face as WallFace | undefined; next;) {
      const last: WallFace = next;
      next = faces.find((other) => goesOnInto(last, other));
      if (next) whole = asOne(whole, next);
    }
    joined.push(whole);
  }
  // a wall all round, straight on everywhere, has no beginning
  return joined.length > 0 ? joined : faces;
});

/** mm; sine of an angle */
const [TOGETHER, STRAIGHT] = [1, 0.002];

const goesOnInto = (face: WallFace, next: WallFace): boolean =>
  face !== next &&
  face.bulge === 0 &&
  next.bulge === 0 &&
  distance(face.b, next.a) < TOGETHER &&
  dot(face.d, next.d) > Math.sqrt(1 - STRAIGHT ** 2);

function asOne(face: WallFace, next: WallFace): WallFace {
  const course = courseOf(face.a, next.b);
  return {
    ...face,
    ...{ b: next.b, to: next.to, course, length: course.length },
    halves: [...face.halves, ...next.halves],
    openings: [
      ...face.openings,
      ...next.openings.map((each) => ({ ...each, from: each.from + face.length, to: each.to + face.length })),
    ],
  };
}
