import { byHeadroom, floorUnder } from '../../ceilings';
import type { DerivedFloor, DerivedRoom } from '../../derived';
import {
  type Point,
  type Ring,
  bandAlong,
  difference,
  direction,
  flattened,
  moved,
  partOf,
  pointAt,
  rightOf,
  signedArea,
  union,
} from '../../geometry';
import { clearWidth, openingSpan, swingsOf } from '../../openings';
import type { Id, Opening } from '../../plan/plan';
import { surfaceContains } from '../../rooms';
import type { Network } from '../../walls';
import { footprintOf, isPushedAside } from '../fit/footprint';
import type { PieceOnFloor } from '../on-floor';
import { coarser } from './coarser';

/** How something is carried. */
export interface Carried {
  /** How high it is as it is carried, mm. */
  readonly height: number;
  /** Doors are taken off their hinges. */
  readonly offHinges: boolean;
  /** Of the openings to the outside the one it comes through; null: none. */
  readonly from: Id | null;
}

/** It is lifted a little over the floor, mm: this much is needed over it (common practice, no source). */
export const LIFTED = 30;
/** What is thinner or lower than this is stepped over, mm. */
const STEPPED_OVER = 60;
/** An open leaf, mm. */
const LEAF = 45;
/** How far outside a door one can turn, mm. */
const OUTSIDE = 4000;
/** A gap reaches this far into the rooms at both sides, so that they join, mm. */
const JOIN = 5;

/** An opening one can pass with something, with the gap it leaves. */
export interface Gap {
  readonly opening: Opening;
  readonly ring: Ring;
  /** In the middle of the wall; across it. */
  readonly middle: Point;
  readonly across: Point;
  /** mm */
  readonly width: number;
  /** The rooms at both sides; null: outside. */
  readonly rooms: readonly [DerivedRoom | null, DerivedRoom | null];
}

/** The doors and openings of a floor that something so high can pass, each as wide as it is clear. */
export function gapsFor(floor: DerivedFloor, { height, offHinges, from }: Carried): readonly Gap[] {
  return floor.openings.flatMap((opening) => {
    const gap = gapOf(floor, opening, offHinges);
    if (!gap) return [];
    // through a window only where it is meant
    if (opening.kind === 'window' && opening.id !== from) return [];
    if (gap.rooms.includes(null) && opening.id !== from) return [];
    return opening.height >= height + LIFTED ? [gap] : [];
  });
}

/** What an opening leaves free in its wall; null where it leads nowhere. */
export function gapOf(floor: DerivedFloor, opening: Opening, offHinges: boolean): Gap | null {
  const { wall, course } = floor.network.half(opening.wall, true);
  const span = openingSpan(floor.network, opening);
  const width =
    offHinges || opening.kind !== 'door' ? span.to - span.from : Math.min(clearWidth(opening), span.to - span.from);
  if (width <= 0) return null;
  // the leaf stands at the hinges
  const taken = span.to - span.from - width;
  const begin = opening.hinge === 'start' ? span.from + taken : span.from;
  const part = partOf(course, begin, begin + width);
  const at = (along: number, off: number) => pointAt(part, along, off);
  // bent as its wall is: straight across, it would end within the wall where that bows out
  const ring = bandAlong(part, wall.left + JOIN, wall.right + JOIN);
  const middle = at(part.length / 2, (wall.right - wall.left) / 2);
  const across = rightOf(direction(at(0, 0), at(part.length, 0)));
  const beside = (off: number) => {
    const p = moved(middle, across, off);
    return floor.rooms.find(({ outline }) => surfaceContains(outline.rings, p)) ?? null;
  };
  const half = (wall.left + wall.right) / 2 + 100;
  return { opening, ring, middle, across, width, rooms: [beside(-half), beside(half)] };
}

const clockwise = (ring: Ring): Ring => (signedArea(ring) < 0 ? [...ring].reverse() : ring);

/** Floor of a room over which something so high can be carried. */
function underCeiling(room: DerivedRoom, height: number): readonly Ring[] {
  const { ceiling, ceilingHeight, standing } = room;
  const needed = height + LIFTED;
  if (ceiling.level) return ceilingHeight >= needed ? standing : [];
  return byHeadroom(floorUnder(ceiling, standing), needed).over.flatMap(({ rings }) => rings);
}

/** An open leaf, as it stands in the room. */
function leavesOf(network: Network, opening: Opening): Ring[] {
  return swingsOf(network, opening).map(({ hinge, open }) => {
    const d = direction(hinge, open);
    const side = moved(hinge, rightOf(d), LEAF / 2);
    const long = Math.hypot(open.x - hinge.x, open.y - hinge.y);
    const corner = moved(side, rightOf(d), -LEAF);
    return clockwise([side, moved(side, d, long), moved(corner, d, long), corner]);
  });
}

/** Outlines with arcs as polygons, off by less than 0.1 mm. */
const flat = (rings: readonly Ring[]): Ring[] => rings.map((ring) => flattened(ring).map(({ x, y }) => ({ x, y })));

/**
 * The floor over which something can be carried: rooms under a ceiling that is high enough, joined by doors as wide as they are clear, less what stands there
 * (chairs are moved aside) and open leaves; outside the door it comes from there is room to turn. `except`: what is carried.
 */
export function whereFree(
  floor: DerivedFloor,
  pieces: readonly PieceOnFloor[],
  carried: Carried,
  except: ReadonlySet<Id>,
): readonly Ring[] {
  const gaps = gapsFor(floor, carried);
  const rooms = floor.rooms.flatMap((room) => underCeiling(room, carried.height));
  const outside = gaps.flatMap((gap) => (gap.rooms.includes(null) ? outsideOf(floor, gap) : []));
  const whole = union(flat([...rooms, ...gaps.map(({ ring }) => ring), ...outside]));
  const standing = pieces.filter(
    (on) =>
      !except.has(on.piece.id) &&
      !on.kind.passable &&
      !isPushedAside(on) &&
      on.top > STEPPED_OVER &&
      on.bottom < carried.height + LIFTED &&
      !(on.piece.stand.kind === 'piece' && except.has(on.piece.stand.piece)),
  );
  const stairs = floor.stairs.flatMap(({ fromAbove, outline, opening }) => (fromAbove ? opening : outline));
  const leaves = carried.offHinges
    ? []
    : floor.openings.filter(({ kind }) => kind === 'door').flatMap((opening) => leavesOf(floor.network, opening));
  const taken = [...standing.flatMap(footprintOf), ...leaves, ...flat(stairs)];
  return coarser(taken.length > 0 ? difference(whole, taken) : whole);
}

/** Ground before an outer door, less the house itself. */
function outsideOf(floor: DerivedFloor, { middle, across, rooms }: Gap): Ring[] {
  const out = rooms[0] === null ? -1 : 1;
  const d = { x: -across.y, y: across.x };
  const near = moved(middle, d, -OUTSIDE / 1.5);
  const far = moved(near, across, out * OUTSIDE);
  const wide = (2 * OUTSIDE) / 1.5;
  const ground = clockwise([near, moved(near, d, wide), moved(far, d, wide), far]);
  const house = flat([
    ...floor.bodies.map(({ ring }) => ring),
    ...floor.rooms.flatMap(({ outline }) => outline.rings.slice(0, 1)),
  ]);
  return difference([ground], house);
}
