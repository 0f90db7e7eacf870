import { type Point, distance } from '../../geometry';
import type { PicturePoint } from '../../plan/plan';
import { shrunk } from '../pixels';
import type { Grey, Progress } from '../raster';
import { type Bar, barsOf, lengthOfBar, longRuns, thicknessOfBar, transposed } from './bars';
import { type Ink, inkOf } from './binarise';
import { type Line, belonging, joined, welded } from './corners';
import { skewOf, turnedBack, turnedForth } from './skew';
import { type Sizes, hatchedBars, strokesOf } from './strokes';

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

/** A picture is looked at about so large, px along its longer side. */
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
  const by = Math.max(1, Math.round(Math.max(picture.width, picture.height) / LOOKED_AT));
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
