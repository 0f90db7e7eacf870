import type { Size } from '../kind';
import { type Part, box, line, parted } from '../form';

/** A bed: frame, mattress, pillows, a cover that is folded back. Its head is at its back. */
export function bed({ width: w, depth: d, height: h }: Size, pillows: number, headboard = true): Part[] {
  const lie = Math.min(h * 0.6, 520);
  const edge = Math.min(35, w / 20);
  const pillow = { deep: Math.min(420, d * 0.2), y: 90 };
  const fold = pillow.y + pillow.deep + d * 0.05;
  const inner = w - 2 * edge;
  return [
    box({ x: 0, y: 0, z: 80, w, d, h: lie - 200, r: 25 }),
    box({ x: edge, y: 60, z: lie - 200, w: inner, d: d - 60 - edge, h: 200, r: 50 }, 'soft'),
    ...parted(inner, pillows).map(({ from, width }) =>
      box({ x: edge + from + 40, y: pillow.y, z: lie, w: width - 80, d: pillow.deep, h: 90, r: 70 }, 'soft'),
    ),
    box({ x: edge, y: fold, z: lie, w: inner, d: d - fold - edge, h: 30, r: 40 }, 'soft', {
      lines: [line(edge, fold + 130, w - edge, fold + 130), line(w - edge - 240, fold, w - edge, fold + 240)],
    }),
    ...(headboard ? [box({ x: 0, y: 0, z: 0, w, d: 50, h, r: 10 })] : []),
  ];
}

/** Two beds over each other, with a ladder. */
export function bunk(size: Size): Part[] {
  const { width: w, depth: d, height: h } = size;
  return [
    ...bed({ width: w, depth: d, height: 500 }, 1, false).map((part) => ({ ...part, plan: 'none' as const })),
    ...bed({ width: w, depth: d, height: 500 }, 1, false).map((part) => ({
      ...part,
      from: part.from + h - 700,
      to: part.to + h - 700,
    })),
    ...[0, w - 60].flatMap((x) => [0, d - 60].map((y) => box({ x, y, w: 60, d: 60, h }))),
    box({ x: w - 40, y: d * 0.62, w: 40, d: 400, h: h - 200 }, 'body', {
      lines: [1, 2, 3, 4].map((i) => line(w - 40, d * 0.62 + i * 80, w, d * 0.62 + i * 80)),
    }),
  ];
}
