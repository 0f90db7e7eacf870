import {
  type Intent,
  type Point,
  type RingPoint,
  type SeenUnderlay,
  type TracedLine,
  type Tracing,
  bodyUnder,
  covers,
  ontoPicture,
} from '@velvet-tape/core';

/** What is known of the picture under the pencil. */
export interface TracedPicture {
  readonly line: TracedLine;
  readonly seen: SeenUnderlay;
}

/** What walls are traced off, as it is told; the picture’s lines while they are ready. */
type TracedNow = { line: TracedLine; underlay: SeenUnderlay['underlay']; seen: SeenUnderlay | null };

/** An outline that was drawn without a pencil’s care goes onto the lines of the picture beside it. */
export function onPicture(intent: Intent, traced: TracedNow | null, reach: number): Intent {
  if (intent.kind !== 'drawPath' || !intent.closed || !traced?.seen) return intent;
  return { ...intent, points: ontoPicture(traced.seen, intent.points, reach, traced.line) };
}

/** What is drawn over a picture of known scale is traced off it: as long as the picture says, and as thick as it shows. */
export function tracedIntent(intent: Intent, traced: TracedNow | null): Intent {
  if (!traced) return intent;
  const legs = legsOf(intent);
  if (!legs || !legs.every(([a, b]) => covers(traced.underlay, a) && covers(traced.underlay, b))) return intent;
  const { seen, line, underlay } = traced;
  const bodies = legs.map(([a, b]) => (seen && !a.bulge ? bodyUnder(seen, a, b, line) : null));
  const tracing: Tracing = { underlay: underlay.id, line, bodies };
  return { ...intent, traced: tracing } as Intent;
}

/** The legs of what would be drawn, in the order the edit has them; null for anything but walls. */
function legsOf(intent: Intent): (readonly [RingPoint, Point])[] | null {
  if (intent.kind === 'drawBox') {
    const [left, right] = [Math.min(intent.a.x, intent.b.x), Math.max(intent.a.x, intent.b.x)];
    const [top, foot] = [Math.min(intent.a.y, intent.b.y), Math.max(intent.a.y, intent.b.y)];
    return around([
      { x: left, y: top },
      { x: right, y: top },
      { x: right, y: foot },
      { x: left, y: foot },
    ]);
  }
  if (intent.kind !== 'drawPath' || intent.chalk) return null;
  const { points } = intent;
  const back = points.length > 3 && Math.hypot(points[0]!.x - points.at(-1)!.x, points[0]!.y - points.at(-1)!.y) <= 20;
  const ring = back ? points.slice(0, -1) : points;
  return back || intent.closed ? around(ring) : around(ring).slice(0, -1);
}

const around = (ring: readonly RingPoint[]): (readonly [RingPoint, Point])[] =>
  ring.map((p, i) => [p, ring[(i + 1) % ring.length]!] as const);
