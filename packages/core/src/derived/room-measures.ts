import {
  type RoomCeiling,
  type TopStretch,
  areaRound,
  areaUnder,
  lowestOver,
  piecesOfRoom,
  topAlong,
  volumeUnder,
} from '../ceilings';
import { type Course, ringLength, segmentArea } from '../geometry';
import type { Opening } from '../plan/plan';
import type { RoomOutline } from '../rooms';

export interface RoomMeasures {
  /** Net internal floor area (inside faces, no walls; ISO 9836 net area), mm². */
  readonly area: number;
  /** Length of the inside faces along their arcs, round what stands in the room too; a chalk line does not count. mm. */
  readonly perimeter: number;
  /** Of the walls as high as the ceiling over them, less the openings as they are shaped, mm². A roof light is not in the wall. */
  readonly wallArea: number;
  /** The perimeter less what stands on the floor in it: doors, openings, windows down to the floor. mm. */
  readonly skirting: number;
  /** ∫ ceiling height over the floor, mm³. */
  readonly volume: number;
}

/** What an arched head leaves of the wall in its two corners, mm²; a half circle, or as much of one as there is room for. Cut off by the ceiling it is taken as open. */
function outsideArch({ form, sill, width, height }: Opening, top: number): number {
  if (form !== 'arched opening' || top < sill + height) return 0;
  const rise = Math.min(width / 2, height);
  const [a, b] = [
    { x: 0, y: 0 },
    { x: width, y: 0 },
  ];
  return width * rise - Math.abs(segmentArea(a, b, (2 * rise) / width));
}

/** An opening and the stretch of face it takes, mm. */
interface OpeningInRoom {
  readonly opening: Opening;
  readonly from: number;
  readonly to: number;
}

/** Under a sill lower than this no skirting runs through, mm. */
const SKIRTING = 50;

/** The figures of a room under its ceiling. What of an opening is over the ceiling does not count. */
export function roomMeasures(
  outline: RoomOutline,
  ceiling: RoomCeiling,
  faces: readonly { readonly course: Course; readonly openings: readonly OpeningInRoom[] }[],
): RoomMeasures {
  const { rings, runs } = outline;
  const chalk = runs.filter((run) => run.halves[0]!.wall.kind === 'chalk');
  const withoutWall = chalk.reduce((sum, { length }) => sum + length, 0);
  const perimeter = Math.max(0, rings.reduce((sum, ring) => sum + ringLength(ring), 0) - withoutWall);
  const { flat, step } = ceiling.overhead;
  const topOf = (course: Course) =>
    ceiling.level ? [{ from: 0, to: course.length, start: flat!, end: flat!, step }] : topAlong(ceiling, course);
  const open = faces.reduce((sum, { course, openings }) => {
    const inWall = openings.filter(({ opening }) => opening.form !== 'roof light');
    return inWall.length === 0 ? sum : sum + openIn(topOf(course), inWall);
  }, 0);
  const walls = ceiling.level
    ? perimeter * flat!
    : areaRound(ceiling, rings) - chalk.reduce((sum, { course }) => sum + areaUnder(topOf(course)), 0);
  const through = faces.reduce(
    (sum, { openings }) =>
      openings.reduce((own, { opening, from, to }) => own + (opening.sill < SKIRTING ? to - from : 0), sum),
    0,
  );
  return {
    area: outline.area,
    perimeter,
    wallArea: Math.max(0, walls - open),
    skirting: Math.max(0, perimeter - through),
    volume: ceiling.level ? outline.area * flat! : volumeUnder(piecesOfRoom(ceiling, rings)),
  };
}

/** What of openings is under the ceiling, mm². */
const openIn = (top: readonly TopStretch[], openings: readonly OpeningInRoom[]): number =>
  openings.reduce((sum, { opening, from, to }) => {
    const head = opening.toCeiling ? Infinity : opening.sill + opening.height;
    const least = lowestOver(top, from, to);
    return sum + areaUnder(top, from, to, head, opening.sill) - outsideArch(opening, Math.min(least, head));
  }, 0);
