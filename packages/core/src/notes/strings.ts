import type { DerivedFloor, DerivedRoom } from '../derived';
import { type Point, cross, dot, flattened, leftOf, rightOf, subtract } from '../geometry';
import { type Dimension, type Opening, type PointStand, type WallSide, ROUND } from '../plan/plan';
import { surfacesOf } from '../rooms';
import { type HalfWall, faceEnd, faceStart, goesStraightOn } from '../walls';
import { placeOf } from './places';

/** A dimension line to be put on the plan, with what it measures between. */
export type NewString = Pick<Dimension, 'turn' | 'off' | 'row' | 'laid'> & { readonly points: readonly PointStand[] };

/** A face this much out of a side’s direction still belongs to it: cos 20°. */
const FACES_THE_SIDE = 0.94;
/** A wall that runs like this across a side ends at it: sin 20°. */
const ACROSS = 0.35;
/** Of two points this close along a string one is enough, mm: nobody dimensions less (common practice, no source). */
const SAME = 10;
/** Rounding, mm. */
const HAIR = 0.01;

/** An end of a face: where it is along a side and out of it, mm. */
interface Spot {
  readonly stand: PointStand;
  readonly t: number;
}

const sideOf = (half: HalfWall): WallSide => (half.forward ? 'right' : 'left');
const atEnd = (half: HalfWall, end: 'from' | 'to', side = sideOf(half)): PointStand => ({
  kind: 'wall',
  wall: half.wall.id,
  anchor: (end === 'from') === half.forward ? 'start' : 'end',
  side,
  offset: 0,
});
const other = (side: WallSide): WallSide => (side === 'left' ? 'right' : 'left');

/** Walls that look outside: walked so that the outside is at the right hand. */
function outerHalves({ network }: DerivedFloor): HalfWall[] {
  const inside = new Set<HalfWall>();
  for (const { cell } of surfacesOf(network))
    for (const loop of [cell.outline, ...cell.holes]) for (const half of loop.halves) inside.add(half);
  return network.walls
    .filter(({ kind }) => kind !== 'chalk')
    .flatMap(({ id }) => [network.half(id, true), network.half(id, false)])
    .filter((half) => !inside.has(half));
}

/**
 * Three strings to each side of the house, as drawing offices lay them (common practice, no source): nearest to it what is in the outer walls, then rooms and walls, then the whole.
 * A side without an opening has two. Empty where nothing is enclosed.
 */
export function stringsRound(derived: DerivedFloor): NewString[] {
  const halves = outerHalves(derived);
  if (derived.rooms.length === 0 || halves.length === 0) return [];
  const straight = halves.filter((half) => half.bulge === 0);
  const main = straight.reduce<HalfWall | null>((a, b) => (a && a.course.length >= b.course.length ? a : b), null);
  // sides run like the longest wall; a round house has those of the sheet
  const d = main ? main.d : { x: 1, y: 0 };
  const level = [d, rightOf(d), leftOf(d), { x: -d.x, y: -d.y }].sort((a, b) => b.x - a.x)[0]!;
  return [level, rightOf(level), { x: -level.x, y: -level.y }, leftOf(level)].flatMap((out) =>
    stringsAt(derived, halves, out),
  );
}

function stringsAt(derived: DerivedFloor, halves: readonly HalfWall[], out: Point): NewString[] {
  const d = leftOf(out);
  const spot = (stand: PointStand): (Spot & { s: number }) | null => {
    const at = placeOf(derived, stand);
    return at && { stand, t: dot(d, at), s: dot(out, at) };
  };
  const faces = halves.map((half) => {
    const ends = [faceStart(half), faceEnd(half)];
    const along = ends.map((p) => dot(d, p));
    const far = ends.map((p) => dot(out, p));
    return {
      half,
      looks: half.bulge === 0 && dot(rightOf(half.d), out) > FACES_THE_SIDE,
      from: Math.min(...along),
      to: Math.max(...along),
      out: Math.max(...far),
    };
  });
  const built = derived.bodies.flatMap(({ ring }) => flattened(ring));
  const edge = Math.max(...built.map((p) => dot(out, p)));
  const along = built.map((p) => dot(d, p));
  // the corner of a wall that is shorter than its neighbours are thick may lie off all that is built
  const [least, most] = [Math.min(...along) - HAIR, Math.max(...along) + HAIR];
  // a face behind another part of the house is not seen from this side
  const isSeen = (t: number, depth: number) =>
    !faces.some((face) => face.from < t - SAME && face.to > t + SAME && face.out > depth + SAME);
  const seen = faces.filter((face) => face.looks && isSeen((face.from + face.to) / 2, face.out));
  const extremes = halves
    .flatMap((half) => [atEnd(half, 'from'), atEnd(half, 'to')])
    .flatMap((stand) => spot(stand) ?? [])
    .filter(({ t }) => t >= least && t <= most);
  if (extremes.length === 0) return [];
  const further = (way: 1 | -1) =>
    extremes.reduce((a, b) => {
      const by = way * (b.t - a.t);
      return by > HAIR || (by > -HAIR && b.s > a.s) ? b : a;
    });
  const [first, last] = [further(-1), further(1)];
  const breaks = seen.flatMap(({ half }) => [
    ...(comesStraight(derived, half) ? [] : [atEnd(half, 'from')]),
    ...(goesOn(derived, half) ? [] : [atEnd(half, 'to')]),
  ]);
  const jambs = seen.flatMap(({ half }) =>
    derived.openings.filter(({ wall }) => wall === half.wall.id).flatMap((opening) => jambsOf(opening, sideOf(half))),
  );
  const rooms = seen.flatMap(({ half }) => [
    // the inside corners behind it, and the faces of the walls that end at it
    ...['from' as const, 'to' as const].map((end) => atEnd(half, end, other(sideOf(half)))),
    ...endingAt(derived, half, d),
  ]);
  const string = (stands: readonly PointStand[], row: number): NewString[] => {
    if (last.t - first.t <= SAME) return [];
    const spots = distinct(
      first,
      stands.flatMap((stand) => spot(stand) ?? []),
      last,
    );
    return [{ turn: degreesOf(d), off: edge - first.s, row, laid: ROUND, points: spots.map(({ stand }) => stand) }];
  };
  const stands = [...(jambs.length > 0 ? [[...breaks, ...jambs]] : []), [...breaks, ...rooms], []];
  return stands.flatMap((each, i) => string(each, i + 1));
}

