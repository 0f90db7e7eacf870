import type { DerivedFloor } from '../derived';
import { type Point, pointAt } from '../geometry';
import { openingSpan } from '../openings';
import { onceFor } from '../memory';
import type { Dimension, DimensionPoint, Id, PointStand } from '../plan/plan';
import { type Network, faceStretch, wallInsets } from '../walls';

const wallsIn = onceFor(({ walls }: Network): ReadonlySet<Id> => new Set(walls.map(({ id }) => id)));

/** Where a point of a dimension line lies on the sheet, mm; null where what it is of is not there. */
export function placeOf({ network, openings }: DerivedFloor, stand: PointStand): Point | null {
  if (stand.kind === 'free') return { x: stand.x, y: stand.y };
  if (stand.kind === 'opening') {
    const opening = openings.find(({ id }) => id === stand.opening);
    if (!opening) return null;
    const { course, wall } = wallInsets(network, opening.wall);
    const span = openingSpan(network, opening);
    return pointAt(
      course,
      stand.end === 'start' ? span.from : span.to,
      stand.side === 'right' ? wall.right : -wall.left,
    );
  }
  if (!wallsIn(network).has(stand.wall)) return null;
  const insets = wallInsets(network, stand.wall);
  const { start, end } = insets[stand.side];
  const along = stand.offset / faceStretch(insets, stand.side);
  const last = insets.length - end;
  const from = stand.anchor === 'start' ? start + along : last - along;
  // where its wall became too short for it, it stands at the end of that
  const at = Math.max(Math.min(start, last), Math.min(Math.max(start, last), from));
  return pointAt(insets.course, at, stand.side === 'right' ? insets.wall.right : -insets.wall.left);
}

export interface PlacedPoint {
  readonly point: DimensionPoint;
  readonly at: Point;
}

/** Dimension lines of a floor with their points where they lie, in their order; those of which too little is there are left out. `near`: a part of the floor in which some of them lie elsewhere. */
export function dimensionsOn(
  derived: DerivedFloor,
  near: DerivedFloor | null = null,
): readonly { dimension: Dimension; points: readonly PlacedPoint[] }[] {
  const { plan, floor } = derived;
  const own = Object.values(plan.dimensions).filter((each) => each.floor === floor);
  if (own.length === 0) return [];
  const of = new Map<string, PlacedPoint[]>();
  for (const point of Object.values(plan.points)) {
    const at = (near && placeOf(near, point.stand)) ?? placeOf(derived, point.stand);
    if (!at) continue;
    const list = of.get(point.dimension);
    if (list) list.push({ point, at });
    else of.set(point.dimension, [{ point, at }]);
  }
  return own.flatMap((dimension) => {
    const points = of.get(dimension.id)?.sort((a, b) => a.point.order - b.point.order);
    return points ? [{ dimension, points }] : [];
  });
}
