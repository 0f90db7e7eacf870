import type { Box, Point } from '@velvet-tape/core';

/** Where the sheet is looked at: the house's point at the top left of the screen, and pixels per mm. */
export interface Viewport {
  readonly x: number;
  readonly y: number;
  readonly scale: number;
}

/** From a whole street to a door frame, px per mm. */
const LEAST = 0.004;
const MOST = 1;
const clamp = (scale: number) => Math.min(MOST, Math.max(LEAST, scale));

export const toHouse = (view: Viewport, px: Point): Point => ({
  x: view.x + px.x / view.scale,
  y: view.y + px.y / view.scale,
});
export const toScreen = (view: Viewport, p: Point): Point => ({
  x: (p.x - view.x) * view.scale,
  y: (p.y - view.y) * view.scale,
});

export const pan = (view: Viewport, dx: number, dy: number): Viewport => ({
  ...view,
  x: view.x - dx / view.scale,
  y: view.y - dy / view.scale,
});

/** Larger or smaller by a factor, the point under `px` staying where it is. */
export function zoomAt(view: Viewport, px: Point, factor: number): Viewport {
  const scale = clamp(view.scale * factor);
  const held = toHouse(view, px);
  return { scale, x: held.x - px.x / scale, y: held.y - px.y / scale };
}

/** Left round the house, px: to look at it, and to draw beside it. */
export const MARGIN = 36;
export const ROOM_BESIDE = 105;

/** The view that shows the box with a margin; an empty house shows a room's worth of sheet, 8 m wide. */
export function fit(box: Box | null, width: number, height: number, margin = MARGIN): Viewport {
  const b = box ?? { minX: -1500, minY: -1500, maxX: 6500, maxY: 5500 };
  const scale = clamp(
    Math.min((width - 2 * margin) / Math.max(1, b.maxX - b.minX), (height - 2 * margin) / Math.max(1, b.maxY - b.minY)),
  );
  return { scale, x: (b.minX + b.maxX) / 2 - width / 2 / scale, y: (b.minY + b.maxY) / 2 - height / 2 / scale };
}

/** Height of body lettering on the screen, px. */
export const LETTERING = 13;

/** Lettering is set for steps of zoom, so that a drawing is laid out anew only from step to step. px per mm. */
export function letteringStep(scale: number): number {
  const step = 1.25;
  return step ** Math.round(Math.log(scale) / Math.log(step));
}