const jambsOf = ({ id }: Opening, side: WallSide): PointStand[] =>
  (['start', 'end'] as const).map((end) => ({ kind: 'opening', opening: id, end, side }));

/** Does the same face go on at the next wall, or come from the one before? */
function goesOn({ network }: DerivedFloor, half: HalfWall): boolean {
  const next = network.stars.get(half.to)?.around.find((each) => goesStraightOn(half, each) && sameFace(half, each));
  return next !== undefined;
}
function comesStraight({ network }: DerivedFloor, half: HalfWall): boolean {
  const back = network.half(half.wall.id, !half.forward);
  return (
    network.stars.get(half.from)?.around.some((each) => {
      const turned = network.half(each.wall.id, !each.forward);
      return each.wall.id !== half.wall.id && goesStraightOn(back, each) && sameFace(half, turned);
    }) ?? false
  );
}
const sameFace = (a: HalfWall, b: HalfWall): boolean => Math.abs(a.right - b.right) < SAME;

/** Both faces of each wall that ends at this one from within. */
function endingAt({ network }: DerivedFloor, half: HalfWall, d: Point): PointStand[] {
  return [half.from, half.to].flatMap((corner) =>
    (network.stars.get(corner)?.around ?? [])
      .filter((each) => each.wall.kind !== 'chalk' && each.bulge === 0 && each.wall.id !== half.wall.id)
      // it comes from within, and runs across the side
      .filter((each) => cross(half.d, each.d) < 0 && Math.abs(dot(each.d, d)) < ACROSS)
      .flatMap((each) => [atEnd(each, 'from'), atEnd(each, 'from', other(sideOf(each)))]),
  );
}

/** In order along the side, between the first and the last; of those in one place one. */
function distinct(first: Spot, spots: readonly Spot[], last: Spot): readonly Spot[] {
  const kept = [first];
  for (const each of [...spots].sort((a, b) => a.t - b.t))
    if (each.t - kept.at(-1)!.t > SAME && last.t - each.t > SAME) kept.push(each);
  return [...kept, last];
}

/** Degrees clockwise from the right, as written. */
function degreesOf(d: Point): number {
  const turn = (Math.atan2(d.y, d.x) * 180) / Math.PI;
  return Object.is(turn, -0) ? 0 : turn;
}

/** Inside a room: along each of its straight walls that have openings what is in them; of a room without any, its length and its width. */
export function stringsIn(derived: DerivedFloor, room: DerivedRoom): NewString[] {
  const straight = room.faces.filter((face) => face.bulge === 0 && face.halves[0]!.wall.kind !== 'chalk');
  const withOpenings = straight.filter(({ openings }) => openings.length > 0);
  const [longest] = [...straight].sort((a, b) => b.length - a.length);
  const square = longest && straight.find((face) => Math.abs(dot(face.d, longest.d)) < ACROSS);
  const chosen = withOpenings.length > 0 ? withOpenings : [longest, square].filter((face) => face !== undefined);
  return chosen.flatMap((face): NewString[] => {
    const [begin, end] = [face.halves[0]!, face.halves.at(-1)!];
    const points = [
      atEnd(begin, 'from'),
      ...face.openings.flatMap(({ opening }) =>
        jambsOf(opening, sideOf(face.halves.find(({ wall }) => wall.id === opening.wall) ?? begin)),
      ),
      atEnd(end, 'to'),
    ];
    const at = points.flatMap((stand) => placeOf(derived, stand) ?? []);
    if (at.length < 2) return [];
    const along = at.map((p) => dot(face.d, subtract(p, at[0]!)));
    if (Math.max(...along) - Math.min(...along) < SAME) return [];
    return [{ turn: degreesOf(face.d), off: 0, row: 1, laid: room.room.id, points }];
  });
}
