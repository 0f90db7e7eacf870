import type { DerivedFloor } from '../derived';
import { readable } from '../drawing/dimensions';
import { type LetterBox, boxOf, overlap } from '../drawing/lettering';
import type { Mark, Role } from '../drawing/marks';
import { type Point, type Ring, type RingPoint, direction, distance, dot, moved, rightOf, subtract } from '../geometry';
import { type Dimension, LETTERING_ON_PAPER } from '../plan/plan';
import { elevationOf } from '../plan/storeys';
import { surfaceContains } from '../rooms';
import { decimals, formatLevel, roughly } from '../units';
import { wallInsets } from '../walls';
import { figureInWords, laidOut } from './figures';
import type { PlacedPoint } from './places';

/** Distances in lettering heights: between strings; from a line to the middle of its figure, and to one a row further; past the line and off the house. */
const ROW = 3;
const OVER = 0.78;
const FURTHER = 1.2;
const PAST = 0.5;
const CLEAR = 0.6;
/** A line to the house is no longer than this. */
const LONGEST = 6;
/**
 * Where a figure can stand, in its own height over its line and in its own width along it, the best first: on its line; a row further; under it; each once more as small as can be
 * read; then beside its stretch, with a line to it.
 */
const ROWS = [OVER, OVER + FURTHER, -OVER, -OVER - FURTHER];
const ASIDE = [1, -1, 2, -2, 3, -3].flatMap((aside) =>
  [OVER + FURTHER, -OVER - FURTHER].map((by) => ({ by, aside, small: true })),
);
const PLACES = [...[false, true].flatMap((small) => ROWS.map((by) => ({ by, aside: 0, small }))), ...ASIDE];
/** Of an arrow, half its width and its length; of a dot. */
const ARROW = { half: 0.17, long: 0.95 };
const DOT = 0.22;
/** The arc of an angle, unless it was moved. */
const ARC = 5;

/** A dimension line as it is drawn. */
export interface DrawnDimension {
  readonly marks: readonly Mark[];
  /** Figures there is no room for. */
  readonly left: number;
}

export interface Lettered {
  /** Height of body lettering, mm of the house. */
  readonly lettering: number;
  /** Figures that stand already: no other is written over them. */
  readonly placed: LetterBox[];
}

export function drawDimensionLine(
  derived: DerivedFloor,
  dimension: Dimension,
  points: readonly PlacedPoint[],
  { lettering, placed }: Lettered,
): DrawnDimension {
  switch (dimension.form) {
    case 'line':
      return drawLine(derived, dimension, points, { lettering, placed });
    case 'angle':
      return { marks: drawAngle(dimension, points, lettering), left: 0 };
    case 'radius':
      return { marks: drawRadius(derived, dimension, points, lettering), left: 0 };
    case 'level':
      return { marks: drawLevel(derived, dimension, points, lettering), left: 0 };
  }
}

/** How many times as high as body lettering what has a size on paper is. */
export const sizeOnPaper = ({ size }: { readonly size: number }): number => size / LETTERING_ON_PAPER.usual;

/** The way that is up for who reads lettering that is turned so. */
const upOf = (turn: number): Point => ({
  x: Math.sin((turn * Math.PI) / 180),
  y: -Math.cos((turn * Math.PI) / 180),
});

/** Is anything to be drawn of it? A radius of a straight wall, an angle or a distance of nothing is none. */
export function saysSomething(derived: DerivedFloor, dimension: Dimension, points: readonly PlacedPoint[]): boolean {
  return drawDimensionLine(derived, dimension, points, { lettering: 1, placed: [] }).marks.length > 0;
}

/** Where a dimension line lies: from its first point so far to its right, mm. */
export const lineOff = (dimension: Dimension, lettering: number): number =>
  dimension.off + dimension.row * ROW * lettering * Math.max(1, sizeOnPaper(dimension));

const keyOf = ({ id }: Dimension, what: string) => `dimension-line ${id} ${what}`;
const path = (dimension: Dimension, what: string, role: Role, rings: readonly Ring[], closed = false): Mark => ({
  kind: 'path',
  role,
  key: keyOf(dimension, what),
  rings,
  closed,
});

