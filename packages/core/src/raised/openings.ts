import type { DerivedFloor } from '../derived';
import { type Point, type Ring, courseOf, direction, moved, partOf, pointAt, rightOf } from '../geometry';
import { isHinged, isThere, openingSpan, swingsOf } from '../openings';
import { lastFor } from '../memory';
import { SECTIONS } from '../finishes/trim-of';
import type { Id, Opening, Trim } from '../plan/plan';
import { prism, raise } from './columns';
import { type Mesh, MeshBuilder, together } from './mesh';
import { surfaceId } from '../finishes/surface';
import { sweep } from './sweep';
import { triangulated } from './triangulate';
import { besideOf, sideKey } from './wall-top';

/** Common practice, no source, mm: how a door or window is made where nobody measured it. */
export const MADE = {
  /** A leaf, and the gap under it. */
  leaf: 40,
  under: 6,
  /** The trim round a door, on both faces of its wall. */
  trim: { broad: 60, thick: 15 },
  /** The frame of a window: how deep, and the least it is broad. */
  window: { deep: 70, least: 30 },
  sash: 45,
  bar: 22,
  glass: 8,
  /** A window board, and how far it reaches out before the wall. */
  board: { thick: 25, out: 35 },
} as const;

/** What stands in an opening: all that is solid, and its glass. */
export interface RaisedOpening {
  readonly opening: Opening;
  readonly solid: Mesh;
  readonly glass: Mesh;
}

/** The doors and windows of a floor: frames, leaves as far as they open, glass, window boards. Heights over the floor. */
export const openingsRaised = (
  floor: DerivedFloor,
  ceilingAt: (opening: Opening) => number,
  boardOf: (room: Id | null) => Trim | null = () => null,
): readonly RaisedOpening[] =>
  floor.openings.flatMap((opening): RaisedOpening[] => {
    const span = openingSpan(floor.network, opening);
    if (opening.form === 'roof light' || !isThere(span)) return [];
    const [ceiling, inside] = [ceilingAt(opening), insideOf(floor, opening)];
    const board = boardOf(roomBeside(floor, opening, inside));
    const { wall, course } = floor.network.half(opening.wall, true);
    return [
      lastOpening(opening, [span.from, span.to, ceiling, inside, wall, course.a, course.b, board], () => {
        const made = new Making(floor, opening, ceiling, inside, board);
        return { opening, solid: together(made.solid), glass: together(made.glass) };
      }),
    ];
  });

const lastOpening = lastFor<Opening, RaisedOpening>();

/** On which side the room is, from which a window is seen: 1 to the right of its wall. */
function insideOf(floor: DerivedFloor, opening: Opening): 1 | -1 {
  const beside = besideOf(floor);
  return beside.get(sideKey(opening.wall, 'right')) || !beside.get(sideKey(opening.wall, 'left')) ? 1 : -1;
}

const roomBeside = (floor: DerivedFloor, { wall }: Opening, inside: 1 | -1): Id | null =>
  besideOf(floor).get(sideKey(wall, inside > 0 ? 'right' : 'left'))?.room.room.id ?? null;

/** Puts one opening together, in its own frame: along it from its first jamb, across from the middle of its wall, up from the floor. */
class Making {
  readonly solid: Mesh[] = [];
  readonly glass: Mesh[] = [];
  private readonly at: Point;
  private readonly d: Point;
  private readonly n: Point;
  private readonly width: number;
  private readonly half: number;
  private readonly low: number;
  private readonly high: number;

  constructor(
    private readonly floor: DerivedFloor,
    private readonly opening: Opening,
    ceiling: number,
    private readonly inside: 1 | -1,
    private readonly boardTrim: Trim | null,
  ) {
    const { wall, course } = floor.network.half(opening.wall, true);
    const span = openingSpan(floor.network, opening);
    const part = partOf(course, span.from, span.to);
    const middle = (wall.right - wall.left) / 2;
    const [a, b] = [pointAt(part, 0, middle), pointAt(part, part.length, middle)];
    this.d = direction(a, b);
    this.n = rightOf(this.d);
    this.at = a;
    this.width = courseOf(a, b).length;
    this.half = (wall.left + wall.right) / 2;
    this.low = opening.sill;
    this.high = Math.min(opening.toCeiling ? ceiling : opening.sill + opening.height, ceiling);
    if (this.high - this.low < 50) return;
    switch (opening.kind) {
      case 'door':
        this.door();
        break;
      case 'window':
        this.window();
        break;
      case 'opening':
        if (opening.form === 'arched opening') this.arch();
    }
  }

