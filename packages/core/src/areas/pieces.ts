import { type FloorUnder, byHeadroom, floorUnder } from '../ceilings';
import { type DerivedFloor, type DerivedRoom, type SolidOnFloor, cavitiesOf } from '../derived';
import {
  type Point,
  type Ring,
  boxesMeet,
  cross,
  difference,
  flattened,
  intersection,
  momentsOf,
  moved,
  rightOf,
  ringsArea,
  ringsBox,
  union,
} from '../geometry';
import { lastFor, onceFor } from '../memory';
import type { Id, RoomUse, Wall } from '../plan/plan';
import { surfaceAt, surfaceContains, surfacesOf } from '../rooms';
import type { AreaRule, PieceFacts, PieceKind, Share } from './rules';
import { RULE_HEIGHTS } from './heights';
import { isOutside } from './rules/rule';
import { useOf } from './uses';

/** A piece of a floor, of which all is counted alike. */
export interface AreaPiece {
  readonly facts: PieceFacts;
  readonly rings: readonly Ring[];
  /** mm² */
  readonly area: number;
  /** The room it belongs to; of a wall none. */
  readonly room: Id | null;
  /** The wall it is of. */
  readonly wall: Id | null;
}

export interface CountedPiece extends AreaPiece, Share {}

const [ANSI_LOW, ANSI_HIGH] = RULE_HEIGHTS['ANSI Z765'] as [number, number];

const areaOf = (rings: readonly Ring[]): number => momentsOf(rings).area;
/** Less than this is nothing, mm². */
const NOTHING = 1;

/** All pieces of a floor, as a rule cuts it; together they tile all that is enclosed, walls and all. */
export function piecesOfFloor(floor: DerivedFloor, rule: AreaRule): readonly CountedPiece[] {
  const { units } = floor.plan.job;
  const below = isBelowGround(floor);
  return [
    ...floor.rooms.flatMap((room) => roomPieces(room, floor, rule.heights, below)),
    ...bodiesToCount(floor).flatMap((body) => wallPieces(body, floor, rule.heights, below)),
    ...floor.solids.flatMap((each, i) => solidPiece(each, floor.solids.slice(0, i), floor, below)),
    ...cavitiesOf(floor).map(({ rings }) => plain('cavity', rings, null, below)),
    // a wall that lies wholly in others has no piece of its own
  ]
    .filter(({ rings }) => rings.length > 0)
    .map((piece) => ({ ...piece, ...rule.judge(piece.facts, units) }));
}

export const isBelowGround = ({ plan, floor }: DerivedFloor): boolean => (plan.floors[floor]?.level ?? 0) < 0;

const ANYTHING = { from: Infinity, below: Infinity };

const plain = (kind: PieceKind, rings: readonly Ring[], room: DerivedRoom | null, belowGround: boolean): AreaPiece => {
  const area = areaOf(rings);
  return {
    rings,
    area,
    room: room?.room.id ?? null,
    wall: null,
    facts: {
      ...{ kind, belowGround, sloped: false, highShare: 1, size: area, risers: 0, ...ANYTHING },
      use: room && useOf(room.room),
      useReason: room?.room.useReason ?? '',
    },
  };
};

const lastPieces = lastFor<DerivedRoom, readonly AreaPiece[]>();

/** Remembered for as long as the room, what goes up in it, and the rule's heights are the same. */
function roomPieces(
  room: DerivedRoom,
  floor: DerivedFloor,
  heights: readonly number[],
  below: boolean,
): readonly AreaPiece[] {
  const stairs = floor.stairs.filter(({ fromAbove }) => !fromAbove);
  return lastPieces(room, [heights, below, ...stairs], () => {
    const { outline, standing } = room;
    if (room.room.overVoid) return [plain('void', outline.rings, room, below)];
    const pieces: AreaPiece[] = [];
    let free = standing;
    for (const { outline: treads, steps } of stairs) {
      if (!meet(treads, free)) continue;
      const under = intersection(free, treads);
      if (areaOf(under) < NOTHING) continue;
      const piece = plain('stairs', under, room, below);
      const facts = { ...piece.facts, risers: steps.risers };
      pieces.push(...cutByHeight({ ...piece, facts }, floorUnder(room.ceiling, under), room, heights));
      free = difference(free, treads);
    }
    const floorOf = plain('floor', free, room, below);
    const all = free.length > 0 ? cutByHeight(floorOf, floorUnder(room.ceiling, free), room, heights) : [];
    const open = standing === outline.rings ? [] : difference(outline.rings, standing);
    return [...pieces, ...all, ...(areaOf(open) > NOTHING ? [plain('stair opening', open, room, below)] : [])];
  });
}

