import { type Point, direction, distance } from '../geometry';
import type { Wall } from '../plan/plan';
import { type Network, componentsOf } from '../walls';

/** A wall within this of its neighbours' square was meant to be square to them: 4° in radians. */
const MEANT = (4 * Math.PI) / 180;
const QUARTER = Math.PI / 2;

export interface Meant {
  readonly wall: Wall;
  /** The direction from its start to its end that it is taken to have. */
  readonly meant: Point;
}

/**
 * The directions walls were meant to have. In every connected part walls that are square or parallel to each other share
 * a grain: the direction, but for quarter turns, that most of them have exactly, else their mean. (The mean is what a fit leaves where it
 * found it, so a house does not turn from one fit to the next.) A part may have several grains, as a wing at an angle has; a wall that
 * goes with no other is slanted and has none. `weight` says how much the direction of a wall counts, `meant` how far off square (radians) a wall may
 * be drawn and still have been meant to be square.
 */
export function grainOf(network: Network, weight: (wall: Wall) => number, meant: number = MEANT): Meant[] {
  const component = componentsOf(network);
  const parts = new Map<number, Drawn[]>();
  for (const wall of network.walls) {
    if (wall.bulge !== 0) continue;
    const [a, b] = [network.corners.get(wall.start)!, network.corners.get(wall.end)!];
    const d = direction(a, b);
    const part = component.get(wall.start)!;
    if (!parts.has(part)) parts.set(part, []);
    parts.get(part)!.push({ wall, angle: Math.atan2(d.y, d.x), length: distance(a, b), weight: weight(wall) });
  }
  return [...parts.values()].flatMap((walls) => meantIn(walls, meant));
}

interface Drawn {
  readonly wall: Wall;
  readonly angle: number;
  readonly length: number;
  readonly weight: number;
}

/** Off a quarter turn, between −45° and 45°. */
const offSquare = (angle: number): number => angle - Math.round(angle / QUARTER) * QUARTER;

function meantIn(walls: readonly Drawn[], within: number): Meant[] {
  let left = [...walls];
  const found: Meant[] = [];
  while (left.length > 0) {
    const seed = bestSupported(left, within);
    const family = left.filter(({ angle }) => Math.abs(offSquare(angle - seed)) < within);
    if (family.length > 1) {
      const grain = sharedBy(family, seed);
      for (const { wall, angle } of family) found.push({ wall, meant: unit(grain + quartersTo(angle - grain)) });
    }
    const gone = new Set(family);
    left = left.filter((each) => !gone.has(each));
  }
  return found;
}

const quartersTo = (angle: number): number => Math.round(angle / QUARTER) * QUARTER;

/** The direction of the wall that most length of wall goes with. */
function bestSupported(walls: readonly Drawn[], within: number): number {
  const bins = new Map<number, { angle: number; length: number }>();
  for (const { angle, length } of walls) {
    const off = offSquare(angle);
    const bin = bins.get(Math.round(off / BIN));
    if (bin) bin.length += length;
    else bins.set(Math.round(off / BIN), { angle: off, length });
  }
  const all = [...bins.values()];
  let best = { angle: 0, length: -1 };
  for (const { angle, length } of all) {
    let support = length / 1000;
    for (const other of all) if (Math.abs(offSquare(other.angle - angle)) < within) support += other.length;
    if (support > best.length) best = { angle, length: support };
  }
  return best.angle;
}

const BIN = 1e-4;
/** Directions this near are the same, radians. */
const SAME = 1e-7;

function sharedBy(family: readonly Drawn[], seed: number): number {
  const offs = family.map(({ angle, weight }) => ({ off: offSquare(angle - seed), weight }));
  const sorted = [...offs].sort((a, b) => a.off - b.off);
  const median = sorted[Math.floor(sorted.length / 2)]!.off;
  const alike = offs.filter(({ off }) => Math.abs(off - median) < SAME);
  if (2 * alike.length >= offs.length) return seed + median;
  const sum = offs.reduce((total, { weight }) => total + weight, 0);
  return seed + offs.reduce((total, { off, weight }) => total + off * weight, 0) / sum;
}

function unit(angle: number): Point {
  const quarter = Math.round(angle / QUARTER);
  // exactly along the sheet where it is
  if (Math.abs(angle - quarter * QUARTER) < 1e-12) return AXES[((quarter % 4) + 4) % 4]!;
  return { x: Math.cos(angle), y: Math.sin(angle) };
}

const AXES: readonly Point[] = [
  { x: 1, y: 0 },
  { x: 0, y: 1 },
  { x: -1, y: 0 },
  { x: 0, y: -1 },
];