function drawLine(
  derived: DerivedFloor,
  dimension: Dimension,
  points: readonly PlacedPoint[],
  { lettering, placed }: Lettered,
): DrawnDimension {
  const laid = laidOut(derived, dimension, points);
  if (!laid) return { marks: [], left: 0 };
  const { from, d, figures } = laid;
  const n = rightOf(d);
  const off = lineOff(dimension, lettering);
  const on = (t: number, by = 0) => moved(moved(from, d, t), n, off + by);
  const size = sizeOnPaper(dimension);
  const high = size * lettering;
  const stops = [figures[0]!.start, ...figures.map(({ end }) => end)];
  const towards = [figures[0]!.from, ...figures.map(({ to }) => to)].map((placed, i): Ring | null => {
    const at = dot(n, subtract(placed.at, from));
    const way = Math.sign(off - at);
    const reach = Math.abs(off - at);
    if (reach < (CLEAR + PAST) * lettering) return null;
    const begin = Math.min(reach - CLEAR * lettering, LONGEST * lettering);
    return [on(stops[i]!, -way * begin), on(stops[i]!, way * PAST * lettering)];
  });
  const turn = readable(d);
  // figures stand over the line for who reads them
  const up = upOf(turn);
  const smaller = Math.min(1, LETTERING_ON_PAPER.least / dimension.size);
  let left = 0;
  const wide = (text: string, times: number) =>
    boxOf({ role: 'note.figure', at: from, text, turn: 0, size: size * times }, lettering).long;
  const written = figures.flatMap((figure, i): Mark[] => {
    const middle = on((figure.start + figure.end) / 2);
    for (const { by, aside, small } of PLACES) {
      const times = small ? smaller : 1;
      const text = {
        at: moved(moved(middle, up, by * high * times), d, aside * wide(figure.text, times)),
        ...{ text: figure.text, turn, size: size * times, said: figure.said },
      };
      const box = boxOf({ role: 'note.figure', ...text }, lettering);
      // on its line only where it is between its points
      if (Math.abs(by) === OVER && 2 * box.long > figure.end - figure.start) continue;
      if (placed.some((other) => overlap(box, other))) continue;
      placed.push(box);
      const foot = moved(text.at, up, -Math.sign(by) * box.high);
      return [
        ...(aside === 0 ? [] : [path(dimension, `to ${i}`, 'note.line', [[middle, foot]])]),
        ...figureMarks(dimension, i, text, lettering),
      ];
    }
    left += 1;
    return [];
  });
  const rings = [[on(stops[0]!), on(stops.at(-1)!)], ...towards.filter((ring) => ring !== null)];
  return {
    marks: [
      path(dimension, 'line', 'note.line', rings),
      ...ends(dimension, stops, on, { d, n, lettering }),
      ...written,
    ],
    left,
  };
}

interface Written {
  readonly text: string;
  readonly at: Point;
  readonly turn: number;
  readonly size: number;
  readonly align?: 'left';
  /** It is not the true one. */
  readonly said: boolean;
}

/** A figure, underlined where it is not the true one. */
function figureMarks(dimension: Dimension, i: number, { said, ...text }: Written, lettering: number): Mark[] {
  const mark = { kind: 'text' as const, role: 'note.figure' as const, key: keyOf(dimension, `figure ${i}`), ...text };
  return said ? [mark, underline(dimension, i, boxOf(mark, lettering))] : [mark];
}

/** A figure that is not the true one is underlined (ISO 129-1, of dimensions that are not to scale). */
function underline(dimension: Dimension, i: number, { at, d, long, high }: LetterBox): Mark {
  const foot = moved(at, rightOf(d), high * 0.95);
  return path(dimension, `said ${i}`, 'note.line', [[moved(foot, d, -long * 0.9), moved(foot, d, long * 0.9)]]);
}

interface Way {
  readonly d: Point;
  readonly n: Point;
  readonly lettering: number;
}

/** What stands where a line begins and ends, and between its figures. Where two arrows have no room, dots are. */
function ends(
  dimension: Dimension,
  stops: readonly number[],
  on: (t: number, by?: number) => Point,
  { d, n, lettering }: Way,
): Mark[] {
  const long = ARROW.long * lettering;
  const isTight = (i: number) =>
    [i - 1, i].some(
      (at) => stops[at] !== undefined && stops[at + 1] !== undefined && stops[at + 1]! - stops[at]! < 2.2 * long,
    );
  const which = (i: number) =>
    dimension.ends === 'arrow' || dimension.ends === 'open arrow'
      ? isTight(i)
        ? 'dot'
        : dimension.ends
      : dimension.ends;
  const open: Ring[] = [];
  const filled: Ring[] = [];
  stops.forEach((t, i) => {
    const at = on(t);
    switch (which(i)) {
      case 'tick': {
        const half = 0.45 * lettering;
        const slant = { x: (d.x - n.x) * Math.SQRT1_2, y: (d.y - n.y) * Math.SQRT1_2 };
        open.push([moved(at, slant, -half), moved(at, slant, half)]);
        break;
      }
      case 'dot':
        filled.push(dotAt(at, DOT * lettering));
        break;
      default:
        for (const way of [-1, 1]) {
          // it points at its stop from within the stretch
          if (stops[i - way] === undefined) continue;
          const tip = arrowAt(at, { x: d.x * way, y: d.y * way }, lettering);
          if (which(i) === 'arrow') filled.push(tip);
          else open.push(tip);
        }
    }
  });
  return [
    ...(open.length > 0 ? [path(dimension, 'ends', 'note.end', open)] : []),
    ...(filled.length > 0 ? [path(dimension, 'heads', 'note.head', filled, true)] : []),
  ];
}