const meet = (a: readonly Ring[], b: readonly Ring[]): boolean => {
  const [one, other] = [ringsBox(a), ringsBox(b)];
  return one !== null && other !== null && boxesMeet(one, other);
};

/** A piece between the heights of a rule. */
function cutByHeight(
  { facts, room: id, wall }: AreaPiece,
  under: readonly FloorUnder[],
  room: DerivedRoom,
  heights: readonly number[],
): AreaPiece[] {
  const sloped = !room.ceiling.level;
  const highShare = sloped ? highShareOf(room) : 1;
  const pieces: AreaPiece[] = [];
  let rest = under;
  let from = 0;
  const keep = (some: readonly FloorUnder[], below: number) => {
    for (const { rings } of some) {
      const area = areaOf(rings);
      if (area > NOTHING)
        pieces.push({ rings, area, room: id, wall, facts: { ...facts, sloped, highShare, from, below } });
    }
  };
  if (!sloped) {
    const { ceilingHeight } = room;
    const over = heights.filter((height) => height <= ceilingHeight + EXACT);
    from = over.at(-1) ?? 0;
    keep(under, heights[over.length] ?? Infinity);
    return pieces;
  }
  for (const height of heights) {
    const { over, under: low } = byHeadroom(rest, height - EXACT);
    keep(low, height);
    rest = over;
    from = height;
  }
  keep(rest, Infinity);
  return pieces;
}

/** What is as high as a rule asks for, but for this, is as high, mm. */
const EXACT = 1e-4;

/** Of the floor of a room that is 5 ft high, how much is 7 ft high. */
const highShareOf = onceFor((room: DerivedRoom): number => {
  const all = floorUnder(room.ceiling, room.standing);
  const sum = (some: readonly FloorUnder[]) => some.reduce((area, { rings }) => area + areaOf(rings), 0);
  const low = sum(byHeadroom(all, ANSI_LOW).over);
  return low > 0 ? sum(byHeadroom(all, ANSI_HIGH).over) / low : 0;
});

/** The rooms on the two sides of walls. */
const besides = onceFor((floor: DerivedFloor): ReadonlyMap<Id, readonly DerivedRoom[]> => {
  const map = new Map<Id, DerivedRoom[]>();
  for (const room of floor.rooms)
    for (const { halves } of room.faces)
      for (const { wall } of halves) map.set(wall.id, [...(map.get(wall.id) ?? []), room]);
  return map;
});

/** A wall as far as no wall before it takes its place. */
interface BodyApart {
  readonly wall: Wall;
  rings: readonly Ring[];
}

/** Walls drawn into each other are counted once: the later is what is left of it. */
const bodiesApart = onceFor(({ bodies }: DerivedFloor): readonly BodyApart[] => {
  const whole = bodies.map(({ wall, ring }): BodyApart => ({ wall, rings: [ring] }));
  const rings = bodies.map(({ ring }) => flattened(ring));
  if (Math.abs(ringsArea(rings) - ringsArea(union(rings))) < OVERLAP) return whole;
  return whole.map((each, i) => {
    const before = whole.slice(0, i).filter((other) => meet(other.rings, each.rings));
    // one that is shorter than its neighbours are thick may cross itself
    const sound = union(each.rings);
    return {
      ...each,
      rings: difference(
        sound,
        before.flatMap((other) => other.rings),
      ),
    };
  });
});

/** Less than this is rounding, mm². */
const OVERLAP = 500;

/** Walls that meet at less than this go on as one: sin 30°. */
const TURNS = 0.5;

/**
 * The same, each corner of a party wall with an outer wall being the party wall’s: its joint is a mitre, but the rules go to the middle of a party wall, straight
 * on to the outer face.
 */
