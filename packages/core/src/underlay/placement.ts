import { type Point, add, distance, middle, moved, subtract, turned } from '../geometry';
import type { Crop, PicturePoint, Underlay } from '../plan/plan';
import { type PixelSize, scaleOf } from './calibration';

type Placed = Pick<Underlay, 'at' | 'turn' | 'width' | 'height' | 'calibration' | 'correction'>;

const RADIAN = Math.PI / 180;

/** Where a point of the picture lies on the sheet, mm. */
export function toHouse(underlay: Placed, p: PicturePoint): Point {
  const { size } = scaleOf(underlay);
  const { at, turn, width, height } = underlay;
  return add(at, turned({ x: (p.x - width / 2) * size.x, y: (p.y - height / 2) * size.y }, turn * RADIAN));
}

/** Which point of the picture lies at a point of the sheet, px. */
export function toPicture(underlay: Placed, p: Point): PicturePoint {
  const { size } = scaleOf(underlay);
  const { at, turn, width, height } = underlay;
  const off = turned(subtract(p, at), -turn * RADIAN);
  return { x: off.x / size.x + width / 2, y: off.y / size.y + height / 2 };
}

/** The affine map from px to mm as the six numbers of an SVG matrix. */
export function matrixOf(underlay: Placed): [number, number, number, number, number, number] {
  const o = toHouse(underlay, { x: 0, y: 0 });
  const x = subtract(toHouse(underlay, { x: 1, y: 0 }), o);
  const y = subtract(toHouse(underlay, { x: 0, y: 1 }), o);
  return [x.x, x.y, y.x, y.y, o.x, o.y];
}

/** What is left of the picture, px from its top left corner. */
export function shownPart({ width, height, crop }: Pick<Underlay, 'width' | 'height' | 'crop'>): {
  left: number;
  top: number;
  width: number;
  height: number;
} {
  const { left, top, right, bottom }: Crop = crop ?? { left: 0, top: 0, right: 0, bottom: 0 };
  return { left, top, width: Math.max(1, width - left - right), height: Math.max(1, height - top - bottom) };
}

/** The outline of what is shown of it, on the sheet, mm. */
export function outlineOf(underlay: Underlay): Point[] {
  const { left, top, width, height } = shownPart(underlay);
  return [
    [left, top],
    [left + width, top],
    [left + width, top + height],
    [left, top + height],
  ].map(([x, y]) => toHouse(underlay, { x: x!, y: y! }));
}

/** Is this point of the sheet over what is shown of the picture? */
export function covers(underlay: Underlay, p: Point): boolean {
  const { left, top, width, height } = shownPart(underlay);
  const { x, y } = toPicture(underlay, p);
  return x >= left && x <= left + width && y >= top && y <= top + height;
}

/** How large the whole picture is in the house, mm. */
export function sizeInHouse({ width, height }: Pick<Underlay, 'width' | 'height'>, size: PixelSize): PixelSize {
  return { x: width * size.x, y: height * size.y };
}

/**
 * The underlay turned so that the line between two of its points runs level or upright, whichever is nearer; the middle of the line
 * stays where it is.
 */
export function levelled(underlay: Underlay, a: PicturePoint, b: PicturePoint): Pick<Underlay, 'at' | 'turn'> {
  const [p, q] = [toHouse(underlay, a), toHouse(underlay, b)];
  const angle = Math.atan2(q.y - p.y, q.x - p.x) / RADIAN;
  const off = angle - 90 * Math.round(angle / 90);
  return turnedAbout(underlay, -off, middle(p, q));
}

/** The underlay turned clockwise by so many degrees about a point of the sheet, mm. */
export function turnedAbout(underlay: Underlay, degrees: number, about: Point): Pick<Underlay, 'at' | 'turn'> {
  const turn = ((((underlay.turn + degrees + 180) % 360) + 360) % 360) - 180;
  return { at: add(about, turned(subtract(underlay.at, about), degrees * RADIAN)), turn };
}

/** A point of the picture and the point of the plan that it shows. */
export interface Match {
  readonly picture: PicturePoint;
  readonly house: Point;
}

/**
 * The underlay moved and turned so that two of its points come to lie where they are in the house. Its scale stays; where the two distances differ, what
 * is over is shared by both ends. Says by how much they differ, mm. The points of each pair must differ.
 */
export function placedByPoints(
  underlay: Underlay,
  one: Match,
  two: Match,
): Pick<Underlay, 'at' | 'turn'> & { readonly off: number } {
  const [p, q] = [toHouse(underlay, one.picture), toHouse(underlay, two.picture)];
  const angle = Math.atan2(two.house.y - one.house.y, two.house.x - one.house.x) - Math.atan2(q.y - p.y, q.x - p.x);
  const spun = turnedAbout(underlay, angle / RADIAN, middle(p, q));
  const to = middle(one.house, two.house);
  const by = subtract(to, middle(p, q));
  return { ...spun, at: moved(spun.at, by, 1), off: distance(p, q) - distance(one.house, two.house) };
}
