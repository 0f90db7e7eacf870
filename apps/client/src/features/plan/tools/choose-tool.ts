import { type Hit, type Point, type ShownPart, cornerAt, hitAt, outOfReach, surfaceContains } from '@velvet-tape/core';
import type { Selection } from '../plan-state';
import { pieceChosen, pieceDrag, pieceMeant } from '../pieces/pieces-room';
import { type Grip, gripAt, heldGrip, intentOfGrip, isStill, pushedPart } from './grips';
import { chooseAll, rectangle, roomsWithin } from './lasso-tool';
import { caught } from './snapping';
import { type Bench, type Pointer, type Tool, isTap } from './tool';

/**
 * Taps choose what is under the finger. A drag moves what was already chosen, else the sheet; with Shift the mouse
 * draws a rectangle round what is to be chosen. A finger that rests on a wall before it moves has hold of the wall, chosen or not; on the chosen
 * one it parts it where it was pressed, and pushes the part from there to the nearer end. idle → pressed → dragging → idle
 */
export function chooseTool(bench: Bench): Tool {
  let state:
    | { kind: 'idle' }
    | { kind: 'pressed'; from: Pointer; hit: Hit; piece: string | null }
    | { kind: 'dragging'; from: Point; px: Point; grip: Grip; seed: string }
    | { kind: 'framing'; from: Point } = { kind: 'idle' };

  const intentFor = (grip: Grip, from: Point, pointer: Pointer) => {
    if (grip.kind === 'piece') return grip.drag(pointer);
    const at = grip.kind === 'corner' ? caughtBeside(bench, pointer, grip.corner) : pointer.at;
    return intentOfGrip(grip, bench.floor().floor, from, at, bench.choices());
  };

  return {
    get busy() {
      return state.kind === 'dragging' || state.kind === 'framing';
    },
    down(pointer) {
      state = { kind: 'pressed', from: pointer, hit: withinReach(bench, pointer), piece: pieceMeant(bench, pointer) };
    },
    move(pointer) {
      if (state.kind === 'idle') return;
      if (state.kind === 'pressed') {
        const { from, hit } = state;
        if (isTap(from.px, pointer.px)) return;
        if (from.several) state = { kind: 'framing', from: from.at };
        else {
          const drag = pieceDrag(bench, from);
          const grip: Grip = drag
            ? { kind: 'piece', drag }
            : unlocked(bench, gripAt(bench.floor(), bench.selection(), hit, from.at, from.reach));
          const held = pointer.rested && !drag ? heldGrip(grip, hit, from.at, from.reach) : grip;
          if (held.kind === 'wall' && grip.kind === 'sheet') bench.select({ kind: 'wall', face: held.face.key });
          state = { kind: 'dragging', from: from.at, px: from.px, grip: held, seed: bench.seed() };
        }
      }
      if (state.kind === 'framing') {
        bench.lasso(rectangle(state.from, pointer.at));
        return;
      }
      if (state.grip.kind === 'sheet') {
        bench.pan(pointer.px.x - state.px.x, pointer.px.y - state.px.y);
        state = { ...state, px: pointer.px };
        return;
      }
      if (state.grip.kind === 'part') {
        bench.propose(pushedPart(state.grip, pointer.at, bench.choices()));
        return;
      }
      const intent = intentFor(state.grip, state.from, pointer);
      if (intent) bench.preview(intent, state.seed);
    },
    up(pointer) {
      if (state.kind === 'pressed') {
        bench.select(state.piece ? pieceChosen(bench, state.piece) : chosen(bench, state.hit, pointer));
        // whatever lies under the mark is chosen as it would be without it
        bench.offerLook(pointer.at, pointer.reach);
      } else if (state.kind === 'framing')
        chooseAll(bench, roomsWithin(bench.floor(), rectangle(state.from, pointer.at)));
      else if (state.kind === 'dragging' && state.grip.kind === 'part') bench.handOver('bump');
      else if (state.kind === 'dragging' && state.grip.kind !== 'sheet') {
        const intent = intentFor(state.grip, state.from, pointer);
        if (!intent || isStill(intent)) bench.preview(null, state.seed);
        else bench.commit(intent, state.seed);
      }
      bench.lasso([]);
      bench.guide([]);
      state = { kind: 'idle' };
    },
    cancel() {
      if (state.kind === 'dragging' && state.grip.kind === 'part') bench.propose(null);
      else if (state.kind === 'dragging') bench.preview(null, state.seed);
      bench.lasso([]);
      bench.guide([]);
      state = { kind: 'idle' };
    },
  };
}