const bodiesToCount = onceFor((floor: DerivedFloor): readonly BodyApart[] => {
  const all = bodiesApart(floor).map((each) => ({ ...each }));
  const { network } = floor;
  for (const party of all) {
    if (party.wall.kind !== 'party' || party.wall.bulge !== 0) continue;
    const half = network.half(party.wall.id, true);
    for (const [end, along] of [
      [half.from, -1],
      [half.to, 1],
    ] as const) {
      for (const other of network.stars.get(end)?.around ?? []) {
        const body = all.find(({ wall }) => wall.id === other.wall.id);
        if (!body || other.wall.kind !== 'external' || Math.abs(cross(half.d, other.d)) < TURNS) continue;
        const corner = network.corners.get(end)!;
        const reach = 2 * (other.left + other.right) * along;
        const at = (ahead: number, right: number): Point => moved(moved(corner, half.d, ahead), rightOf(half.d), right);
        const strip = [at(0, half.right), at(reach, half.right), at(reach, -half.left), at(0, -half.left)];
        const beyond = intersection(body.rings, [strip]);
        if (ringsArea(beyond) < 1) continue;
        body.rings = difference(body.rings, beyond);
        party.rings = union([...party.rings, ...beyond]);
      }
    }
  }
  return all;
});

/** A wall: under a slope as high as the ceiling of the room beside it is there. */
function wallPieces(
  { wall, rings }: BodyApart,
  floor: DerivedFloor,
  heights: readonly number[],
  below: boolean,
): AreaPiece[] {
  const rooms = besides(floor).get(wall.id) ?? [];
  const inside = rooms.filter(({ room }) => !isOutside(useOf(room)));
  const kind: PieceKind =
    wall.kind === 'party'
      ? 'party wall'
      : inside.length === 0
        ? 'outside wall'
        : inside.length > 1
          ? 'partition'
          : 'perimeter wall';
  const beside = inside[0] ?? null;
  const piece = { ...plain(kind, rings, null, below), wall: wall.id };
  const facts: PieceFacts = { ...piece.facts, use: wallUse(inside) };
  if (!beside) return [{ ...piece, facts }];
  if (beside.ceiling.level && !inside.some(({ ceiling }) => !ceiling.level)) {
    const high = Math.max(...inside.map(({ ceilingHeight }) => ceilingHeight));
    const over = heights.filter((height) => height <= high + EXACT);
    return [{ ...piece, facts: { ...facts, from: over.at(-1) ?? 0, below: heights[over.length] ?? Infinity } }];
  }
  const under = slopedBeside(inside)!;
  return cutByHeight({ ...piece, facts }, floorUnder(under.ceiling, rings), under, heights);
}

/** The room whose ceiling a wall goes up to. */
const slopedBeside = (rooms: readonly DerivedRoom[]): DerivedRoom | undefined =>
  rooms.find(({ ceiling }) => !ceiling.level);

/** The same of a wall of a floor; undefined where it is beside none. */
export const roomOverWall = (floor: DerivedFloor, wall: Id): DerivedRoom | undefined =>
  slopedBeside((besides(floor).get(wall) ?? []).filter(({ room }) => !isOutside(useOf(room))));

/** A wall between a garage and the home is the home's; one of a garage alone is the garage's. */
function wallUse(rooms: readonly DerivedRoom[]): RoomUse | null {
  const uses = rooms.map(({ room }) => useOf(room));
  if (uses.length === 0) return null;
  return uses.find((use) => use !== 'garage' && use !== 'not counted') ?? uses[0]!;
}

/** A solid, as far as it stands in rooms, and not in another. */
function solidPiece(
  { solid, cut }: SolidOnFloor,
  before: readonly SolidOnFloor[],
  floor: DerivedFloor,
  below: boolean,
): AreaPiece[] {
  const kind = solid.kind === 'chimney breast' ? 'chimney breast' : 'column';
  const taken = before.map((other) => other.cut).filter((other) => meet([other], [cut]));
  return floor.rooms.flatMap((room): AreaPiece[] => {
    const whole = surfaceAt(surfacesOf(floor.network), room.room.at)?.outline.rings ?? [];
    const shared = meet(whole, [cut]) ? intersection(whole, [cut]) : [];
    const rings = taken.length > 0 && shared.length > 0 ? difference(shared, taken) : shared;
    return ringsArea(rings) > NOTHING ? [plain(kind, rings, room, below)] : [];
  });
}

/** The piece under a point; null where there is none. */
export const pieceAt = (pieces: readonly CountedPiece[], at: Point): CountedPiece | null =>
  pieces.find(({ rings }) => surfaceContains(rings, at)) ?? null;
