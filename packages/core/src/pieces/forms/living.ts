import type { Size } from '../kind';
import { type Part, box, circle, cylinder, line, oval, prism, round } from '../form';

/** A shade over a foot; from above two circles and a cross. */
export function lamp({ width: w }: Size, h: number): Part[] {
  const r = w / 2;
  return [
    cylinder({ x: r, y: r, r: r * 0.4, h: Math.min(30, h / 8) }, 'metal'),
    cylinder({ x: r, y: r, r: Math.min(15, r / 4), h: h * 0.7 }, 'metal', { plan: 'none' }),
    cylinder({ x: r, y: r, z: h * 0.68, r, h: h * 0.32 }, 'glass', {
      lines: [
        round(circle(r, r, r * 0.28)),
        line(0, r, r * 0.72, r),
        line(r * 1.28, r, w, r),
        line(r, 0, r, r * 0.72),
        line(r, r * 1.28, r, w),
      ],
    }),
  ];
}

/** A pot, a stem, leaves: an outline of lobes with a vein in each. */
export function plant({ width: w, depth: d, height: h }: Size, lobes: number): Part[] {
  const [a, b] = [w / 2, d / 2];
  const step = (2 * Math.PI) / lobes;
  const on = (t: number, k: number) => ({ x: a + a * k * Math.cos(t), y: b + b * k * Math.sin(t) });
  const outline = Array.from({ length: lobes }, (_, i) => ({ ...on(i * step, 0.84), bulge: lobes > 8 ? 0.5 : 0.62 }));
  return [
    cylinder({ x: a, y: b, r: Math.min(a, b) * 0.45, h: h * 0.25 }, 'ceramic', { plan: 'none' }),
    prism(outline, h * 0.25, h * 0.75, 'green', {
      lines: Array.from({ length: lobes }, (_, i) => [on((i + 0.5) * step, 0.14), on((i + 0.5) * step, 0.72)]),
    }),
  ];
}

/** Shoulders and a head. */
export const person = ({ width: w, depth: d, height: h }: Size): Part[] => [
  prism(oval(w * 0.1, d * 0.15, w * 0.8, d * 0.7), 0, h * 0.8, 'soft'),
  prism(oval(0, d * 0.22, w, d * 0.56), h * 0.6, h * 0.22, 'soft'),
  cylinder({ x: w / 2, y: d * 0.52, z: h * 0.86, r: Math.min(w * 0.2, d * 0.36), h: h * 0.14 }, 'soft', {
    lines: [line(w / 2, d * 0.52 + Math.min(w * 0.2, d * 0.36), w / 2, d * 0.52 + Math.min(w * 0.2, d * 0.36) + 40)],
  }),
];

/** Tail, body, head with its ears. */
export const animal = ({ width: w, depth: d, height: h }: Size): Part[] => [
  box({ x: w * 0.45, y: 0, z: h * 0.5, w: w * 0.1, d: d * 0.3, h: 40, r: w * 0.05 }, 'soft'),
  prism(oval(w * 0.1, d * 0.18, w * 0.8, d * 0.56), h * 0.3, h * 0.4, 'soft'),
  ...[w * 0.1, w * 0.66].map((x) => prism(oval(x, d * 0.7, w * 0.24, d * 0.13), h * 0.6, h * 0.25, 'soft')),
  prism(oval(w * 0.2, d * 0.66, w * 0.6, d * 0.24), h * 0.6, h * 0.4, 'soft'),
  prism(oval(w * 0.34, d * 0.82, w * 0.32, d * 0.18), h * 0.6, h * 0.3, 'soft'),
];

