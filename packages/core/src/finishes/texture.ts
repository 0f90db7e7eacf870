import type { FinishLook } from '../plan/plan';
import { digitsOf } from './colour';
import { type LaidUnits, type Unit, laidOf, mod } from './laid';

/** A finish as a picture that repeats itself: red, green, blue and 255 for each px, row by row, `v` upwards from the first row. */
export interface Texture {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray<ArrayBuffer>;
  /** What it shows, mm. */
  readonly u: number;
  readonly v: number;
}

type Rgb = readonly [number, number, number];
type ColourAt = (u: number, v: number) => Rgb;
/** How light the own colour of a finish is at a place, 1: as it is; below 0: the other colour is there, so light as the number is without its sign. */
type LightAt = (u: number, v: number) => number;

/** The longer side of a texture, px: a tile of 3 mm joints shows them, and a house of twenty finishes stays small. */
const LONGEST = 768;
/** No finer than this, px to a mm. */
const FINEST = 1;
/** Where in a px it is looked at: joints are thinner than a px. */
const [EARLY, LATE] = [0.27, 0.73] as const;

/** Is it one colour all over? */
export const isPlain = ({ stuff }: Pick<FinishLook, 'stuff'>): boolean => stuff === 'paint' || stuff === 'picture';

/** How a finish repeats itself, mm; of what is one colour all over a metre. */
export function periodOf(look: FinishLook): { readonly u: number; readonly v: number } {
  switch (look.stuff) {
    case 'paint':
      return { u: 1000, v: 1000 };
    case 'picture':
    case 'wallpaper':
      return { u: look.along, v: look.across };
    case 'carpet':
      return { u: CARPET, v: CARPET };
    case 'tiles':
    case 'boards':
    case 'parquet':
    case 'stone':
    case 'concrete': {
      const { u, v } = laidOf(look);
      return { u, v };
    }
  }
}

/** Of a carpet so much is made, mm. */
const CARPET = 600;

/** A finish made at its true size; null where it is one colour, or a picture of one’s own. */
export function textureOf(look: FinishLook): Texture | null {
  if (isPlain(look)) return null;
  const { u, v } = periodOf(look);
  const scale = Math.min(FINEST, LONGEST / Math.max(u, v));
  const width = Math.max(4, Math.round(u * scale));
  const height = Math.max(4, Math.round(v * scale));
  const lightAt = lightOf(look);
  const [own, second] = [digitsOf(look.colour), digitsOf(look.second)];
  const data = new Uint8ClampedArray(4 * width * height);
  const du = u / width;
  const dv = v / height;
  let i = 0;
  // a house waits for twenty of these: nothing is made for a single px
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1, i += 4) {
      const a = lightAt((x + EARLY) * du, (y + EARLY) * dv);
      const b = lightAt((x + LATE) * du, (y + LATE) * dv);
      const one = a < 0 ? second : own;
      const two = b < 0 ? second : own;
      for (let k = 0; k < 3; k += 1)
        data[i + k] = (Math.min(255, one[k]! * Math.abs(a)) + Math.min(255, two[k]! * Math.abs(b))) / 2;
      data[i + 3] = 255;
    }
  return { width, height, data, u, v };
}

/** The colour at a place of the pattern, mm from where it begins; red, green and blue, 0 to 255. */
export function colourAt(look: FinishLook): ColourAt {
  const lightAt = lightOf(look);
  const [own, second] = [digitsOf(look.colour), digitsOf(look.second)];
  return (u, v) => {
    const light = lightAt(u, v);
    const [r, g, b] = light < 0 ? second : own;
    const shaded = (part: number) => Math.min(255, part * Math.abs(light));
    return [shaded(r), shaded(g), shaded(b)];
  };
}

/** What lies in joints is as it is. */
const JOINT = -1;

function lightOf(look: FinishLook): LightAt {
  switch (look.stuff) {
    case 'paint':
    case 'picture':
      return () => 1;
    case 'wallpaper':
      return wallpaper(look);
    case 'carpet': {
      const pile = noise(CARPET, CARPET, 4);
      const patch = noise(CARPET, CARPET, 60);
      return (u, v) => 0.9 + 0.2 * pile(u, v) + 0.04 * (patch(u, v) - 0.5) - 0.05;
    }
    case 'tiles':
      return units(look, glaze);
    case 'boards':
    case 'parquet':
      return units(look, grain);
    case 'stone': {
      const { u, v } = laidOf(look);
      const [cloud, vein] = [noise(u, v, 160), noise(u, v, 420)];
      return units(look, (unit, at, across) => {
        const clouded = cloud(at, across);
        const line = Math.abs(vein(at + 60 * clouded, across) - 0.5);
        const dark = line < 0.02 ? 0.12 * (1 - line / 0.02) : 0;
        return 0.94 + 0.08 * clouded + 0.06 * (chance(unit.number, 3) - 0.5) - dark;
      });
    }
    case 'concrete': {
      const { u, v } = laidOf(look);
      const [cloud, speck] = [noise(u, v, 300), noise(u, v, 9)];
      return units(look, (_, at, across) => 0.95 + 0.09 * cloud(at, across) - (speck(at, across) > 0.93 ? 0.14 : 0));
    }
  }
}

function units(look: FinishLook, of: (unit: Unit, u: number, v: number) => number): LightAt {
  const laid: LaidUnits = laidOf(look);
  return (u, v) => {
    const unit = laid.unitAt(u, v);
    return unit ? of(unit, u, v) : JOINT;
  };
}

/** No two tiles are fired quite alike, and their edges are round. */
function glaze({ number, along, across, length, width }: Unit): number {
  const edge = Math.min(along, across, length - along, width - across);
  return 0.985 + 0.05 * (chance(number, 1) - 0.5) - (edge < 2 ? 0.07 * (1 - edge / 2) : 0);
}

