import type { Ring } from '../../geometry';
import type { Size } from '../kind';
import { type Line, type Part, QUARTER, line } from '../form';

/** An L that goes into a corner: `deep` along its back and along its left. */
export function ell({ width: w, depth: d }: Size, deep: number): Ring {
  const [a, b] = [Math.min(deep, w), Math.min(deep, d)];
  return [
    { x: 0, y: 0 },
    { x: w, y: 0 },
    { x: w, y: b },
    { x: a, y: b },
    { x: a, y: d },
    { x: 0, y: d },
  ];
}

/** Parts moved within a piece. */
export const shift =
  (x: number, y: number, z: number) =>
  (part: Part): Part => {
    const by = (p: { readonly x: number; readonly y: number }) => ({ ...p, x: p.x + x, y: p.y + y });
    return {
      ...part,
      outline: part.outline.map(by),
      from: part.from + z,
      to: part.to + z,
      ...(part.lines && { lines: part.lines.map((each) => each.map(by)) }),
      ...(part.face && { face: part.face.map((each) => each.map((p) => ({ ...p, x: p.x + x, y: p.y + z }))) }),
    };
  };

/** As many corners on a circle that fits a square. */
export const polygon = (r: number, corners: number): Ring =>
  Array.from({ length: corners }, (_, i) => {
    const t = ((i + 0.5) * 2 * Math.PI) / corners;
    return { x: r + r * Math.cos(t), y: r + r * Math.sin(t) };
  });

/** An outline of waves round a rectangle, as of leaves. */
export function scallop({ width: w, depth: d }: Pick<Size, 'width' | 'depth'>): Ring {
  const wave = Math.min(w, d) / 3;
  const inset = wave * 0.2;
  const corners = [
    [inset, inset],
    [w - inset, inset],
    [w - inset, d - inset],
    [inset, d - inset],
  ] as const;
  return corners.flatMap(([x, y], i) => {
    const [u, v] = corners[(i + 1) % 4]!;
    const n = Math.max(1, Math.round(Math.hypot(u - x, v - y) / wave));
    return Array.from({ length: n }, (_, k) => ({
      x: x + ((u - x) * k) / n,
      y: y + ((v - y) * k) / n,
      bulge: QUARTER,
    }));
  });
}

/** The ends of the threads at the short sides of a rug. */
export function fringe({ width: w, depth: d }: Size): Line[] {
  const n = Math.max(4, Math.round(d / 90));
  return Array.from({ length: n }, (_, i) => ((i + 0.5) * d) / n).flatMap((y) => [
    line(0, y, w * 0.02, y),
    line(w * 0.98, y, w, y),
  ]);
}

/** A crystal, for what cools. */
export function snow({ width: w, depth: d }: Size): readonly { readonly x: number; readonly y: number }[] {
  const r = Math.min(w, d) * 0.17;
  const at = { x: w / 2, y: d * 0.45 };
  return [0, 1, 2, 3, 4, 5, 6].flatMap((i) => {
    const t = (i * Math.PI) / 3;
    return [at, { x: at.x + r * Math.cos(t), y: at.y + r * Math.sin(t) }, at];
  });
}

/** A hanging that lies in folds. */
export function curtain(x: number, w: number, { depth: d, height: h }: Size): Part {
  const folds = Math.max(3, Math.round(w / 110));
  const top = Array.from({ length: folds }, (_, i) => ({
    x: x + (w * i) / folds,
    y: d * 0.3,
    bulge: i % 2 === 0 ? 0.8 : -0.8,
  }));
  const under = [...top, { x: x + w, y: d * 0.3 }]
    .map((p, i, all) => ({ x: p.x, y: d * 0.7, bulge: i > 0 ? -((all[i - 1] as { bulge?: number }).bulge ?? 0) : 0 }))
    .reverse();
  return { outline: [...top, { x: x + w, y: d * 0.3 }, ...under], from: 0, to: h, stuff: 'soft' };
}

/** Leaves that hang together, to and fro. */
export function zigzag({ width: w, depth: d, height: h }: Size): Part[] {
  const leaves = Math.max(3, Math.round(w / 450));
  return Array.from({ length: leaves }, (_, i) => {
    const [x0, x1] = [(w * i) / leaves, (w * (i + 1)) / leaves];
    const [y0, y1] = i % 2 === 0 ? [0, d - 30] : [d - 30, 0];
    return {
      outline: [
        { x: x0, y: y0 },
        { x: x1, y: y1 },
        { x: x1, y: y1 + 30 },
        { x: x0, y: y0 + 30 },
      ],
      from: 0,
      to: h,
      stuff: 'soft' as const,
    };
  });
}

/** Across a rectangle, both ways. */
export const crossed = (w: number, d: number): Line[] => [line(0, 0, w, d), line(w, 0, 0, d)];
