import { type CutRoom, cutRooms } from './cut-rooms';
import type { DerivedFloor } from '../../derived';
import { type Point, courseOf, nearestAlong, stretchesWithin } from '../../geometry';
import type { Units } from '../../plan/plan';
import { formatLength } from '../../units';
import type { Mark, PathMark, Role } from '../marks';

/** A section as it is laid out: marks in mm, up is negative, with the scale and the place that bring them into the room given. */
export interface DrawnSection {
  readonly marks: readonly Mark[];
  /** px of what it is shown on per mm. */
  readonly scale: number;
  readonly at: Point;
}

/** A floor is drawn so thick, mm. */
const SLAB = 120;
/** Walls are cut off so high over the ceilings beside them, mm. */
const OVER = 250;
/** Of the height of a figure, over what it is set. */
const CLEAR = 1.05;

/** What a line through a floor cuts: how far it reaches along the line and up, mm, and its marks with lettering of a height. */
export interface CutFloor {
  readonly from: number;
  readonly to: number;
  readonly top: number;
  readonly low: number;
  marks(units: Units, letter: number): Mark[];
}

/** A floor cut along a line, seen to its left: walls, floors, ceilings with their heights, mm, up negative. Null where it cuts no room. */
export function cutFloor(floor: DerivedFloor, a: Point, b: Point): CutFloor | null {
  const rooms = cutRooms(floor.rooms, a, b);
  if (rooms.length === 0) return null;
  const all = rooms.flatMap(({ pieces }) => pieces);
  const top = Math.max(...all.flatMap(({ start, end }) => [start, end])) + OVER;
  const low = Math.min(...all.map((piece) => piece.floor)) - SLAB;
  const walls = wallsCut(floor, a, b);
  const from = Math.min(rooms[0]!.from, ...walls.map(([p]) => p));
  const to = Math.max(rooms.at(-1)!.to, ...walls.map(([, q]) => q));
  return {
    ...{ from, to, top, low },
    marks: (units, letter) => [
      ...walls.map(([p, q], i) =>
        path(
          'wall.cut',
          `wall ${i}`,
          [
            point(p, low),
            point(p, heightBeside(rooms, p, q) + OVER),
            point(q, heightBeside(rooms, p, q) + OVER),
            point(q, low),
          ],
          true,
        ),
      ),
      ...rooms.flatMap((each, i) => roomMarks(each, i, units, letter)),
    ],
  };
}

/** The same to fill a room on the screen. */
export function drawSection(
  floor: DerivedFloor,
  a: Point,
  b: Point,
  { units, room, lettering }: { units: Units; room: { width: number; height: number }; lettering: number },
): DrawnSection | null {
  const cut = cutFloor(floor, a, b);
  if (!cut) return null;
  const { from, to, top, low } = cut;
  const scale = Math.min(room.width / (to - from), room.height / (top - low));
  const at = { x: (room.width - (to - from) * scale) / 2 - from * scale, y: top * scale };
  return { scale, at, marks: cut.marks(units, lettering / scale) };
}

const point = (x: number, up: number): Point => ({ x, y: -up });

const path = (role: Role, key: string, points: readonly Point[], closed: boolean): PathMark => ({
  ...{ kind: 'path', role, key, rings: [points], closed },
});

/** Where the line cuts walls, mm along it. */
function wallsCut({ bodies }: DerivedFloor, a: Point, b: Point): [number, number][] {
  const course = courseOf(a, b);
  return bodies
    .flatMap(({ ring }) => stretchesWithin([ring], a, b))
    .map(([p, q]): [number, number] => [nearestAlong(course, p!), nearestAlong(course, q!)])
    .filter(([p, q]) => q - p > 1);
}

/** The higher of the ceilings that end at a wall. */
function heightBeside(rooms: readonly CutRoom[], from: number, to: number): number {
  const ends = rooms.flatMap(({ pieces }) => [
    ...(Math.abs(pieces[0]!.from - to) < 2 ? [pieces[0]!.start] : []),
    ...(Math.abs(pieces.at(-1)!.to - from) < 2 ? [pieces.at(-1)!.end] : []),
  ]);
  return ends.length > 0 ? Math.max(...ends) : Math.max(...rooms.flatMap(({ pieces }) => pieces.map(({ end }) => end)));
}

function roomMarks({ pieces, room }: CutRoom, i: number, units: Units, letter: number): Mark[] {
  const key = `${room} ${i}`;
  const ceiling = pieces.flatMap(({ from, to, start, end }) => [point(from, start), point(to, end)]);
  const floor = pieces.flatMap(({ from, to, floor: up }) => [point(from, up), point(to, up)]);
  const under = [...floor].reverse().map(({ x, y }) => ({ x, y: y + SLAB }));
  return [
    path('elevation.wall', `air ${key}`, [...ceiling, ...[...floor].reverse()], true),
    path('solid.cut', `floor ${key}`, [...floor, ...under], true),
    path('section.ceiling', `ceiling ${key}`, ceiling, false),
    ...figures(pieces, key, units, letter),
  ];
}

/** How high it is at the ends of every piece, each height once where pieces meet, set where it has room. */
function figures(pieces: CutRoom['pieces'], key: string, units: Units, letter: number): Mark[] {
  const places: { x: number; up: number; floor: number; side: 1 | -1 }[] = [];
  // under what is level there is room for them
  const level = ({ start, end }: (typeof pieces)[number]) => Math.abs(start - end) < 1;
  for (const { from, to, start, end, floor } of [...pieces].sort((a, b) => Number(level(b)) - Number(level(a)))) {
    places.push({ x: from, up: start, floor, side: 1 });
    places.push({ x: to, up: end, floor, side: -1 });
  }
  const wide = (high: number) => 0.54 * formatLength(high, units).length * letter;
  const kept: typeof places = [];
  for (const place of places) {
    const room = 2 * wide(place.up - place.floor) + letter;
    const near = kept.some(({ x, up }) => Math.abs(x - place.x) < room && Math.abs(up - place.up) < letter);
    if (!near) kept.push(place);
  }
  return kept.map(({ x, up, floor, side }, i): Mark => {
    const text = formatLength(up - floor, units);
    const half = wide(up - floor) / 2;
    return {
      ...{ kind: 'text', role: 'elevation.line', key: `height ${i} ${key}`, turn: 0, size: 0.9, text },
      at: {
        x: x + side * (half + 0.3 * letter),
        y: -(up - CLEAR * letter) + (up - floor < 1.6 * letter ? -1.6 * letter : 0),
      },
    };
  });
}
