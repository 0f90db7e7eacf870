import type { DerivedFloor, DerivedRoom } from '../derived';
import {
  type Point,
  type Ring,
  type RingPoint,
  difference,
  distance,
  flattened,
  intersection,
  leftOf,
  moved,
  pointAt,
  ringContains,
  ringsBox,
  stretchesWithin,
  turned,
} from '../geometry';
import { lastFor, onceFor } from '../memory';
import { type StairOnFloor, onLine } from '../stairs/on-floor';
import type { StairShape } from '../stairs/shape';
import { stepsInWords } from '../stairs/words';
import { boxOf } from './lettering';
import type { DrawingStyle, Mark, PathMark, Role } from './marks';

/** Plans are cut this high over the floor, mm: what of stairs is higher is drawn dashed (common practice, no source). */
const CUT = 1100;

/** The stairs that go up from a floor, and those that come up to it, seen through their openings. */
export function drawStairs(derived: DerivedFloor, style: DrawingStyle): readonly Mark[] {
  const up = derived.stairs.filter(({ fromAbove }) => !fromAbove);
  const down = derived.stairs.filter(({ fromAbove }) => fromAbove);
  // what goes up from here and is cut off above one's head hides what comes from below
  const solid = up.flatMap((on) => partsOf(on).below);
  return [
    ...down.flatMap((on) => seenFromAbove(on, derived, solid)),
    ...up.flatMap((on) =>
      seenFromBelow(
        on,
        style,
        down.flatMap(({ opening }) => opening),
      ),
    ),
  ];
}

/** Where there is no floor: crossed, as it is open. */
export const voidMarks = onceFor((room: DerivedRoom): readonly Mark[] => {
  if (!room.room.overVoid) return [];
  const box = ringsBox(room.outline.rings);
  if (!box) return [];
  const { rings } = room.outline;
  const falling = stretchesWithin(rings, { x: box.minX, y: box.minY }, { x: box.maxX, y: box.maxY });
  const rising = stretchesWithin(rings, { x: box.minX, y: box.maxY }, { x: box.maxX, y: box.minY });
  return [path('void.cross', `void ${room.room.id}`, [...falling, ...rising], false)];
});

const path = (role: Role, key: string, rings: readonly Ring[], closed: boolean): PathMark => ({
  kind: 'path',
  role,
  key,
  rings,
  closed,
});

interface Parts {
  /** Treads under the cut, and over it. */
  readonly below: readonly Ring[];
  readonly over: readonly Ring[];
  /** The two lines of the cut; null where all of it lies under it. */
  readonly cut: readonly Ring[] | null;
}

/** How far the two lines of a cut lie apart, and how they slant against the walking line. */
const APART = 70;
const SLANT = (55 * Math.PI) / 180;

const partsOf = onceFor((on: StairOnFloor): Parts => {
  const { shape, stair } = on;
  const all = shape.treads.map(({ ring }) => ring);
  const at = cutAt(on);
  if (at === null) return { below: all, over: [], cut: null };
  const here = shape.treads.find(({ to }) => at < to)!;
  const straight = here.part === 'flight' && stair.form !== 'spiral';
  const { at: p, d } = onLine(shape, straight ? at : here.to);
  const slant = turned(d, straight ? SLANT : Math.PI / 2);
  const cut = [0, APART].map((off) => breakLine(moved(p, d, off), d, slant, stair.width));
  const below: Ring[] = [];
  const over: Ring[] = [];
  for (const tread of shape.treads) {
    const { ring, from, to, part } = tread;
    // where a slanting cut crosses treads they are parted by it
    if (straight && part === 'flight' && to > at - stair.width && from < at + stair.width) {
      below.push(...intersection([ring], [beside(p, d, slant, -4 * stair.width)]));
      over.push(...intersection([ring], [beside(p, d, slant, 4 * stair.width)]));
    } else (to <= at || tread === here ? below : over).push(ring);
  }
  return { below, over, cut };
});

