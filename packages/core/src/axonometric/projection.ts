/** x to the right of the sheet, y up, z down the sheet, as in a mesh. */
export type Vector = readonly [number, number, number];

/** How a house is drawn in space without vanishing points: its three axes alike, or its plan as it is with heights straight up. */
export const AXONOMETRIES = ['isometric', 'planometric'] as const;
export type Axonometry = (typeof AXONOMETRIES)[number];

/** From space to a page, along parallel lines. Page y runs down. */
export interface Projection {
  readonly right: Vector;
  readonly down: Vector;
  /** The way to whoever looks: along it everything falls on one point of the page. */
  readonly towards: Vector;
}

export const times = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/** Seen from one of four corners of the sheet: 0 its lower right, then clockwise. Isometric: 35.264° up, so that axes are foreshortened by √(2/3) and run at 30° (exact). Planometric: the plan turned by 45°, heights true. */
export function projectionOf(form: Axonometry, corner: number): Projection {
  const angle = Math.PI / 4 + (Math.PI / 2) * corner;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  if (form === 'planometric')
    // who looks stands over the page and below it
    return { right: [sin, 0, -cos], down: [cos, -1, sin], towards: [cos, 1, sin] };
  const up = 1 / Math.sqrt(3);
  const level = Math.sqrt(2 / 3);
  return {
    right: [sin, 0, -cos],
    down: [cos * up, -level, sin * up],
    towards: [cos * level, up, sin * level],
  };
}
