import {
  type DerivedRoom,
  type Misclosure,
  type Place,
  type ReadingLine,
  faceByKey,
  heightPlace,
} from '@velvet-tape/core';
import type { Command } from '../../../store/store';
import { goToWall } from '../commands';
import { edit } from '../edit';
import { readAgain } from '../openings/reading-along';
import { planActions } from '../plan-slice';
import type { Field } from '../plan-state';
import { type selectFace, selectFloor } from '../selectors';
import { readingFor } from '../tools/measure-tool';

/** To where a reading was taken, ready to take it again. */
export const measureAgain =
  ({ kind, face, from, to, via }: Place): Command =>
  (dispatch, getState) => {
    const floor = selectFloor(getState());
    if (!floor) return;
    dispatch(planActions.listed(null));
    const field = FIELDS[kind];
    const wall = field && faceByKey(floor, `${from}>${to}`);
    if (wall) {
      if (field === 'length') dispatch(planActions.choicesMade({ along: face }));
      dispatch(goToWall(wall));
      dispatch(planActions.fieldChosen(field));
      return;
    }
    const proposal = readingFor(floor, { kind, face, from, to, via });
    if (!proposal) return;
    dispatch(planActions.toolChosen('measure'));
    dispatch(planActions.proposed({ ...proposal, asked: true }));
  };

/** The diagonal that crosses the one about to be read, in its place; what is typed stays. */
export const otherDiagonal: Command = (dispatch, getState) => {
  const { proposal, pad } = getState().plan;
  const floor = selectFloor(getState());
  if (!floor || proposal?.kind !== 'reading' || !proposal.named) return;
  const other = readingFor(floor, proposal.named.other.place);
  if (!other) return;
  dispatch(planActions.proposed({ ...other, ...(proposal.asked && { asked: true }) }));
  if (pad.text) dispatch(planActions.typed(pad.text));
};

/** The field of a wall that each kind of reading is typed into. */
const FIELDS: Partial<Record<Place['kind'], Field>> = {
  length: 'length',
  chord: 'length',
  thickness: 'thickness',
  sagitta: 'sagitta',
  radius: 'radius',
  arc: 'arc',
};

/** The same from the list, heights too. */
export const takeAgain =
  ({ of }: ReadingLine): Command =>
  (dispatch, getState) => {
    if ('reading' in of) {
      dispatch(measureAgain(of.reading));
      return;
    }
    if ('gap' in of) {
      dispatch(readAgain(of.gap));
      return;
    }
    const { room, slope, value } = of.height;
    const floor = selectFloor(getState());
    const at = floor && heightPlace(floor, of.height);
    dispatch(planActions.listed(null));
    if (at) {
      dispatch(planActions.toolChosen('measure'));
      dispatch(planActions.proposed({ kind: 'height', room, slope, at, now: value, read: null }));
    } else {
      dispatch(planActions.selected({ kind: 'room', id: room }));
      dispatch(planActions.fieldChosen('ceiling'));
    }
  };

/** What contradicts is accepted as it is: it was seen, and is spread over the readings. */
export const spread =
  ({ suspects }: Misclosure): Command =>
  (dispatch) => {
    dispatch(edit({ kind: 'changeReading', reading: suspects[0].reading.id, change: { spread: true } }));
  };

/** This one is right: the others give way. */
export const hold =
  (reading: string, held: boolean): Command =>
  (dispatch) => {
    dispatch(edit({ kind: 'changeReading', reading, change: { held } }));
  };

/** What stays where it is whatever is read: the corners of a room, of a wall, or one. */
export const pin =
  (corners: readonly string[], pinned: boolean): Command =>
  (dispatch, getState) => {
    dispatch(edit({ kind: 'pin', floor: getState().plan.floor, corners, pinned }));
  };

/** The corners of what is chosen. */
export const cornersChosen: (
  room: DerivedRoom | null,
  face: ReturnType<typeof selectFace>,
  corner: string | null,
) => string[] = (room, face, corner) => {
  if (corner) return [corner];
  if (face) return [face.from, face.to];
  return [...new Set(room?.faces.flatMap((each) => each.halves.map((half) => half.from)) ?? [])];
};
