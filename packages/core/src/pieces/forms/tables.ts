import type { Size } from '../kind';
import { type Line, type Part, box, cylinder, legs, oval, prism } from '../form';
import { chair } from './seats';

/** A top on four legs, or, round, on a foot. */
export function table(
  { width: w, depth: d, height: h }: Size,
  shape: 'square' | 'round' | 'oval' = 'square',
  r = 15,
): Part[] {
  if (shape === 'square') return [...legs({ w, d, h: h - 35 }), box({ x: 0, y: 0, z: h - 35, w, d, h: 35, r }, 'top')];
  const foot = [
    cylinder({ x: w / 2, y: d / 2, r: Math.min(w, d) * 0.28, h: 30 }, 'body', { plan: 'none' }),
    cylinder({ x: w / 2, y: d / 2, r: 50, h: h - 35 }, 'body', { plan: 'none' }),
  ];
  return shape === 'round' && Math.abs(w - d) < 1
    ? [...foot, cylinder({ x: w / 2, y: d / 2, z: h - 35, r: w / 2, h: 35 }, 'top')]
    : [...foot, prism(oval(0, 0, w, d), h - 35, 35, 'top')];
}

/** A table with something drawn on its top. */
export const tableWith = (size: Size, lines: readonly Line[], r?: number): Part[] =>
  table(size, 'square', r).map((part) => (part.stuff === 'top' ? { ...part, lines } : part));

/** A place at a table, and how far a chair that is pushed under it stands out, mm (common practice, no source). */
export const PLACE = 600;
const CHAIR = { width: 450, depth: 500, height: 850, out: 320 };

/** How many places a table has that, with its chairs, is so large. */
export function placesRound({ width, depth }: Pick<Size, 'width' | 'depth'>): { long: number; short: number } {
  const [w, d] = [width - 2 * CHAIR.out, depth - 2 * CHAIR.out];
  return { long: Math.max(1, Math.floor(w / PLACE)), short: Math.max(0, Math.floor(d / (PLACE * 1.25))) };
}

const turnedHalf = (parts: readonly Part[], w: number, d: number, turn: 0 | 1 | 2 | 3, x: number, y: number): Part[] =>
  parts.map((part) => {
    const move = (p: { x: number; y: number; bulge?: number }) => {
      const [a, b] =
        turn === 0 ? [p.x, p.y] : turn === 1 ? [d - p.y, p.x] : turn === 2 ? [w - p.x, d - p.y] : [p.y, w - p.x];
      return { ...p, x: a + x, y: b + y };
    };
    return {
      ...part,
      outline: part.outline.map(move),
      ...(part.lines && { lines: part.lines.map((each) => each.map(move)) }),
      face: [],
    };
  });

/** A table with chairs round it, as many as its size has places for. */
export function tableWithChairs({ width, depth, height }: Size, shape: 'square' | 'round'): Part[] {
  const { width: cw, depth: cd, out } = CHAIR;
  const [w, d] = [Math.max(300, width - 2 * out), Math.max(300, depth - 2 * out)];
  const top = table({ width: w, depth: d, height }, shape === 'round' ? 'round' : 'square').map((part) => ({
    ...part,
    outline: part.outline.map((p) => ({ ...p, x: p.x + out, y: p.y + out })),
  }));
  const one = chair({ width: cw, depth: cd, height: Math.max(CHAIR.height, height + 80) });
  const chairs: Part[] = [];
  if (shape === 'round') {
    const count = placesRoundCircle(width);
    for (let i = 0; i < count; i += 1) {
      const t = (2 * Math.PI * i) / count;
      const turn = (p: { x: number; y: number; bulge?: number }) => {
        const [u, v] = [p.x - cw / 2, p.y - depth / 2];
        return {
          ...p,
          x: width / 2 + u * Math.cos(t) - v * Math.sin(t),
          y: depth / 2 + u * Math.sin(t) + v * Math.cos(t),
        };
      };
      chairs.push(...one.map((part) => ({ ...part, outline: part.outline.map(turn), face: [] })));
    }
  } else {
    const { long, short } = placesRound({ width, depth });
    for (let i = 0; i < long; i += 1) {
      const x = out + (w * (i + 0.5)) / long - cw / 2;
      chairs.push(...turnedHalf(one, cw, cd, 0, x, 0), ...turnedHalf(one, cw, cd, 2, x, depth - cd));
    }
    for (let i = 0; i < short; i += 1) {
      const y = out + (d * (i + 0.5)) / short - cw / 2;
      chairs.push(...turnedHalf(one, cw, cd, 3, 0, y), ...turnedHalf(one, cw, cd, 1, width - cd, y));
    }
  }
  // what of a chair is under the top is not seen, but for its back
  return [
    ...chairs.map((part) => ({
      ...part,
      to: Math.min(part.to, part.from < height - 40 && part.to > height ? height + 60 : part.to),
    })),
    ...top,
  ];
}

/** At a round table every 600 mm of its edge is a place. */
export const placesRoundCircle = (width: number): number =>
  Math.max(2, Math.floor((Math.PI * Math.max(300, width - 2 * CHAIR.out)) / PLACE));