/** The part of the plan that shows, or not, by what is hit. */
const PART: Partial<Record<Hit['kind'], ShownPart>> = {
  opening: 'openings',
  solid: 'fixed',
  stairs: 'stairs',
  break: 'ceilings',
  wall: 'walls',
};

/** The part of the plan that has to be in reach for what a drag has hold of. */
const PART_OF_GRIP: Partial<Record<Grip['kind'], ShownPart>> = {
  ...({ wall: 'walls', bend: 'walls', part: 'walls', corner: 'walls', rooms: 'walls' } as const),
  ...({
    label: 'names',
    solid: 'fixed',
    break: 'ceilings',
    stairs: 'stairs',
    leaf: 'openings',
    opening: 'openings',
  } as const),
};

const isOutOfReach = (bench: Bench, part: ShownPart | undefined): boolean =>
  part !== undefined && outOfReach(bench.looks(), bench.floor().plan.job.look).has(part);

/** What is locked is not dragged: the sheet is, in its place. */
const unlocked = (bench: Bench, grip: Grip): Grip =>
  isOutOfReach(bench, PART_OF_GRIP[grip.kind]) ? { kind: 'sheet' } : grip;

/** What is under a finger, but for what the look of the plan locks or leaves out: that is as if it were not there. */
function withinReach(bench: Bench, { at, reach }: Pointer): Hit {
  const floor = bench.floor();
  const hit = hitAt(floor, at, reach);
  const isOut = ({ kind }: Hit) => isOutOfReach(bench, PART[kind]);
  if (!isOut(hit)) return hit;
  const wall: Hit | null = hit.kind === 'opening' ? { kind: 'wall', face: hit.face } : null;
  if (wall && !isOut(wall)) return wall;
  const room = floor.rooms.find(({ outline }) => surfaceContains(outline.rings, at));
  return room ? { kind: 'room', room } : { kind: 'nothing' };
}

/** Where a dragged corner is caught, by anything but itself and the walls that hang on it. */
function caughtBeside(bench: Bench, pointer: Pointer, corner: string): Point {
  const floor = bench.floor();
  const walls = floor.network.walls.filter((wall) => wall.start !== corner && wall.end !== corner);
  const corners = new Map([...floor.network.corners].filter(([id]) => id !== corner));
  const others = {
    ...floor,
    network: { ...floor.network, walls, corners, half: floor.network.half.bind(floor.network) },
  };
  return caught({ ...bench, floor: () => others }, pointer);
}

function chosen(bench: Bench, hit: Hit, pointer: Pointer): Selection {
  const corner = isOutOfReach(bench, 'walls') ? null : cornerAt(bench.floor(), pointer.at, pointer.reach * 0.6);
  const selection = bench.selection();
  // a corner is chosen by tapping it on the wall or room that is chosen already, or where it is an open end
  if (corner && (selection.kind === 'wall' || selection.kind === 'room' || isOpenEnd(bench, corner.id)))
    return { kind: 'corner', id: corner.id };
  switch (hit.kind) {
    case 'opening':
      return { kind: 'opening', id: hit.on.opening.id, face: hit.face.key };
    case 'stairs':
      return { kind: 'stairs', id: hit.on.stair.id };
    case 'break':
      return { kind: 'break', id: hit.on.broken.id };
    case 'solid':
      return { kind: 'solid', id: hit.standing.solid.id };
    case 'wall':
      return { kind: 'wall', face: hit.face.key };
    case 'room':
      return { kind: 'room', id: hit.room.room.id };
    default:
      return { kind: 'nothing' };
  }
}

const isOpenEnd = (bench: Bench, corner: string): boolean => bench.floor().openEnds.some((end) => end.id === corner);