/** All on one side of a line through p, as far as `far` mm along d. */
function beside(p: Point, d: Point, slant: Point, far: number): Ring {
  const reach = Math.abs(far);
  const [a, b] = [moved(p, slant, -reach), moved(p, slant, reach)];
  const ring = [a, b, moved(b, d, far), moved(a, d, far)];
  return far > 0 ? [...ring].reverse() : ring;
}

/** A line across stairs with a nick in its middle, as what is broken off is drawn. */
function breakLine(q: Point, d: Point, slant: Point, width: number): Ring {
  const long = (width / 2 + 60) / Math.abs(d.x * slant.y - d.y * slant.x);
  const nick = 45;
  return [
    moved(q, slant, -long),
    moved(q, slant, -nick),
    moved(moved(q, slant, -nick / 2), d, nick),
    moved(moved(q, slant, nick / 2), d, -nick),
    moved(q, slant, nick),
    moved(q, slant, long),
  ];
}

/** The edges of rings, each once: where two treads meet a dashed line would else fill its own gaps. */
function edgesOf(rings: readonly Ring[]): Ring[] {
  const known = new Set<string>();
  const name = (p: Point) => `${Math.round(p.x)},${Math.round(p.y)}`;
  return rings.flatMap((ring) =>
    ring.flatMap((a, i): Ring[] => {
      const b = ring[(i + 1) % ring.length]!;
      const key = [name(a), name(b)].sort().join(' ');
      if (known.has(key) || distance(a, b) < 1) return [];
      known.add(key);
      return [[a, { x: b.x, y: b.y }]];
    }),
  );
}

/** Where along the walking line stairs are cut; null where they end below that, and for what is no stairs. */
function cutAt({ shape, steps, stair }: StairOnFloor): number | null {
  if (stair.form === 'hatch' || stair.form === 'ramp' || stair.form === 'ladder') return null;
  if (steps.rise <= CUT + steps.riser) return null;
  const tread = shape.treads.find(({ level }) => level + steps.riser > CUT);
  return tread ? (tread.from + tread.to) / 2 : null;
}

const lastUp = lastFor<StairOnFloor, readonly Mark[]>();

function seenFromBelow(on: StairOnFloor, style: DrawingStyle, hidden: readonly Ring[]): readonly Mark[] {
  const { lettering, units } = style;
  return lastUp(on, [lettering, units, ...hidden], () => {
    const { stair, shape, opening } = on;
    const id = `stairs ${stair.id}`;
    const { below, over, cut } = partsOf(on);
    if (stair.form === 'hatch') return [path('stair.hidden', id, [...edgesOf(below), ...crossed(below)], false)];
    // where stairs from below come up, what is over one's head is not drawn over them
    const under = [...hidden, ...(stair.form === 'spiral' ? below : [])];
    const dashed = under.length > 0 ? over.flatMap((ring) => difference([ring], under)) : over;
    return [
      path('stair.tread', `${id} treads`, below, true),
      ...(dashed.length > 0 ? [path('stair.hidden', `${id} over`, edgesOf(dashed), false)] : []),
      ...(stair.form === 'ladder' && opening.length > 0
        ? [path('stair.hidden', `${id} opening`, edgesOf(opening), false)]
        : []),
      ...(lettering <= CLOSE ? riserLines(on, id, cutAt(on) ?? shape.length) : []),
      ...(cut ? [path('stair.cut', `${id} cut`, cut, false)] : []),
      ...railMarks(on, id, cut ? (cutAt(on) ?? shape.length) : shape.length),
      ...walkingLine(on, id, lettering),
      ...words(on, id, style, cutAt(on) ?? shape.length),
    ];
  });
}

const lastDown = lastFor<StairOnFloor, readonly Mark[]>();

