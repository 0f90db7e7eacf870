import { type Point, cross, direction, dot } from '../geometry';
import type { Corner, Id, Instrument, Place, Reading, Wall } from '../plan/plan';
import { type HalfWall, type Network, facesOf, runOfReading } from '../walls';
import { derivatives } from './derivatives';
import { DEVIATION, deviationOf } from './deviations';
import { grainOf } from './grain';
import type { Row } from './normal-equations';
import { type Spot, cornersOf, endSpot, placeOf, startSpot } from './spot';
import { Unknowns } from './unknowns';

/** What holds a plan together, by where it comes from. */
export type Source = Exclude<Instrument, 'tape' | 'laser'> | 'read' | 'assumed' | 'sketch' | 'pin';

/** Something known or assumed about the corners of a floor. */
export interface Observation {
  readonly source: Source;
  readonly reading: Reading | null;
  /** The wall whose direction is assumed. */
  readonly wall: Wall | null;
  /** mm; of angles radians */
  readonly deviation: number;
  /** The corners it depends on. */
  readonly corners: readonly Id[];
  /** Observed less computed where the corners are as in x. */
  misfit(unknowns: Unknowns, x: Float64Array): number;
  /** Coefficients of x and y of each corner, where they do not depend on x. */
  readonly constant?: readonly number[];
  /** The same where a formula gives them. */
  coefficients?(unknowns: Unknowns, x: Float64Array): readonly number[];
}

/** An observation linearised: derivatives as they are given, else by central differences. */
export function rowOf(
  { corners, deviation, misfit, constant, coefficients: given }: Observation,
  unknowns: Unknowns,
  x: Float64Array,
): Row {
  const at = corners.flatMap((id) => [unknowns.at(id), unknowns.at(id) + 1]);
  const coefficients = constant ?? given?.(unknowns, x) ?? derivatives(at, x, (there) => -misfit(unknowns, there));
  return { at, coefficients, misfit: misfit(unknowns, x), deviation };
}

/** What is assumed about a floor and what was read on it, with the sketch as it is. */
export function observationsOf(
  network: Network,
  readings: readonly Reading[],
  assumed: { readonly square: number } = DEVIATION,
): Observation[] {
  return [
    ...readings.flatMap((reading) => readingOf(network, reading) ?? []),
    ...directionsOf(network, readings, assumed.square),
    ...linesOf(network),
    ...sketchOf(network),
    ...pinsOf(network),
  ];
}

const SOURCE: Record<Instrument, Source> = { tape: 'read', laser: 'read', scaled: 'scaled', guess: 'guess' };

/** A reading as an observation; null when what it was taken from is no longer there. Arcs keep their faces at the corners as they are. */
export function readingOf(network: Network, reading: Reading): Observation | null {
  const computed = computedOf(network, reading);
  if (!computed) return null;
  const value = reading.kind === 'angle' ? (reading.value * Math.PI) / 180 : reading.value;
  return {
    source: SOURCE[reading.instrument],
    reading,
    wall: null,
    deviation: deviationOf(reading),
    corners: computed.corners,
    misfit: (unknowns, x) => value - computed.value(unknowns, x),
  };
}

interface Computed {
  readonly corners: readonly Id[];
  value(unknowns: Unknowns, x: Float64Array): number;
}

/** What a reading would be on the plan as it is: mm, of an angle degrees. Null when what it names is not there. */
export function valueOnPlan(network: Network, place: Place): number | null {
  const computed = computedOf(network, place);
  if (!computed) return null;
  const unknowns = new Unknowns(computed.corners);
  const value = computed.value(
    unknowns,
    unknowns.vector((id) => network.corners.get(id)!),
  );
  return place.kind === 'angle' ? (value * 180) / Math.PI : value;
}

/** What a reading would be where the corners are as in x: mm, of an angle radians. Null when what it names is not there. */
export function computedOf(network: Network, reading: Place): Computed | null {
  switch (reading.kind) {
    case 'length':
    case 'chord':
      return lengthOf(network, reading);
    case 'diagonal': {
      const a = leaving(network, reading.from, reading.via[0]);
      const b = leaving(network, reading.to, reading.via[1]);
      return a && b ? apart(startSpot(network, a), startSpot(network, b)) : null;
    }
    case 'between': {
      const one = runOfReading(network, { kind: 'length', from: reading.from, to: reading.to });
      const two = runOfReading(network, { kind: 'length', from: reading.via[0]!, to: reading.via[1]! });
      return one && two ? across(faceSpots(network, one), faceSpots(network, two)) : null;
    }
    case 'angle':
      return angleOf(network, reading.from, reading.to);
  }
}

const faceSpots = (network: Network, run: readonly HalfWall[]): [Spot, Spot] => [
  startSpot(network, run[0]!),
  endSpot(network, run.at(-1)!),
];

