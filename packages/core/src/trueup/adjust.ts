import { distance } from '../geometry';
import type { Collection, Corner, Id, Reading, Wall } from '../plan/plan';
import { type Network, componentsOf, networkOf } from '../walls';
import { fit } from './fit';
import { grainOf } from './grain';
import type { Standing } from './least-movement';
import { turnOutOf } from './quantity';
import { asDrawn } from './quantity-of-place';

/** What the adjustment works on: one floor's corners, walls and readings. */
export interface FloorToAdjust {
  readonly corners: Collection<Corner>;
  readonly walls: readonly Wall[];
  readonly readings: readonly Reading[];
  /** How firmly corners stand where they are, against each other; 1 unless told. */
  readonly standing?: Standing;
}

export interface Adjustment {
  readonly corners: Collection<Corner>;
  /** Walls whose thickness or bend is another one. */
  readonly walls: readonly Wall[];
  readonly report: {
    /** Corners that moved by more than 0.01 mm. */
    readonly moved: readonly Id[];
    /** Fitted less read, mm (angles: radians); the worst first. */
    readonly residuals: readonly { readonly reading: Reading; readonly by: number }[];
    /** Walls that left the direction they were assumed to have, radians; the worst first. */
    readonly turned: readonly { readonly wall: Wall; readonly by: number }[];
  };
}

/** A corner moved by less than this has not moved, mm. */
const STILL = 1e-4;
/** Worth a report, mm. */
const MOVED = 0.01;
/** Worth a report, radians. */
const TURNED = 1e-4;

/**
 * Fits a floor (its corners, and the sizes of walls that were read) to its readings by weighted least squares: Σ(residual/σ)² over the readings, the assumed directions and
 * lines, and (weakly, so that what nothing else says stays as it was drawn) the sketch. Of what meets them as well, the one is taken in which least moves. Corners in `stay` stay;
 * where some are pinned, those do. Connected parts are fitted apart; those without a reading are left alone. As in Ghilani & Wolf, Adjustment
 * Computations (from memory).
 */
export function adjust(floor: FloorToAdjust, stay: readonly Id[] = []): Adjustment {
  const network = networkOf(floor.corners, floor.walls);
  const component = componentsOf(network);
  const read = new Set(floor.readings.map((reading) => component.get(reading.from)));
  const corners: Record<Id, Corner> = { ...floor.corners };
  const sized: Wall[] = [];
  const ids = [...network.corners.keys()].filter((id) => read.has(component.get(id)));
  const moved: Id[] = [];
  const residuals: { reading: Reading; by: number }[] = [];
  for (const [part, own] of grouped(ids, (id) => component.get(id)!)) {
    const walls = floor.walls.filter((wall) => component.get(wall.start) === part);
    const readings = floor.readings.filter((reading) => component.get(reading.from) === part);
    const fitted = fit({ ids: own, corners: floor.corners, walls, readings }, stay, floor.standing);
    residuals.push(...fitted.residuals);
    sized.push(...fitted.walls.filter((wall, i) => wall !== walls[i]));
    for (const id of own) {
      const by = distance(floor.corners[id]!, fitted.corners[id]!);
      // corners that did not really move keep their identity
      if (by > STILL) corners[id] = fitted.corners[id]!;
      if (by > MOVED) moved.push(id);
    }
  }
  residuals.sort((a, b) => Math.abs(b.by) - Math.abs(a.by));
  return { corners, walls: sized, report: { moved, residuals, turned: turnedIn(network, corners, new Set(ids)) } };
}

function grouped<T>(list: readonly T[], key: (each: T) => number): Map<number, T[]> {
  const groups = new Map<number, T[]>();
  for (const each of list) {
    const group = groups.get(key(each));
    if (group) group.push(each);
    else groups.set(key(each), [each]);
  }
  return groups;
}

function turnedIn(before: Network, after: Collection<Corner>, own: ReadonlySet<Id>): Adjustment['report']['turned'] {
  if (own.size === 0) return [];
  const { unknowns } = asDrawn(before);
  const x = unknowns.vector((id) => after[id]!, before.walls);
  return grainOf(before, () => 1)
    .filter(({ wall }) => own.has(wall.start))
    .map(({ wall, meant }) => ({ wall, by: turnOutOf(meant, wall.start, wall.end, unknowns).value(x) }))
    .filter(({ by }) => Math.abs(by) > TURNED)
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by));
}
