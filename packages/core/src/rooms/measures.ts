import { ringLength } from '../geometry';
import type { Opening } from '../plan/plan';
import type { RoomOutline } from './room-outline';

export interface RoomMeasures {
  /** Net internal floor area (inside faces, no walls; ISO 9836 net area), mm². */
  readonly area: number;
  /** Length of the inside faces along their arcs, round what stands in the room too; a chalk line does not count. mm. */
  readonly perimeter: number;
  /** Σ face length × ceiling height, less the openings, mm². */
  readonly wallArea: number;
  /** The perimeter less what stands on the floor in it: doors, openings, windows down to the floor. mm. */
  readonly skirting: number;
  /** Floor area × ceiling height, mm³. */
  readonly volume: number;
}

/** An opening and the stretch of face it takes, mm. */
interface OpeningInRoom {
  readonly opening: Opening;
  readonly from: number;
  readonly to: number;
}

/** Under a sill lower than this no skirting runs through, mm. */
const SKIRTING = 50;

/** The figures of a room with a level ceiling at `height` mm. Openings higher than the ceiling count up to it. */
export function roomMeasures(outline: RoomOutline, height: number, openings: readonly OpeningInRoom[]): RoomMeasures {
  const chalk = outline.runs.reduce((sum, run) => sum + (run.halves[0]!.wall.kind === 'chalk' ? run.length : 0), 0);
  const perimeter = Math.max(0, outline.rings.reduce((sum, ring) => sum + ringLength(ring), 0) - chalk);
  const open = openings.reduce((sum, { opening, from, to }) => {
    const top = opening.toCeiling ? height : Math.min(height, opening.sill + opening.height);
    return sum + (to - from) * Math.max(0, top - opening.sill);
  }, 0);
  const through = openings.reduce((sum, { opening, from, to }) => sum + (opening.sill < SKIRTING ? to - from : 0), 0);
  return {
    area: outline.area,
    perimeter,
    wallArea: Math.max(0, perimeter * height - open),
    skirting: Math.max(0, perimeter - through),
    volume: outline.area * height,
  };
}
