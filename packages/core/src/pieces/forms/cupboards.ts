import type { Size } from '../kind';
import { type Line, type Part, box, line } from '../form';
import { type Front, frontLines } from './units';

/** A cupboard or chest: a body with a front; `rail`: clothes hang in it, as is seen from above. */
export function cupboard(
  { width: w, depth: d, height: h }: Size,
  front: Front,
  how: { rail?: boolean; plinth?: number; sliding?: boolean } = {},
): Part[] {
  const { rail = false, plinth = 60, sliding = false } = how;
  const foot = Math.min(plinth, h / 5);
  const doors: Line[] = sliding
    ? [line(0, d - 25, w * 0.55, d - 25), line(w * 0.45, d - 50, w, d - 50)]
    : [line(0, d - 22, w, d - 22)];
  return [
    ...(foot > 0 ? [box({ x: 20, y: 0, w: w - 40, d: d - 40, h: foot }, 'dark', { plan: 'none' as const })] : []),
    box({ x: 0, y: 0, z: foot, w, d, h: h - foot }, 'body', {
      lines: [...doors, ...(rail ? hangers(w, d) : [])],
      face: frontLines(front, 0, foot, w, h - foot),
    }),
  ];
}

/** A rail with hangers on it, from above. */
export function hangers(w: number, d: number): Line[] {
  const y = (d - 22) / 2;
  const half = Math.min(210, (d - 120) / 2);
  const count = Math.max(2, Math.floor((w - 160) / 130));
  return [
    line(40, y, w - 40, y),
    ...Array.from({ length: count }, (_, i) => {
      const x = 80 + ((w - 160) * (i + 0.5)) / count;
      return line(x - 12, y - half, x + 12, y + half);
    }),
  ];
}

/** Shelves without doors: sides and shelves, seen from above with a line at its back. */
export const shelves = ({ width: w, depth: d, height: h }: Size, count: number, upright = 0): Part[] => [
  box({ x: 0, y: 0, w, d, h }, 'body', {
    lines: [line(0, 18, w, 18), line(18, 18, 18, d), line(w - 18, 18, w - 18, d)],
    face: [
      ...frontLines({ fill: 'shelves', count }, 0, 0, w, h),
      ...Array.from({ length: upright }, (_, i) =>
        line((w * (i + 1)) / (upright + 1), 0, (w * (i + 1)) / (upright + 1), h),
      ),
    ],
  }),
];
