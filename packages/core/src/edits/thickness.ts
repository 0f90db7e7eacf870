import { edit } from './edit';
import { type Draft, Refusal } from '../plan/draft';
import type { Id, Reading, Wall, Value } from '../plan/plan';
import { networkBefore, networkOfFloor } from '../rooms';
import { valueOnPlan } from '../trueup';
import { formatLength } from '../units';
import { runOfReading } from '../walls';
import { putReading } from './readings';
import { requireFace, requirePositive } from './require';
import { settle } from './settle';

export interface SetThickness {
  readonly kind: 'setThickness';
  readonly floor: Id;
  /** The face it was typed on. */
  readonly face: string;
  readonly thickness: number;
  /** The walls of this face, or all walls of their kind on the floor. */
  readonly scope: 'wall' | 'all';
  /** Seen from the face it was typed on; outwards unless said. */
  readonly grow?: 'outwards' | 'inwards' | 'both';
  /** It was measured on this face: a reading is kept of it. */
  readonly read?: Value;
}

/**
 * The walls of a face (or all of their kind) get a thickness. Unless told otherwise walls grow behind the face:
 * outwards for an outer wall, into the next room for a wall between rooms; then whatever was taped is made to hold again.
 */
export function setThickness(
  draft: Draft,
  { floor, face, thickness, scope, grow = 'outwards', read }: SetThickness,
): void {
  requirePositive(thickness, 'A wall thickness');
  const { halves, from, to } = requireFace(draft, floor, face);
  const kinds = new Set(halves.map((half) => half.wall.kind));
  if (kinds.has('chalk')) throw new Refusal('A chalk line has no thickness. Make it a wall first.');
  const facing = new Map(halves.map((half) => [half.wall.id, half.forward]));
  const measured = measuredWalls(draft, floor);
  for (const wall of Object.values(draft.walls)) {
    if (wall.floor !== floor) continue;
    const forward = facing.get(wall.id);
    // what was measured on another wall stays true there
    if (forward === undefined && !(scope === 'all' && kinds.has(wall.kind) && !measured.has(wall.id))) continue;
    draft.put('walls', {
      ...wall,
      typed: scope === 'wall',
      ...grown(wall, thickness, forward ?? wall.left >= wall.right, grow),
    });
  }
  // all walls of a kind: that is what is usual in this house, also for the walls still to come
  if (scope === 'all') {
    const usual = { ...draft.job.usual };
    if (kinds.has('external')) usual.externalThickness = thickness;
    if (kinds.has('internal')) usual.internalThickness = thickness;
    if (kinds.has('party')) usual.partyThickness = thickness;
    draft.job = { ...draft.job, usual };
  }
  if (read) putReading(draft, floor, { kind: 'thickness', face: 'inside', from, to, via: [] }, read);
  else loosenThickness(draft, floor, facing);
  followFaces(draft, floor);
  settle(draft, floor, { adjust: { stay: [] }, keepRooms: true });
}

/** What was only scaled or guessed is as long as its faces now leave: the face that is said to stay stays. What was taped is made to hold again. */
function followFaces(draft: Draft, floor: Id): void {
  const [before, now] = [networkBefore(draft, floor), networkOfFloor(draft, floor)];
  for (const reading of draft.on('readings', floor)) {
    if (reading.instrument === 'tape' || reading.instrument === 'laser') continue;
    const [was, is] = [valueOnPlan(before, reading), valueOnPlan(now, reading)];
    if (was === null || is === null || Math.abs(is - was) < SAME || reading.kind === 'angle') continue;
    const value = reading.value + is - was;
    const share = value / reading.value;
    const { traced } = reading;
    draft.put('readings', {
      ...reading,
      value,
      text: formatLength(value, draft.job.units),
      ...(traced && { traced: { ...traced, span: { x: traced.span.x * share, y: traced.span.y * share } } }),
    });
  }
}

/** mm */
const SAME = 0.01;

/** Walls whose thickness was measured. */
function measuredWalls(draft: Draft, floor: Id): Map<Id, Reading> {
  const network = networkOfFloor(draft, floor);
  return new Map(
    draft
      .on('readings', floor)
      .filter(({ kind }) => kind === 'thickness')
      .flatMap((reading) =>
        (runOfReading(network, reading) ?? []).map(({ wall }): [Id, Reading] => [wall.id, reading]),
      ),
  );
}

/** A thickness that was said and not measured takes the place of one that was. */
function loosenThickness(draft: Draft, floor: Id, walls: ReadonlyMap<Id, boolean>): void {
  for (const [wall, { id }] of measuredWalls(draft, floor)) if (walls.has(wall)) draft.drop('readings', id);
}

/** `seenFromRight`: the room it is looked at from is at its right; growing outwards, the face on that side stays. */
function grown(
  wall: Wall,
  thickness: number,
  seenFromRight: boolean,
  grow: 'outwards' | 'inwards' | 'both',
): Pick<Wall, 'left' | 'right'> {
  if (grow === 'both') {
    const right = Math.min(thickness, Math.max(0, wall.right + (thickness - wall.left - wall.right) / 2));
    return { right, left: thickness - right };
  }
  const keepRight = seenFromRight === (grow === 'outwards');
  const kept = Math.min(keepRight ? wall.right : wall.left, thickness);
  return keepRight ? { right: kept, left: thickness - kept } : { left: kept, right: thickness - kept };
}

export const thicknessEdits = {
  setThickness: edit<SetThickness>('wall thickness', setThickness),
};
