import { type Motion, type RoomColour, MM_PER_INCH, ringsBox } from '@velvet-tape/core';
import type { Command, RootState } from '../../store/store';
import { edit } from './edit';
import { planActions } from './plan-slice';
import { selectFace, selectFloor, selectRoom } from './selectors';

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
