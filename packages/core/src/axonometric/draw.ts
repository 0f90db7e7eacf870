import type { Mark, Role } from '../drawing/marks';
import { type Point, type Ring, piecesOf } from '../geometry';
import type { Id, Plan } from '../plan/plan';
import { type RaisedPart, type RaisedThing, raisedFloor, raisedHouse } from '../raised/house';
import { triangulated } from '../raised/triangulate';
import { type Triangle, cutMesh } from './cut-mesh';
import { type Line, linesOf, withoutPartings } from './lines-of';
import { type Axonometry, type Projection, type Vector, projectionOf, times } from './projection';
import { Hiding } from './seen-of';

/** What is drawn, and how. */
export interface Drawing {
  readonly form: Axonometry;
  /** Seen from which corner of the sheet: 0 to 3. */
  readonly corner: number;
  /** One floor without what lies over it; null: the house as it stands, with its roofs. */
  readonly floor: Id | null;
  /** Everything is cut so high over that floor, or over the lowest, mm; null: not at all. */
  readonly cut: number | null;
  readonly furnished: boolean;
}

interface Standing {
  readonly thing: RaisedThing;
  /** How high its floor lies, mm. */
  readonly up: number;
}

const OVER: readonly RaisedPart[] = ['ceilings', 'cornices'];

/** What can be seen through hides nothing, and its edges are those of its frame. */
const isDrawn = ({ part, loose }: RaisedThing, { floor, furnished }: Drawing): boolean =>
  part !== 'glass' && (floor === null || !OVER.includes(part)) && (furnished || !loose);

/** A house, or a floor, as lines and what is cut: marks in mm of the house along the axes that are true. What is hidden is left out. */
export function drawAxonometric(plan: Plan, drawing: Drawing): Mark[] {
  const floors = drawing.floor === null ? raisedHouse(plan) : [raisedFloor(plan, drawing.floor)];
  const ground = floors[0]?.elevation ?? 0;
  const standing = floors.flatMap(({ things, elevation }) =>
    things.filter((thing) => isDrawn(thing, drawing)).map((thing): Standing => ({ thing, up: elevation - ground })),
  );
  return drawn(standing, projectionOf(drawing.form, drawing.corner), drawing.cut);
}

/** A hair over the height that was asked for: sills and heads that lie just there are whole. */
const HAIR = 0.0137;

const raisedBy = ([x, y, z]: Vector, up: number): Vector => [x, y + up, z];

export function drawn(standing: readonly Standing[], projection: Projection, cut: number | null): Mark[] {
  const triangles: Triangle[] = [];
  const lines: (Line & { readonly of: RaisedPart })[] = [];
  const caps: {
    readonly part: RaisedPart;
    readonly key: string;
    readonly rings: readonly Ring[];
    readonly at: number;
  }[] = [];
  for (const { thing, up } of standing) {
    const height = cut === null ? null : cut + HAIR - up;
    const left = cutMesh(thing.mesh, height);
    for (const each of left.triangles) triangles.push(each.map((p) => raisedBy(p, up)) as unknown as Triangle);
    if (left.caps.length > 0) {
      caps.push({ part: thing.part, key: thing.key, rings: left.caps, at: height! + up });
      for (const each of lidsOf(left.caps, height! + up)) triangles.push(each);
    }
    for (const line of linesOf(thing.mesh, projection)) {
      const kept = underHeight(line, height);
      if (kept) lines.push({ ...kept, a: raisedBy(kept.a, up), b: raisedBy(kept.b, up), of: thing.part });
    }
  }
  const hiding = new Hiding(triangles, projection);
  const page = (p: Vector): Point => ({ x: times(projection.right, p), y: times(projection.down, p) });
  const byPart = new Map<RaisedPart, Point[][]>();
  const known = new Set<string>();
  for (const line of withoutPartings(lines))
    for (const [from, to] of hiding.seen(line.a, line.b)) {
      const ends = [from, to].map((k) => page(between(line.a, line.b, k)));
      const key = ends
        .map(({ x, y }) => `${Math.round(2 * x)} ${Math.round(2 * y)}`)
        .sort()
        .join(' ');
      if (known.has(key)) continue;
      known.add(key);
      const own = byPart.get(line.of);
      if (own) own.push(ends);
      else byPart.set(line.of, [ends]);
    }
  return [
    ...[...byPart].map(([part, rings]): Mark => ({
      ...{ kind: 'path', role: ROLE[part] ?? 'axonometric.line', key: `axonometric ${part}`, rings, closed: false },
    })),
    // nothing stands over what is cut
    ...caps.map(({ part, key, rings, at }): Mark => ({
      ...{
        kind: 'path',
        role: part === 'walls' || part === 'columns' ? 'wall.cut' : 'axonometric.cut',
        key: `cut ${key}`,
      },
      ...{ rings: rings.map((ring) => ring.map(({ x, y }) => page([x, at, y]))), closed: true },
    })),
  ];
}

const ROLE: Partial<Record<RaisedPart, Role>> = { pieces: 'axonometric.fine', openings: 'axonometric.fine' };

const between = (a: Vector, b: Vector, k: number): Vector => [
  a[0] + k * (b[0] - a[0]),
  a[1] + k * (b[1] - a[1]),
  a[2] + k * (b[2] - a[2]),
];

function underHeight(line: Line, height: number | null): Line | null {
  if (height === null) return line;
  const { a, b } = line;
  if (a[1] > height && b[1] > height) return null;
  if (a[1] <= height && b[1] <= height) return line;
  const at = between(a, b, (height - a[1]) / (b[1] - a[1]));
  return a[1] > height ? { ...line, a: at } : { ...line, b: at };
}

/** What closes a solid where it is cut, looking up. */
export function lidsOf(caps: readonly Ring[], at: number): Triangle[] {
  return piecesOf(caps).flatMap((rings) => {
    const points = rings.flat();
    let first = 0;
    const loops = rings.map((ring) => {
      const loop = ring.map((_, i) => first + i);
      first += ring.length;
      return loop;
    });
    const corner = (i: number): Vector => [points[i]!.x, at, points[i]!.y];
    return triangulated(loops, points).map(([a, b, c]): Triangle => [corner(a), corner(c), corner(b)]);
  });
}
