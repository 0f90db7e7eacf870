import { cross, dot, turned } from '../geometry';
import { type Corner, type Id, type Reading, type Wall, isOfBend } from '../plan/plan';
import { type HalfWall, type Network, cellsOf, runOfReading } from '../walls';
import { radiiApart } from './bend';
import { DEVIATION } from './deviations';
import { type Meant, grainOf } from './grain';
import type { Observation } from './observations';
import { difference, offLine, turnOutOf } from './quantity';
import { leaving } from './quantity-of-place';
import type { Unknowns } from './unknowns';

/** How surely walls have the directions they look to have. */
export interface Squareness {
  /** Standard deviation of the direction of a wall, radians. */
  deviation(wall: Wall): number;
  /** How far off square a wall may look and still be meant to be square, radians; as it is drawn unless said. */
  readonly meant?: number;
  /** By how much a wall is taken to lean against that, radians clockwise; none unless said. */
  leans?(wall: Id): number;
}

/** As surely as houses are built, but for rooms in which a diagonal or an angle was measured: there that says it. */
export function asBuilt(network: Network, readings: readonly Reading[], square: number = DEVIATION.square): Squareness {
  const relaxed = relaxedWalls(network, readings);
  return { deviation: (wall) => (relaxed.has(wall.id) ? DEVIATION.relaxed : square) };
}

/** What is taken for granted about the walls of a floor as it is drawn, and the sketch itself; of walls whose corners are among the unknowns. */
export function assumptionsOf(
  network: Network,
  unknowns: Unknowns,
  readings: readonly Reading[],
  squareness: Squareness = asBuilt(network, readings),
): Observation[] {
  return [
    ...directionsOf(network, unknowns, squareness),
    ...linesOf(network, unknowns),
    ...alikeIn(network, unknowns, readings),
    ...sketchOf(network, unknowns, readings),
  ];
}

/** Walls that look square to the grain of their part of the house are taken to be. */
function directionsOf(network: Network, unknowns: Unknowns, squareness: Squareness): Observation[] {
  const { deviation, meant: within } = squareness;
  const leaning = ({ wall, meant }: Meant): Meant => {
    const by = squareness.leans?.(wall.id) ?? 0;
    return by === 0 ? { wall, meant } : { wall, meant: turned(meant, by) };
  };
  const all = grainOf(network, (wall) => deviation(wall) ** -2, within).map(leaning);
  return all.flatMap(({ wall, meant }): Observation[] =>
    unknowns.has(wall.start)
      ? [
          {
            source: 'assumed',
            reading: null,
            turns: { wall: wall.id, meant },
            deviation: deviation(wall),
            observed: 0,
            quantity: turnOutOf(meant, wall.start, wall.end, unknowns),
          },
        ]
      : [],
  );
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
    const cell = half && cellsOf(network).find(({ outline }) => outline.halves.includes(half));
    for (const each of cell?.outline.halves ?? []) relaxed.add(each.wall.id);
  }
  return relaxed;
}

/** Walls that run straight on past another, and the pieces of one wall on both sides of a bay, are in line. */
function linesOf(network: Network, unknowns: Unknowns): Observation[] {
  const list: Observation[] = [];
  for (const star of network.stars.values()) {
    if (!unknowns.has(star.corner.id)) continue;
    star.around.forEach((half, i) => {
      for (const other of star.around.slice(i + 1)) {
        if (half.bulge !== 0 || other.bulge !== 0 || dot(half.d, other.d) > -0.9997) continue;
        list.push(onLine(half.to, other.to, star.corner.id, DEVIATION.line, unknowns));
      }
    });
  }
  for (const { outline } of cellsOf(network))
    if (unknowns.has(outline.halves[0]!.from)) list.push(...bumpLines(outline.halves, unknowns));
  return list;
}

/** How far out of line two pieces of one wall may be drawn, mm, and how far apart. */
const ONE_LINE = 2;
const WIDEST_BUMP = 6000;

