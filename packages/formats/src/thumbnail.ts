import { type Plan, type Point, type Ring, smallPicture } from '@velvet-tape/core';
import { pathData } from './path-data';

/** A plan so small that it goes with a line of a list: the `d` of three SVG paths, one over the other, in a box of this many units. */
export interface Thumbnail {
  readonly width: number;
  readonly height: number;
  readonly floors: string;
  readonly walls: string;
  readonly gaps: string;
}

/** The longer sides of a picture, in units: whole ones are a third of a point of a screen. */
const WIDEST = 288;
const HIGHEST = 216;
/** No picture is longer than this, characters: of a castle there are the floors without walls, or nothing. */
export const LONGEST_THUMBNAIL = 24_000;

/** The floor a job is known by, as large as fits; null where there is nothing to show. */
export function thumbnail(plan: Plan): Thumbnail | null {
  const picture = smallPicture(plan);
  if (!picture) return null;
  const { box } = picture;
  const scale = Math.max((box.maxX - box.minX) / WIDEST, (box.maxY - box.minY) / HIGHEST, 1);
  const place = ({ x, y }: Point): Point => ({ x: (x - box.minX) / scale, y: (y - box.minY) / scale });
  const draw = (rings: readonly Ring[]) =>
    pathData(rings, true, { place, scale, say: (n) => String(Math.round(n)) }).replace(/ ?([A-Z]) ?/g, '$1');
  const [floors, walls, gaps] = [draw(picture.floors), draw(picture.walls), draw(picture.gaps)];
  const size = {
    width: Math.round((box.maxX - box.minX) / scale),
    height: Math.round((box.maxY - box.minY) / scale),
  };
  if (floors.length + walls.length + gaps.length <= LONGEST_THUMBNAIL) return { ...size, floors, walls, gaps };
  return floors.length <= LONGEST_THUMBNAIL ? { ...size, floors, walls: '', gaps: '' } : null;
}
