import { distance } from '../geometry';
import type { Wall } from '../plan/plan';
import type { HalfWall, Network } from '../walls';
import { type Quantity, numerical } from './quantity';
import { addUnknowns, endSpot, placeSpot, startSpot } from './spot';
import { type Unknowns, shareOf } from './unknowns';

/** The radius of an arc with this chord that rises by `bow`: (c²/4 + s²)/2s (exact). */
const radiusOf = (chord: number, bow: number): number => (chord ** 2 / 4 + bow ** 2) / (2 * Math.abs(bow));

/**
 * How the inner face of a curved wall bends, of the run of walls it belongs to: its sagitta and its radius, its length along the arc, mm. Its
 * radius is that of the line of the first wall, less what the body reaches towards the centre; its ends are the inside corners.
 */
export function bendQuantity(
  network: Network,
  run: readonly HalfWall[],
  what: 'sagitta' | 'radius' | 'arc',
  unknowns: Unknowns,
): Quantity {
  const [first, last] = [run[0]!, run.at(-1)!];
  const bow = lineBow(first.wall, unknowns);
  const [i, j] = [unknowns.at(first.wall.start), unknowns.at(first.wall.end)];
  const ends = [startSpot(network, first), endSpot(network, last)] as const;
  const [a, b] = [placeSpot(ends[0], unknowns, itself), placeSpot(ends[1], unknowns, itself)];
  const reach = reachInside(first, unknowns);
  const at = [i, i + 1, j, j + 1, ...bow.at, ...reach.at];
  for (const spot of ends) addUnknowns(spot, unknowns, at);
  return numerical([...new Set(at)], (x) => {
    const line = radiusOf(Math.hypot(x[j]! - x[i]!, x[j + 1]! - x[i + 1]!), bow.value(x));
    // bowing out of the room the face is nearer to the centre
    const radius = line - Math.sign(first.bulge) * reach.value(x);
    if (what === 'radius') return radius;
    const half = Math.min(radius, distance(a.place(x), b.place(x)) / 2);
    return what === 'sagitta' ? radius - Math.sqrt(radius ** 2 - half ** 2) : 2 * radius * Math.asin(half / radius);
  });
}

/** By how much the radii of two walls of one arc differ. */
export function radiiApart(one: Wall, other: Wall, unknowns: Unknowns): Quantity {
  const radius = (wall: Wall) => {
    const bow = lineBow(wall, unknowns);
    const [i, j] = [unknowns.at(wall.start), unknowns.at(wall.end)];
    return {
      at: [i, i + 1, j, j + 1, ...bow.at],
      value: (x: Float64Array) => radiusOf(Math.hypot(x[j]! - x[i]!, x[j + 1]! - x[i + 1]!), bow.value(x)),
    };
  };
  const [a, b] = [radius(one), radius(other)];
  return numerical([...new Set([...a.at, ...b.at])], (x) => a.value(x) - b.value(x));
}

/** Only places are asked for, no derivatives: where an unknown stands in a row does not matter. */
const itself = (unknown: number): number => unknown;

interface Part {
  readonly at: readonly number[];
  value(x: Float64Array): number;
}

function lineBow({ id, start, end, bulge }: Wall, unknowns: Unknowns): Part {
  const bow = unknowns.sizeAt(id, 'bow');
  if (bow !== null) return { at: [bow], value: (x) => x[bow]! };
  const [i, j] = [unknowns.at(start), unknowns.at(end)];
  return { at: [], value: (x) => (bulge * Math.hypot(x[j]! - x[i]!, x[j + 1]! - x[i + 1]!)) / 2 };
}

function reachInside({ wall, forward, right }: HalfWall, unknowns: Unknowns): Part {
  const thickness = unknowns.sizeAt(wall.id, 'thickness');
  if (thickness === null) return { at: [], value: () => right };
  const share = forward ? shareOf(wall) : 1 - shareOf(wall);
  return { at: [thickness], value: (x) => share * x[thickness]! };
}
