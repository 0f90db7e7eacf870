import { SECTIONS } from '../finishes/trim-of';
import { floorUnder, piecesOfRoom } from '../ceilings';
import type { DerivedFloor, DerivedRoom } from '../derived';
import {
  type Point,
  type Ring,
  alongOf,
  direction,
  distance,
  flattened,
  middle,
  moved,
  offOf,
  rightOf,
  valueOf,
} from '../geometry';
import { lastFor } from '../memory';
import type { Trim } from '../plan/plan';
import { surfaceContains } from '../rooms';
import { MADE } from './openings';
import { EMPTY, type Mesh, together } from './mesh';
import { surfaceId } from '../finishes/surface';
import { type Chain, sweep } from './sweep';

const lastTrim = {
  skirting: lastFor<DerivedRoom['outline'], Mesh>(),
  cornice: lastFor<DerivedRoom['outline'], Mesh>(),
};

/** The skirting of a room, which stops at its doors, or its cornice, which follows the ceiling: swept round it with mitres. Heights over the floor. */
export function trimRaised(floor: DerivedFloor, room: DerivedRoom, trim: Trim | null): Mesh {
  if (!trim || trim.part === 'board' || trim.profile === 'none') return EMPTY;
  const { part, profile, height, depth } = trim;
  const gaps = part === 'skirting' ? doorways(room, height) : [];
  const told = gaps.flatMap(({ opening, from, to }) => [opening, from, to]);
  return lastTrim[part](
    room.outline,
    [room.room.id, room.ceiling, profile, height, depth, ...room.standing, ...told],
    () => {
      const up = part === 'skirting' ? 1 : -1;
      const section = SECTIONS[profile].map(([out, over]) => ({ out: out * depth, up: up * over * height }));
      const id = surfaceId(part, room.room.id);
      const rings = part === 'skirting' ? standingOf(room) : room.outline.rings;
      return together(
        rings.flatMap((ring) => chainsOf(room, ring, part, gaps).map((chain) => sweep(chain, section, id))),
      );
    },
  );
}

/** Where stairs come up there is no floor that a skirting could stand on; along the rest of the outline there is. */
const standingOf = ({ room, outline }: DerivedRoom): readonly Ring[] => (room.overVoid ? [] : outline.rings);

type Gap = DerivedRoom['faces'][number]['openings'][number] & {
  readonly course: DerivedRoom['faces'][number]['course'];
};

/** What a skirting of this height stops at: with the trim of a door. mm along its face. */
function doorways({ faces }: DerivedRoom, height: number): readonly Gap[] {
  return faces.flatMap(({ course, openings }) =>
    openings
      .filter(({ opening }) => opening.form !== 'roof light' && opening.sill < height)
      .map((each) => {
        const trim = each.opening.kind === 'door' ? MADE.trim.broad : 0;
        return { ...each, course, from: each.from - trim, to: each.to + trim };
      }),
  );
}

interface Edge {
  readonly a: Point;
  readonly b: Point;
  readonly upA: number;
  readonly upB: number;
}

/** Less than this is no step of a floor or a ceiling, and no stretch of trim, mm. */
const STEP = 1;

function chainsOf(room: DerivedRoom, ring: Ring, part: 'skirting' | 'cornice', gaps: readonly Gap[]): Chain[] {
  const under =
    part === 'skirting' ? piecesOfRoom(room.ceiling, room.standing) : floorUnder(room.ceiling, [...room.outline.rings]);
  const corners = flattened(ring).filter((p, i, all) => distance(p, all[(i + 1) % all.length]!) > 1e-6);
  const meets = under.length > 1 ? under.flatMap(({ rings }) => rings.flatMap((each) => flattened(each))) : [];
  const edges: (Edge | null)[] = corners.flatMap((a, i) => {
    const b = corners[(i + 1) % corners.length]!;
    return partsBetween(a, b, meets, gaps).map((stretch) => {
      if (!stretch) return null;
      const [p, q] = stretch;
      const at = moved(middle(p, q), rightOf(direction(p, q)), 2);
      const piece = under.find(({ rings }) => surfaceContains(rings, at));
      // over a hole in the floor there is nothing to stand on
      if (!piece) return part === 'skirting' ? null : { a: p, b: q, upA: room.ceilingHeight, upB: room.ceilingHeight };
      const up = (c: Point) => (part === 'skirting' ? piece.step : valueOf(piece.height, c) + piece.step);
      return { a: p, b: q, upA: up(p), upB: up(q) };
    });
  });
  return chained(edges);
}

/** An edge in parts: at the points where what is over it or under it changes, and with null for what a gap takes. */
function partsBetween(a: Point, b: Point, meets: readonly Point[], gaps: readonly Gap[]): ([Point, Point] | null)[] {
  const d = direction(a, b);
  const long = distance(a, b);
  const along = (p: Point) => (p.x - a.x) * d.x + (p.y - a.y) * d.y;
  const cuts = new Set([0, long]);
  for (const p of meets) {
    const s = along(p);
    if (s > STEP && s < long - STEP && Math.abs((p.x - a.x) * d.y - (p.y - a.y) * d.x) < STEP) cuts.add(s);
  }
  const open: [number, number][] = [];
  for (const { course, from, to } of gaps) {
    if (Math.abs(offOf(course, a)) > NEAR || Math.abs(offOf(course, b)) > NEAR) continue;
    const [sa, sb] = [alongOf(course, a), alongOf(course, b)];
    if (sb - sa < 1e-6) continue;
    const at = (s: number) => Math.min(long, Math.max(0, ((s - sa) / (sb - sa)) * long));
    if (at(to) - at(from) < 1e-6) continue;
    open.push([at(from), at(to)]);
    cuts.add(at(from)).add(at(to));
  }
  const sorted = [...cuts].sort((s, t) => s - t);
  return sorted.slice(1).flatMap((to, i) => {
    const from = sorted[i]!;
    if (to - from < 1e-6) return [];
    const half = (from + to) / 2;
    if (open.some(([s, t]) => half > s && half < t)) return [null];
    return [[moved(a, d, from), moved(a, d, to)] as [Point, Point]];
  });
}

/** A chord of an outline is no farther off its face, mm. */
const NEAR = 0.5;

/** Edges that follow each other without a gap and without a step. */
function chained(edges: readonly (Edge | null)[]): Chain[] {
  const follows = (one: Edge | null | undefined, next: Edge | null | undefined) =>
    !!one && !!next && distance(one.b, next.a) < 1e-3 && Math.abs(one.upB - next.upA) < STEP;
  const n = edges.length;
  const first = edges.findIndex((edge, i) => edge && !follows(edges[(i + n - 1) % n], edge));
  const all = edges.filter((edge): edge is Edge => edge !== null);
  if (all.length === 0) return [];
  if (first < 0) return [{ points: all.map(({ a, upA }) => ({ ...a, up: upA })), closed: true }];
  const chains: Edge[][] = [];
  for (let k = 0; k < n; k += 1) {
    const edge = edges[(first + k) % n];
    if (!edge) continue;
    const last = chains.at(-1);
    if (last && follows(last.at(-1), edge) && follows(edges[(first + k + n - 1) % n], edge)) last.push(edge);
    else chains.push([edge]);
  }
  return chains
    .filter((chain) => chain.reduce((sum, { a, b }) => sum + distance(a, b), 0) > STEP)
    .map((chain) => ({
      points: [
        ...chain.map(({ a, upA }) => ({ x: a.x, y: a.y, up: upA })),
        { x: chain.at(-1)!.b.x, y: chain.at(-1)!.b.y, up: chain.at(-1)!.upB },
      ],
      closed: false,
    }));
}