  private of(what: 'frame' | 'leaf' | 'glass' | 'board' | 'reveal'): string {
    return surfaceId(what, this.opening.id);
  }

  private ring(s0: number, s1: number, o0: number, o1: number): Ring {
    const p = (s: number, o: number) => moved(moved(this.at, this.d, s), this.n, o);
    return [p(s0, o0), p(s1, o0), p(s1, o1), p(s0, o1)];
  }

  /** A box: along, across, up. */
  private box(
    what: 'frame' | 'leaf' | 'glass' | 'board',
    [s0, s1]: readonly [number, number],
    [o0, o1]: readonly [number, number],
    [z0, z1]: readonly [number, number],
  ): void {
    if (s1 - s0 < 1 || o1 - o0 < 1 || z1 - z0 < 1) return;
    (what === 'glass' ? this.glass : this.solid).push(prism([this.ring(s0, s1, o0, o1)], z0, z1, this.of(what)));
  }

  private door(): void {
    const { broad, thick } = MADE.trim;
    const { width, half, low, high, opening } = this;
    for (const [o0, o1] of [
      [-half - thick, -half],
      [half, half + thick],
    ] as const) {
      this.box('frame', [-broad, 0], [o0, o1], [low, high]);
      this.box('frame', [width, width + broad], [o0, o1], [low, high]);
      this.box('frame', [-broad, width + broad], [o0, o1], [high, high + broad]);
    }
    const [foot, head] = [low + MADE.under, high - MADE.under];
    if (isHinged(opening)) {
      for (const { hinge, open, leaf } of swingsOf(this.floor.network, opening)) {
        const along = direction(hinge, open);
        // on the side of the jamb, so that it stands beside the way through
        const to = rightOf(along);
        const towards = moved(this.at, this.d, width / 2);
        const side = (towards.x - hinge.x) * to.x + (towards.y - hinge.y) * to.y > 0 ? 1 : -1;
        this.leaf(hinge, along, leaf - MADE.under, moved({ x: 0, y: 0 }, to, side), foot, head);
      }
      return;
    }
    const start = this.at;
    const panel = (from: number, wide: number, off: number) =>
      this.leaf(moved(moved(start, this.d, from), this.n, off), this.d, wide, this.n, foot, head);
    switch (opening.form) {
      case 'sliding door':
        panel(0, width / 2, 5);
        panel(20, width / 2, -MADE.leaf - 5);
        break;
      case 'bi-fold door':
        for (const k of [0, 1, 2, 3])
          this.leaf(
            moved(start, this.d, 8 + k * (MADE.leaf + 8)),
            this.n,
            Math.min(width / 4, 2 * half),
            this.d,
            foot,
            head,
          );
        break;
      case 'pocket door':
        panel(0, 60, -MADE.leaf / 2);
        break;
      default:
        panel(MADE.under, width - 2 * MADE.under, -MADE.leaf / 2);
    }
  }

  /** A leaf as it stands: from a point along a direction, as thick to one side. Glazed ones have their glass between stiles. */
  private leaf(from: Point, along: Point, wide: number, thick: Point, low: number, high: number): void {
    const ring = (s0: number, s1: number, t0: number, t1: number): Ring => {
      const p = (s: number, t: number) => moved(moved(from, along, s), thick, t);
      const ring = [p(s0, t0), p(s1, t0), p(s1, t1), p(s0, t1)];
      return along.x * thick.y - along.y * thick.x > 0 ? ring : ring.reverse();
    };
    const t = MADE.leaf;
    const { glazing } = this.opening;
    const stile = Math.min(110, wide / 4);
    const glassHigh = Math.min(high - low - 2 * stile, (glazing * wide * (high - low)) / Math.max(1, wide - 2 * stile));
    if (glazing <= 0 || glassHigh < 100) {
      this.solid.push(prism([ring(0, wide, 0, t)], low, high, this.of('leaf')));
      return;
    }
    const top = high - stile;
    const foot = top - glassHigh;
    this.solid.push(
      prism([ring(0, stile, 0, t)], low, high, this.of('leaf')),
      prism([ring(wide - stile, wide, 0, t)], low, high, this.of('leaf')),
      prism([ring(stile, wide - stile, 0, t)], low, foot, this.of('leaf')),
      prism([ring(stile, wide - stile, 0, t)], top, high, this.of('leaf')),
    );
    this.glass.push(prism([ring(stile, wide - stile, t / 2 - 4, t / 2 + 4)], foot, top, this.of('glass')));
  }