function lengthOf(network: Network, reading: Pick<Reading, 'kind' | 'face' | 'from' | 'to'>): Computed | null {
  const run = runOfReading(network, reading);
  if (!run) return null;
  const inside = apart(...faceSpots(network, run));
  if (reading.face === 'inside') return inside;
  const back = [...run].reverse().map((half) => network.half(half.wall.id, !half.forward));
  const outside = apart(...faceSpots(network, back));
  if (reading.face === 'outside') return outside;
  return {
    corners: union(inside.corners, outside.corners),
    value: (unknowns, x) => (inside.value(unknowns, x) + outside.value(unknowns, x)) / 2,
  };
}

const union = (...lists: readonly (readonly Id[])[]): Id[] => [...new Set(lists.flat())];

/** The distance between two points. */
function apart(a: Spot, b: Spot): Computed {
  return {
    corners: union(cornersOf(a), cornersOf(b)),
    value: (unknowns, x) => {
      const [p, q] = [placeOf(a, unknowns, x), placeOf(b, unknowns, x)];
      return Math.hypot(q.x - p.x, q.y - p.y);
    },
  };
}

/** From the middle of one face square across to the line of the other. */
function across([a, b]: [Spot, Spot], [c, d]: [Spot, Spot]): Computed {
  return {
    corners: union(cornersOf(a), cornersOf(b), cornersOf(c), cornersOf(d)),
    value: (unknowns, x) => {
      const [p, q, r, s] = [a, b, c, d].map((spot) => placeOf(spot, unknowns, x)) as [Point, Point, Point, Point];
      const along = direction(p, q);
      const off = cross(along, { x: (r.x + s.x - p.x - q.x) / 2, y: (r.y + s.y - p.y - q.y) / 2 });
      return Math.abs(off);
    },
  };
}

/** The inside angle at a corner, clockwise from the wall that leads to `to` to the next wall, radians. */
function angleOf(network: Network, corner: Id, to: Id): Computed | null {
  const half = leaving(network, corner, to);
  if (!half) return null;
  const { around } = network.stars.get(corner)!;
  const next =
    around[(around.findIndex((each) => each.wall === half.wall && each.forward === half.forward) + 1) % around.length]!;
  if (next.wall === half.wall || next.bulge !== 0 || half.bulge !== 0) return null;
  const corners = [corner, half.to, next.to];
  return {
    corners,
    value: (unknowns, x) => {
      const [c, a, b] = corners.map((id) => unknowns.at(id)) as [number, number, number];
      const d = { x: x[a]! - x[c]!, y: x[a + 1]! - x[c + 1]! };
      const e = { x: x[b]! - x[c]!, y: x[b + 1]! - x[c + 1]! };
      const turn = Math.atan2(cross(d, e), dot(d, e));
      return turn < 0 ? turn + 2 * Math.PI : turn;
    },
  };
}

/** Walls within this of the way to a corner that is no longer their own end lead there all the same: cos 8°. */
const LEADS = 0.99;

/** The wall that leaves a corner towards another; after a wall was split, its first piece. */
export function leaving(network: Network, corner: Id, towards: Id | undefined): HalfWall | null {
  const star = network.stars.get(corner);
  const end = towards === undefined ? undefined : network.corners.get(towards);
  if (!star || !end) return null;
  const own = star.around.find((half) => half.to === towards);
  if (own) return own;
  const d = direction(star.corner, end);
  const [best] = [...star.around].sort((a, b) => dot(b.d, d) - dot(a.d, d));
  return best && dot(best.d, d) > LEADS ? best : null;
}

/** Walls that look square to the grain of their part of the house are taken to be, until a diagonal or an angle was measured across. */
function directionsOf(network: Network, readings: readonly Reading[], square: number): Observation[] {
  const relaxed = relaxedWalls(network, readings);
  const deviation = (wall: Wall) => (relaxed.has(wall.id) ? DEVIATION.relaxed : square);
  return grainOf(network, (wall) => deviation(wall) ** -2).map(({ wall, meant }): Observation => ({
    source: 'assumed',
    reading: null,
    wall,
    deviation: deviation(wall),
    corners: [wall.start, wall.end],
    misfit: (unknowns, x) => {
      const [a, b] = [unknowns.at(wall.start), unknowns.at(wall.end)];
      const v = { x: x[b]! - x[a]!, y: x[b + 1]! - x[a + 1]! };
      return -Math.atan2(cross(meant, v), dot(meant, v));
    },
    // an angle turns by what its far end moves across, over the length
    coefficients: (unknowns, x) => {
      const [a, b] = [unknowns.at(wall.start), unknowns.at(wall.end)];
      const [vx, vy] = [x[b]! - x[a]!, x[b + 1]! - x[a + 1]!];
      const square = vx * vx + vy * vy || 1;
      return [vy / square, -vx / square, -vy / square, vx / square];
    },
  }));
}

