import { lowestOver, topAlong } from '../ceilings';
import { type DerivedFloor, type DerivedRoom, type WallFace, roofLightIn } from '../derived';
import { clearWidth, glassOf, handOf, isHinged, structuralSize, typeName } from '../openings';
import { type Opening, type WallSide, thicknessOf } from '../plan/plan';

/** One line of the schedule of doors and windows. mm. */
export interface ScheduleLine {
  readonly opening: Opening;
  /** D1, W2 */
  readonly label: string;
  /** What its type is called, with its size unless it has a name; and without. */
  readonly type: string;
  readonly called: string;
  /** How many there are of its type in the house. */
  readonly alike: number;
  /** From jamb to jamb; of an opening up to the ceiling, as high as that is. */
  readonly width: number;
  readonly height: number;
  readonly sill: number;
  readonly head: number;
  /** The way through when it stands open; null for a window. */
  readonly clear: number | null;
  /** The hole in the wall that it needs. */
  readonly structural: { readonly width: number; readonly height: number };
  /** Of the wall it stands in. */
  readonly thickness: number;
  /** The rooms on its two sides, the one it opens into (or was placed from) first; null: outside. */
  readonly rooms: readonly [DerivedRoom | null, DerivedRoom | null];
  /** Of a hinged door: the side of its hinges, seen from where it is pulled. */
  readonly hand: 'left' | 'right' | null;
  /** The area of its glass, mm². */
  readonly glazing: number;
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
  const { types, job } = floor.plan;
  const alike = new Map<string, number>();
  for (const { type } of Object.values(floor.plan.openings)) alike.set(type, (alike.get(type) ?? 0) + 1);
  const lines = floor.openings.map((opening): ScheduleLine => {
    const first = isHinged(opening) ? opening.swing : opening.side;
    const both = sides.get(opening.id) ?? {};
    const [one, two] = [both[first], both[first === 'left' ? 'right' : 'left']];
    const rooms = [one?.room ?? null, two?.room ?? null] as const;
    const ceilings = [one, two].flatMap((side) => (side ? [ceilingAcross(side.room, side.face, opening)] : []));
    const ceiling = Math.max(0, ...ceilings) || job.usual.ceilingHeight;
    const height = opening.toCeiling ? Math.max(0, ceiling - opening.sill) : opening.height;
    const light = roofLightIn(floor, opening);
    return {
      opening,
      label: opening.label,
      type: typeName(types[opening.type]!, job.units),
      called: types[opening.type]!.name || opening.form,
      alike: alike.get(opening.type)!,
      width: opening.width,
      height,
      sill: opening.sill,
      head: light?.head ?? opening.sill + height,
      clear: opening.kind === 'window' ? null : clearWidth(opening),
      structural: structuralSize({ ...opening, height }),
      thickness: thicknessOf(floor.plan.walls[opening.wall]!),
      rooms,
      hand: isHinged(opening) ? handOf(opening) : null,
      glazing: glassOf(opening),
      face: (one ?? two)?.face ?? null,
    };
  });
  const order = ['door', 'window', 'opening'];
  return lines.sort(
    (a, b) => order.indexOf(a.opening.kind) - order.indexOf(b.opening.kind) || a.opening.number - b.opening.number,
  );
}

/** How low the ceiling is over an opening, in one of its rooms, mm. */
export function ceilingAcross(room: DerivedRoom, face: WallFace, { id }: Pick<Opening, 'id'>): number {
  const on = face.openings.find(({ opening }) => opening.id === id);
  if (room.ceiling.level || !on) return room.ceilingHeight;
  return lowestOver(topAlong(room.ceiling, face.course), on.from, on.to);
}

/** What a schedule can be put in order by. */
export type ScheduleOrder = 'number' | 'type' | 'room' | 'width' | 'glazing';

/** The lines in another order; those alike in it stay by their numbers. */
export function orderedSchedule(lines: readonly ScheduleLine[], by: ScheduleOrder): ScheduleLine[] {
  const key = ({ type, rooms, width, glazing }: ScheduleLine): string | number =>
    by === 'type' ? type : by === 'room' ? (rooms[0]?.room.name ?? '') : by === 'width' ? -width : -glazing;
  if (by === 'number') return [...lines];
  return [...lines].sort((a, b) => {
    const [one, two] = [key(a), key(b)];
    return typeof one === 'number' ? one - (two as number) : one.localeCompare(two as string);
  });
}

export interface ScheduleTotals {
  readonly doors: number;
  readonly windows: number;
  readonly openings: number;
  /** mm² */
  readonly glazing: number;
}

export const scheduleTotals = (lines: readonly ScheduleLine[]): ScheduleTotals => ({
  doors: lines.filter(({ opening }) => opening.kind === 'door').length,
  windows: lines.filter(({ opening }) => opening.kind === 'window').length,
  openings: lines.filter(({ opening }) => opening.kind === 'opening').length,
  glazing: lines.reduce((sum, { glazing }) => sum + glazing, 0),
});
