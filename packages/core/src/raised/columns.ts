import { type Point, type Ring, piecesOf } from '../geometry';
import { type Mesh, MeshBuilder } from './mesh';
import { cornersOfRings, triangulated } from './triangulate';

/** How high something is at a point, mm. Between the corners of a cell it is taken as straight. */
export type HeightAt = (p: Point) => number;

/** What of a cell is solid: from one height to another. */
export interface Span {
  readonly from: HeightAt;
  readonly to: HeightAt;
  /** The surfaces it has from above and from below. */
  readonly top: string;
  readonly bottom: string;
}

/** A piece of the sheet over which something solid stands. Rings without arcs: outlines clockwise, holes anticlockwise. */
export interface Column {
  readonly rings: readonly Ring[];
  /** From below upwards; they do not reach into each other. */
  readonly spans: readonly Span[];
}

/** Which surface a side is of: along an edge of a column, over what is at `low` mm; `inner`: another column is on the other side. */
export type SideSurface = (
  a: Point,
  b: Point,
  column: number,
  side: { low: number; high: number; inner: boolean },
) => string;

/** Corners closer than this are one, mm. */
const WELD = 1e-3;

/**
 * The solid that stands over cells which lie side by side: what they share is not there, so that it is one closed surface, in which every edge has a triangle on
 * either side. Where cells touch, corners of the one are corners of the other, and so are heights.
 */
export function raise(columns: readonly Column[], sideSurface: SideSurface): Mesh {
  return new Raised(columns, sideSurface).mesh();
}

interface Cell {
  readonly column: number;
  /** Loops of corners, by number. */
  loops: number[][];
  /** Of each span the two heights at each corner. */
  readonly heights: { readonly span: Span; readonly from: Map<number, number>; readonly to: Map<number, number> }[];
}

class Raised {
  private readonly points: Point[] = [];
  private readonly near = new Map<string, number[]>();
  private readonly cells: Cell[];
  private readonly build = new MeshBuilder();
  /** Of each corner the heights at which something begins or ends, with the corner of the mesh. */
  private readonly levels: { readonly high: number; readonly corner: number }[][] = [];

  constructor(
    private readonly columns: readonly Column[],
    private readonly sideSurface: SideSurface,
  ) {
    this.cells = columns.map(({ rings, spans }, column): Cell => {
      const loops = rings.map((ring) => this.loop(ring)).filter((loop) => loop.length > 2);
      const all = new Set(loops.flat());
      const heights = spans.map((span) => {
        const [from, to] = [new Map<number, number>(), new Map<number, number>()];
        for (const i of all) {
          const low = span.from(this.points[i]!);
          from.set(i, low);
          to.set(i, Math.max(low, span.to(this.points[i]!)));
        }
        return { span, from, to };
      });
      // what is nowhere thicker than a hair is nothing
      const solid = heights.filter(({ from, to }) => [...all].some((i) => to.get(i)! - from.get(i)! > WELD));
      return { column, loops, heights: solid };
    });
    this.share();
    this.cross();
  }

  mesh(): Mesh {
    for (const cell of this.cells) for (const loop of cell.loops) for (const i of loop) this.settle(cell, i);
    for (const levels of this.levels) levels?.sort((a, b) => a.high - b.high);
    const beside = this.edges();
    for (const cell of this.cells) {
      this.layers(cell);
      for (const loop of cell.loops)
        loop.forEach((i, k) => {
          const j = loop[(k + 1) % loop.length]!;
          this.sides(cell, i, j, beside.get(edge(j, i)) ?? null);
        });
    }
    return this.build.done();
  }

  /** The corners of a ring by number, each a new one or one that is there already. */
  private loop(ring: Ring): number[] {
    const loop: number[] = [];
    for (const p of ring) {
      const i = this.corner(p);
      if (loop.at(-1) !== i) loop.push(i);
    }
    return withoutSpikes(loop);
  }

  private corner({ x, y }: Point): number {
    const [u, v] = [Math.round(x / WELD), Math.round(y / WELD)];
    for (let du = -1; du <= 1; du += 1)
      for (let dv = -1; dv <= 1; dv += 1)
        for (const i of this.near.get(`${u + du} ${v + dv}`) ?? [])
          if (Math.hypot(this.points[i]!.x - x, this.points[i]!.y - y) < WELD) return i;
    this.points.push({ x, y });
    const at = this.points.length - 1;
    const key = `${u} ${v}`;
    this.near.set(key, [...(this.near.get(key) ?? []), at]);
    return at;
  }

