import { type RingPoint, cross, direction, distance, lineMeeting, moved, rightOf } from '../geometry';
import { type Draft, Refusal } from '../plan/draft';
import type { Id, Underlay, Value, Wall } from '../plan/plan';
import { type TracedBody, scaleOf, tracedBetween } from '../underlay';
import { formatLength } from '../units';
import type { ReadOnTheWay, Tracing, TypedLength } from './parts';

/** Walls that were traced: where their lines go, how thick they are, and what the picture says of their lengths. */
export interface TracedWalls {
  readonly underlay: Underlay;
  readonly points: readonly RingPoint[];
  /** The shares of the wall of a leg, where the picture shows how thick it is. */
  sharesOf(leg: number, made: Pick<Wall, 'left' | 'right'>): Partial<Wall>;
  /** What was typed on the way, and of the other straight legs what the picture says. */
  read(typed: ReadOnTheWay): ReadOnTheWay;
}

/** Below this two legs are taken to run in one line. */
const TOO_FLAT = 0.02;

/**
 * A room is drawn along its inner faces, a wall across it along its middle: what was traced along other lines is moved there, by as much as the wall is seen
 * to be thick, else by the job's usual thickness. `points` clockwise if closed; `turned` when they were drawn the other way round.
 */
export function tracedWalls(
  draft: Draft,
  tracing: Tracing,
  points: readonly RingPoint[],
  closed: boolean,
  turned: boolean,
): TracedWalls {
  const underlay = requireUnderlay(draft, tracing.underlay);
  if (!scaleOf(underlay).known) throw new Refusal('Set the true scale of the underlay first.');
  const count = points.length;
  const legs = closed ? count : count - 1;
  const bodies = Array.from({ length: legs }, (_, i) => bodyOf(tracing, i, count, turned));
  const usual = closed ? draft.job.usual.externalThickness : draft.job.usual.internalThickness;
  const offsets = Array.from({ length: legs }, (_, i) => {
    const body = bodies[i] ?? unseen(tracing.line, usual);
    return points[i]!.bulge ? 0 : closed ? body.right : (body.right - body.left) / 2;
  });
  const placed = offset(points, offsets, closed);
  return {
    underlay,
    points: placed,
    sharesOf: (leg, made) => {
      const body = bodies[leg];
      if (!body) return {};
      const thickness = body.left + body.right;
      return made.right === 0
        ? { left: thickness, typed: true }
        : { left: thickness / 2, right: thickness / 2, typed: true };
    },
    read: (typed) => ({
      ...typed,
      lengths: Array.from({ length: count }, (_, i): TypedLength | null => {
        const [a, b] = [placed[i]!, placed[(i + 1) % count]!];
        if (typed.lengths[i] || i >= legs || a.bulge) return typed.lengths[i] ?? null;
        return { ...tracedValue(draft, underlay, a, b), instrument: 'scaled' };
      }),
    }),
  };
}

/** The length between two points as the picture has it. */
export function tracedValue(
  draft: Draft,
  underlay: Underlay,
  a: RingPoint,
  b: RingPoint,
): Omit<Value, 'time' | 'instrument'> & { readonly instrument: 'scaled' } {
  const metric = draft.job.units === 'metric';
  const value = distance(a, b);
  return {
    value,
    text: formatLength(value, draft.job.units),
    unit: metric ? 'm' : 'ft',
    instrument: 'scaled',
    traced: tracedBetween(underlay, a, b),
  };
}

/** Leg i runs from point i; of a ring walked the other way round the last but one is the first, and left is right. */
function bodyOf({ bodies }: Tracing, leg: number, count: number, turned: boolean): TracedBody | null {
  const body = bodies[turned ? (2 * count - 2 - leg) % count : leg] ?? null;
  return body && turned ? { left: body.right, right: body.left } : body;
}

/** What is taken for the wall where the picture shows none: it stands outside of what was traced, inside it, or on both sides. */
function unseen(line: Tracing['line'], thickness: number): TracedBody {
  if (line === 'centre') return { left: thickness / 2, right: thickness / 2 };
  return line === 'inner' ? { left: thickness, right: 0 } : { left: 0, right: thickness };
}

/** Each leg moved to its right by so many mm; corners are where legs then meet. */
function offset(points: readonly RingPoint[], by: readonly number[], closed: boolean): RingPoint[] {
  const n = points.length;
  const line = (i: number) => {
    const [a, b] = [points[i]!, points[(i + 1) % n]!];
    const d = direction(a, b);
    return { at: moved(a, rightOf(d), by[i]!), d };
  };
  return points.map((p, i) => {
    const into = i > 0 || closed ? line((i + n - 1) % n) : null;
    const out = i < n - 1 || closed ? line(i) : null;
    const [one, two] = [into ?? out!, out ?? into!];
    const crossed =
      into && out && Math.abs(cross(one.d, two.d)) > TOO_FLAT
        ? lineMeeting(one.at, moved(one.at, one.d, 1000), two.at, moved(two.at, two.d, 1000))
        : null;
    if (crossed) return { ...p, ...crossed };
    const shift = into && out ? (by[(i + n - 1) % n]! + by[i]!) / 2 : (by[into ? i - 1 : i] ?? 0);
    return { ...p, ...moved(p, rightOf(two.d), shift) };
  });
}

export function requireUnderlay(draft: Draft, id: Id): Underlay {
  const underlay = draft.underlays[id];
  if (!underlay) throw new Refusal('That underlay is no longer there.');
  return underlay;
}
