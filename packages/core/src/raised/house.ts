import { type DerivedFloor, type DerivedRoom, deriveFloor, roofLightIn } from '../derived';
import { type Point, direction, middle, pointAt, rightOf, valueOf } from '../geometry';
import { piecesOn } from '../pieces/on-floor';
import { type Id, type Plan, floorsInOrder } from '../plan/plan';
import { elevationOf, floorBeside, floorHeight } from '../plan/storeys';
import { surfaceContains } from '../rooms';
import type { Mesh } from './mesh';
import { openingsRaised, roofLightRaised } from './openings';
import { pieceRaised } from './pieces';
import { ROOF_BUILD_UP } from './build-up';
import { lidRaised, roomFloorRaised, solidRaised } from './rooms';
import { trimOf } from '../finishes/trim-of';
import { stairsRaised } from './stairs';
import { trimRaised } from './trims';
import { besideOf, sideKey, topOfWall } from './wall-top';
import { wallsRaised } from './walls';

/** What can be shown or not of a raised house. */
export const RAISED_PARTS = [
  'walls',
  'floors',
  'ceilings',
  'openings',
  'glass',
  'columns',
  'stairs',
  'pieces',
  'skirtings',
  'cornices',
] as const;
export type RaisedPart = (typeof RAISED_PARTS)[number];

/** One thing of a raised floor. Its mesh is the same object as long as nothing about it changed. */
export interface RaisedThing {
  readonly key: string;
  readonly part: RaisedPart;
  /** Which rooms it is seen from; none: from outside only. */
  readonly rooms: readonly Id[];
  /** What it is called in a file. */
  readonly name: string;
  /** A piece that is not built in. */
  readonly loose: boolean;
  /** The wall it is, or stands in; null: none. */
  readonly wall: WallPlane | null;
  /** Heights over its floor, mm. */
  readonly mesh: Mesh;
}

/** Where a wall stands, and between which rooms: a point of it, and the direction square to it, to its right; mm. */
export interface WallPlane {
  readonly at: Point;
  readonly right: Point;
  readonly leftRoom: Id | null;
  readonly rightRoom: Id | null;
}

export interface RaisedFloor {
  readonly floor: Id;
  readonly name: string;
  /** Over the ground floor, mm. */
  readonly elevation: number;
  /** To the floor above, or over its highest ceiling, mm. */
  readonly height: number;
  readonly things: readonly RaisedThing[];
}

/** A whole house, floor by floor from below. What is over and under an option is as the plan given has it. */
export const raisedHouse = (plan: Plan): readonly RaisedFloor[] =>
  floorsInOrder(plan).map(({ id }) => raisedFloor(plan, id));