function bumpLines(halves: readonly HalfWall[], unknowns: Unknowns): Observation[] {
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
        onLine(half.from, other.to, half.to, DEVIATION.acrossBump, unknowns),
        onLine(half.from, other.to, other.from, DEVIATION.acrossBump, unknowns),
      ];
    }
    return [];
  });
}

const onLine = (a: Id, b: Id, at: Id, deviation: number, unknowns: Unknowns): Observation => ({
  source: 'assumed',
  reading: null,
  deviation,
  observed: 0,
  quantity: offLine(a, b, at, unknowns),
});

/** The pieces of one wall are as thick as each other, those of one arc on one circle. */
function alikeIn(network: Network, unknowns: Unknowns, readings: readonly Reading[]): Observation[] {
  if (unknowns.sizes.length === 0) return [];
  return readings.flatMap((reading) => {
    if (reading.kind !== 'thickness' && !isOfBend(reading)) return [];
    const [first, ...others] = runOfReading(network, reading) ?? [];
    return others.map(({ wall }): Observation => ({
      source: 'assumed',
      reading: null,
      deviation: DEVIATION.line,
      observed: 0,
      quantity:
        reading.kind === 'thickness'
          ? difference(unknowns.sizeAt(first!.wall.id, 'thickness')!, unknowns.sizeAt(wall.id, 'thickness')!)
          : radiiApart(first!.wall, wall, unknowns),
    }));
  });
}

/** However small a size is, it was not drawn better than this, mm. */
const LEAST_SKETCHED = 200;
/** A short piece of wall between two others was drawn no better than a piece as long as this, mm: its ends are as sure as the rooms on both sides. */
const LEAST_PIECE = 500;

/** The sketch itself, weakly: every wall as long and in the direction it was drawn, and as thick and bent. */
function sketchOf(network: Network, unknowns: Unknowns, readings: readonly Reading[]): Observation[] {
  const read = readWalls(network, readings);
  const sizes = asDrawn(network, unknowns);
  const sketched = unknowns.sizes.map((_, i): Observation => {
    const at = 2 * unknowns.ids.length + i;
    const deviation = Math.max(LEAST_SKETCHED, Math.abs(DEVIATION.sketch * sizes[at]!));
    return { source: 'sketch', reading: null, deviation, observed: sizes[at]!, quantity: difference(at) };
  });
  const lines = network.walls.flatMap((wall) => {
    if (!unknowns.has(wall.start)) return [];
    const [a, b] = [network.corners.get(wall.start)!, network.corners.get(wall.end)!];
    const [i, j] = [unknowns.at(wall.start), unknowns.at(wall.end)];
    const share = read.has(wall.id) ? DEVIATION.overdrawn : DEVIATION.sketch;
    const deviation = share * Math.max(LEAST_PIECE, Math.hypot(b.x - a.x, b.y - a.y));
    const along = (observed: number, off: number): Observation => ({
      source: 'sketch',
      reading: null,
      deviation,
      observed,
      quantity: difference(j + off, i + off),
    });
    return [along(b.x - a.x, 0), along(b.y - a.y, 1)];
  });
  return [...lines, ...sketched];
}

/** Walls whose own length was read, if only guessed: how they were drawn says no more. */
const readWalls = (network: Network, readings: readonly Reading[]): Set<Id> =>
  new Set(
    readings.flatMap((reading) => {
      if (reading.kind !== 'length' && reading.kind !== 'chord') return [];
      const run = runOfReading(network, reading);
      return run?.length === 1 ? [run[0]!.wall.id] : [];
    }),
  );

const asDrawn = (network: Network, unknowns: Unknowns): Float64Array =>
  unknowns.vector((id) => network.corners.get(id)!, network.walls);

/** A corner that stays where it is, to `deviation` mm. */
export const anchoredAt = (
  corner: Pick<Corner, 'id' | 'x' | 'y'>,
  unknowns: Unknowns,
  deviation: number = DEVIATION.pinned,
): Observation[] =>
  ([corner.x, corner.y] as const).map((observed, off) => ({
    source: 'pin',
    reading: null,
    deviation,
    observed,
    quantity: difference(unknowns.at(corner.id) + off),
  }));
