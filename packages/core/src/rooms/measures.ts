import { ringLength, segmentArea } from '../geometry';
import type { Opening } from '../plan/plan';
import type { RoomOutline } from './room-outline';

export interface RoomMeasures {
  /** Net internal floor area (inside faces, no walls; ISO 9836 net area), mm². */
  readonly area: number;
  /** Length of the inside faces along their arcs, round what stands in the room too; a chalk line does not count. mm. */
  readonly perimeter: number;
  /** Σ face length × ceiling height, less the openings as they are shaped, mm². A roof light is not in the wall. */
  readonly wallArea: number;
  /** The perimeter less what stands on the floor in it: doors, openings, windows down to the floor. mm. */
  readonly skirting: number;
  /** Floor area × ceiling height, mm³. */
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

/** The figures of a room with a level ceiling at `height` mm. Openings higher than the ceiling count up to it. */
export function roomMeasures(outline: RoomOutline, height: number, openings: readonly OpeningInRoom[]): RoomMeasures {
  const chalk = outline.runs.reduce((sum, run) => sum + (run.halves[0]!.wall.kind === 'chalk' ? run.length : 0), 0);
  const perimeter = Math.max(0, outline.rings.reduce((sum, ring) => sum + ringLength(ring), 0) - chalk);
  const open = openings.reduce((sum, { opening, from, to }) => {
    const top = opening.toCeiling ? height : Math.min(height, opening.sill + opening.height);
    if (opening.form === 'roof light') return sum;
    return sum + (to - from) * Math.max(0, top - opening.sill) - outsideArch(opening, top);
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
