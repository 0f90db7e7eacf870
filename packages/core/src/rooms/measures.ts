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
  /** Floor area × ceiling height, mm³. */
  readonly volume: number;
}

/** The figures of a room with a level ceiling at `height` mm. Openings higher than the ceiling count up to it. */
export function roomMeasures(outline: RoomOutline, height: number, openings: readonly Opening[]): RoomMeasures {
  const chalk = outline.runs.reduce((sum, run) => sum + (run.halves[0]!.wall.kind === 'chalk' ? run.length : 0), 0);
  const perimeter = Math.max(0, outline.rings.reduce((sum, ring) => sum + ringLength(ring), 0) - chalk);
  const open = openings.reduce(
    (sum, o) => sum + o.width * Math.max(0, Math.min(height, o.sill + o.height) - o.sill),
    0,
  );
  return {
    area: outline.area,
    perimeter,
    wallArea: Math.max(0, perimeter * height - open),
    volume: outline.area * height,
  };
}