export const dotAt = (at: Point, r: number): RingPoint[] => [
  { x: at.x - r, y: at.y, bulge: 1 },
  { x: at.x + r, y: at.y, bulge: 1 },
];

/** The head of an arrow that points along d at a place. */
export function arrowAt(at: Point, d: Point, lettering: number): Point[] {
  const foot = moved(at, d, -ARROW.long * lettering);
  const side = (k: 1 | -1) => moved(foot, rightOf(d), k * ARROW.half * lettering);
  return [side(1), at, side(-1)];
}

function drawAngle(dimension: Dimension, points: readonly PlacedPoint[], lettering: number): Mark[] {
  const [one, vertex, two] = points;
  if (!one || !vertex || !two) return [];
  const at = vertex.at;
  const [a, b] = [direction(at, one.at), direction(at, two.at)];
  const radius = Math.abs(dimension.off) || ARC * lettering;
  const angle = (Math.acos(Math.max(-1, Math.min(1, dot(a, b)))) * 180) / Math.PI;
  if (!(angle > 0.05)) return [];
  const half = direction({ x: 0, y: 0 }, { x: a.x + b.x, y: a.y + b.y });
  const out = Number.isFinite(half.x) && angle < 179.9 ? half : rightOf(a);
  const free = points.some(({ point }) => point.stand.kind === 'free');
  const said = one.point.said;
  const text = {
    at: moved(at, out, radius + 1.6 * lettering * sizeOnPaper(dimension)),
    ...{ text: said || roughly(free, `${decimals(angle, 1)}°`), turn: 0, size: sizeOnPaper(dimension) },
  };
  return [
    {
      kind: 'arc',
      role: 'note.line',
      key: keyOf(dimension, 'arc'),
      centre: at,
      radius,
      from: moved(at, a, radius),
      to: moved(at, b, radius),
    },
    path(dimension, 'sides', 'note.line', [
      [at, moved(at, a, radius + lettering)],
      [at, moved(at, b, radius + lettering)],
    ]),
    ...figureMarks(dimension, 0, { ...text, said: said !== '' }, lettering),
  ];
}

/** The radius of the face of the curved wall it stands on. */
function drawRadius(
  { network, plan }: DerivedFloor,
  dimension: Dimension,
  [point]: readonly PlacedPoint[],
  lettering: number,
): Mark[] {
  const stand = point?.point.stand;
  if (!point || stand?.kind !== 'wall') return [];
  const { arc } = wallInsets(network, stand.wall).course;
  if (!arc) return [];
  const radius = distance(arc.centre, point.at);
  const d = direction(arc.centre, point.at);
  const said = point.point.said;
  const turn = readable(d);
  const up = upOf(turn);
  const size = sizeOnPaper(dimension);
  const from = moved(point.at, d, -Math.min(radius, 9 * lettering));
  const text = {
    at: moved(moved(from, d, 4 * lettering), up, OVER * lettering * size),
    ...{ text: said || `R ${figureInWords(radius, dimension, plan.job.units)}`, turn, size },
  };
  return [
    path(dimension, 'line', 'note.line', [[from, point.at]]),
    path(dimension, 'heads', 'note.head', [arrowAt(point.at, d, lettering)], true),
    ...figureMarks(dimension, 0, { ...text, said: said !== '' }, lettering),
  ];
}

/** How high the floor lies there, beside a triangle that stands on its tip. */
function drawLevel(
  derived: DerivedFloor,
  dimension: Dimension,
  [point]: readonly PlacedPoint[],
  lettering: number,
): Mark[] {
  if (!point) return [];
  const { plan, floor } = derived;
  const room = derived.rooms.find(({ outline }) => surfaceContains(outline.rings, point.at));
  const level = elevationOf(plan, floor) + (room?.room.step ?? 0);
  const size = sizeOnPaper(dimension);
  const r = 0.5 * lettering * size;
  const { at } = point;
  const said = point.point.said;
  const text = {
    at: { x: at.x + 1.1 * r, y: at.y - 1.3 * r },
    ...{ text: said || formatLevel(level, plan.job.units), turn: 0, size, align: 'left' as const },
  };
  const triangle = [at, { x: at.x - r, y: at.y - 1.7 * r }, { x: at.x + r, y: at.y - 1.7 * r }];
  return [
    path(dimension, 'heads', 'note.end', [[...triangle, at]]),
    ...figureMarks(dimension, 0, { ...text, said: said !== '' }, lettering),
  ];
}
