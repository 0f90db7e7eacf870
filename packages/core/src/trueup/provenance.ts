import { type Point, cross, direction, dot } from '../geometry';
import type { Id, Reading } from '../plan/plan';
import { type Network, STRAIGHT } from '../walls';

/** Where a length comes from: read off a tape, following from lengths that were, or only sketched. */
export type Provenance = 'taped' | 'worked out' | 'rough';

/**
 * Tells of any straight run whether its length is known. Walls square to a direction carry a place along it
 * from corner to corner; a reading along the direction ties two such places together. A length is worked out
 * when its two ends are tied. Slanted walls carry
 * nothing, so a length that depends on one stays rough; a curved one does what its chord does.
 */
export function provenanceOf(
  network: Network,
  readings: readonly Reading[],
): (from: Id, to: Id, kind?: Reading['kind']) => Provenance {
  const taped = new Set(readings.map((reading) => `${reading.kind} ${reading.from}>${reading.to}`));
  const ties: { d: Point; places: Places }[] = [];
  const along = (d: Point): Places => {
    const known = ties.find((tie) => Math.abs(cross(tie.d, d)) < STRAIGHT);
    if (known) return known.places;
    const places = new Places();
    for (const wall of network.walls) {
      const { a, b } = network.half(wall.id, true).course;
      if (Math.abs(dot(direction(a, b), d)) < STRAIGHT) places.tie(wall.start, wall.end);
    }
    for (const reading of readings) {
      const from = network.corners.get(reading.from);
      const to = network.corners.get(reading.to);
      if (from && to && Math.abs(cross(direction(from, to), d)) < STRAIGHT) places.tie(from.id, to.id);
    }
    ties.push({ d, places });
    return places;
  };
  return (from, to, kind = 'length') => {
    if (readings.length === 0) return 'rough';
    if (taped.has(`${kind} ${from}>${to}`)) return 'taped';
    if (kind === 'chord') return 'rough';
    const places = along(direction(network.corners.get(from)!, network.corners.get(to)!));
    return places.tied(from, to) ? 'worked out' : 'rough';
  };
}

/** Union-find over corners. */
class Places {
  private readonly parent = new Map<Id, Id>();

  private root(id: Id): Id {
    let at = id;
    for (let up = this.parent.get(at); up !== undefined; up = this.parent.get(at)) at = up;
    if (at !== id) this.parent.set(id, at);
    return at;
  }

  tie(a: Id, b: Id): void {
    const from = this.root(a);
    const to = this.root(b);
    if (from !== to) this.parent.set(from, to);
  }

  tied(a: Id, b: Id): boolean {
    return this.root(a) === this.root(b);
  }
}
