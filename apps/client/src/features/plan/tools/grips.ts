import {
  type Break,
  type DerivedFloor,
  type DerivedRoom,
  type Hit,
  type Intent,
  type Opening,
  type Point,
  type Solid,
  type WallFace,
  alongOf,
  cornerAt,
  distance,
  dot,
  faceBehind,
  faceByKey,
  surfaceContains,
  headingAt,
  offOf,
  pointAt,
  ringContains,
  rightOf,
  subtract,
  swingsOf,
} from '@velvet-tape/core';
import type { PieceDrag } from '../pieces/pieces-room';
import type { Selection } from '../plan-state';
import type { ToolChoices } from '../tool-choices';
import type { BumpProposal } from '../sketching/bump';

/** What a drag with the Choose tool has hold of. */
export type Grip =
  | { readonly kind: 'sheet' }
  | { readonly kind: 'wall'; readonly face: WallFace }
  | { readonly kind: 'bend'; readonly face: WallFace }
  /** A wall that parts `along` mm from its left end. */
  | { readonly kind: 'part'; readonly face: WallFace; readonly along: number }
  | { readonly kind: 'corner'; readonly corner: string }
  /** Furniture: what a finger that is somewhere does with it. */
  | { readonly kind: 'piece'; readonly drag: PieceDrag }
  | { readonly kind: 'label'; readonly room: string }
  | { readonly kind: 'rooms'; readonly ids: readonly string[] }
  /** What stands free or against a wall; `off`: from its middle. */
  | {
      readonly kind: 'solid' | 'break';
      readonly id: string;
      readonly face: WallFace | null;
      readonly width: number;
      readonly off: Point;
    }
  /** `off`: from the first step to where the finger has hold of them. */
  | { readonly kind: 'stairs'; readonly id: string; readonly off: Point }
  | { readonly kind: 'leaf'; readonly id: string; readonly ways: readonly LeafWay[] }
  | {
      readonly kind: 'opening';
      readonly face: WallFace;
      readonly id: string;
      readonly width: number;
      readonly offset: number;
    };

/** A way a leaf can open, and where its edge is then. */
interface LeafWay {
  readonly hinge: Opening['hinge'];
  readonly swing: Opening['swing'];
  readonly tip: Point;
}

/** Dragged walls and openings go in steps of a centimetre, mm. */
const STEP = 10;
const inSteps = (mm: number) => Math.round(mm / STEP) * STEP;

/** How far into the room the handle stands that bends a wall, as a share of a finger's reach. */
export const BEND_HANDLE = 1.9;

/** Where along its face the handle may stand, as a share of it, the best first. */
const ALONG = [0.25, 0.75, 0.5, 0.15, 0.85];
/** Off the ends of the wall, in a finger's reach; nearer where it would lie over the name else. */
const OFF_ENDS = [3, 1.8];
/** The room its name wants round its middle, in a finger's reach, to either side and up and down. */
const NAME = { x: 5, y: 1.6 };

/** Where the handle is that bends a wall: in the room, off the figure in the middle of its face, its corners and the room's name; on a short wall in the middle. */
export function bendHandle(face: WallFace, reach: number, rooms: readonly DerivedRoom[]): Point {
  const name = rooms.find(({ room }) => room.id === face.room)?.label;
  const at = (share: number) => pointAt(face.course, share * face.length, BEND_HANDLE * reach);
  const clear = (p: Point) =>
    !name || Math.abs(p.x - name.x) > NAME.x * reach || Math.abs(p.y - name.y) > NAME.y * reach;
  const places = OFF_ENDS.flatMap((off) =>
    ALONG.filter((share) => Math.min(share, 1 - share) * face.length >= off * reach).map(at),
  );
  const off = (p: Point) => (name ? distance(p, name) : 0);
  return places.find(clear) ?? places.sort((a, b) => off(b) - off(a))[0] ?? at(0.5);
}

/** A finger on the sheet. */
interface Touch {
  readonly floor: DerivedFloor;
  readonly hit: Hit;
  readonly at: Point;
  readonly reach: number;
}

/** What one kind of chosen thing can be taken hold of by. */
interface Holds<S> {
  /** Handles beside it, before anything under them. */
  readonly handle?: (chosen: S, touch: Touch) => Grip | null;
  /** Is this one of its corners? */
  readonly corner?: (chosen: S, floor: DerivedFloor, corner: string) => boolean;
  readonly itself?: (chosen: S, touch: Touch) => Grip | null;
}

