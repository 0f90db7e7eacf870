import type { DerivedFloor, DerivedRoom, WallFace } from '../derived';
import { handOf, labelOf } from '../openings';
import { type Opening, type WallSide, thicknessOf } from '../plan/plan';

/** One line of the schedule of doors and windows. mm. */
export interface ScheduleLine {
  readonly opening: Opening;
  /** D1, W2 */
  readonly label: string;
  readonly width: number;
  readonly height: number;
  readonly sill: number;
  readonly head: number;
  /** Of the wall it stands in. */
  readonly thickness: number;
  /** The rooms on its two sides, the one it opens into (or was placed from) first; null: outside. */
  readonly rooms: readonly [DerivedRoom | null, DerivedRoom | null];
  /** Of a door: the side of its hinges, seen from where it is pulled. */
  readonly hand: 'left' | 'right' | null;
  /** Of a window: the area of its opening, mm². */
  readonly glazing: number | null;
  /** How it is seen from the first of its rooms; null when no room looks at it. */
  readonly face: WallFace | null;
}

/** The doors and then the windows of a floor, by their numbers. */
export function openingSchedule(floor: DerivedFloor): ScheduleLine[] {
  const sides = new Map<string, Partial<Record<WallSide, { room: DerivedRoom; face: WallFace }>>>();
  for (const room of floor.rooms) {
    for (const face of room.faces) {
      for (const { opening } of face.openings) {
        const half = face.halves.find(({ wall }) => wall.id === opening.wall)!;
        const side = half.forward ? 'right' : 'left';
        sides.set(opening.id, { ...sides.get(opening.id), [side]: { room, face } });
      }
    }
  }
  const lines = floor.openings.map((opening): ScheduleLine => {
    const first = opening.kind === 'door' ? opening.swing : opening.side;
    const both = sides.get(opening.id) ?? {};
    const [one, two] = [both[first], both[first === 'left' ? 'right' : 'left']];
    return {
      opening,
      label: labelOf(opening),
      width: opening.width,
      height: opening.height,
      sill: opening.sill,
      head: opening.sill + opening.height,
      thickness: thicknessOf(floor.plan.walls[opening.wall]!),
      rooms: [one?.room ?? null, two?.room ?? null],
      hand: opening.kind === 'door' ? handOf(opening) : null,
      glazing: opening.kind === 'window' ? opening.width * opening.height : null,
      face: (one ?? two)?.face ?? null,
    };
  });
  return lines.sort((a, b) => a.opening.kind.localeCompare(b.opening.kind) || a.opening.number - b.opening.number);
}
