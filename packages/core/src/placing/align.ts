import { type DerivedFloor, type OpeningOnFace, type WallFace, deriveFloor } from '../derived';
import { type Point, alongOf, dot, headingAt, offOf, pointAt } from '../geometry';
import { openingSpan } from '../openings';
import type { Id, Opening, Plan } from '../plan/plan';
import { floorBeside } from '../plan/storeys';

/** Another opening that this one can be put in line with. */
export interface Alignment {
  readonly other: Opening;
  /** “D2, opposite”, “W1, on the floor below” */
  readonly words: string;
  /** Of the opening from the left end of its face, its middle then being in line with that of the other, mm. */
  readonly offset: number;
}

/** Walls that turn by less than 10° from each other count as opposite or above each other. */
const ALONG = Math.cos((10 * Math.PI) / 180);
/** Two floors are drawn this exactly over each other, mm. */
const ABOVE = 800;

/** What an opening in a straight wall can be put in line with: openings in the walls opposite, and in the same wall a floor below or above. */
export function alignmentsOf(plan: Plan, floor: DerivedFloor, face: WallFace, on: OpeningOnFace): Alignment[] {
  if (face.bulge !== 0) return [];
  const width = on.to - on.from;
  const room = floor.rooms.find((each) => each.room.id === face.room);
  const opposite = (room?.faces ?? [])
    .filter((other) => other.bulge === 0 && dot(other.d, face.d) < -ALONG)
    .flatMap((other) =>
      other.openings.map(({ opening, from, to }) => ({
        other: opening,
        at: pointAt(other.course, (from + to) / 2),
        where: 'opposite',
      })),
    );
  return [...opposite, ...onFloorsBeside(plan, floor.floor, face)].flatMap(({ other, at, where }) => {
    const offset = alongOf(face.course, at) - width / 2;
    return offset < 0 || offset + width > face.length ? [] : [{ other, words: `${other.label}, ${where}`, offset }];
  });
}

/** Openings in the same wall of the floor below and of the floor above. */
function onFloorsBeside(plan: Plan, floor: Id, face: WallFace): { other: Opening; at: Point; where: string }[] {
  const beside = [
    { where: 'on the floor below', each: floorBeside(plan, floor, 'below') },
    { where: 'on the floor above', each: floorBeside(plan, floor, 'above') },
  ];
  return beside.flatMap(({ where, each }) => {
    if (!each) return [];
    const { network, openings } = deriveFloor(plan, each.id);
    return openings.flatMap((other) => {
      const { course } = network.half(other.wall, true);
      const { from, to } = openingSpan(network, other);
      const at = pointAt(course, (from + to) / 2);
      const alike = Math.abs(dot(headingAt(course, (from + to) / 2), face.d)) > ALONG;
      return alike && Math.abs(offOf(face.course, at)) < ABOVE ? [{ other, at, where }] : [];
    });
  });
}
