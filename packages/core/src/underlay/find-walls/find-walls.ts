import { type Point, distance, footAlong } from '../../geometry';
import type { PicturePoint } from '../../plan/underlay';
import { type Grey, type Progress, shrunk } from '../raster';
import { type Bar, barsOf, lengthOfBar, longRuns, thicknessOfBar, transposed } from './bars';
import { type Ink, inkOf } from './binarise';
import { skewOf, turnedBack, turnedForth } from './skew';
import { type Sizes, type Stroke, hatchedBars, strokesOf } from './strokes';

/** A wall seen on a picture: its middle line, px, how thick it is, and the gaps in it, px from `a`. */
export interface FoundWall {
  readonly a: PicturePoint;
  readonly b: PicturePoint;
  readonly thickness: number;
  readonly gaps: readonly { readonly from: number; readonly to: number; readonly kind: 'door' | 'window' }[];
}

export interface FoundWalls {
  readonly walls: readonly FoundWall[];
  /** By how much the drawing is turned against its picture, degrees clockwise. */
  readonly skew: number;
}

/** A picture is looked at no larger than this, px along its longer side. */
const LOOKED_AT = 2000;
/** Walls and what is in them, mm (common practice, no source). */
const WALL = { least: 60, most: 700 } as const;
/** Blurred and drawn thin a wall may seem less thick by this share. */
const THINNEST = 0.75;
const USUAL_WALL = 80;
const DOOR = 1500;
const WINDOW = 4200;

/**
 * The straight walls of a clean plan, dark on light: filled or hatched, level and upright to each other; a drawing turned by up to 4° is
 * turned back first. `perPixel` is the scale, mm to a pixel: walls, doors and windows are known by their size.
 */
export function findWalls(picture: Grey, perPixel: number, progress: Progress = () => {}): FoundWalls {
  const by = Math.max(1, Math.ceil(Math.max(picture.width, picture.height) / LOOKED_AT));
  const grey = shrunk(picture, by);
  const scale = perPixel * by;
  progress(0.05);
  const { ink: raw, faint } = inkOf(grey);
  progress(0.25);
  const skew = skewOf(raw);
  progress(0.5);
  const ink = turnedBack(raw, skew);
  const flipped = transposed(ink);
  const lines = turnedBack(faint, skew);
  progress(0.6);
  const least = Math.max(10, Math.round(Math.max(ink.width, ink.height) / 90));
  const both = [ink, flipped].map((each) => barsOf(longRuns(each, least, 1), least, 1));
  progress(0.75);
  const sizes = sizesOf(both.flat(), scale);
  const [level, upright] = [ink, flipped].map((each, i) => wallBars(both[i]!, each, sizes)) as [Bar[], Bar[]];
  progress(0.85);
  const strokes = [
    ...strokesOf(level, upright, { ink, lines }, sizes).map((stroke) => ({ stroke, upright: false })),
    ...strokesOf(upright, level, { ink: flipped, lines: transposed(lines) }, sizes).map((stroke) => ({
      stroke,
      upright: true,
    })),
  ];
  const walls = welded(belonging(joined(strokes, sizes), sizes));
  progress(1);
  return { walls: walls.map((wall) => inPicture(wall, ink, skew, by)), skew };
}

function wallBars(bars: readonly Bar[], ink: Ink, sizes: Sizes): Bar[] {
  const solid = bars.filter(
    (bar) =>
      thicknessOfBar(bar) >= sizes.thin &&
      thicknessOfBar(bar) <= sizes.thickest &&
      lengthOfBar(bar) >= thicknessOfBar(bar),
  );
  const lines = bars.filter((bar) => thicknessOfBar(bar) < sizes.thin);
  const hatched = hatchedBars(lines, ink, sizes).filter((bar) => !solid.some((other) => covers(other, bar)));
  return [...solid, ...hatched];
}

const covers = (a: Bar, b: Bar): boolean =>
  Math.min(a.foot, b.foot) > Math.max(a.top, b.top) && Math.min(a.to, b.to) - Math.max(a.from, b.from) > 2;

/** What is walls, and what is in them, by their sizes in the house. */
function sizesOf(bars: readonly Bar[], scale: number): Sizes {
  const thin = Math.max(2.5, (THINNEST * WALL.least) / scale);
  const thick = bars.filter((bar) => thicknessOfBar(bar) >= thin).sort((a, b) => thicknessOfBar(a) - thicknessOfBar(b));
  const wall = Math.max(thick.length > 0 ? weightedMedian(thick) : 0, USUAL_WALL / scale);
  return { thin, wall, thickest: WALL.most / scale, door: DOOR / scale, window: WINDOW / scale };
}

function weightedMedian(bars: readonly Bar[]): number {
  const half = bars.reduce((sum, bar) => sum + lengthOfBar(bar), 0) / 2;
  let sum = 0;
  return thicknessOfBar(bars.find((bar) => (sum += lengthOfBar(bar)) >= half)!);
}

/** A stroke with its ends where it meets others; `at` is the middle line, `upright` down the picture. */
interface Placed extends Stroke {
  readonly upright: boolean;
  /** The strokes it meets. */
  readonly meets: ReadonlySet<number>;
}

