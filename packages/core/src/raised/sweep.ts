import { type Point, direction, distance, rightOf } from '../geometry';
import { type Mesh, MeshBuilder } from './mesh';
import { triangulated } from './triangulate';

/** A stretch of outline that a trim runs along in one go, the room at its right; closed where it runs all round. `up`: the height of its foot, or of the ceiling, at each corner. */
export interface Chain {
  readonly points: readonly (Point & { readonly up: number })[];
  readonly closed: boolean;
}

/** A point of a section: mm out from the wall, and up. */
export interface SectionPoint {
  readonly out: number;
  readonly up: number;
}

/** At an outer corner sharper than this a mitre would run out into the room, in depths. */
const LONGEST_MITRE = 4;

/**
 * A section swept along a chain of corners, the room at its right: mitred where it turns, cut square where it ends. A closed solid. Where a stretch is too short for its two mitres the section is
 * less deep there, so that nothing turns inside out.
 */
export function sweep({ points, closed }: Chain, section: readonly SectionPoint[], surface: string): Mesh {
  const build = new MeshBuilder();
  const n = points.length;
  const offs = mitres(points, closed);
  const deepest = Math.max(...section.map(({ out }) => out));
  const factor = factors(points, offs, deepest, closed);
  const corners = points.map((p, i) =>
    section.map(({ out, up }) => {
      const by = out * factor[i]!;
      return build.corner(p.x + offs[i]!.x * by, p.up + up, p.y + offs[i]!.y * by);
    }),
  );
  const flat = section.map(({ out, up }) => ({ x: out, y: up }));
  const twice = flat.reduce((sum, p, i) => {
    const q = flat[(i + 1) % flat.length]!;
    return sum + p.x * q.y - q.x * p.y;
  }, 0);
  const quad = (a: number, b: number, c: number, d: number) => {
    const [p, q, r, s] = twice > 0 ? [d, c, b, a] : [a, b, c, d];
    build.triangle(surface, p!, q!, r!);
    build.triangle(surface, p!, r!, s!);
  };
  for (let i = 0; i < (closed ? n : n - 1); i += 1) {
    const [here, there] = [corners[i]!, corners[(i + 1) % n]!];
    section.forEach((_, k) => {
      const next = (k + 1) % section.length;
      quad(here[k]!, here[next]!, there[next]!, there[k]!);
    });
  }
  if (!closed) {
    const loop = flat.map((_, i) => i);
    for (const [a, b, c] of triangulated([twice > 0 ? loop : [...loop].reverse()], flat)) {
      const [begin, end] = [corners[0]!, corners[n - 1]!];
      build.triangle(surface, begin[a]!, begin[b]!, begin[c]!);
      build.triangle(surface, end[a]!, end[c]!, end[b]!);
    }
  }
  return build.done();
}

/** Which way, and how far for each mm of depth, a corner goes into the room. */
function mitres(points: readonly Point[], closed: boolean): Point[] {
  const n = points.length;
  return points.map((p, i) => {
    const before = i > 0 || closed ? rightOf(direction(points[(i + n - 1) % n]!, p)) : null;
    const after = i < n - 1 || closed ? rightOf(direction(p, points[(i + 1) % n]!)) : null;
    if (!before || !after) return (before ?? after)!;
    const sum = { x: before.x + after.x, y: before.y + after.y };
    const by = 1 + before.x * after.x + before.y * after.y;
    const long = Math.hypot(sum.x, sum.y);
    if (long < 1e-9) return before;
    const times = Math.min(1 / Math.max(by, 1e-9), LONGEST_MITRE / long);
    return { x: sum.x * times, y: sum.y * times };
  });
}

/** Of each corner the share of the depth at which no stretch beside it is turned round. */
function factors(points: readonly Point[], offs: readonly Point[], deep: number, closed: boolean): number[] {
  const n = points.length;
  const factor = points.map(() => 1);
  for (let i = 0; i < (closed ? n : n - 1); i += 1) {
    const j = (i + 1) % n;
    const d = direction(points[i]!, points[j]!);
    const shorter = deep * ((offs[i]!.x - offs[j]!.x) * d.x + (offs[i]!.y - offs[j]!.y) * d.y);
    const most = (0.95 * distance(points[i]!, points[j]!)) / shorter;
    if (shorter > 0 && most < 1) for (const k of [i, j]) factor[k] = Math.min(factor[k]!, most);
  }
  return factor;
}
