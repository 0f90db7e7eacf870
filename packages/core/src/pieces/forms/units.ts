import type { Size } from '../kind';
import {
  type Line,
  type Part,
  box,
  cylinder,
  doorLines,
  drawerLines,
  line,
  rectangle,
  round,
  shelfLines,
} from '../form';

/** Height of a plinth, mm (common practice, no source). */
export const PLINTH = 100;
/** How thick a front is, mm. */
const FRONT = 20;

/** What a front is divided into. */
export type Front = {
  readonly fill: 'doors' | 'drawers' | 'shelves' | 'open' | 'oven' | 'washer' | 'plain';
  readonly count: number;
};

/** Lines of a front that begins `z` over the foot of the piece. */
export function frontLines({ fill, count }: Front, x: number, z: number, w: number, h: number): Line[] {
  switch (fill) {
    case 'doors':
      return doorLines(x, z, w, h, count);
    case 'drawers':
      return drawerLines(x, z, w, h, count);
    case 'shelves':
      return shelfLines(x, z, w, h, count);
    case 'oven':
      return [
        line(x, z + h * 0.82, x + w, z + h * 0.82),
        round(rectangle(x + w * 0.14, z + h * 0.18, w * 0.72, h * 0.45, 20)),
        line(x + w * 0.14, z + h * 0.74, x + w * 0.86, z + h * 0.74),
      ];
    case 'washer': {
      const r = Math.min(w, h) * 0.28;
      const ring = (by: number): Line => [
        { x: x + w / 2 - by, y: z + h * 0.48, bulge: 1 },
        { x: x + w / 2 + by, y: z + h * 0.48, bulge: 1 },
        { x: x + w / 2 - by, y: z + h * 0.48 },
      ];
      return [line(x, z + h * 0.86, x + w, z + h * 0.86), ring(r), ring(r * 0.72)];
    }
    default:
      return [];
  }
}

/** A unit on a plinth. Seen from above, a line shows its front. */
export function unit({ width: w, depth: d, height: h }: Size, fill: Front, plinth = PLINTH): Part[] {
  const foot = Math.min(plinth, h / 4);
  return [
    box({ x: 0, y: 0, w, d: Math.max(d - 60, d / 2), h: foot }, 'dark', { plan: 'none' }),
    box({ x: 0, y: 0, z: foot, w, d, h: h - foot }, 'body', {
      lines: [line(0, d - FRONT, w, d - FRONT)],
      face: frontLines(fill, 0, foot, w, h - foot),
    }),
  ];
}

/** A tall unit: crossed on plan, as one that is cut. */
export function tall(size: Size, fill: Front, plinth = PLINTH): Part[] {
  const { width: w, depth: d } = size;
  const [foot, body] = unit(size, fill, plinth);
  return [foot!, { ...body!, lines: [...body!.lines!, line(0, 0, w, d - FRONT), line(w, 0, 0, d - FRONT)] }];
}

/** A box on the wall. */
export const onWall = ({ width: w, depth: d, height: h }: Size, fill: Front): Part[] => [
  box({ x: 0, y: 0, w, d, h }, 'body', {
    lines: [line(0, d - FRONT, w, d - FRONT)],
    face: frontLines(fill, 0, 0, w, h),
  }),
];

/** An appliance of which the front is told. */
export const appliance = (
  { width: w, depth: d, height: h }: Size,
  fill: Front,
  lines: readonly Line[] = [],
): Part[] => [
  box({ x: 0, y: 0, w, d, h, r: 15 }, 'metal', {
    lines: [line(0, d - 40, w, d - 40), ...lines],
    face: frontLines(fill, 0, 0, w, h),
  }),
];

/** Rings of a hob, as many as have room. */
export function hob({ width: w, depth: d, height: h }: Size): Part[] {
  const columns = w >= 750 ? 3 : w >= 450 ? 2 : 1;
  const cell = w / columns;
  const rings = Array.from({ length: columns * 2 }, (_, i) => {
    const x = (Math.floor(i / 2) + 0.5) * cell;
    const y = (i % 2 === 0 ? 0.28 : 0.72) * d;
    const r = Math.min(cell * 0.38, d * (i % 3 === 0 ? 0.2 : 0.15));
    return cylinder({ x, y, z: h - 3, r, h: 4 }, 'dark', {
      lines: [
        [
          { x: x - r * 0.5, y, bulge: 1 },
          { x: x + r * 0.5, y, bulge: 1 },
          { x: x - r * 0.5, y },
        ],
      ],
    });
  });
  return [box({ x: 0, y: 0, w, d, h: h - 2, r: 12 }, 'dark'), ...rings];
}

/** Bowls beside a drainer, with a tap behind them. */
export function sinkBowls({ width: w, depth: d, height: h }: Size, bowls: number): Part[] {
  const rim = 35;
  const each = Math.min(420, (w - rim * (bowls + 1)) / bowls);
  const drain = w - bowls * (each + rim) - rim;
  const parts: Part[] = [box({ x: 0, y: 0, w, d, h: h - 4, r: 40 }, 'metal')];
  for (let i = 0; i < bowls; i += 1) {
    const x = rim + i * (each + rim);
    parts.push(box({ x, y: d * 0.2, z: h - 8, w: each, d: d * 0.68, h: 5, r: 60 }, 'metal'));
    parts.push(cylinder({ x: x + each / 2, y: d * 0.54, z: h - 6, r: 28, h: 4 }, 'dark'));
  }
  if (drain > 120) {
    const x = w - drain;
    const ribs = Array.from({ length: 4 }, (_, i) => line(x, d * (0.3 + 0.15 * i), w - rim, d * (0.3 + 0.15 * i)));
    parts[0] = { ...parts[0]!, lines: ribs };
  }
  return [...parts, tap(rim + each / 2 + (bowls > 1 ? each / 2 : 0), d * 0.1, h)];
}

/** A tap: where it stands, and its spout towards the front. */
export const tap = (x: number, y: number, z: number): Part =>
  box({ x: x - 14, y: y - 20, z, w: 28, d: 130, h: 180, r: 14 }, 'metal');
