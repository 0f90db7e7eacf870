import { type Corner, type Place, type Reading, type Wall, adjust, networkOf, valueOnPlan } from '../src';

export interface Floor {
  readonly corners: Readonly<Record<string, Corner>>;
  readonly walls: readonly Wall[];
}

/** Numbers from 0 to 1 that look random and are the same for the same seed (mulberry32). */
export function dice(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** One room with corners c0, c1, … clockwise on the sheet, walls 100 mm thick outside of their lines. */
export function outlineFloor(points: readonly (readonly [number, number])[]): Floor {
  const corners = Object.fromEntries(points.map(([x, y], i) => [`c${i}`, { id: `c${i}`, floor: 'g', x, y }]));
  const walls = points.map((_, i): Wall => ({
    id: `w${i}`,
    floor: 'g',
    start: `c${i}`,
    end: `c${(i + 1) % points.length}`,
    bulge: 0,
    left: 100,
    right: 0,
    kind: 'external',
    typed: false,
    hatch: null,
    tint: null,
  }));
  return { corners, walls };
}

/** A room with right angles and so many corners: a staircase from the top left to the bottom right, closed by two long walls. */
export function rectilinear(random: () => number, corners: number): Floor {
  const steps = corners / 2 - 1;
  const piece = () => Math.round(900 + 2600 * random());
  const points: [number, number][] = [[0, 0]];
  let [x, y] = [0, 0];
  for (let i = 0; i < steps; i += 1) {
    x += piece();
    points.push([x, y]);
    y += piece();
    points.push([x, y]);
  }
  points.push([0, y]);
  return outlineFloor(points);
}

/** A room with right angles that has alcoves and bays in some of its sides. */
export function notched(random: () => number): Floor {
  const [width, depth] = [3000 + 4000 * random(), 3000 + 4000 * random()].map(Math.round) as [number, number];
  // each side as it is walked clockwise: from its beginning, with what is pushed in (or out) in its middle third
  const side = (length: number, room: number): [along: number, inwards: number][] => {
    if (random() < 0.4) return [[0, 0]];
    const [from, to] = [length * (0.25 + 0.15 * random()), length * (0.55 + 0.15 * random())].map(Math.round);
    const deep = Math.round((random() < 0.5 ? -1 : 1) * (300 + 0.15 * room * random()));
    return [
      [0, 0],
      [from!, 0],
      [from!, deep],
      [to!, deep],
      [to!, 0],
    ];
  };
  return outlineFloor([
    ...side(width, depth).map(([along, inwards]): [number, number] => [along, inwards]),
    ...side(depth, width).map(([along, inwards]): [number, number] => [width - inwards, along]),
    ...side(width, depth).map(([along, inwards]): [number, number] => [width - along, depth - inwards]),
    ...side(depth, width).map(([along, inwards]): [number, number] => [inwards, depth - along]),
  ]);
}

/** The same drawn with a shaky hand: every corner off by up to so much each way, mm. */
export const shaken = (floor: Floor, random: () => number, by: number): Floor => ({
  walls: floor.walls,
  corners: Object.fromEntries(
    Object.entries(floor.corners).map(([id, c]) => [
      id,
      { ...c, x: c.x + by * (2 * random() - 1), y: c.y + by * (2 * random() - 1) },
    ]),
  ),
});

/** The same sketched with every length off by up to a share, its walls still in their directions. */
export function distorted(floor: Floor, random: () => number, share: number): Floor {
  const place = (axis: 'x' | 'y') => {
    const at = [...new Set(Object.values(floor.corners).map((corner) => corner[axis]))].sort((a, b) => a - b);
    const to = new Map<number, number>();
    let sum = at[0]!;
    at.forEach((value, i) => {
      if (i > 0) sum += (value - at[i - 1]!) * (1 + share * (2 * random() - 1));
      to.set(value, sum);
    });
    return to;
  };
  const [x, y] = [place('x'), place('y')];
  return {
    walls: floor.walls,
    corners: Object.fromEntries(
      Object.entries(floor.corners).map(([id, c]) => [id, { ...c, x: x.get(c.x)!, y: y.get(c.y)! }]),
    ),
  };
}

/** The inside lengths of all walls. */
export function tapedAll(floor: Floor): { from: string; to: string; value: number }[] {
  const network = networkOf(floor.corners, floor.walls);
  return floor.walls.map(({ start, end }) => ({
    from: start,
    to: end,
    value: valueOnPlan(network, { kind: 'length', face: 'inside', from: start, to: end, via: [] })!,
  }));
}

/** A reading of a length, by laser unless said. */
export const reading = (given: Partial<Reading> & Pick<Reading, 'from' | 'to' | 'value'>): Reading => ({
  id: `${given.kind ?? 'length'} ${given.from}>${given.to}`,
  floor: 'g',
  kind: 'length',
  face: 'inside',
  via: [],
  text: `${given.value} mm`,
  unit: 'mm',
  instrument: 'laser',
  time: '2026-01-01T00:00:00Z',
  note: '',
  held: false,
  spread: false,
  history: [],
  ...given,
});

/** A floor as adjusted: the value of a place on it. */
export function fitted(floor: Floor, readings: readonly Reading[]) {
  const { corners, report } = adjust({ corners: floor.corners, walls: floor.walls, readings });
  const network = networkOf(corners, floor.walls);
  return {
    corners,
    report,
    network,
    value: (place: Place) => valueOnPlan(network, place)!,
    length: (from: string, to: string) => valueOnPlan(network, reading({ from, to, value: 1 }))!,
  };
}
