import type { Point, Ring } from '../geometry';
import type { SignName } from '../plan/plan';

/** A sign in a square from −1 to 1: open lines, filled outlines, letters in the middle. */
export interface Sign {
  readonly lines: readonly Ring[];
  readonly filled?: readonly Ring[];
  readonly letters?: string;
}

const p = (x: number, y: number): Point => ({ x, y });
const circle = (x: number, y: number, r: number): Ring => [
  { x: x - r, y, bulge: 1 },
  { x: x + r, y, bulge: 1 },
  { x: x - r, y },
];
const half = (y: number, r: number): Ring => [{ x: -r, y, bulge: 1 }, p(r, y), p(-r, y)];
const box = (w: number, h: number): Ring => [p(-w, -h), p(w, -h), p(w, h), p(-w, h), p(-w, -h)];
const lettered = (letters: string): Sign => ({ lines: [circle(0, 0, 0.9)], letters });

/** Signs of our own, near what the trade draws so that an installer reads them without a key (common practice, no source). Up is away from the wall. */
export const SIGN_SHAPES: Readonly<Record<SignName, Sign>> = {
  north: { lines: [circle(0, 0, 0.7)], filled: [[p(0, -1), p(0.3, 0.5), p(0, 0.25), p(-0.3, 0.5)]] },
  entrance: { lines: [], filled: [[p(0, -1), p(0.75, 0.45), p(-0.75, 0.45)]] },
  up: {
    lines: [
      [p(0, 1), p(0, -0.9)],
      [p(-0.4, -0.35), p(0, -0.9), p(0.4, -0.35)],
    ],
    filled: [circle(0, 1, 0.12)],
  },
  level: {
    lines: [
      [p(0, 0.6), p(-0.7, -0.6), p(0.7, -0.6), p(0, 0.6)],
      [p(-1, 0.6), p(1, 0.6)],
    ],
  },
  section: { lines: [circle(0, 0.15, 0.65)], filled: [[p(-0.5, -0.55), p(0, -1), p(0.5, -0.55)]], letters: 'A' },
  socket: { lines: [half(0.5, 0.7), [p(-0.7, 0.5), p(0.7, 0.5)], [p(0, -0.2), p(0, -0.9)]] },
  'double socket': {
    lines: [
      half(0.5, 0.7),
      [p(-0.7, 0.5), p(0.7, 0.5)],
      [p(-0.2, -0.15), p(-0.2, -0.9)],
      [p(0.2, -0.15), p(0.2, -0.9)],
    ],
  },
  switch: { lines: [[p(0.1, 0.35), p(0.75, -0.8), p(1, -0.62)]], filled: [circle(0, 0.55, 0.24)] },
  'ceiling light': { lines: [circle(0, 0, 0.7), [p(-0.5, -0.5), p(0.5, 0.5)], [p(-0.5, 0.5), p(0.5, -0.5)]] },
  'wall light': {
    lines: [half(0.5, 0.7), [p(-0.7, 0.5), p(0.7, 0.5)], [p(-0.35, 0.4), p(0.3, -0.1)], [p(0.35, 0.4), p(-0.3, -0.1)]],
  },
  'fuse board': { lines: [box(0.95, 0.45)], filled: [[p(-0.95, 0.45), p(0.95, -0.45), p(0.95, 0.45)]] },
  'data point': { lines: [[p(0, -0.8), p(0.8, 0.6), p(-0.8, 0.6), p(0, -0.8)]], letters: 'D' },
  'smoke alarm': { lines: [circle(0, 0, 0.85), circle(0, 0, 0.35)] },
  radiator: { lines: [box(1, 0.3), ...[-0.6, -0.2, 0.2, 0.6].map((x) => [p(x, -0.3), p(x, 0.3)])] },
  thermostat: lettered('T'),
  boiler: { lines: [box(0.8, 0.8), circle(0, 0, 0.5)], letters: 'B' },
  'gas meter': { lines: [box(0.9, 0.6)], letters: 'G' },
  'cold water': { lines: [circle(0, 0, 0.85)], letters: 'C' },
  'hot water': { lines: [circle(0, 0, 0.85), circle(0, 0, 0.7)], letters: 'H' },
  'stop valve': { lines: [[p(-0.9, -0.5), p(0.9, 0.5), p(0.9, -0.5), p(-0.9, 0.5), p(-0.9, -0.5)]] },
  'floor drain': {
    lines: [box(0.7, 0.7), [p(-0.7, -0.7), p(0.7, 0.7)], [p(-0.7, 0.7), p(0.7, -0.7)]],
    filled: [circle(0, 0, 0.2)],
  },
  'water meter': { lines: [box(0.9, 0.6)], letters: 'W' },
};
