import type { DerivedFloor } from '../derived';
import { type Point, alongOf, distance, offOf } from '../geometry';
import type { PointStand, WallSide } from '../plan/plan';
import { faceStretch, wallInsets } from '../walls';
import { placeOf } from './places';

/** A point caught by what is there. */
export interface Anchored {
  readonly stand: PointStand;
  readonly at: Point;
  /** What it was caught by; null: nothing. */
  readonly by: 'corner' | 'opening' | 'wall' | null;
}

/** A face holds a little later than its corners and openings do. */
const SHY = 0.6;

/** What a point of a dimension line is of: the corner of a face, inside or outside, or an edge of an opening that is near; else a face; else nothing. `reach` mm; 0 catches nothing. */
export function anchorAt(derived: DerivedFloor, p: Point, reach: number): Anchored {
  const corners = standsOf(derived).flatMap(({ stand, by }) => {
    const at = placeOf(derived, stand);
    return at && distance(at, p) <= reach ? [{ stand, at, by, away: distance(at, p) }] : [];
  });
  corners.sort((a, b) => a.away - b.away);
  if (corners[0]) return corners[0];
  return onFace(derived, p, SHY * reach) ?? { stand: { kind: 'free', x: p.x, y: p.y, turn: 0 }, at: p, by: null };
}

const SIDES: readonly WallSide[] = ['left', 'right'];
const ENDS = ['start', 'end'] as const;

function standsOf({ network, openings }: DerivedFloor): { stand: PointStand; by: 'corner' | 'opening' }[] {
  const walls = network.walls.filter(({ kind }) => kind !== 'chalk');
  return [
    ...walls.flatMap(({ id: wall }) =>
      SIDES.flatMap((side) =>
        ENDS.map((anchor) => ({
          stand: { kind: 'wall' as const, wall, anchor, side, offset: 0 },
          by: 'corner' as const,
        })),
      ),
    ),
    ...openings.flatMap(({ id: opening }) =>
      SIDES.flatMap((side) =>
        ENDS.map((end) => ({ stand: { kind: 'opening' as const, opening, end, side }, by: 'opening' as const })),
      ),
    ),
  ];
}

function onFace(derived: DerivedFloor, p: Point, reach: number): Anchored | null {
  let best: { stand: PointStand; off: number } | null = null;
  for (const { id, kind } of derived.network.walls) {
    if (kind === 'chalk') continue;
    const insets = wallInsets(derived.network, id);
    const along = alongOf(insets.course, p);
    for (const side of SIDES) {
      const { start, end } = insets[side];
      const off = Math.abs(offOf(insets.course, p) - (side === 'right' ? insets.wall.right : -insets.wall.left));
      if (along < start || along > insets.length - end || off > reach || (best && off >= best.off)) continue;
      const offset = (along - start) * faceStretch(insets, side);
      best = { off, stand: { kind: 'wall', wall: id, anchor: 'start', side, offset } };
    }
  }
  const at = best && placeOf(derived, best.stand);
  return best && at ? { stand: best.stand, at, by: 'wall' } : null;
}
