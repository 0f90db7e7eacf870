import { type Point, type SeenWall, courseOf, distanceToCourse, scaleOf, wallsRoundRoom } from '@velvet-tape/core';
import { Stopped, workOn } from '../../../pictures/work';
import type { AppDispatch, Command, RootState } from '../../../store/store';
import { pictureOf } from '../../../sync/pictures';
import { edit } from '../edit';
import { planActions } from '../plan-slice';
import { selectSeen, selectUnderlay } from './selectors';
import { underlayActions } from './underlay-slice';
import { sayTrouble, underWay } from './work';

/** Looks for walls on the chosen underlay, beside the screen. They are shown, and taken one by one, by room, or all. */
export const findOnUnderlay: Command = (dispatch, getState) => {
  const underlay = selectUnderlay(getState());
  if (!underlay) return;
  const { size, known } = scaleOf(underlay);
  if (!known) {
    dispatch(planActions.said({ text: 'Set the true scale first: walls are told by their size.', tone: 'refused' }));
    return;
  }
  const perPixel = Math.sqrt(size.x * size.y);
  dispatch(underlayActions.found(null));
  void pictureOf(underlay.picture)
    .then((blob) => {
      const work = workOn(
        (pictures, progress) => pictures.walls(blob, perPixel, underlay.look.inverted, progress),
        (share) => dispatch(underlayActions.working({ what: 'Looking for walls', share })),
      );
      return underWay(work, 'Looking for walls', dispatch);
    })
    .then(({ walls, skew }) => {
      if (walls.length > 0) dispatch(underlayActions.found({ underlay: underlay.id, walls, skew }));
      else
        dispatch(
          planActions.said({ text: 'No walls were found. Clean plans, dark on light, are read best.', tone: 'said' }),
        );
    })
    .catch((error: unknown) => error instanceof Stopped || dispatch(sayTrouble(error)));
};

/** Takes walls that were found, by their numbers: they become walls of the plan, and are found no longer. */
const takeSeen =
  (numbers: readonly number[]) =>
  (dispatch: AppDispatch, getState: () => RootState): boolean => {
    const seen = selectSeen(getState());
    const { found } = getState().underlay;
    if (!seen || !found || numbers.length === 0) return false;
    const walls = numbers.map((i) => seen.walls[i]!);
    const time = new Date().toISOString();
    if (!dispatch(edit({ kind: 'takeWalls', underlay: seen.underlay.id, walls, time })).ok) return true;
    const left = found.walls.filter((_, i) => !numbers.includes(i));
    dispatch(underlayActions.found(left.length > 0 ? { ...found, walls: left } : null));
    return true;
  };

export const takeAllSeen: Command = (dispatch, getState) => {
  const { found } = getState().underlay;
  if (found) dispatch(takeSeen(found.walls.map((_, i) => i)));
};

export const dropSeen: Command = (dispatch) => {
  dispatch(underlayActions.found(null));
};

/** The wall that was tapped, or those round the room that was. */
export const takeSeenAt =
  (at: Point, reach: number) =>
  (dispatch: AppDispatch, getState: () => RootState): boolean => {
    const seen = selectSeen(getState());
    if (!seen) return false;
    const wall = nearest(seen.walls, at, reach);
    const numbers = wall === null ? wallsRoundRoom(seen.underlay, seen.walls, at) : [wall];
    if (numbers.length === 0)
      dispatch(planActions.said({ text: 'Tap a wall that was found, or inside a room of them.', tone: 'said' }));
    else dispatch(takeSeen(numbers));
    return true;
  };

function nearest(walls: readonly SeenWall[], at: Point, reach: number): number | null {
  const offs = walls.map(({ a, b, thickness }) => distanceToCourse(courseOf(a, b, 0), at) - thickness / 2);
  const best = offs.indexOf(Math.min(...offs));
  return best >= 0 && offs[best]! <= reach / 2 ? best : null;
}