/** While the walls round the opening and what hides it are the same, so are the marks. */
const seenFromAbove = (on: StairOnFloor, derived: DerivedFloor, hidden: readonly Ring[]): readonly Mark[] =>
  on.opening.length === 0
    ? []
    : lastDown(on, [derived.network, ...hidden], () => {
        const { stair, shape, opening } = on;
        const id = `stairs ${stair.id} below`;
        const seen = hidden.length > 0 ? difference(opening, hidden) : opening;
        const treads = shape.treads.flatMap(({ ring, to }) => (to > on.openFrom ? intersection([ring], seen) : []));
        const edge = path('void.edge', `${id} edge`, opening, true);
        if (stair.form === 'hatch') return [edge, path('void.cross', `${id} cross`, crossed(opening), false)];
        return [
          ...(treads.length > 0 ? [path('stair.tread', `${id} treads`, treads, true)] : []),
          edge,
          ...railRound(on, derived, id),
          ...arrowOnly(on, id),
        ];
      });

/** Lettering no higher than this, mm of the house, is looked at closely: risers are drawn under the nosings. */
const CLOSE = 75;

/** Of closed flights the risers, which stand back under the nosings: hidden, so dashed. */
function riserLines({ stair, shape }: StairOnFloor, id: string, until: number): Mark[] {
  if (stair.open || stair.nosing <= 0) return [];
  const half = stair.width / 2;
  const lines = shape.treads.flatMap(({ part, from }): Ring[] => {
    if (part !== 'flight' || from + stair.nosing > until || stair.form === 'spiral') return [];
    const { at, d } = onLine(shape, from + stair.nosing);
    return [[moved(at, leftOf(d), half), moved(at, leftOf(d), -half)]];
  });
  return lines.length > 0 ? [path('stair.hidden', `${id} risers`, lines, false)] : [];
}

/** The diagonals of rings with four corners. */
const crossed = (rings: readonly Ring[]): Ring[] =>
  rings.flatMap((ring) =>
    ring.length === 4
      ? [
          [ring[0]!, ring[2]!],
          [ring[1]!, ring[3]!],
        ]
      : [],
  );

/** The walking line as one open line, arcs and all, from so far along it. */
function lineFrom(shape: StairShape, from: number): RingPoint[] {
  const paces = shape.line.filter(({ to }) => to > from + 1);
  return paces.flatMap(({ course, from: begin }, i): RingPoint[] => {
    const start = begin < from && course.bulge === 0 ? pointAt(course, from - begin) : course.a;
    const bulge = course.bulge === 0 ? {} : { bulge: course.bulge };
    return i === paces.length - 1 ? [{ ...start, ...bulge }, course.b] : [{ ...start, ...bulge }];
  });
}

/** Half the width of an arrow's head, its length, and a dot's radius, mm. */
const HEAD = { half: 55, long: 130 };
const DOT = 38;

function arrowHead(shape: StairShape): Ring {
  const { at, d } = onLine(shape, shape.length);
  const back = moved(at, d, -HEAD.long);
  return [moved(back, leftOf(d), HEAD.half), at, moved(back, leftOf(d), -HEAD.half)];
}

function walkingLine({ shape }: StairOnFloor, id: string, lettering: number): Mark[] {
  const { at, d } = onLine(shape, 0);
  const start = moved(at, d, Math.min(90, lettering));
  const dot: Ring = [
    { x: start.x - DOT, y: start.y, bulge: 1 },
    { x: start.x + DOT, y: start.y, bulge: 1 },
  ];
  return [
    path('stair.line', `${id} line`, [lineFrom(shape, Math.min(90, lettering)), arrowHead(shape)], false),
    path('stair.start', `${id} start`, [dot], true),
  ];
}

const arrowOnly = ({ shape, openFrom }: StairOnFloor, id: string): Mark[] => [
  path('stair.line', `${id} line`, [lineFrom(shape, openFrom), arrowHead(shape)], false),
];

/** A rail stands this far in from the edge of the treads, mm. */
const RAIL_IN = 50;