/** A floor of a plan as solids. */
export function raisedFloor(plan: Plan, id: Id): RaisedFloor {
  const floor = deriveFloor(plan, id);
  const above = floorBeside(plan, id, 'above');
  const built = above ? floorHeight(plan, id) : null;
  const voids = above ? deriveFloor(plan, above.id).rooms.filter(({ room }) => room.overVoid) : [];
  const lights = floor.openings.flatMap((opening) => {
    const light = roofLightIn(floor, opening);
    return light ? [{ opening, light }] : [];
  });
  const stairs = floor.stairs.filter(({ fromAbove }) => !fromAbove);
  const holes = [
    ...stairs.flatMap(({ opening }) => opening),
    ...voids.flatMap(({ outline }) => outline.rings),
    ...lights.map(({ light }) => light.ring),
  ];
  const called = ({ room }: DerivedRoom) => room.name || 'Unnamed room';
  const beside = besideOf(floor);
  const things: RaisedThing[] = [];
  const planeOf = (wall: Id): WallPlane => {
    const { course } = floor.network.half(wall, true);
    const room = (side: 'left' | 'right') => beside.get(sideKey(wall, side))?.room.room.id ?? null;
    const right = rightOf(direction(course.a, course.b));
    return { at: pointAt(course, course.length / 2), right, leftRoom: room('left'), rightRoom: room('right') };
  };
  const add = (part: RaisedPart, key: string, name: string, rooms: readonly Id[], mesh: Mesh, wall?: Id) => {
    if (mesh.triangles.length === 0) return;
    things.push({
      part,
      key: `${part} ${key}`,
      name,
      rooms,
      loose: false,
      wall: wall === undefined ? null : planeOf(wall),
      mesh,
    });
  };
  const roomsOf = (wall: Id) =>
    (['left', 'right'] as const).flatMap((side) => beside.get(sideKey(wall, side))?.room.room.id ?? []);
  for (const { body, mesh, over } of wallsRaised(floor, built)) {
    const rooms = roomsOf(body.wall.id);
    add('walls', body.wall.id, `Wall ${body.wall.id}`, rooms, mesh, body.wall.id);
    add('ceilings', body.wall.id, `Over wall ${body.wall.id}`, [], over, body.wall.id);
  }
  for (const room of floor.rooms) {
    const { id } = room.room;
    add('floors', id, `Floor of ${called(room)}`, [id], roomFloorRaised(room));
    add('ceilings', id, `Ceiling of ${called(room)}`, [id], lidRaised(room, built, holes));
    const trim = (part: 'skirting' | 'cornice') => trimRaised(floor, room, trimOf(plan.trims, id, part));
    add('skirtings', id, `Skirting of ${called(room)}`, [id], trim('skirting'));
    add('cornices', id, `Cornice of ${called(room)}`, [id], trim('cornice'));
  }
  for (const on of floor.solids) {
    const room = roomUnder(floor, on.ring);
    add('columns', on.solid.id, `Column ${on.solid.id}`, room ? [room.room.id] : [], solidRaised(floor, on, room));
  }
  for (const on of stairs) add('stairs', on.stair.id, `Stairs ${on.stair.id}`, [], stairsRaised(on));
  const ceilingAt = (wall: Id) => {
    const top = topOfWall(floor, wall, built);
    const { course } = floor.network.half(wall, true);
    return top.at(course.length / 2)(middle(course.a, course.b));
  };
  const board = (room: Id | null) => trimOf(plan.trims, room ?? '', 'board');
  for (const { opening, solid, glass } of openingsRaised(floor, ({ wall }) => ceilingAt(wall), board)) {
    const rooms = roomsOf(opening.wall);
    add('openings', opening.id, opening.label, rooms, solid, opening.wall);
    add('glass', opening.id, `Glass of ${opening.label}`, rooms, glass, opening.wall);
  }
  for (const { opening, light } of lights) {
    const { plane } = light.slope;
    const thick = built === null ? ROOF_BUILD_UP : 100;
    const { solid, glass } = roofLightRaised(opening, light.ring, (p) => valueOf(plane!, p), thick);
    add('openings', opening.id, opening.label, roomsOf(opening.wall), solid);
    add('glass', opening.id, `Glass of ${opening.label}`, roomsOf(opening.wall), glass);
  }
  for (const on of piecesOn(plan.pieces, floor)) {
    const room = floor.rooms.find(({ outline }) => surfaceContains(outline.rings, middleOf(on.ring)));
    things.push({
      ...{ part: 'pieces', key: `pieces ${on.piece.id}`, name: on.piece.name || on.kind.name, loose: !on.piece.fixed },
      ...{ rooms: room ? [room.room.id] : [], wall: null, mesh: pieceRaised(on) },
    });
  }
  const highest = Math.max(0, ...floor.rooms.map(({ ceilingHeight }) => ceilingHeight));
  return { floor: id, name: floor.name, elevation: elevationOf(plan, id), height: built ?? highest, things };
}

const middleOf = (ring: readonly { x: number; y: number }[]) => ({
  x: ring.reduce((sum, { x }) => sum + x, 0) / ring.length,
  y: ring.reduce((sum, { y }) => sum + y, 0) / ring.length,
});

/** The room that something solid stands in, or leans out into. */
function roomUnder(floor: DerivedFloor, ring: readonly { x: number; y: number }[]): DerivedRoom | null {
  const at = middleOf(ring);
  let best: { room: DerivedRoom; off: number } | null = null;
  for (const room of floor.rooms) {
    if (surfaceContains(room.outline.rings, at)) return room;
    for (const run of room.outline.rings.flat()) {
      const off = Math.hypot(run.x - at.x, run.y - at.y);
      if (!best || off < best.off) best = { room, off };
    }
  }
  return best && best.off < 2000 ? best.room : null;
}
