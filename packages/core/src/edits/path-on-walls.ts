import {
  type Point,
  type RingPoint,
  cross,
  direction,
  distance,
  dot,
  footAlong,
  lineMeeting,
  moved,
  rightOf,
} from '../geometry';

/** A straight leg of what is being drawn, from a to b, running on the line through `on` along `d`. */
export interface Leg {
  a: Point;
  b: Point;
  on: Point;
  d: Point;
  /** It lies on a wall that is there, or a corner of it does: it is not moved sideways again. */
  fixed: boolean;
}

/** Lines within this angle have no meeting worth having: sin 1.5°. */
const SAME_WAY = 0.026;
/** A leg is not moved so far that it becomes shorter than this, mm. */
const SHORTEST = 50;
/** Nearer than this is on it, mm. */
const ON = 1e-6;

/**
 * What is being drawn, as legs that can be moved sideways but keep their direction: a corner goes where its two legs then meet. Curved legs follow
 * their ends.
 */
export class Path {
  readonly legs: readonly (Leg | null)[];
  corners: readonly Point[];

  constructor(
    private readonly drawn: readonly RingPoint[],
    private readonly closed: boolean,
  ) {
    const n = drawn.length;
    this.corners = drawn;
    this.legs = drawn.map((a, i) => {
      const b = drawn[(i + 1) % n]!;
      if (a.bulge || (i === n - 1 && !closed) || distance(a, b) < ON) return null;
      return { a, b, on: a, d: direction(a, b), fixed: false };
    });
  }

  isEnd(i: number): boolean {
    return !this.closed && (i === 0 || i === this.drawn.length - 1);
  }

  /** The straight legs into and out of a corner. */
  legsAt(i: number): readonly Leg[] {
    return [this.legInto(i), this.legs[i]].filter((leg): leg is Leg => !!leg);
  }

  private legInto(i: number): Leg | null {
    return i > 0 || this.closed ? this.legs[(i + this.drawn.length - 1) % this.drawn.length]! : null;
  }

  /** The leg goes onto a line that runs its way. */
  layOn(leg: Leg, line: { readonly a: Point; readonly b: Point }): void {
    const d = direction(line.a, line.b);
    const before = { ...leg };
    Object.assign(leg, { on: line.a, d: dot(d, leg.d) < 0 ? { x: -d.x, y: -d.y } : d, fixed: true });
    if (!this.meet()) Object.assign(leg, before);
  }

  /**
   * The corner goes to `to`, its legs moving sideways with it, none by more than `reach` mm. Nothing is moved, and false returned, where a leg
   * that has to stay is in the way, or a leg would vanish.
   */
  bring(i: number, to: Point, reach: number): boolean {
    const at = this.corners[i]!;
    const legs = this.legsAt(i);
    const shift = { x: to.x - at.x, y: to.y - at.y };
    const sideways = legs.map((leg) => dot(shift, rightOf(leg.d)));
    if (sideways.some((by, k) => Math.abs(by) > reach || (legs[k]!.fixed && Math.abs(by) > ON))) return false;
    const before = legs.map((leg) => ({ ...leg }));
    const corners = this.corners;
    legs.forEach((leg, k) => Object.assign(leg, { on: moved(leg.on, rightOf(leg.d), sideways[k]!), fixed: true }));
    this.corners = this.corners.map((p, k) => (k === i ? to : p));
    if (this.meet(i)) return true;
    legs.forEach((leg, k) => Object.assign(leg, before[k]));
    this.corners = corners;
    return false;
  }

  /** Corners to where their legs meet, but for the one that was just put. False, and nothing moved, where a leg would turn round or vanish. */
  private meet(but?: number): boolean {
    const corners = this.corners.map((p, i) => (i === but ? p : this.meetingAt(i, p)));
    const n = corners.length;
    const sound = this.legs.every((leg, i) => {
      if (!leg) return true;
      const [a, b] = [corners[i]!, corners[(i + 1) % n]!];
      const along = dot({ x: b.x - a.x, y: b.y - a.y }, leg.d);
      const off = Math.abs(cross({ x: b.x - a.x, y: b.y - a.y }, leg.d));
      return along >= Math.min(SHORTEST, distance(this.drawn[i]!, this.drawn[(i + 1) % n]!) - ON) && off < 1e-3;
    });
    if (!sound) return false;
    this.corners = corners;
    this.legs.forEach((leg, i) => leg && Object.assign(leg, { a: corners[i]!, b: corners[(i + 1) % n]! }));
    return true;
  }

  private meetingAt(i: number, p: Point): Point {
    const [one, two] = this.legsAt(i);
    if (!one) return p;
    const foot = () => {
      const k = footAlong(one.on, moved(one.on, one.d, 1), p);
      return moved(one.on, one.d, k);
    };
    if (!two) return foot();
    if (Math.abs(cross(one.d, two.d)) < SAME_WAY) return foot();
    return lineMeeting(one.on, moved(one.on, one.d, 1), two.on, moved(two.on, two.d, 1)) ?? p;
  }

  /** How far the leg that was moved most was moved, sideways or along, mm. */
  mostMoved(): number {
    return Math.max(0, ...this.corners.map((p, i) => distance(p, this.drawn[i]!)));
  }

  points(): RingPoint[] {
    return this.drawn.map((p, i) => ({ ...p, x: this.corners[i]!.x, y: this.corners[i]!.y }));
  }
}
