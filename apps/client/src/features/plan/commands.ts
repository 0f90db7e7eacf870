import { type WallFace, applyEdit, faceByKey, isRead, middle } from '@velvet-tape/core';
import { randomSeed } from '../../store/seed';
import type { Command } from '../../store/store';
import { buzz } from '../../ui/buzz';
import { enterOn, selectTypedIntent, stepBack } from './chosen/kinds';
import { edit } from './edit';
import { keepEntryUnit, nextEntryUnit } from './entry-unit';
import { planActions } from './plan-slice';
import type { ToolName } from './plan-state';
import { besideHouse, houseBox, selectFace, selectFloor, selectMoves, selectRoom, selectTyped } from './selectors';
import { nextAlong } from './openings/reading-along';
import { sayMisclosure } from './readings/say';
import { likelierDiagonal, likelierThanTyped } from './readings/unlikely';
import { escapeFrom, finishProposal, takeTyped } from './sketching/hands';
import { startWalk } from './sketching/walk-commands';
import { drawsBeside } from './tool-names';
import { offerRescale } from './underlay/rescale';
import { timed } from './timed';
import { viewActions } from './view-slice';
import { ROOM_BESIDE } from './viewport';

/** Enter on the number pad: what is typed becomes true, and a taped wall hands on to the next. */
export const enter: Command = (dispatch, getState) => {
  const state = getState();
  const typed = selectTyped(state);
  const { proposal, selection } = state.plan;
  if (!typed) {
    if (proposal) dispatch(finishProposal);
    return;
  }
  if (!typed.ok) {
    dispatch(planActions.said({ text: typed.reason, tone: 'refused' }));
    return;
  }
  if (likelierThanTyped(state).length > 0 && !state.plan.pad.asked) {
    dispatch(planActions.asked());
    // what could not be done anyway is said beside the question
    const { plan } = state.plan;
    const meant = proposal || !plan ? null : selectTypedIntent(state);
    const tried = meant && applyEdit(plan!, meant, randomSeed());
    if (tried && !tried.ok) dispatch(planActions.said({ text: tried.reason, tone: 'refused' }));
    return;
  }
  if (proposal) {
    const other = state.plan.pad.asked ? null : likelierDiagonal(state, typed.value);
    if (other) {
      dispatch(planActions.asked());
      dispatch(planActions.said({ text: other, tone: 'said' }));
      return;
    }
    dispatch(takeTyped);
    return;
  }
  const own = enterOn(selection, typed.value);
  if (own) {
    dispatch(own);
    return;
  }
  const intent = selectTypedIntent(state);
  if (!intent) return;
  const { field } = state.plan.pad;
  if (!dispatch(edit(timed(intent))).ok) return;
  buzz();
  dispatch(planActions.readTaken(state.plan.pad.text.trim()));
  if (intent.kind === 'tapeLength') {
    const { from, to, across, along = 'inside' } = intent;
    dispatch(sayMisclosure({ kind: across ? 'chord' : 'length', face: along, from, to, via: [] }));
  }
  if (intent.kind === 'readGap') dispatch(nextAlong);
  else if (field === 'length') {
    dispatch(toNextWall);
    if (intent.kind === 'tapeLength') dispatch(offerRescale(intent));
  } else dispatch(planActions.fieldChosen(getState().plan.panel === 'type' ? null : field));
};

/** A number without a unit is read in the next unit; so it stays for this job, and begins in the next. */
export const changeEntryUnit: Command = (dispatch, getState) => {
  const { plan, jobId, choices } = getState().plan;
  if (!plan || !jobId) return;
  const entry = nextEntryUnit(plan.job.units, choices.entry);
  dispatch(planActions.choicesMade({ entry }));
  keepEntryUnit(jobId, entry);
};

/** The other end of the chosen wall moves. */
export const swapEnds: Command = (dispatch, getState) => {
  dispatch(planActions.endChosen(selectMoves(getState()) === 'to' ? 'from' : 'to'));
};