/** The walls of rooms in which a diagonal was measured, and those at a corner whose angle was. */
function relaxedWalls(network: Network, readings: readonly Reading[]): Set<Id> {
  const relaxed = new Set<Id>();
  for (const reading of readings) {
    if (reading.kind === 'angle') {
      const half = leaving(network, reading.from, reading.to);
      for (const each of half ? network.stars.get(reading.from)!.around : []) relaxed.add(each.wall.id);
    }
    if (reading.kind !== 'diagonal') continue;
    const half = leaving(network, reading.from, reading.via[0]);
    const face = half && facesOf(network).find(({ outline }) => outline.halves.includes(half));
    for (const each of face?.outline.halves ?? []) relaxed.add(each.wall.id);
  }
  return relaxed;
}

/** Walls that run straight on past another, and the pieces of one wall on both sides of a bay, are in line. */
function linesOf(network: Network): Observation[] {
  const list: Observation[] = [];
  for (const star of network.stars.values()) {
    star.around.forEach((half, i) => {
      for (const other of star.around.slice(i + 1)) {
        if (half.bulge !== 0 || other.bulge !== 0 || dot(half.d, other.d) > -0.9997) continue;
        list.push(onLine(half.to, other.to, star.corner.id, DEVIATION.line));
      }
    });
  }
  for (const { outline } of facesOf(network)) list.push(...bumpLines(outline.halves));
  return list;
}

/** How far out of line two pieces of one wall may be drawn, mm, and how far apart. */
const ONE_LINE = 2;
const WIDEST_BUMP = 6000;

function bumpLines(halves: readonly HalfWall[]): Observation[] {
  return halves.flatMap((half, i) => {
    if (half.bulge !== 0) return [];
    // out of the line and back into it within a few walls
    for (let k = 2; k <= Math.min(4, halves.length - 2); k += 1) {
      const other = halves[(i + k) % halves.length]!;
      if (other.bulge !== 0 || dot(half.d, other.d) < 0.9997) continue;
      const gap = { x: other.course.a.x - half.course.b.x, y: other.course.a.y - half.course.b.y };
      const along = dot(half.d, gap);
      if (along < 1 || along > WIDEST_BUMP || Math.abs(cross(half.d, gap)) > ONE_LINE) continue;
      return [
        onLine(half.from, other.to, half.to, DEVIATION.acrossBump),
        onLine(half.from, other.to, other.from, DEVIATION.acrossBump),
      ];
    }
    return [];
  });
}

/** `at` lies on the line from a to b. */
const onLine = (a: Id, b: Id, at: Id, deviation: number): Observation => ({
  source: 'assumed',
  reading: null,
  wall: null,
  deviation,
  corners: [a, b, at],
  misfit: (unknowns, x) => {
    const [i, j, k] = [unknowns.at(a), unknowns.at(b), unknowns.at(at)];
    const v = { x: x[j]! - x[i]!, y: x[j + 1]! - x[i + 1]! };
    const p = { x: x[k]! - x[i]!, y: x[k + 1]! - x[i + 1]! };
    return -cross(v, p) / (Math.hypot(v.x, v.y) || 1);
  },
});

/** The sketch itself, weakly: every wall as long and in the direction it was drawn. */
function sketchOf(network: Network): Observation[] {
  return network.walls.flatMap((wall) => {
    const [a, b] = [network.corners.get(wall.start)!, network.corners.get(wall.end)!];
    const deviation = DEVIATION.sketch * Math.max(100, Math.hypot(b.x - a.x, b.y - a.y));
    const along = (axis: 'x' | 'y', drawn: number): Observation => ({
      source: 'sketch',
      reading: null,
      wall: null,
      deviation,
      corners: [wall.start, wall.end],
      constant: axis === 'x' ? [-1, 0, 1, 0] : [0, -1, 0, 1],
      misfit: (unknowns, x) => {
        const off = axis === 'x' ? 0 : 1;
        return drawn - (x[unknowns.at(wall.end) + off]! - x[unknowns.at(wall.start) + off]!);
      },
    });
    return [along('x', b.x - a.x), along('y', b.y - a.y)];
  });
}

function pinsOf(network: Network): Observation[] {
  return [...network.corners.values()].filter((corner) => corner.pinned).flatMap((corner) => held(corner));
}

/** A corner that stays where it is. */
export function held(corner: Pick<Corner, 'id' | 'x' | 'y'>): Observation[] {
  return ([0, 1] as const).map((off) => ({
    source: 'pin',
    reading: null,
    wall: null,
    deviation: DEVIATION.pinned,
    corners: [corner.id],
    constant: off === 0 ? [1, 0] : [0, 1],
    misfit: (unknowns, x) => (off === 0 ? corner.x : corner.y) - x[unknowns.at(corner.id) + off]!,
  }));
}