const HOLDS: { readonly [K in Selection['kind']]: Holds<Extract<Selection, { kind: K }>> } = {
  nothing: {},
  underlay: {},
  note: {},
  piece: {},
  wall: {
    handle: (chosen, { floor, at, reach }) => {
      const face = faceByKey(floor, chosen.face);
      return face && distance(at, bendHandle(face, reach, floor.rooms)) <= reach ? { kind: 'bend', face } : null;
    },
    corner: (chosen, floor, corner) => {
      const face = faceByKey(floor, chosen.face);
      return face?.to === corner || (face?.halves.some((half) => half.from === corner) ?? false);
    },
    itself: (chosen, { floor, hit }) => {
      const face = faceByKey(floor, chosen.face);
      return face && hit.kind === 'wall' && sameWall(hit.face, face) ? { kind: 'wall', face } : null;
    },
  },
  opening: {
    handle: ({ id }, { floor, at, reach }) => {
      const opening = floor.openings.find((each) => each.id === id);
      const tip = opening && tipOf(floor, opening);
      return tip && distance(at, tip) <= reach ? { kind: 'leaf', id, ways: waysOf(floor, opening) } : null;
    },
    itself: (chosen, { floor, hit, at }) => {
      if (hit.kind !== 'opening' || hit.on.opening.id !== chosen.id) return null;
      const face = faceByKey(floor, chosen.face) ?? hit.face;
      const on = face.openings.find((each) => each.opening.id === chosen.id) ?? hit.on;
      return {
        kind: 'opening',
        face,
        id: chosen.id,
        width: on.to - on.from,
        offset: alongOf(face.course, at) - on.from,
      };
    },
  },
  corner: { corner: ({ id }, _, corner) => id === corner },
  solid: { itself: ({ id }, { floor, at, reach }) => solidGrip(floor, id, at, reach) },
  slope: {},
  break: {
    itself: ({ id }, { floor, at }) => {
      const on = floor.breaks.find(({ broken }) => broken.id === id);
      if (!on || !ringContains(on.ring, at)) return null;
      return standingGrip('break', floor, on.broken, middleOf(on.ring), at);
    },
  },
  stairs: {
    itself: ({ id }, { hit, at }) =>
      hit.kind === 'stairs' && hit.on.stair.id === id ? { kind: 'stairs', id, off: subtract(at, hit.on.stair) } : null,
  },
  room: {
    corner: ({ id }, floor, corner) =>
      roomOf(floor, id)?.faces.some((each) => each.halves.some((half) => half.from === corner)) ?? false,
    itself: ({ id }, { floor, at, reach }) => {
      const room = roomOf(floor, id);
      return room && distance(at, room.label) <= 1.6 * reach ? { kind: 'label', room: id } : null;
    },
  },
  rooms: {
    itself: ({ ids }, { floor, at }) =>
      ids.some((id) => surfaceContains(roomOf(floor, id)?.outline.rings ?? [], at)) ? { kind: 'rooms', ids } : null,
  },
};

const roomOf = (floor: DerivedFloor, id: string) => floor.rooms.find((each) => each.room.id === id);

/**
 * What there is to take hold of at a point, given what is chosen: its handles, its corners and open ends, the
 * chosen thing itself; else the sheet.
 */
export function gripAt(floor: DerivedFloor, selection: Selection, hit: Hit, at: Point, reach: number): Grip {
  const holds = HOLDS[selection.kind] as Holds<Selection>;
  const touch = { floor, hit, at, reach };
  const handle = holds.handle?.(selection, touch);
  if (handle) return handle;
  const corner = cornerAt(floor, at, reach)?.id;
  const open = corner !== undefined && floor.openEnds.some((end) => end.id === corner);
  if (corner !== undefined && (open || holds.corner?.(selection, floor, corner))) return { kind: 'corner', corner };
  return holds.itself?.(selection, touch) ?? { kind: 'sheet' };
}

/**
 * What a finger has hold of that rested before it moved: a wall that was not chosen; of the chosen one the part from there to its nearer end, but at its handle
 * all of it, however long one rests there.
 */
export function heldGrip(grip: Grip, hit: Hit, at: Point, reach: number): Grip {
  if (grip.kind === 'sheet' && hit.kind === 'wall') return { kind: 'wall', face: hit.face };
  if (grip.kind !== 'wall' || grip.face.bulge !== 0) return grip;
  const along = alongOf(grip.face.course, at);
  if (Math.abs(along - grip.face.length / 2) <= reach) return grip;
  return { kind: 'part', face: grip.face, along: inSteps(along) };
}

/** The part of a wall as far as it was pushed; its returns square, or slanted where that was chosen. */
export function pushedPart(
  { face, along }: Extract<Grip, { kind: 'part' }>,
  at: Point,
  { bump }: ToolChoices,
): BumpProposal {
  const left = along < face.length / 2;
  return {
    kind: 'bump',
    face: face.key,
    length: face.length,
    shape: bump === 'slanted' ? 'slanted' : 'box',
    from: left ? 0 : along,
    width: left ? along : face.length - along,
    depth: inSteps(-offOf(face.course, at)),
    splay: 300,
  };
}

/** Where the edge of the leaf of a hinged door is; null for anything else. */
export const tipOf = ({ network }: DerivedFloor, opening: Opening): Point | null =>
  swingsOf(network, opening)[0]?.open ?? null;

const waysOf = (floor: DerivedFloor, opening: Opening): LeafWay[] =>
  (['start', 'end'] as const).flatMap((hinge) =>
    (['left', 'right'] as const).map((swing) => ({ hinge, swing, tip: tipOf(floor, { ...opening, hinge, swing })! })),
  );