  private window(): void {
    const { width, half, low, high, inside, opening } = this;
    const deep = Math.min(MADE.window.deep, 2 * half);
    // towards the outer face, with a reveal before it and a board behind it
    const set = Math.max(0, (2 * half - deep) * 0.35);
    const out = -inside * (half - set);
    const o: readonly [number, number] = out < 0 ? [out, out + deep] : [out - deep, out];
    const inner = inside > 0 ? o[1] : o[0];
    if (Math.abs(inside * half - inner) > 20) this.board(inner);
    const broad = Math.min(Math.max(MADE.window.least, opening.frame), width / 4, (high - low) / 4);
    const foot = low;
    this.box('frame', [0, broad], o, [foot, high]);
    this.box('frame', [width - broad, width], o, [foot, high]);
    this.box('frame', [broad, width - broad], o, [foot, foot + broad]);
    this.box('frame', [broad, width - broad], o, [high - broad, high]);
    const [s0, s1] = [broad, width - broad];
    const [z0, z1] = [foot + broad, high - broad];
    const middle = (o[0] + o[1]) / 2;
    const sash = Math.min(MADE.sash, (s1 - s0) / 8, (z1 - z0) / 8);
    const pane = (from: number, to: number, below: number, above: number, off: number) => {
      const across: readonly [number, number] = [off - 18, off + 18];
      this.box('frame', [from, from + sash], across, [below, above]);
      this.box('frame', [to - sash, to], across, [below, above]);
      this.box('frame', [from + sash, to - sash], across, [below, below + sash]);
      this.box('frame', [from + sash, to - sash], across, [above - sash, above]);
      this.glazed([from + sash, to - sash], off, [below + sash, above - sash]);
    };
    switch (opening.form) {
      case 'sash window':
        pane(s0, s1, (z0 + z1) / 2 - sash / 2, z1, middle - inside * 16);
        pane(s0, s1, z0, (z0 + z1) / 2 + sash / 2, middle + inside * 21);
        break;
      case 'sliding window':
        pane(s0, (s0 + s1) / 2 + sash / 2, z0, z1, middle - inside * 16);
        pane((s0 + s1) / 2 - sash / 2, s1, z0, z1, middle + inside * 21);
        break;
      case 'fixed window':
        this.glazed([s0, s1], middle, [z0, z1]);
        break;
      case 'hatch':
        this.box('leaf', [s0, s1], [middle - 15, middle + 15], [z0, z1]);
        break;
      default:
        if (width > 950 && opening.form === 'side-hung window') {
          pane(s0, width / 2, z0, z1, middle);
          pane(width / 2, s1, z0, z1, middle);
        } else pane(s0, s1, z0, z1, middle);
    }
  }

  /** A window board from the frame to before the wall, its edge formed as it was chosen. */
  private board(inner: number): void {
    const { width, half, inside, low, boardTrim: trim } = this;
    if (trim?.profile === 'none') return;
    const [thick, out] = trim ? [trim.height, trim.depth] : [MADE.board.thick, MADE.board.out];
    const face = inside * half;
    const edge = SECTIONS[trim?.profile ?? 'square'];
    const outline = [
      { x: inner, y: low },
      ...edge.slice(1, -1).map(([o, u]) => ({ x: face + inside * out * o, y: low + thick * u })),
      { x: face, y: low + thick },
      { x: inner, y: low + thick },
    ].filter((p, i, all) => Math.hypot(p.x - all[(i + 1) % all.length]!.x, p.y - all[(i + 1) % all.length]!.y) > 1e-6);
    const p = (s: number): Point => moved(this.at, this.d, s);
    const way = inside > 0 ? [p(0), p(width)] : [p(width), p(0)];
    const section = outline.map(({ x, y }) => ({ out: inside * x, up: y }));
    this.solid.push(
      sweep({ points: way.map((each) => ({ ...each, up: 0 })), closed: false }, section, this.of('board')),
    );
  }