/** Wood: streaks along the board that are its own, darker lines of growth, edges a little eased. */
function grain({ number, along, across, length, width }: Unit): number {
  const tone = 0.96 + 0.16 * (NET[number & 65_535]! - 0.5);
  const far = 4000 * NET[(number + 7001) & 65_535]!;
  const bend = 6 * wave(along / 370 + far);
  const ring = Math.sin((across + bend + far) / (5 + 5 * NET[(number + 14_003) & 65_535]!));
  const streak = smooth(along / 260 + far, (across + bend) / 3 + far) - 0.5;
  const edge = Math.min(across, width - across, along, length - along);
  return tone + 0.035 * ring + 0.1 * streak - (edge < 1.5 ? 0.25 * (1 - edge / 1.5) : 0);
}

function wallpaper({ along, across, motif }: FinishLook): LightAt {
  const inked: Readonly<Record<FinishLook['motif'], (u: number, v: number) => boolean>> = {
    plain: () => false,
    stripes: (u) => ((u / along) * 10) % 2 < 1,
    lattice: (u, v) => {
      const [a, b] = [(6 * u) / along, (Math.max(1, Math.round((6 * across) / along)) * v) / across];
      return near(a + b) < 0.07 || near(a - b) < 0.07;
    },
    sprigs: (u, v) => sprig(u, v, along, across),
    waves: (u, v) => {
      const rows = Math.max(2, Math.round((across / along) * 8));
      const y = (v / across) * rows + 0.28 * Math.sin((2 * Math.PI * 5 * u) / along);
      return near(y) < 0.12;
    },
  };
  const on = inked[motif];
  const fibre = noise(along, across, 3);
  return (u, v) => (on(u, v) ? -1 : 1) * (0.985 + 0.03 * fibre(u, v));
}

/** How far from a whole number. */
const near = (value: number): number => Math.abs(value - Math.round(value));

/** Sprigs of five leaves on a stem, in staggered rows of four, the one a half farther than the other. */
function sprig(u: number, v: number, along: number, across: number): boolean {
  const wide = along / 4;
  const rows = 2 * Math.max(1, Math.round(across / (2.6 * wide)));
  const high = across / rows;
  const row = Math.floor(v / high);
  const x = ((((u + (row % 2) * (wide / 2)) % wide) + wide) % wide) - wide / 2;
  const y = v - row * high - high / 2;
  const [sx, sy] = [(2 * x) / wide, (2 * y) / wide];
  if (Math.abs(sx) < 0.13 && Math.abs(sy) < 0.7 && Math.abs(sx - 0.1 * Math.sin(4 * sy)) < 0.03) return true;
  return LEAVES.some(({ x, y, cos, sin, size }) => {
    const dx = sx - x;
    const dy = sy - y;
    // no leaf reaches farther than it is long
    if (dx * dx + dy * dy > size * size) return false;
    return ((dx * cos + dy * sin) / size) ** 2 + ((dy * cos - dx * sin) / (0.42 * size)) ** 2 < 1;
  });
}
/** Where they are from the middle of a sprig, how they are turned and how long they are; half a sprig is 1. */
const LEAVES = (
  [
    [0.26, -0.28, 0.7, 0.25],
    [-0.22, -0.08, 2.4, 0.25],
    [0.28, 0.14, 0.7, 0.23],
    [-0.2, 0.34, 2.4, 0.21],
    [0.06, 0.74, 1.5, 0.2],
  ] as const
).map(([x, y, turn, size]) => ({ x, y, cos: Math.cos(turn), sin: Math.sin(turn), size }));

/** 0 to 1, the same for the same numbers. */
function chance(number: number, salt: number): number {
  let h = Math.imul(number + 1, 374761393) + Math.imul(salt + 1, 668265263);
  h = Math.imul(h ^ (h >>> 13), 1274126177);
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
}

const eased = (t: number): number => t * t * (3 - 2 * t);
const wave = (t: number): number => 2 * smooth(t, 0.5) - 1;

/** Chances in a net of 256 by 256: as good as endless, and quick to look up. */
const NET = new Float32Array(65_536).map((_, i) => chance(i, 17));

/** Noise that is not seen to repeat itself: between chances at whole numbers. */
function smooth(x: number, y: number): number {
  const i = Math.floor(x);
  const j = Math.floor(y);
  const s = eased(x - i);
  const t = eased(y - j);
  const row = (j & 255) << 8;
  const next = ((j + 1) & 255) << 8;
  const a = i & 255;
  const b = (i + 1) & 255;
  return (NET[row + a]! * (1 - s) + NET[row + b]! * s) * (1 - t) + (NET[next + a]! * (1 - s) + NET[next + b]! * s) * t;
}

/** Noise that repeats itself every `u` by `v` mm, with grains of about `size`; 0 to 1. */
function noise(u: number, v: number, size: number): (u: number, v: number) => number {
  const [columns, rows] = [Math.max(2, Math.round(u / size)), Math.max(2, Math.round(v / size))];
  const net = new Float32Array(columns * rows).map((_, i) => chance(i, 31));
  return (x, y) => {
    const a = (x / u) * columns;
    const b = (y / v) * rows;
    const i = Math.floor(a);
    const j = Math.floor(b);
    const s = eased(a - i);
    const t = eased(b - j);
    const c = mod(i, columns);
    const d = c + 1 === columns ? 0 : c + 1;
    const row = mod(j, rows) * columns;
    const next = row + columns === net.length ? 0 : row + columns;
    return (
      (net[row + c]! * (1 - s) + net[row + d]! * s) * (1 - t) + (net[next + c]! * (1 - s) + net[next + d]! * s) * t
    );
  };
}
