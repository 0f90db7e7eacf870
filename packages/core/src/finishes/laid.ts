import type { FinishLook } from '../plan/plan';

/** One tile, board or slab under a place. mm along and across it, from its own first corner. */
export interface Unit {
  /** The same for the same one in every repeat. */
  readonly number: number;
  readonly along: number;
  readonly across: number;
  /** As large as it is, without joints. */
  readonly length: number;
  readonly width: number;
  /** Its long side runs across the pattern. */
  readonly upright: boolean;
}

/** How units lie beside each other: a pattern that repeats itself every `u` by `v` mm. */
export interface LaidUnits {
  readonly u: number;
  readonly v: number;
  /** What lies at a place of the pattern; null: a joint. */
  unitAt(u: number, v: number): Unit | null;
}

/** What is left of a whole number. A pattern asks a million times: dividing is ten times as fast as the remainder of numbers with a point. */
export const mod = (value: number, by: number): number => value - by * Math.floor(value / by);

/** A pattern shows so much before it begins again, about, mm; and no more units than this to a side. */
const SEEN = 2000;
const MOST = 24;
const timesOf = (step: number, of = 1): number =>
  of * Math.max(1, Math.min(Math.ceil(MOST / of), Math.round(SEEN / step / of)));

/** How the units of a look are laid, from the first corner of the first. */
export const laidOf = (look: Pick<FinishLook, 'along' | 'across' | 'joint' | 'bond'>): LaidUnits =>
  look.bond === 'herringbone' ? herringbone(look) : inRows(look);

/** Each row begins so much of a unit farther on than the one before. */
const SHIFTS = { straight: 1, half: 2, third: 3 } as const;

function inRows({ along, across, joint, bond }: Pick<FinishLook, 'along' | 'across' | 'joint' | 'bond'>): LaidUnits {
  const [length, width] = [along + joint, across + joint];
  const shifts = bond === 'herringbone' ? 1 : SHIFTS[bond];
  const [columns, rows] = [timesOf(length), timesOf(width, shifts)];
  return {
    u: columns * length,
    v: rows * width,
    unitAt: (u, v) => {
      const row = Math.floor(v / width);
      const y = v - row * width;
      if (y >= across) return null;
      const from = u - (mod(row, shifts) * length) / shifts;
      const column = Math.floor(from / length);
      const x = from - column * length;
      if (x >= along) return null;
      const number = mod(row, rows) * columns + mod(column, columns);
      return { number, along: x, across: y, length: along, width: across, upright: false };
    },
  };
}

/**
 * Blocks at right angles, each with its end against the side of the next. In their own frame, at 45° to the pattern, one lies along and one stands over its first end; the pair repeats
 * by (w, w) and (−l, l). Turned by 45° those are a width of √2 w and a height of √2 l.
 */
function herringbone({ along, across, joint }: Pick<FinishLook, 'along' | 'across' | 'joint'>): LaidUnits {
  const [long, short] = [Math.max(along, across), Math.min(along, across)];
  const [l, w] = [long + joint, short + joint];
  const [stepU, stepV] = [Math.SQRT2 * w, Math.SQRT2 * l];
  const [columns, rows] = [timesOf(stepU), timesOf(stepV)];
  return {
    u: columns * stepU,
    v: rows * stepV,
    unitAt: (u, v) => {
      const x = (u - v) / Math.SQRT2;
      const y = (u + v) / Math.SQRT2;
      const near = Math.floor(v / stepV);
      for (let j = near - 1; j <= near + 2; j += 1) {
        const lying = Math.floor((y - j * l) / w);
        const a = x - lying * w + j * l;
        if (a >= 0 && a < l) return unit(a, y - lying * w - j * l, lying, j, false);
        const standing = Math.floor((x + j * l) / w);
        const c = y - standing * w - j * l - w;
        if (c >= 0 && c < l) return unit(c, x - standing * w + j * l, standing, j, true);
      }
      return null;
    },
  };
  function unit(a: number, b: number, i: number, j: number, upright: boolean): Unit | null {
    // without joints there is nothing between blocks but what rounding takes
    if (joint > 0 && (a >= long || b >= short)) return null;
    const number = 2 * (mod(j, rows) * columns + mod(i, columns)) + (upright ? 1 : 0);
    return { number, along: a, across: b, length: long, width: short, upright };
  }
}