/** The ends of strokes are moved onto the middle lines of those they run into. */
function joined(strokes: readonly { stroke: Stroke; upright: boolean }[], sizes: Sizes): Placed[] {
  const slack = Math.max(3, 0.6 * sizes.wall);
  return strokes.map(({ stroke, upright }) => {
    const meets = new Set<number>();
    let { from, to } = stroke;
    strokes.forEach(({ stroke: other, upright: turned }, j) => {
      if (turned === upright) return;
      if (stroke.middle < other.from - slack || stroke.middle > other.to + slack) return;
      if (other.middle < stroke.from - slack || other.middle > stroke.to + slack) return;
      meets.add(j);
      const reach = other.thickness / 2 + slack;
      if (Math.abs(other.middle - stroke.from) <= reach) from = other.middle;
      else if (Math.abs(other.middle - stroke.to) <= reach) to = other.middle;
    });
    return { ...stroke, from, to, upright, meets };
  });
}

/** Less than this share of the largest group of walls that hang together is no house, but a title block or an arrow. */
const LEAST_GROUP = 0.12;

/** What hangs together with a good part of the walls. */
function belonging(strokes: readonly Placed[], sizes: Sizes): Placed[] {
  const group = strokes.map((_, i) => i);
  const root = (i: number): number => (group[i] === i ? i : root(group[i]!));
  strokes.forEach(({ meets }, i) => meets.forEach((j) => (group[root(i)] = root(j))));
  const lengths = new Map<number, number>();
  strokes.forEach((stroke, i) => lengths.set(root(i), (lengths.get(root(i)) ?? 0) + stroke.to - stroke.from));
  const most = Math.max(0, ...lengths.values());
  return strokes.filter(
    (stroke, i) =>
      lengths.get(root(i))! >= Math.max(LEAST_GROUP * most, 12 * sizes.wall) &&
      stroke.to - stroke.from > stroke.thickness,
  );
}

/** A stroke from point to point, on the picture turned back. */
interface Line extends Placed {
  readonly a: Point;
  readonly b: Point;
}

/** Ends that lie within each other's walls become one corner; an end beside another wall comes to lie on its line. */
function welded(strokes: readonly Placed[]): Line[] {
  const ends = strokes.flatMap((stroke, i) =>
    (['from', 'to'] as const).map((end) => {
      const along = stroke[end];
      const at = stroke.upright ? { x: stroke.middle, y: along } : { x: along, y: stroke.middle };
      return { i, end, at, stroke };
    }),
  );
  const cluster = ends.map((_, k) => k);
  const root = (k: number): number => (cluster[k] === k ? k : root(cluster[k]!));
  ends.forEach((one, k) =>
    ends.forEach((two, l) => {
      const near = Math.max(one.stroke.thickness, two.stroke.thickness) / 2 + 1;
      if (k < l && one.i !== two.i && distance(one.at, two.at) <= near) cluster[root(l)] = root(k);
    }),
  );
  const corner = (k: number): Point => {
    const together = ends.filter((_, l) => root(l) === root(k));
    // across a wall its middle line says where; along it those that run into it do
    const mean = (of: 'x' | 'y', upright: boolean) => {
      const telling = together.filter(({ stroke }) => stroke.upright === upright);
      const said = telling.length > 0 ? telling : together;
      const weight = said.reduce((sum, { stroke }) => sum + stroke.thickness, 0);
      return said.reduce((sum, { stroke, at }) => sum + at[of] * stroke.thickness, 0) / weight;
    };
    return { x: mean('x', true), y: mean('y', false) };
  };
  const lines = strokes.map((stroke, i): Line => ({ ...stroke, a: corner(2 * i), b: corner(2 * i + 1) }));
  return lines.map((line, i) => {
    const alone = (k: number) => cluster.filter((_, l) => root(l) === root(k)).length === 1;
    const a = alone(2 * i) ? ontoLine(lines, i, line.a) : line.a;
    const b = alone(2 * i + 1) ? ontoLine(lines, i, line.b) : line.b;
    return { ...line, a, b };
  });
}

/** The point on the nearest line that it is within the wall of; itself where there is none. */
function ontoLine(lines: readonly Line[], own: number, p: Point): Point {
  const feet = lines.flatMap(({ a, b, thickness }, i) => {
    const k = footAlong(a, b, p);
    const foot = { x: a.x + k * (b.x - a.x), y: a.y + k * (b.y - a.y) };
    return i !== own && k > 0 && k < 1 && distance(foot, p) <= thickness / 2 + 1 ? [foot] : [];
  });
  return feet.sort((one, two) => distance(one, p) - distance(two, p))[0] ?? p;
}

function inPicture({ a, b, from, thickness, gaps, upright }: Line, ink: Ink, skew: number, by: number): FoundWall {
  const place = (p: Point): Point => {
    const { x, y } = turnedForth(p, skew, ink.width, ink.height);
    return { x: x * by, y: y * by };
  };
  const length = distance(a, b);
  // gaps are told from where the stroke began, which may have moved
  const moved = upright ? a.y - from : a.x - from;
  return {
    a: place(a),
    b: place(b),
    thickness: thickness * by,
    gaps: gaps
      .map((gap) => ({
        kind: gap.kind,
        from: Math.max(0, gap.from - from - moved),
        to: Math.min(length, gap.to - from - moved),
      }))
      .filter((gap) => gap.to > gap.from)
      .map((gap) => ({ ...gap, from: gap.from * by, to: gap.to * by })),
  };
}
