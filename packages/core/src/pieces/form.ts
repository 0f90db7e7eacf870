import type { Ring, RingPoint } from '../geometry';

/** What a part is made of, as far as a view without finishes wants to know. */
export type Stuff = 'body' | 'soft' | 'top' | 'glass' | 'metal' | 'ceramic' | 'dark' | 'green';

/** A line on a part, mm in the frame of its piece. */
export type Line = readonly RingPoint[];

/**
 * A part of a piece: an outline on plan, raised from one height to another. Frame of a piece: x from its left to its right as one looks at its front, y from its
 * back to its front, z up from its own foot; all mm.
 */
export interface Part {
  readonly outline: Ring;
  readonly from: number;
  readonly to: number;
  readonly stuff: Stuff;
  /** Drawn on its top; points are x, y. */
  readonly lines?: readonly Line[];
  /** Drawn on its front; points are x, z. */
  readonly face?: readonly Line[];
  /** Its body is seen, and on plan it is not drawn, or only dashed. */
  readonly plan?: 'none' | 'dashed';
}

type More = Partial<Omit<Part, 'outline' | 'from' | 'to'>>;

/** Clockwise on the sheet; corners rounded by `r`. */
export function rectangle(x: number, y: number, w: number, d: number, r = 0): Ring {
  const round = Math.max(0, Math.min(r, w / 2, d / 2));
  if (round < 1)
    return [
      { x, y },
      { x: x + w, y },
      { x: x + w, y: y + d },
      { x, y: y + d },
    ];
  return [
    { x: x + round, y },
    { x: x + w - round, y, bulge: QUARTER },
    { x: x + w, y: y + round },
    { x: x + w, y: y + d - round, bulge: QUARTER },
    { x: x + w - round, y: y + d },
    { x: x + round, y: y + d, bulge: QUARTER },
    { x, y: y + d - round },
    { x, y: y + round, bulge: QUARTER },
  ];
}

/** Bulge of a quarter of a circle: tan(90° / 4). */
export const QUARTER = Math.SQRT2 - 1;

export const circle = (x: number, y: number, r: number): Ring => [
  { x: x - r, y, bulge: 1 },
  { x: x + r, y, bulge: 1 },
];

/** Straight at its back and its sides, bowed at its front, within its box: as deep a bow as half its width, where there is room for that. */
export function bowed(x: number, y: number, w: number, d: number): Ring {
  const sagitta = Math.min(w / 2, d);
  const bulge = sagitta / (w / 2);
  if (d - sagitta < 1)
    return [
      { x: x + w, y, bulge },
      { x, y },
    ];
  return [
    { x, y },
    { x: x + w, y },
    { x: x + w, y: y + d - sagitta, bulge },
    { x, y: y + d - sagitta },
  ];
}

/** An oval of four arcs that fits a box: close to an ellipse (never more than 2 % of its width off for sides up to 2 : 1). */
export function oval(x: number, y: number, w: number, d: number): Ring {
  const [a, b] = [w / 2, d / 2];
  const steps = 24;
  return Array.from({ length: steps }, (_, i) => {
    const t = (2 * Math.PI * i) / steps;
    return { x: x + a + a * Math.cos(t), y: y + b + b * Math.sin(t) };
  });
}

export interface BoxSpec {
  readonly x: number;
  readonly y: number;
  readonly z?: number;
  readonly w: number;
  readonly d: number;
  readonly h: number;
  /** Radius of its corners on plan. */
  readonly r?: number;
}

export const box = ({ x, y, z = 0, w, d, h, r = 0 }: BoxSpec, stuff: Stuff = 'body', more: More = {}): Part => ({
  outline: rectangle(x, y, Math.max(w, 1), Math.max(d, 1), r),
  from: z,
  to: z + Math.max(h, 1),
  stuff,
  ...more,
});

export const prism = (outline: Ring, z: number, h: number, stuff: Stuff = 'body', more: More = {}): Part => ({
  outline,
  from: z,
  to: z + Math.max(h, 1),
  stuff,
  ...more,
});

export const cylinder = (
  { x, y, z = 0, r, h }: { x: number; y: number; z?: number; r: number; h: number },
  stuff: Stuff = 'body',
  more: More = {},
): Part => prism(circle(x, y, Math.max(r, 1)), z, h, stuff, more);

/** Four legs under a top, `inset` from its edges. */
export function legs({
  w,
  d,
  h,
  inset = 40,
  thick = 50,
}: {
  w: number;
  d: number;
  h: number;
  inset?: number;
  thick?: number;
}): Part[] {
  const [t, i] = [Math.min(thick, w / 4, d / 4), Math.min(inset, w / 4, d / 4)];
  return [
    [i, i],
    [w - i - t, i],
    [i, d - i - t],
    [w - i - t, d - i - t],
  ].map(([x, y]) => box({ x: x!, y: y!, w: t, d: t, h }, 'body', { plan: 'none' }));
}

export const line = (x1: number, y1: number, x2: number, y2: number): Line => [
  { x: x1, y: y1 },
  { x: x2, y: y2 },
];

/** Closed, as a line. */
export const round = (ring: Ring): Line => [...ring, { x: ring[0]!.x, y: ring[0]!.y }];

/** So many parts of a width, where each begins and how wide it is. */
export function parted(width: number, count: number): { from: number; width: number }[] {
  const n = Math.max(1, Math.round(count));
  return Array.from({ length: n }, (_, i) => ({ from: (i * width) / n, width: width / n }));
}

/** Lines on a front: doors beside each other, each with a handle. From `z` up, `h` high. */
export function doorLines(x: number, z: number, w: number, h: number, count: number): Line[] {
  return parted(w, count).flatMap(({ from, width }, i) => {
    const handle = x + from + (i % 2 === 0 ? width - Math.min(50, width / 5) : Math.min(50, width / 5));
    const middle = z + h * 0.55;
    return [
      ...(i > 0 ? [line(x + from, z, x + from, z + h)] : []),
      line(handle, middle - Math.min(60, h / 8), handle, middle + Math.min(60, h / 8)),
    ];
  });
}

/** Lines on a front: drawers over each other, each with a handle. */
export function drawerLines(x: number, z: number, w: number, h: number, count: number): Line[] {
  return parted(h, count).flatMap(({ from, width: high }, i) => {
    const middle = z + from + high / 2;
    const half = Math.min(80, w / 5);
    return [
      ...(i > 0 ? [line(x, z + from, x + w, z + from)] : []),
      line(x + w / 2 - half, middle, x + w / 2 + half, middle),
    ];
  });
}

/** Lines on a front: shelves, so many parts high. */
export const shelfLines = (x: number, z: number, w: number, h: number, count: number): Line[] =>
  parted(h, count + 1)
    .slice(1)
    .map(({ from }) => line(x, z + from, x + w, z + from));
