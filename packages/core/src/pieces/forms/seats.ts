import type { Size } from '../kind';
import { type Part, box, circle, cylinder, legs, line, parted, prism, rectangle } from '../form';

const between = (least: number, value: number, most: number) => Math.min(most, Math.max(least, value));

/** A sofa or an armchair: base, seats beside each other, arms, back. */
export function sofa({ width: w, depth: d, height: h }: Size, seats: number, arms = true): Part[] {
  const arm = arms ? between(90, w * 0.09, 220) : 0;
  const back = between(120, d * 0.22, 240);
  const seat = h * 0.52;
  const inner = w - 2 * arm;
  return [
    box({ x: 0, y: 0, z: 60, w, d, h: seat - 120, r: 70 }, 'soft'),
    ...parted(inner, seats).map(({ from, width }) =>
      box({ x: arm + from, y: back * 0.9, z: seat - 100, w: width, d: d - back * 0.9 - 10, h: 100, r: 55 }, 'soft'),
    ),
    ...(arms
      ? [0, w - arm].map((x) =>
          box({ x, y: 0, z: 40, w: arm, d: d - 20, h: h * 0.72 - 40, r: between(30, arm / 2, 80) }, 'soft'),
        )
      : []),
    box({ x: 0, y: 0, z: 40, w, d: back * 0.62, h: h - 40, r: 60 }, 'soft'),
    ...parted(inner, seats).map(({ from, width }) =>
      box(
        { x: arm + from + 8, y: back * 0.5, z: seat, w: width - 16, d: back * 0.72, h: h - seat - 20, r: 55 },
        'soft',
      ),
    ),
  ];
}

/** A sofa round a corner: one wing along the back, one along the left. */
export function cornerSofa({ width: w, depth: d, height: h }: Size): Part[] {
  const deep = between(650, Math.min(w, d) * 0.42, 950);
  const back = 180;
  const seat = h * 0.52;
  const along = Math.max(1, Math.round((w - deep) / 750));
  const down = Math.max(1, Math.round((d - deep) / 750));
  const outline = [
    { x: 0, y: 0 },
    { x: w, y: 0 },
    { x: w, y: deep },
    { x: deep, y: deep },
    { x: deep, y: d },
    { x: 0, y: d },
  ];
  const rest = [
    { x: 0, y: 0 },
    { x: w, y: 0 },
    { x: w, y: back * 0.7 },
    { x: back * 0.7, y: back * 0.7 },
    { x: back * 0.7, y: d },
    { x: 0, y: d },
  ];
  return [
    prism(outline, 60, seat - 120, 'soft'),
    box(
      { x: back * 0.7, y: back * 0.7, z: seat - 100, w: deep - back * 0.7, d: deep - back * 0.7, h: 100, r: 40 },
      'soft',
    ),
    ...parted(w - deep, along).map(({ from, width }) =>
      box({ x: deep + from, y: back * 0.7, z: seat - 100, w: width, d: deep - back * 0.7 - 8, h: 100, r: 50 }, 'soft'),
    ),
    ...parted(d - deep, down).map(({ from, width }) =>
      box({ x: back * 0.7, y: deep + from, z: seat - 100, w: deep - back * 0.7 - 8, d: width, h: 100, r: 50 }, 'soft'),
    ),
    prism(rest, 40, h - 40, 'soft'),
  ];
}

export interface ChairSpec {
  readonly arms?: boolean;
  readonly wheels?: boolean;
}

/** A chair: seat, back, legs or a star with wheels. Its back is at its back. */
export function chair(
  { width: w, depth: d, height: h }: Size,
  { arms = false, wheels = false }: ChairSpec = {},
): Part[] {
  const seat = Math.min(h * 0.55, 470);
  const arm = arms ? Math.min(50, w / 8) : 0;
  return [
    ...(wheels
      ? [cylinder({ x: w / 2, y: d / 2, r: Math.min(w, d) * 0.48, h: 60 }, 'dark', { plan: 'none' })]
      : legs({ w, d, h: seat - 40, inset: 15, thick: 35 })),
    box({ x: arm, y: d * 0.1, z: seat - 40, w: w - 2 * arm, d: d * 0.9, h: 40, r: Math.min(w, d) * 0.16 }, 'soft'),
    ...(arms ? [0, w - arm].map((x) => box({ x, y: d * 0.12, z: seat, w: arm, d: d * 0.66, h: 200, r: arm / 2 })) : []),
    box({ x: w * 0.03, y: 0, z: seat, w: w * 0.94, d: Math.max(35, d * 0.1), h: h - seat, r: 20 }),
  ];
}

/** A round or square seat without a back. */
export const stool = ({ width: w, depth: d, height: h }: Size, isRound: boolean): Part[] => [
  ...(isRound
    ? [cylinder({ x: w / 2, y: d / 2, r: 25, h: h - 50 }, 'metal', { plan: 'none' })]
    : legs({ w, d, h: h - 50, inset: 10, thick: 35 })),
  prism(
    isRound ? circle(w / 2, d / 2, Math.min(w, d) / 2) : rectangle(0, 0, w, d, Math.min(w, d) * 0.16),
    h - 50,
    50,
    'soft',
    {
      lines: isRound ? [] : [line(w * 0.2, d / 2, w * 0.8, d / 2)],
    },
  ),
];

export const bench = ({ width: w, depth: d, height: h }: Size, withBack: boolean): Part[] => {
  const seat = withBack ? Math.min(460, h * 0.55) : h;
  const slats = parted(d, Math.max(2, Math.round(d / 130))).slice(1);
  return [
    ...legs({ w, d, h: seat - 40 }),
    box({ x: 0, y: 0, z: seat - 40, w, d, h: 40, r: 10 }, 'body', {
      lines: slats.map(({ from }) => line(0, from, w, from)),
    }),
    ...(withBack ? [box({ x: 0, y: 0, z: seat, w, d: 45, h: h - seat, r: 10 })] : []),
  ];
};
