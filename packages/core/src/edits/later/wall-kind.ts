import { edit } from '../edit';
import { carries } from '../../walls';
import type { Id } from '../../plan/plan';
import { type Draft, Refusal } from '../../plan/draft';
import { requireFace } from '../require';
import { settle } from '../settle';

export interface SetWallKind {
  readonly kind: 'setWallKind';
  readonly floor: Id;
  readonly face: string;
  readonly as: 'wall' | 'party' | 'chalk';
}

/** The walls of a face are told to be party walls, a chalk line (no wall at all), or walls by what they part. */
function setWallKind(draft: Draft, { floor, face: key, as }: SetWallKind): void {
  const face = requireFace(draft, floor, key);
  const { partyThickness, internalThickness } = draft.job.usual;
  for (const { wall } of face.halves) {
    if (as === 'chalk') {
      if (carries(draft, wall.id)) throw new Refusal('Doors and windows need a wall. Take them away first.');
      draft.put('walls', { ...wall, kind: 'chalk', left: 0, right: 0, typed: true });
      continue;
    }
    if (wall.kind === 'chalk') {
      draft.put('walls', {
        ...wall,
        kind: 'internal',
        typed: false,
        left: internalThickness / 2,
        right: internalThickness / 2,
      });
      continue;
    }
    const wider = wall.left >= wall.right;
    const kept = wider ? wall.right : wall.left;
    const thickness = Math.max(kept, wall.typed ? wall.left + wall.right : partyThickness);
    const shares = wider ? { left: thickness - kept, right: kept } : { left: kept, right: thickness - kept };
    if (as === 'party') draft.put('walls', { ...wall, kind: 'party', ...shares });
    // what it parts is found out again; until then it is the other kind, so that it takes its usual thickness
    else if (wall.kind === 'party') draft.put('walls', { ...wall, kind: face.room ? 'internal' : 'external' });
  }
  settle(draft, floor, {
    changed: face.halves.map((half) => half.wall.id),
    adjust: { stay: [face.from] },
    keepRooms: true,
  });
}

export const wallKindEdits = {
  setWallKind: edit<SetWallKind>('kind of wall', setWallKind),
};