export const wheelchair = ({ width: w, depth: d, height: h }: Size): Part[] => [
  ...[0, w - 60].map((x) => box({ x, y: d * 0.05, w: 60, d: d * 0.52, h: 600, r: 25 }, 'dark')),
  box({ x: 70, y: d * 0.1, z: 450, w: w - 140, d: d * 0.45, h: 50, r: 40 }, 'soft'),
  box({ x: 70, y: d * 0.05, z: 450, w: w - 140, d: 60, h: h - 450, r: 20 }, 'soft'),
  box({ x: w * 0.2, y: d * 0.56, z: 100, w: 50, d: d * 0.26, h: 300, r: 15 }, 'metal'),
  box({ x: w * 0.8 - 50, y: d * 0.56, z: 100, w: 50, d: d * 0.26, h: 300, r: 15 }, 'metal'),
  box({ x: w * 0.16, y: d * 0.8, z: 100, w: w * 0.68, d: d * 0.2, h: 40, r: 30 }, 'metal', {
    lines: [line(w / 2, d * 0.8, w / 2, d)],
  }),
];

export const car = ({ width: w, depth: d, height: h }: Size): Part[] => [
  box({ x: 0, y: 0, z: 150, w, d, h: h * 0.55, r: w * 0.2 }, 'metal', {
    lines: [line(w * 0.12, d * 0.66, w * 0.06, d * 0.94), line(w * 0.88, d * 0.66, w * 0.94, d * 0.94)],
  }),
  prism(
    [
      { x: w * 0.12, y: d * 0.16 },
      { x: w * 0.88, y: d * 0.16 },
      { x: w * 0.93, y: d * 0.66 },
      { x: w * 0.07, y: d * 0.66 },
    ],
    h * 0.65,
    h * 0.3,
    'glass',
  ),
  box({ x: w * 0.15, y: d * 0.22, z: h * 0.95, w: w * 0.7, d: d * 0.32, h: h * 0.05, r: 60 }, 'metal'),
];

export const bicycle = ({ width: w, depth: d, height: h }: Size): Part[] => [
  box({ x: w / 2 - 20, y: 0, w: 40, d: d * 0.38, h: 680, r: 20 }, 'dark'),
  box({ x: w / 2 - 20, y: d * 0.62, w: 40, d: d * 0.38, h: 680, r: 20 }, 'dark'),
  box({ x: w / 2 - 12, y: d * 0.18, z: 600, w: 24, d: d * 0.62, h: 60 }, 'metal'),
  prism(oval(w / 2 - 75, d * 0.2, 150, 260), h - 150, 60, 'soft'),
  box({ x: 0, y: d * 0.74, z: h - 60, w, d: 40, h: 40, r: 20 }, 'metal'),
];

/** A hull that comes to a point at its bow, three thwarts, oars. */
export function boat({ width: w, depth: d, height: h }: Size): Part[] {
  const hull = (inset: number) => [
    { x: w * 0.16 + inset, y: inset },
    { x: w * 0.84 - inset, y: inset, bulge: 0.1 },
    { x: w - inset, y: d * 0.42, bulge: 0.16 },
    { x: w / 2, y: d - inset * 1.6, bulge: 0.16 },
    { x: inset, y: d * 0.42, bulge: 0.1 },
  ];
  return [
    prism(hull(0), 0, h - 10),
    prism(hull(50), h - 10, 5, 'body', { lines: [] }),
    ...[0.12, 0.42, 0.68].map((k) =>
      box(
        { x: w * (0.1 + k * 0.1), y: d * k, z: h - 5, w: w * (0.8 - k * 0.2), d: Math.min(240, d * 0.07), h: 8 },
        'top',
      ),
    ),
    box({ x: w * 0.34, y: d * 0.14, z: h + 3, w: 40, d: d * 0.5, h: 30, r: 20 }, 'top'),
    box({ x: w * 0.62, y: d * 0.14, z: h + 3, w: 40, d: d * 0.5, h: 30, r: 20 }, 'top'),
  ];
}

/** On a table: its foot, its arm, the wheel at its side. */
export const sewingMachine = ({ width: w, depth: d, height: h }: Size): Part[] => [
  box({ x: w * 0.3, y: d * 0.36, z: h, w: 420, d: 180, h: 60, r: 20 }, 'metal'),
  box({ x: w * 0.3, y: d * 0.36 + 50, z: h + 60, w: 400, d: 90, h: 240, r: 40 }, 'metal'),
  box({ x: w * 0.3 + 410, y: d * 0.36 + 40, z: h + 150, w: 35, d: 110, h: 110, r: 10 }, 'dark'),
];