/** The next wall of the room that is not read yet, the way round that was chosen; when all are, the room itself. */
export const toNextWall: Command = (dispatch, getState) => {
  const face = selectFace(getState());
  const room = selectRoom(getState());
  if (!face || !room) return;
  const at = room.faces.findIndex((f) => f.key === face.key);
  const clockwise = [...room.faces.slice(at + 1), ...room.faces.slice(0, at)];
  const round = getState().plan.choices.round === 'clockwise' ? clockwise : clockwise.reverse();
  const floor = selectFloor(getState());
  const next = round.find((f) => !floor || !isRead(floor, f));
  const { notice } = getState().plan;
  if (next) dispatch(goToWall(next));
  else dispatch(planActions.selected({ kind: 'room', id: room.room.id }));
  // at the room itself what contradicts stands on its card
  if (notice && (next || notice.tone === 'said')) dispatch(planActions.said(notice));
};

/** One wall on along the room, taped or not. */
export const stepWall =
  (by: 1 | -1): Command =>
  (dispatch, getState) => {
    const face = selectFace(getState());
    const room = selectRoom(getState());
    if (!face || !room) return;
    const at = room.faces.findIndex((f) => f.key === face.key);
    dispatch(goToWall(room.faces[(at + by + room.faces.length) % room.faces.length]!));
  };

/** The wall with this face, into view. */
export const goToFace =
  (key: string): Command =>
  (dispatch, getState) => {
    const floor = selectFloor(getState());
    const face = floor && faceByKey(floor, key);
    if (face) dispatch(goToWall(face));
  };

export const goToWall =
  (face: WallFace): Command =>
  (dispatch) => {
    dispatch(planActions.selected({ kind: 'wall', face: face.key }));
    dispatch(viewActions.shown(middle(face.a, face.b)));
  };

export const loosen: Command = (dispatch, getState) => {
  const reading = selectFace(getState())?.reading;
  if (reading) dispatch(edit({ kind: 'loosenReading', reading: reading.id }));
};

export const fitAll: Command = (dispatch, getState) => {
  dispatch(viewActions.fitted({ box: houseBox(getState()), ...besideHouse(getState()) }));
};

/** Another floor, all of it in view. */
export const goToFloor =
  (id: string): Command =>
  (dispatch) => {
    dispatch(planActions.floorChosen(id));
    dispatch(fitAll);
  };

/** Takes up a tool. To draw the next room there must be sheet beside the house. */
export const takeTool =
  (tool: ToolName): Command =>
  (dispatch, getState) => {
    dispatch(planActions.toolChosen(tool));
    if (tool === 'walk') dispatch(startWalk);
    const box = houseBox(getState());
    if (drawsBeside(tool) && box && !getState().view.byHand) dispatch(viewActions.fitted({ box, margin: ROOM_BESIDE }));
  };

/** The tool that pushes a part of a wall, and what to do with it. */
export const pushPart: Command = (dispatch) => {
  dispatch(takeTool('bump'));
  const text = 'Press on the wall where the part is and push it out or in. Then type its width and depth.';
  dispatch(planActions.said({ text, tone: 'said' }));
};

/** One step back: what is typed, then the field, then what is selected, then the tool. */
export const backOut: Command = (dispatch, getState) => {
  const { pad, selection, tool, naming, proposal, listing } = getState().plan;
  if (pad.text !== '') dispatch(planActions.typed(''));
  else if (listing) dispatch(planActions.listed(null));
  else if (proposal) dispatch(escapeFrom(proposal, tool));
  else if (getState().plan.panel) dispatch(planActions.panelShown(null));
  else if (getState().plan.readingAlong) dispatch(planActions.readAlong(null));
  else if (naming) dispatch(planActions.naming(null));
  else if (selection.kind !== 'nothing') dispatch(stepBack);
  else if (tool !== 'choose') dispatch(takeTool('choose'));
};
