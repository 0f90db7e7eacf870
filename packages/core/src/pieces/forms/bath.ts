import type { Size } from '../kind';
import { type Part, bowed, box, cylinder, line, oval, prism, rectangle } from '../form';
import { tap } from './units';

/** A WC: bowl and seat, with its cistern behind it, or in the wall. */
export function wc({ width: w, depth: d, height: h }: Size, cistern: boolean): Part[] {
  const tank = cistern ? Math.min(190, d * 0.28) : 0;
  const bowl = d - tank;
  const foot = cistern ? 0 : Math.min(80, h / 4);
  const seat = Math.max(foot + 20, Math.min(400, h - 20));
  return [
    prism(bowed(w * 0.03, tank, w * 0.94, bowl), foot, seat - foot, 'ceramic'),
    prism(oval(w * 0.2, tank + bowl * 0.2, w * 0.6, bowl * 0.66), seat, 15, 'ceramic'),
    ...(cistern
      ? [
          box({ x: 0, y: 0, z: 380, w, d: tank, h: Math.max(60, h - 380), r: 25 }, 'ceramic', {
            lines: [line(w * 0.42, tank / 2, w * 0.58, tank / 2)],
          }),
        ]
      : []),
  ];
}

/** A basin, on the wall or in a top: rim, bowl, drain, tap. */
export function basin({ width: w, depth: d, height: h }: Size, bowls = 1): Part[] {
  const each = w / bowls;
  return [
    box({ x: 0, y: 0, w, d, h, r: Math.min(60, d / 5) }, 'ceramic'),
    ...Array.from({ length: bowls }, (_, i) => i * each).flatMap((x) => [
      prism(oval(x + each * 0.12, d * 0.24, each * 0.76, d * 0.64), h - 3, 6, 'ceramic'),
      cylinder({ x: x + each / 2, y: d * 0.56, z: h, r: 22, h: 6 }, 'metal'),
      tap(x + each / 2, d * 0.11, h),
    ]),
  ];
}

/** A bath: rim, a round hollow, drain at its left end. */
export function bath({ width: w, depth: d, height: h }: Size, standsFree: boolean): Part[] {
  const rim = Math.min(70, d / 9);
  const inside = rectangle(rim, rim, w - 2 * rim, d - 2 * rim, d * 0.32);
  return [
    standsFree ? prism(rectangle(0, 0, w, d, d / 2), 0, h, 'ceramic') : box({ x: 0, y: 0, w, d, h, r: 12 }, 'ceramic'),
    prism(standsFree ? rectangle(rim, rim, w - 2 * rim, d - 2 * rim, d / 2 - rim) : inside, h - 3, 5, 'ceramic'),
    cylinder({ x: rim + d * 0.28, y: d / 2, z: h, r: 30, h: 6 }, 'metal'),
    box({ x: 15, y: d / 2 - 15, z: h, w: 90, d: 30, h: 120, r: 15 }, 'metal'),
  ];
}

/** A tray with its fall to the drain. */
export function tray({ width: w, depth: d, height: h }: Size, shape: 'square' | 'quadrant' = 'square'): Part[] {
  const r = Math.min(w, d);
  const outline =
    shape === 'square'
      ? rectangle(0, 0, w, d, 15)
      : [
          { x: 0, y: 0 },
          { x: w, y: 0 },
          { x: w, y: d - r * 0.6, bulge: 0.4142 },
          { x: w - r * 0.6, y: d },
          { x: 0, y: d },
        ];
  const drain = { x: w / 2, y: d / 2 };
  const corner = shape === 'square' ? [[w, d]] : [[w - r * 0.18, d - r * 0.18]];
  return [
    prism(outline, 0, Math.min(h, 120), 'ceramic', {
      lines: [[0, 0], [w, 0], [0, d], ...corner].map(([x, y]) => line(x!, y!, drain.x, drain.y)),
    }),
    cylinder({ ...drain, z: Math.min(h, 120), r: 45, h: 4 }, 'metal'),
  ];
}
