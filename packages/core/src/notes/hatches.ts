import type { DerivedFloor } from '../derived';
import type { Mark } from '../drawing/marks';
import { type Point, type Ring, dot, flattened, moved, rightOf, stretchesWithin } from '../geometry';
import { lastFor } from '../memory';
import type { Hatch } from '../plan/plan';
import { headingOf } from './figures';

/** Lines beside each other: which way they run, degrees; how far apart; of dashed ones how long a dash and the gap after it, and by how much each line’s dashes begin later. */
export interface Family {
  readonly turn: number;
  readonly apart: number;
  readonly dash?: readonly [number, number];
  readonly later?: number;
}

/** Patterns of our own, near what drawing offices use (common practice, no source). Of floors true sizes, mm; of cut walls in lettering heights, so that they read at any scale. */
const FLOORS: Readonly<Record<Hatch, readonly Family[]>> = {
  masonry: [{ turn: 45, apart: 120 }],
  concrete: [
    { turn: 30, apart: 260, dash: [60, 240], later: 170 },
    { turn: 100, apart: 310, dash: [50, 330], later: 210 },
  ],
  insulation: [
    { turn: 60, apart: 110 },
    { turn: 120, apart: 110 },
  ],
  timber: [{ turn: 0, apart: 60, dash: [700, 120], later: 310 }],
  // 300 × 300
  tiles: [
    { turn: 0, apart: 300 },
    { turn: 90, apart: 300 },
  ],
  // 140 wide, 1,800 long, every second joint half a length later
  boards: [
    { turn: 0, apart: 140 },
    { turn: 90, apart: 900, dash: [140, 140], later: 140 },
  ],
};
const WALLS: Readonly<Record<Hatch, readonly Family[]>> = {
  masonry: [{ turn: 45, apart: 0.45 }],
  concrete: [
    { turn: 30, apart: 0.7, dash: [0.2, 0.6], later: 0.5 },
    { turn: 100, apart: 0.8, dash: [0.15, 0.8], later: 0.6 },
  ],
  insulation: [
    { turn: 62, apart: 0.5 },
    { turn: 118, apart: 0.5 },
  ],
  timber: [{ turn: 0, apart: 0.22, dash: [1.6, 0.3], later: 0.7 }],
  tiles: [
    { turn: 0, apart: 0.7 },
    { turn: 90, apart: 0.7 },
  ],
  boards: [{ turn: 90, apart: 0.5 }],
};

/** More lines than this are no pattern any more. */
const MOST_LINES = 4000;

/** The lines of a pattern across an outline with its holes; its first family runs along `d`, laid from `at`. */
export function patternOf(
  families: readonly Family[],
  rings: readonly Ring[],
  at: Point,
  d: Point,
  times: number,
): Point[][] {
  const points = rings.flatMap((ring) => flattened(ring));
  const lines: Point[][] = [];
  for (const { turn, apart, dash, later = 0 } of families) {
    const way = turnedBy(d, turn);
    const n = rightOf(way);
    const step = apart * times;
    const offs = points.map((p) => dot(n, p) - dot(n, at));
    const [first, last] = [Math.ceil(Math.min(...offs) / step), Math.floor(Math.max(...offs) / step)];
    if (last - first > MOST_LINES) continue;
    for (let i = first; i <= last; i += 1) {
      const from = moved(at, n, i * step);
      const whole = stretchesWithin(rings, from, moved(from, way, 1000));
      lines.push(...(dash ? whole.flatMap((line) => dashed(line, from, way, dash, later * i, times)) : whole));
    }
  }
  return lines;
}

const turnedBy = (d: Point, turn: number): Point => {
  const { x, y } = headingOf(turn);
  return { x: d.x * x - d.y * y, y: d.x * y + d.y * x };
};

/** What of a line its dashes cover: they are counted from `from`, so that those of all pieces belong together. */
function dashed(
  [a, b]: Point[],
  from: Point,
  way: Point,
  [on, off]: readonly [number, number],
  later: number,
  times: number,
): Point[][] {
  const along = (p: Point) => dot(way, p) - dot(way, from);
  const [start, end] = [along(a!), along(b!)];
  const period = (on + off) * times;
  const shift = (later * times) % period;
  const pieces: Point[][] = [];
  for (let i = Math.floor((start - shift) / period); i * period + shift < end; i += 1) {
    const [s, e] = [Math.max(start, i * period + shift), Math.min(end, i * period + shift + on * times)];
    if (e > s) pieces.push([moved(from, way, s), moved(from, way, e)]);
  }
  return pieces;
}

const lastRoom = lastFor<DerivedFloor['rooms'][number], readonly Mark[]>();
const lastWall = lastFor<DerivedFloor['bodies'][number], readonly Mark[]>();

const mark = (key: string, rings: Point[][]): readonly Mark[] =>
  rings.length === 0 ? [] : [{ kind: 'path', role: 'hatch.line', key, rings, closed: false }];

/** Lines of a floor closer than this are a grey, and hide what is written on it: every second, third … is drawn then. Lettering heights. */
const CLOSEST = 0.5;

export function coarser(family: Family, lettering: number): Family {
  const times = Math.max(1, Math.ceil((CLOSEST * lettering) / family.apart));
  if (times === 1) return family;
  const { dash, later = 0 } = family;
  return {
    ...{ ...family, apart: family.apart * times, later: later * times },
    ...(dash && { dash: [dash[0] * times, dash[1] * times] as const }),
  };
}

/** How floors are covered, as far as it was said. */
export const drawFloorHatches = ({ rooms }: DerivedFloor, lettering: number): Mark[] =>
  rooms.flatMap((room) => {
    const { hatch, id } = room.room;
    if (!hatch || room.standing.length === 0) return [];
    return lastRoom(room, [hatch, lettering], () => {
      const [face] = [...room.faces].sort((a, b) => b.length - a.length);
      const d = face ? face.d : { x: 1, y: 0 };
      return mark(
        `hatch of ${id}`,
        patternOf(
          FLOORS[hatch].map((family) => coarser(family, lettering)),
          room.standing,
          face?.a ?? room.label,
          d,
          1,
        ),
      );
    });
  });

/** What walls are made of, as far as it was said. */
export const drawWallHatches = ({ bodies, network }: DerivedFloor, lettering: number): Mark[] =>
  bodies.flatMap((body) => {
    const { hatch, id } = body.wall;
    if (!hatch) return [];
    return lastWall(body, [lettering], () => {
      const { course, d } = network.half(id, true);
      // what is masonry in one line goes on in the next wall
      const at = hatch === 'masonry' || hatch === 'concrete' ? { x: 0, y: 0 } : course.a;
      const way = hatch === 'masonry' || hatch === 'concrete' ? { x: 1, y: 0 } : d;
      return mark(`hatch of wall ${id}`, patternOf(WALLS[hatch], [body.ring], at, way, lettering));
    });
  });
