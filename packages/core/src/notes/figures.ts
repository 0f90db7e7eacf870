import type { DerivedFloor } from '../derived';
import { type Point, cross, direction, distance, dot, middle, rightOf, subtract } from '../geometry';
import type { Dimension, Units } from '../plan/plan';
import { formatLength, roughly } from '../units';
import type { PlacedPoint } from './places';

/** One distance of a dimension line. */
export interface Figure {
  /** The point it begins at, which knows what was written in its place. */
  readonly from: PlacedPoint;
  readonly to: PlacedPoint;
  /** Where along the line it begins and ends, mm from the first point. */
  readonly start: number;
  readonly end: number;
  /** What is true, mm, and as it is written. */
  readonly length: number;
  readonly rough: boolean;
  readonly text: string;
  /** Something else is written in its place. */
  readonly said: boolean;
}

/** A dimension line laid out along its way. */
export interface Laid {
  readonly dimension: Dimension;
  readonly points: readonly PlacedPoint[];
  /** From where, and which way. */
  readonly from: Point;
  readonly d: Point;
  readonly figures: readonly Figure[];
}

/** Points nearer to each other than this along the line are one, mm. */
const ONE = 0.5;

/** The way a dimension line runs, its points in order along it, and the figures between them. Null where its points are all one. */
export function laidOut(derived: DerivedFloor, dimension: Dimension, points: readonly PlacedPoint[]): Laid | null {
  const [first, second] = points;
  if (!first || !second) return null;
  if (dimension.turn === null && distance(first.at, second.at) < ONE) return null;
  const d = dimension.turn === null ? direction(first.at, second.at) : headingOf(dimension.turn);
  const along = points
    .map((placed) => ({ placed, t: dot(d, subtract(placed.at, first.at)) }))
    .sort((a, b) => a.t - b.t)
    .filter(({ t }, i, all) => i === 0 || t - all[i - 1]!.t > ONE);
  const { units } = derived.plan.job;
  const figures = along.slice(1).map(({ placed, t }, i): Figure => {
    const before = along[i]!;
    const length = t - before.t;
    const rough = isRough(derived, first.at, d, before, { placed, t });
    const { said } = before.placed.point;
    const text = said || roughly(rough, figureInWords(length, dimension, units));
    return { from: before.placed, to: placed, start: before.t, end: t, length, rough, text, said: said !== '' };
  });
  return figures.length === 0 ? null : { dimension, points, from: first.at, d, figures };
}

/** The unit direction of so many degrees clockwise from the right. */
export const headingOf = (turn: number): Point => ({
  x: Math.cos((turn * Math.PI) / 180),
  y: Math.sin((turn * Math.PI) / 180),
});

interface Along {
  readonly placed: PlacedPoint;
  readonly t: number;
}

/** Faces this much out of the way of a line say nothing of it: sin 6°. */
const ALONG = 0.1;

/**
 * A figure is rough where one of its points is free, or where of the faces that run along it the nearest is: a taped wall in front counts for what is measured in front, not for
 * what is measured behind the house.
 */
function isRough({ rooms }: DerivedFloor, from: Point, d: Point, a: Along, b: Along): boolean {
  if ([a, b].some(({ placed }) => placed.point.stand.kind === 'free')) return true;
  const n = rightOf(d);
  const at = (dot(n, a.placed.at) + dot(n, b.placed.at)) / 2;
  const beside = rooms
    .flatMap(({ faces }) => faces)
    .filter((face) => Math.abs(cross(face.d, d)) < ALONG)
    .map((face) => {
      const ends = [face.a, face.b].map((p) => dot(d, subtract(p, from)));
      const away = Math.abs(dot(n, middle(face.a, face.b)) - at);
      return { start: Math.min(...ends), end: Math.max(...ends), away, rough: face.provenance === 'rough' };
    })
    .sort((one, two) => one.away - two.away);
  let open: readonly (readonly [number, number])[] = [[a.t + ONE, b.t - ONE]];
  for (const { start, end, rough } of beside) {
    if (rough && open.some(([s, e]) => Math.min(e, end) - Math.max(s, start) > ONE)) return true;
    open = open
      .flatMap(([s, e]) => [[s, Math.min(e, start)] as const, [Math.max(s, end), e] as const])
      .filter(([s, e]) => e > s);
    if (open.length === 0) return false;
  }
  return false;
}

const OTHER: Record<Units, Units> = { metric: 'imperial', imperial: 'metric' };

/** A length as a dimension line writes it: metres without their sign, as drawing offices do; rounded as that line is. */
export function figureInWords(
  mm: number,
  { units: which, round }: Pick<Dimension, 'units' | 'round'>,
  units: Units,
): string {
  const rounded = round === null ? mm : Math.round(mm / round + 1e-9) * round;
  const say = (of: Units) => formatLength(rounded, of).replace(/ m$/, '');
  if (which === 'own') return say(units);
  // beside figures of the other kind metres say so
  const [own, other] = [formatLength(rounded, units), formatLength(rounded, OTHER[units])];
  return which === 'other' ? other : `${own} (${other})`;
}

/** Rounded figures of a string that do not add up to its whole as it would be written: by how much, mm; 0 where they do. */
export function offBy({ figures, dimension }: Laid, units: Units): number {
  const step = dimension.round ?? (units === 'metric' ? 1 : 25.4 / 16);
  const steps = (mm: number) => Math.round(mm / step + 1e-6);
  const whole = figures.reduce((sum, { length }) => sum + length, 0);
  return (figures.reduce((sum, { length }) => sum + steps(length), 0) - steps(whole)) * step;
}

/** To the right of the way. */
export const acrossOf = ({ d }: Laid): Point => rightOf(d);