  /** A corner that lies along the edge of another cell is one of that, too. */
  private share(): void {
    for (const cell of this.cells)
      cell.loops = cell.loops.map((loop) => this.shared(cell, loop)).filter((loop) => loop.length > 2);
  }

  private shared(cell: Cell, loop: readonly number[]): number[] {
    return withoutSpikes(
      loop.flatMap((i, k) => {
        const j = loop[(k + 1) % loop.length]!;
        const along = this.along(i, j);
        for (const { corner, share } of along) this.between(cell, i, j, corner, share);
        return [i, ...along.map(({ corner }) => corner)];
      }),
    );
  }

  private along(i: number, j: number): { corner: number; share: number }[] {
    const [a, b] = [this.points[i]!, this.points[j]!];
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const squared = dx * dx + dy * dy;
    const found: { corner: number; share: number }[] = [];
    for (let k = 0; k < this.points.length; k += 1) {
      if (k === i || k === j) continue;
      const p = this.points[k]!;
      const [px, py] = [p.x - a.x, p.y - a.y];
      const off = px * dy - py * dx;
      if (off * off > WELD * WELD * squared) continue;
      const share = (px * dx + py * dy) / squared;
      if (share > 0 && share < 1) found.push({ corner: k, share });
    }
    return found.sort((p, q) => p.share - q.share);
  }

  /** What a cell is like at a corner between two of its own: straight from the one to the other. */
  private between(cell: Cell, i: number, j: number, corner: number, share: number): void {
    for (const { from, to } of cell.heights)
      for (const heights of [from, to])
        heights.set(corner, heights.get(i)! + (heights.get(j)! - heights.get(i)!) * share);
  }

  /** Where heights of two neighbours cross along their edge, both have a corner. */
  private cross(): void {
    const beside = this.edges();
    const cuts = new Map<string, { corner: number; share: number }[]>();
    for (const [key, cell] of beside) {
      const [i, j] = ends(key);
      const other = beside.get(edge(j, i));
      if (i > j && other) continue;
      const bounds = [cell, other].flatMap((each) => each?.heights.flatMap(({ from, to }) => [from, to]) ?? []);
      const shares = new Set<number>();
      bounds.forEach((one, n) => {
        for (const two of bounds.slice(n + 1)) {
          const [u, v] = [one.get(i)! - two.get(i)!, one.get(j)! - two.get(j)!];
          if (u * v < 0 && Math.min(Math.abs(u), Math.abs(v)) > WELD) shares.add(u / (u - v));
        }
      });
      const made = [...shares]
        .sort((a, b) => a - b)
        .flatMap((share) => {
          const [a, b] = [this.points[i]!, this.points[j]!];
          const before = this.points.length;
          const corner = this.corner({ x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share });
          return corner >= before ? [{ corner, share }] : [];
        });
      if (made.length === 0) continue;
      cuts.set(key, made);
      cuts.set(edge(j, i), made.map(({ corner, share }) => ({ corner, share: 1 - share })).reverse());
      for (const each of [cell, other])
        if (each) for (const { corner, share } of made) this.between(each, i, j, corner, share);
    }
    if (cuts.size === 0) return;
    for (const cell of this.cells)
      cell.loops = cell.loops.map((loop) =>
        loop.flatMap((i, k) => [
          i,
          ...(cuts.get(edge(i, loop[(k + 1) % loop.length]!)) ?? []).map(({ corner }) => corner),
        ]),
      );
  }

  private edges(): Map<string, Cell> {
    const edges = new Map<string, Cell>();
    for (const cell of this.cells)
      for (const loop of cell.loops) loop.forEach((i, k) => edges.set(edge(i, loop[(k + 1) % loop.length]!), cell));
    return edges;
  }

  /** The heights of a cell at a corner become corners of the mesh; those that hardly differ are one. */
  private settle(cell: Cell, i: number): void {
    const levels = (this.levels[i] ??= []);
    for (const { from, to } of cell.heights)
      for (const heights of [from, to]) {
        const high = heights.get(i)!;
        let level = levels.find((each) => Math.abs(each.high - high) < WELD);
        if (!level) {
          const { x, y } = this.points[i]!;
          levels.push((level = { high, corner: this.build.corner(x, high, y) }));
        }
        heights.set(i, level.high);
      }
  }

  private cornerAt(i: number, high: number): number {
    return this.levels[i]!.find((each) => each.high === high)!.corner;
  }

