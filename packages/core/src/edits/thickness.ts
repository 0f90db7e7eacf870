import { type Draft, Refusal } from '../plan/draft';
import type { Wall } from '../plan/plan';
import type { Intent } from './intent';
import { requireFace, requirePositive } from './require';
import { settle } from './settle';

/**
 * The walls of a face (or all of their kind) get a thickness. Unless told otherwise walls grow behind the face:
 * outwards for an outer wall, into the next room for a wall between rooms; then whatever was taped is made to hold again.
 */
export function setThickness(
  draft: Draft,
  { floor, face, thickness, scope, grow = 'outwards' }: Extract<Intent, { kind: 'setThickness' }>,
): void {
  requirePositive(thickness, 'A wall thickness');
  const { halves, from } = requireFace(draft, floor, face);
  const kinds = new Set(halves.map((half) => half.wall.kind));
  if (kinds.has('chalk')) throw new Refusal('A chalk line has no thickness. Make it a wall first.');
  const facing = new Map(halves.map((half) => [half.wall.id, half.forward]));
  for (const wall of Object.values(draft.walls)) {
    if (wall.floor !== floor) continue;
    const forward = facing.get(wall.id);
    if (forward === undefined && !(scope === 'all' && kinds.has(wall.kind))) continue;
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
  settle(draft, floor, { adjust: { stay: [from] }, keepRooms: true });
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