function solidGrip(floor: DerivedFloor, id: string, at: Point, reach: number): Grip | null {
  const standing = floor.solids.find((each) => each.solid.id === id);
  if (!standing) return null;
  const { solid, ring } = standing;
  const middle = middleOf(ring);
  if (distance(at, middle) > Math.max(solid.width, solid.depth) / 2 + reach) return null;
  return standingGrip('solid', floor, solid, middle, at);
}

const standingGrip = (
  kind: 'solid' | 'break',
  floor: DerivedFloor,
  it: Solid | Break,
  middle: Point,
  at: Point,
): Grip => ({ kind, id: it.id, face: faceBehind(floor, it), width: it.width, off: subtract(at, middle) });

export const middleOf = (ring: readonly Point[]): Point => ({
  x: ring.reduce((sum, p) => sum + p.x, 0) / ring.length,
  y: ring.reduce((sum, p) => sum + p.y, 0) / ring.length,
});

/** The same run of wall, perhaps seen from the other side. */
const sameWall = (one: WallFace, two: WallFace): boolean =>
  one.halves.some((half) => two.halves.some((other) => other.wall.id === half.wall.id));

/** Where on its wall something with its middle there begins, mm from the left end, within it. */
const alongWithin = (face: WallFace, middle: Point, width: number): number =>
  Math.min(Math.max(0, face.length - width), Math.max(0, inSteps(alongOf(face.course, middle) - width / 2)));

/** What dragging a grip from one point to another does. */
export function intentOfGrip(grip: Grip, floor: string, from: Point, at: Point, choices: ToolChoices): Intent | null {
  switch (grip.kind) {
    case 'sheet':
    case 'part':
    case 'piece':
      return null;
    case 'wall': {
      const inward = rightOf(headingAt(grip.face.course, grip.face.length / 2));
      const by = inSteps(dot(subtract(at, from), inward));
      return { kind: 'moveWall', floor, face: grip.face.key, by, neighbours: choices.neighbours };
    }
    case 'bend': {
      // the handle follows the finger: what it was off the face at the beginning it still is
      const { face } = grip;
      const chord = { ...face.course, arc: null };
      const bow = (p: Point) => -offOf(chord, p);
      // off the middle an arc stands less far out than there
      const t = Math.min(0.9, Math.max(0.1, alongOf(chord, from) / distance(face.a, face.b)));
      const pulled = (bow(at) - bow(from)) / (4 * t * (1 - t));
      const sagitta = inSteps((face.bulge * distance(face.a, face.b)) / 2 + pulled);
      return {
        kind: 'bendWall',
        floor,
        face: face.key,
        by: 'sagitta',
        value: Math.abs(sagitta),
        way: sagitta >= 0 ? 'out' : 'in',
      };
    }
    case 'corner':
      return { kind: 'moveCorner', floor, corner: grip.corner, to: { x: Math.round(at.x), y: Math.round(at.y) } };
    case 'label':
      return { kind: 'placeLabel', room: grip.room, at };
    case 'rooms': {
      const motion = { dx: inSteps(at.x - from.x), dy: inSteps(at.y - from.y), turn: 0, mirror: false, about: from };
      return { kind: 'transformRooms', floor, rooms: grip.ids, motion, copy: false };
    }
    case 'solid':
    case 'break': {
      const { id, face } = grip;
      const middle = subtract(at, grip.off);
      const where = face
        ? { place: { face: face.key, end: 'left' as const, offset: alongWithin(face, middle, grip.width) } }
        : { to: { x: inSteps(middle.x), y: inSteps(middle.y) } };
      return grip.kind === 'solid'
        ? { kind: 'changeSolid', solid: id, ...where }
        : { kind: 'changeBreak', broken: id, ...where };
    }
    case 'stairs': {
      const to = subtract(at, grip.off);
      return {
        kind: 'changeStairs',
        stair: grip.id,
        change: { to: { x: inSteps(to.x), y: inSteps(to.y) }, toWall: true },
      };
    }
    case 'leaf': {
      const { hinge, swing } = grip.ways.reduce((best, way) =>
        distance(way.tip, at) < distance(best.tip, at) ? way : best,
      );
      return { kind: 'swingOpening', opening: grip.id, hinge, swing };
    }
    case 'opening': {
      const most = Math.max(0, grip.face.length - grip.width);
      const offset = inSteps(Math.min(Math.max(0, alongOf(grip.face.course, at) - grip.offset), most));
      return {
        kind: 'changeOpening',
        floor,
        opening: grip.id,
        place: { face: grip.face.key, end: 'left', offset: Math.min(offset, most) },
      };
    }
  }
}

/** Would the drag leave everything where it is? */
export const isStill = (intent: Intent): boolean =>
  (intent.kind === 'moveWall' && intent.by === 0) ||
  (intent.kind === 'transformRooms' && intent.motion.dx === 0 && intent.motion.dy === 0);