  /** Glass, with its bars. */
  private glazed([s0, s1]: readonly [number, number], off: number, [z0, z1]: readonly [number, number]): void {
    const { across, upright } = this.opening.bars;
    const t = MADE.glass / 2;
    this.box('glass', [s0, s1], [off - t, off + t], [z0, z1]);
    const bar = MADE.bar / 2;
    const o: readonly [number, number] = [off - 12, off + 12];
    for (let i = 1; i <= upright; i += 1) {
      const s = s0 + ((s1 - s0) * i) / (upright + 1);
      this.box('frame', [s - bar, s + bar], o, [z0, z1]);
    }
    for (let i = 1; i <= across; i += 1) {
      const z = z0 + ((z1 - z0) * i) / (across + 1);
      this.box('frame', [s0, s1], [o[0] + 1, o[1] - 1], [z - bar, z + bar]);
    }
  }

  /** Under a round head the corners of the gap are filled: half a circle, or less where it is lower than that. */
  private arch(): void {
    const { width, half, low, high } = this;
    const rise = Math.min(width / 2, high - low);
    const steps = 24;
    const bow = Array.from({ length: steps + 1 }, (_, i) => {
      const angle = Math.PI * (1 - i / steps);
      return { x: width / 2 + (width / 2) * Math.cos(angle), y: high - rise + rise * Math.sin(angle) };
    });
    const middle = steps / 2;
    for (const side of [
      [...bow.slice(0, middle + 1), { x: 0, y: high }],
      [...bow.slice(middle), { x: width, y: high }],
    ])
      this.solid.push(this.slab(side, [-half, half], this.of('reveal')));
  }

  /** An outline in elevation, along and up, through the wall. */
  private slab(outline: readonly Point[], [o0, o1]: readonly [number, number], surface: string): Mesh {
    const build = new MeshBuilder();
    const put = (o: number) =>
      outline.map(({ x, y }) => {
        const p = moved(moved(this.at, this.d, x), this.n, o);
        return build.corner(p.x, y, p.y);
      });
    const [near, far] = [put(o0), put(o1)];
    const numbers = outline.map((_, i) => i);
    const twice = outline.reduce((sum, p, i) => {
      const q = outline[(i + 1) % outline.length]!;
      return sum + p.x * q.y - q.x * p.y;
    }, 0);
    const loop = twice > 0 ? numbers : [...numbers].reverse();
    for (const [a, b, c] of triangulated([loop], outline)) {
      build.triangle(surface, near[a]!, near[c]!, near[b]!);
      build.triangle(surface, far[a]!, far[b]!, far[c]!);
    }
    loop.forEach((i, k) => {
      const j = loop[(k + 1) % loop.length]!;
      build.triangle(surface, near[i]!, far[j]!, far[i]!);
      build.triangle(surface, near[i]!, near[j]!, far[j]!);
    });
    return build.done();
  }
}

/** Roof lights: in the slope over their wall, a frame round the hole and glass in it. */
export function roofLightRaised(
  opening: Opening,
  ring: Ring,
  plane: (p: Point) => number,
  thick: number,
): { readonly solid: Mesh; readonly glass: Mesh } {
  const [a, b, c, d] = ring as [Point, Point, Point, Point];
  const drawn = (by: number): Ring => {
    const [u, v] = [direction(a, b), direction(a, d)];
    const at = (p: Point, s: number, t: number) => moved(moved(p, u, s), v, t);
    return [at(a, by, by), at(b, -by, by), at(c, -by, -by), at(d, by, -by)];
  };
  const inner = drawn(Math.min(60, Math.hypot(b.x - a.x, b.y - a.y) / 5));
  const frame = surfaceId('frame', opening.id);
  const solid = raise(
    [
      {
        rings: [ring.map(({ x, y }) => ({ x, y })), [...inner].reverse()],
        spans: [{ from: plane, to: (p) => plane(p) + thick + 30, top: frame, bottom: frame }],
      },
    ],
    () => frame,
  );
  const glass = surfaceId('glass', opening.id);
  const pane = raise(
    [
      {
        rings: [inner],
        spans: [{ from: (p) => plane(p) + thick - 20, to: (p) => plane(p) + thick - 10, top: glass, bottom: glass }],
      },
    ],
    () => glass,
  );
  return { solid, glass: pane };
}
