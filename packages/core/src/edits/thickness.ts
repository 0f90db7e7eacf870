import type { Draft } from '../plan/draft';
import type { Wall } from '../plan/plan';
import type { Intent } from './intent';
import { requireFace, requirePositive } from './require';
import { settle } from './settle';

/**
 * The walls of a face (or all of their kind) get a thickness. Walls grow behind the face: outwards for an outer
 * wall, into the next room for a wall between rooms; then whatever was taped is made to hold again.
 */
export function setThickness(
  draft: Draft,
  { floor, face, thickness, scope }: Extract<Intent, { kind: 'setThickness' }>,
): void {
  requirePositive(thickness, 'A wall thickness');
  const { halves, from } = requireFace(draft, floor, face);
  const kinds = new Set(halves.map((half) => half.wall.kind));
  const facing = new Map(halves.map((half) => [half.wall.id, half.forward]));
  for (const wall of Object.values(draft.walls)) {
    if (wall.floor !== floor) continue;
    const forward = facing.get(wall.id);
    if (forward === undefined && !(scope === 'all' && kinds.has(wall.kind))) continue;
    draft.put('walls', {
      ...wall,
      typed: scope === 'wall',
      ...grown(wall, thickness, forward ?? wall.left >= wall.right),
    });
  }
  // all walls of a kind: that is what is usual in this house, also for the walls still to come
  if (scope === 'all') {
    const usual = { ...draft.job.usual };
    if (kinds.has('external')) usual.externalThickness = thickness;
    if (kinds.has('internal')) usual.internalThickness = thickness;
    draft.job = { ...draft.job, usual };
  }
  settle(draft, floor, { adjust: { stay: [from] }, keepRooms: true });
}

/** `keepRight`: the right face stays where it is. */
function grown(wall: Wall, thickness: number, keepRight: boolean): Pick<Wall, 'left' | 'right'> {
  const kept = Math.min(keepRight ? wall.right : wall.left, thickness);
  return keepRight ? { right: kept, left: thickness - kept } : { left: kept, right: thickness - kept };
}