  /** What is seen of it from above and from below. */
  private layers({ loops, heights }: Cell): void {
    if (heights.length === 0 || loops.length === 0) return;
    const flat = triangulated(loops, this.points);
    for (const { span, from, to } of heights)
      for (const [a, b, c] of flat) {
        const up = [a, b, c].map((i) => this.cornerAt(i, to.get(i)!)) as [number, number, number];
        const down = [a, b, c].map((i) => this.cornerAt(i, from.get(i)!)) as [number, number, number];
        // where it has no thickness it is not there
        if (up.every((corner, k) => corner === down[k])) continue;
        this.build.triangle(span.bottom, ...down);
        this.build.triangle(span.top, up[0], up[2], up[1]);
      }
  }

  /** What of a cell is seen from the other side of an edge, where nothing of its neighbour stands before it. */
  private sides(cell: Cell, i: number, j: number, other: Cell | null): void {
    const middle = (heights: Map<number, number>) => heights.get(i)! + heights.get(j)!;
    const spansOf = (each: Cell | null) =>
      (each?.heights ?? []).map(({ from, to }) => ({ from, to, low: middle(from), high: middle(to) }));
    const [own, theirs] = [spansOf(cell), spansOf(other)];
    const bounds = [...own, ...theirs]
      .flatMap(({ from, to, low, high }) => [
        { heights: from, at: low },
        { heights: to, at: high },
      ])
      .sort((a, b) => a.at - b.at);
    for (let k = 0; k + 1 < bounds.length; k += 1) {
      const [below, above] = [bounds[k]!, bounds[k + 1]!];
      if (above.at - below.at < 1e-9) continue;
      const at = (below.at + above.at) / 2;
      const isIn = (spans: typeof own) => spans.some(({ low, high }) => at > low && at < high);
      if (!isIn(own) || isIn(theirs)) continue;
      const [a, b] = [this.points[i]!, this.points[j]!];
      const surface = this.sideSurface(a, b, cell.column, {
        ...{ low: below.at / 2, high: above.at / 2 },
        inner: other !== null && other.heights.length > 0,
      });
      this.upright(surface, this.chain(i, below.heights, above.heights), this.chain(j, below.heights, above.heights));
    }
  }

  /** Corners of the mesh over a corner of the sheet, from one height to another. */
  private chain(i: number, below: Map<number, number>, above: Map<number, number>): { high: number; corner: number }[] {
    const [low, high] = [below.get(i)!, above.get(i)!];
    return this.levels[i]!.filter((level) => level.high >= low && level.high <= high);
  }

  /** Triangles between two chains, the first at the left hand of who looks at it from outside… at its right, seen along the edge. */
  private upright(surface: string, first: readonly { high: number; corner: number }[], second: typeof first): void {
    let [i, j] = [0, 0];
    while (i + 1 < first.length || j + 1 < second.length) {
      const [up, over] = [first[i + 1], second[j + 1]];
      const left = up && (!over || up.high <= over.high);
      if (left) {
        this.build.triangle(surface, first[i]!.corner, up.corner, second[j]!.corner);
        i += 1;
      } else {
        this.build.triangle(surface, first[i]!.corner, over!.corner, second[j]!.corner);
        j += 1;
      }
    }
  }
}

/** A loop that does not run out along an edge and straight back: of what is narrower than a hair only that is left. */
function withoutSpikes(loop: number[]): number[] {
  for (let k = 0; k < loop.length && loop.length > 1;) {
    const n = loop.length;
    const [before, at, after] = [loop[(k + n - 1) % n]!, loop[k]!, loop[(k + 1) % n]!];
    if (at === after) loop.splice(k, 1);
    else if (before === after) {
      loop.splice(k, 1);
      k = Math.max(0, k - 2);
    } else k += 1;
  }
  return loop;
}

const edge = (i: number, j: number): string => `${i} ${j}`;
const ends = (key: string): [number, number] => key.split(' ').map(Number) as [number, number];

/** An outline raised from one height to another: a post, a board, a piece. */
export const prism = (
  rings: readonly Ring[],
  low: number,
  high: number,
  surface: string | { readonly side: string; readonly top: string; readonly bottom: string },
): Mesh => {
  const of = typeof surface === 'string' ? { side: surface, top: surface, bottom: surface } : surface;
  const span: Span = { from: () => low, to: () => high, top: of.top, bottom: of.bottom };
  return raise(
    piecesOf(cornersOfRings(rings)).map((piece) => ({ rings: piece, spans: [span] })),
    () => of.side,
  );
};
