import { type Motion, type RoomColour, type WallFace, MM_PER_INCH, ringsBox, rightOf } from '@velvet-tape/core';
import type { AppDispatch, Command, RootState } from '../../store/store';
import { edit } from './edit';
import { planActions } from './plan-slice';
import { selectFace, selectFloor, selectOpening, selectRoom, selectSolid, selectLean } from './selectors';

/** The rooms that are chosen, one or several. */
function chosenRooms(state: RootState): readonly string[] {
  const { selection } = state.plan;
  return selection.kind === 'rooms' ? selection.ids : selection.kind === 'room' ? [selection.id] : [];
}

/** Moves, turns or mirrors the chosen rooms about their middle, or copies them. */
export const transform =
  (change: Partial<Motion>, copy = false): Command =>
  (dispatch, getState) => {
    const rooms = chosenRooms(getState());
    const floor = selectFloor(getState());
    const box = floor && ringsBox(floor.rooms.filter((r) => rooms.includes(r.room.id)).map((r) => r.outline.rings[0]!));
    if (!floor || !box) return;
    const about = { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
    const motion = { dx: 0, dy: 0, turn: 0, mirror: false, about, ...change };
    const result = dispatch(edit({ kind: 'transformRooms', floor: floor.floor, rooms, motion, copy }));
    if (!result.ok || !copy || !result.made) return;
    const before = new Set(floor.rooms.map((r) => r.room.id));
    const made = selectFloor(getState())!
      .rooms.map((r) => r.room.id)
      .filter((id) => !before.has(id));
    dispatch(planActions.selected({ kind: 'rooms', ids: made }));
  };

/** A copy of the chosen rooms, put down to the right of the house with a passage between. */
export const copyRooms: Command = (dispatch, getState) => {
  const floor = selectFloor(getState());
  const rooms = chosenRooms(getState());
  const house = floor && ringsBox(floor.bodies.map((body) => body.ring));
  const own = floor && ringsBox(floor.rooms.filter((r) => rooms.includes(r.room.id)).map((r) => r.outline.rings[0]!));
  if (house && own) dispatch(transform({ dx: house.maxX - own.minX + BESIDE_HOUSE }, true));
};
const BESIDE_HOUSE = 1500;

export const colourRoom =
  (colour: RoomColour | null): Command =>
  (dispatch, getState) => {
    for (const room of chosenRooms(getState())) dispatch(edit({ kind: 'colourRoom', room, colour }));
  };

export const labelBack: Command = (dispatch, getState) => {
  const room = selectRoom(getState());
  if (room) dispatch(edit({ kind: 'placeLabel', room: room.room.id, at: null }));
};

/** A corner in the middle of the chosen wall. */
export const addCorner: Command = (dispatch, getState) => {
  const face = selectFace(getState());
  if (!face) return;
  const result = dispatch(
    edit({ kind: 'addCorner', floor: getState().plan.floor, face: face.key, along: face.length / 2 }),
  );
  if (result.ok && result.made) dispatch(planActions.selected({ kind: 'corner', id: result.made }));
};

export const straighten: Command = (dispatch, getState) => {
  const face = selectFace(getState());
  if (face)
    dispatch(
      edit({ kind: 'bendWall', floor: getState().plan.floor, face: face.key, by: 'sagitta', value: 0, way: 'out' }),
    );
};

export const setWallKind =
  (as: 'wall' | 'party' | 'chalk'): Command =>
  (dispatch, getState) => {
    const face = selectFace(getState());
    if (face) dispatch(edit({ kind: 'setWallKind', floor: getState().plan.floor, face: face.key, as }));
  };

export const keepFlush =
  (side: 'inside' | 'outside'): Command =>
  (dispatch, getState) => {
    const face = selectFace(getState());
    if (face) dispatch(edit({ kind: 'keepFlush', floor: getState().plan.floor, face: face.key, side }));
  };

/** How far an arrow key moves what is chosen: 1 cm or 1 in, ten times as far, or 1 mm or ⅛ in. mm. */
export function nudgeStep(units: 'metric' | 'imperial', keys: { shiftKey: boolean; altKey: boolean }): number {
  const step = units === 'metric' ? 10 : MM_PER_INCH;
  if (keys.altKey) return units === 'metric' ? 1 : MM_PER_INCH / 8;
  return keys.shiftKey ? 10 * step : step;
}

/** Moves what is chosen by (dx, dy) mm on the sheet; what stands on a wall moves along it. False when nothing is. */
export const nudge =
  (dx: number, dy: number) =>
  (dispatch: AppDispatch, getState: () => RootState): boolean => {
    const state = getState();
    const { selection, floor, choices } = state.plan;
    switch (selection.kind) {
      case 'wall': {
        const face = selectFace(state);
        if (!face) return false;
        const inward = rightOf(face.d);
        const by = Math.abs(inward.x) > Math.abs(inward.y) ? dx * Math.sign(inward.x) : dy * Math.sign(inward.y);
        // along the wall there is nowhere to go
        if (by !== 0) dispatch(edit({ kind: 'moveWall', floor, face: face.key, by, neighbours: choices.neighbours }));
        return true;
      }
      case 'corner': {
        const at = selectFloor(state)?.network.corners.get(selection.id);
        if (at) dispatch(edit({ kind: 'moveCorner', floor, corner: selection.id, to: { x: at.x + dx, y: at.y + dy } }));
        return true;
      }
      case 'rooms':
        dispatch(transform({ dx, dy }));
        return true;
      case 'opening': {
        const face = selectFace(state);
        const on = selectOpening(state);
        if (face && on)
          dispatch(
            edit({
              kind: 'changeOpening',
              floor,
              opening: selection.id,
              place: placeAlong(face, on.from, on.to, dx, dy),
            }),
          );
        return true;
      }
      case 'solid': {
        const stand = selectSolid(state)?.solid.stand;
        const lean = selectLean(state);
        if (stand?.kind === 'free')
          dispatch(edit({ kind: 'changeSolid', solid: selection.id, to: { x: stand.x + dx, y: stand.y + dy } }));
        else if (lean)
          dispatch(
            edit({
              kind: 'changeSolid',
              solid: selection.id,
              place: placeAlong(lean.face, lean.from, lean.to, dx, dy),
            }),
          );
        return true;
      }
      default:
        return false;
    }
  };

/** Moved along its wall, to the right as seen from the room for the right and up keys. */
function placeAlong(face: WallFace, from: number, to: number, dx: number, dy: number) {
  const by = dx !== 0 ? dx : -dy;
  const offset = Math.min(Math.max(0, from + by), Math.max(0, face.length - (to - from)));
  return { face: face.key, end: 'left' as const, offset };
}
