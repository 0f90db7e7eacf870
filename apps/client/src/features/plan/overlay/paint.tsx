import type { Point } from '@velvet-tape/core';
import { Circle } from '../../../ui/svg';
import type { HouseColours } from '../../../ui/theme';

/** What is laid over the drawing is painted with this. */
export interface Paint {
  colours: HouseColours;
  /** mm of the house per screen pixel */
  px: number;
}

/** A line is as thick on the screen at any scale. */
export const THIN = { vectorEffect: 'non-scaling-stroke' } as const;

/** A round handle, or the end of something: so many px in radius. */
export function Dot({
  at,
  id,
  r,
  fill,
  edge,
  width = 2,
  px,
}: {
  at: Point;
  id?: string;
  r: number;
  fill: string;
  edge: string;
  width?: number;
  px: number;
}) {
  return <Circle testID={id} cx={at.x} cy={at.y} r={r * px} fill={fill} stroke={edge} strokeWidth={width} {...THIN} />;
}
