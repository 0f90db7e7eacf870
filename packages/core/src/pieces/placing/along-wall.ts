import { type DerivedFloor, type WallFace, standOnFace } from '../../derived';
import { type Point, alongOf, direction, dot, offOf, pointAt } from '../../geometry';
import type { PieceStand } from '../../plan/plan';
import { type PieceOnFloor, middleOfPiece } from '../on-floor';
import { CATCH, NEAR_WALL, type Stretch, builtOn, gapAt, neighboursOn, within } from './against';
import { backsAt } from './backs';
import { type Placing, type Standing, inSteps } from './placing';

/** A piece as wide as a stretch of a wall. mm. */
export interface AlongWall {
  readonly width: number;
  readonly stand: PieceStand;
  /** Where it ends at the wall, left and right as one looks at it. */
  readonly ends: readonly [Point, Point];
}

const alongWall = (derived: DerivedFloor, face: WallFace, { from, to }: Stretch): AlongWall => ({
  width: to - from,
  stand: { ...standOnFace(derived.network, face, from, to - from), quarter: 0 },
  ends: [pointAt(face.course, from), pointAt(face.course, to)],
});

/** What ends a stretch of a wall for something that stands at it: what is built on it, other pieces, doors. */
function takenOn(derived: DerivedFloor, face: WallFace, it: Standing, others: readonly PieceOnFloor[]): Stretch[] {
  const doors = face.openings.filter(({ opening }) => opening.sill < it.up + 1);
  return [...builtOn(derived, face, it), ...neighboursOn(face.course, it, others), ...doors].sort(
    (a, b) => a.from - b.from,
  );
}

/** From what is at the left of it to what is at its right: a corner of its wall, what is built there, another piece, a door. Null where it is not at a straight wall. */
export function wallToWall(derived: DerivedFloor, on: PieceOnFloor, all: readonly PieceOnFloor[]): AlongWall | null {
  const face = faceBehind(derived, on);
  if (!face) return null;
  const others = all.filter((other) => other !== on && !isWith(on, other));
  const free = gapAt(takenOn(derived, face, on.piece, others), alongOf(face.course, middleOfPiece(on)), face.length);
  return free && free.to - free.from > 1 ? alongWall(derived, face, free) : null;
}

const isWith = (on: PieceOnFloor, { piece: { stand } }: PieceOnFloor): boolean =>
  stand.kind === 'piece' && stand.piece === on.piece.id;

/** The straight face nearest to a point that a line from there to another runs along, if one is near enough to stand at it. */
export function wallNear(derived: DerivedFloor, p: Point, to: Point, reach: number): WallFace | null {
  const heads = direction(p, to);
  const near = backsAt(derived, p)
    .filter(({ bulge, length, course }) => bulge === 0 && within(alongOf(course, p), -reach, length + reach))
    .filter(({ d }) => Math.abs(dot(d, heads)) > Math.SQRT1_2)
    .map((face) => ({ face, off: Math.abs(offOf(face.course, p)) }))
    .sort((one, other) => one.off - other.off)[0];
  return near && near.off < NEAR_WALL ? near.face : null;
}

/** Along a wall from one point to another, both ends caught by what is there: corners, what stands or is built there, doors and windows. Null where the points are one. */
export function betweenPoints(
  derived: DerivedFloor,
  face: WallFace,
  it: Standing,
  [a, b]: readonly [Point, Point],
  { reach, others }: Pick<Placing, 'reach' | 'others'>,
): AlongWall | null {
  const taken = takenOn(derived, face, it, others);
  const ends = [
    0,
    face.length,
    ...taken.flatMap(({ from, to }) => [from, to]),
    ...face.openings.flatMap(({ from, to }) => [from, to]),
  ];
  const caught = (p: Point): number => {
    const at = alongOf(face.course, p);
    const best = ends.map((end) => ({ end, off: Math.abs(end - at) })).sort((x, y) => x.off - y.off)[0]!;
    return best.off <= CATCH * reach ? best.end : Math.min(face.length, Math.max(0, inSteps(at)));
  };
  const [from, to] = [caught(a), caught(b)].sort((x, y) => x - y) as [number, number];
  return to - from > 1 ? alongWall(derived, face, { from, to }) : null;
}

/** The straight face that a piece has at its back; null where it has none. */
export function faceBehind(derived: DerivedFloor, { piece, frame }: PieceOnFloor): WallFace | null {
  if (piece.stand.kind !== 'wall' || piece.stand.quarter !== 0) return null;
  const { wall } = piece.stand;
  const middle = { x: frame.at.x + (frame.d.x * piece.width) / 2, y: frame.at.y + (frame.d.y * piece.width) / 2 };
  const inside = { x: middle.x - frame.d.y * piece.depth * 0.5, y: middle.y + frame.d.x * piece.depth * 0.5 };
  return (
    backsAt(derived, inside).find(
      ({ bulge, halves, course, length }) =>
        bulge === 0 && halves.some((half) => half.wall.id === wall) && within(alongOf(course, middle), 0, length),
    ) ?? null
  );
}