function railMarks({ stair, shape }: StairOnFloor, id: string, until: number): Mark[] {
  const sides = stair.rail === 'both' ? (['left', 'right'] as const) : stair.rail === 'none' ? [] : [stair.rail];
  const off = (side: 'left' | 'right') => (side === 'left' ? -1 : 1) * (stair.width / 2 - RAIL_IN);
  const rings = sides.map((side) => railAlong(shape, off(side), until));
  return rings.length > 0 ? [path('stair.rail', `${id} rail`, rings, false)] : [];
}

/** A line beside the walking line, as far as the cut. */
function railAlong(shape: StairShape, off: number, until: number): Ring {
  const points: Point[] = [];
  for (const { course, from, to } of shape.line) {
    if (from >= until) break;
    const share = Math.min(1, (until - from) / Math.max(1e-9, to - from));
    const steps = course.bulge === 0 ? 1 : 8;
    for (let i = points.length === 0 ? 0 : 1; i <= steps; i += 1)
      points.push(pointAt(course, (course.length * share * i) / steps, off));
  }
  return points;
}

/** Along the opening where nothing else keeps one from falling: not at a wall, nor where one arrives. */
const railRound = (on: StairOnFloor, derived: DerivedFloor, id: string): Mark[] => {
  if (on.stair.rail === 'none') return [];
  const walls = derived.bodies.map(({ ring }) => flattened(ring));
  const { at: top } = onLine(on.shape, on.shape.length);
  const lines = on.opening.flatMap((ring) => {
    const round = flattened(ring);
    return round.flatMap((a, i): Ring[] => {
      const b = round[(i + 1) % round.length]!;
      const mid = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
      const length = distance(a, b);
      if (length < 100 || distance(mid, top) < on.stair.width / 2 + 60) return [];
      const out = leftOf({ x: (b.x - a.x) / length, y: (b.y - a.y) / length });
      if (walls.some((wall) => ringContains(wall, moved(mid, out, NEAR_WALL)))) return [];
      return [[moved(a, out, RAIL_IN), moved(b, out, RAIL_IN)]];
    });
  });
  return lines.length > 0 ? [path('stair.rail', `${id} rail`, lines, false)] : [];
};

/** As close to a wall as that no railing stands, mm. */
const NEAR_WALL = 150;

/** Steps are numbered where their numbers have room, and said in a line before the first riser. */
function words(on: StairOnFloor, id: string, { lettering, units }: DrawingStyle, until: number): Mark[] {
  const { stair, shape, steps } = on;
  const first = onLine(shape, 0);
  const text = stepsInWords(on, units);
  const box = boxOf({ role: 'stair.text', at: first.at, text, turn: 0, size: SAID }, lettering);
  // before the first riser; where a spiral comes round over that, outside of it
  const away =
    stair.form === 'spiral'
      ? turned(first.d, stair.side === 'left' ? Math.PI / 2 : -Math.PI / 2)
      : turned(first.d, Math.PI);
  const off =
    Math.abs(away.x) * box.long +
    Math.abs(away.y) * box.high +
    0.3 * lettering +
    (stair.form === 'spiral' ? stair.width / 2 : 0);
  const said: Mark = {
    kind: 'text',
    role: 'stair.text',
    key: `${id} said`,
    unit: `${id} said`,
    at: moved(first.at, away, off),
    text,
    turn: 0,
    size: SAID,
  };
  const roomy = steps.going >= NUMBER * 1.3 * lettering && stair.form !== 'ladder' && stair.form !== 'ramp';
  if (!roomy) return [said];
  const aside = stair.width * 0.28;
  const numbers = shape.treads.flatMap(({ from, to, part }, i): Mark[] => {
    if (to > until) return [];
    const { at, d } = onLine(shape, (from + to) / 2);
    const key = `${id} ${i + 1}`;
    const place = part === 'landing' ? at : moved(at, leftOf(d), aside);
    return [
      { kind: 'text', role: 'stair.text', key, unit: key, at: place, text: String(i + 1), turn: 0, size: NUMBER },
    ];
  });
  return [said, ...numbers];
}
const SAID = 0.8;
const NUMBER = 0.6;
