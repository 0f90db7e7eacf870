import { edit } from './edit';
import type { Point } from '../geometry';
import type { TypedLength, Tracing } from './parts';
import { type Draft, Refusal } from '../plan/draft';
import type { Id } from '../plan/plan';
import { formatLength } from '../units';
import { attachPath } from './attach';
import { drawPath } from './draw-path';

/** A room is at least this wide each way, mm. */
const NARROWEST = 300;

export interface DrawBox {
  readonly kind: 'drawBox';
  readonly floor: Id;
  readonly a: Point;
  readonly b: Point;
  readonly width?: TypedLength | null;
  readonly depth?: TypedLength | null;
  readonly traced?: Tracing;
  /** When they were read, ISO 8601. */
  readonly time?: string;
}

/**
 * A room dragged out from corner to corner. The box is its inside; the walls stand outside it with the job's
 * usual thickness. Where it touches walls that are there already, they are shared. Width and depth that were typed are
 * readings of its top and right walls.
 */
export function drawBox(draft: Draft, intent: DrawBox): Id | void {
  const { floor, a, b, width = null, depth = null, time, traced } = intent;
  const [left, right] = [Math.min(a.x, b.x), Math.max(a.x, b.x)];
  const [top, bottom] = [Math.min(a.y, b.y), Math.max(a.y, b.y)];
  const points = [
    { x: left, y: top },
    { x: right, y: top },
    { x: right, y: bottom },
    { x: left, y: bottom },
  ];
  const [first, , third] = attachPath(draft, floor, points, true);
  if (!(third!.x - first!.x >= NARROWEST && third!.y - first!.y >= NARROWEST))
    throw new Refusal(`A room needs at least ${formatLength(NARROWEST, draft.job.units)} each way. Drag further.`);
  return drawPath(draft, {
    kind: 'drawPath',
    floor,
    points,
    closed: true,
    lengths: [width, depth, null, null],
    ...(time !== undefined && { time }),
    ...(traced && { traced }),
  });
}

export const drawBoxEdits = {
  drawBox: edit<DrawBox>('draw room', drawBox),
};
