import {
  type DerivedFloor,
  type GapMisclosure,
  type GapReading,
  type GapWay,
  type WallFace,
  type WallMark,
  gapMisclosure,
  gapMisclosureInWords,
  gapRun,
  gapSequence,
  markInWords,
  readOn,
  wallRead,
} from '@velvet-tape/core';
import type { Command } from '../../../store/store';
import { planActions } from '../plan-slice';
import { selectFace, selectFloor } from '../selectors';

interface Spot {
  readonly a: WallMark;
  readonly b: WallMark;
}

const placeOf = (face: WallFace, mark: WallMark): number => {
  if (mark === 'from') return 0;
  if (mark === 'to') return face.length;
  const on = face.openings.find(({ opening }) => opening.id === mark.opening);
  return on ? (mark.jamb === 'near' ? on.from : on.to) : 0;
};

/** How far the two marks are apart on the plan, mm. */
export const spotLength = (face: WallFace, { a, b }: Spot): number => placeOf(face, b) - placeOf(face, a);

/** “left corner to right jamb of D1” */
export function spotInWords(face: WallFace, { a, b }: Spot): string {
  const stands = face.openings.map(({ opening, from, to }) => ({
    opening,
    half: face.halves[0]!,
    near: from,
    far: to,
  }));
  return `${markInWords(a, stands)} to ${markInWords(b, stands)}`;
}

/** The marks where a distance begins and ends, mm along the face. */
export const spotEnds = (face: WallFace, { a, b }: Spot) => ({ from: placeOf(face, a), to: placeOf(face, b) });

/** The chosen wall is read along from its first mark on. */
export const readAlong =
  (way: GapWay): Command =>
  (dispatch, getState) => {
    const face = selectFace(getState());
    if (!face) return;
    dispatch(planActions.selected({ kind: 'wall', face: face.key }));
    dispatch(planActions.readAlong({ way, at: 0 }));
  };

/** One mark on: after a reading, or to leave one out. */
export const nextAlong: Command = (dispatch, getState) => {
  const { readingAlong } = getState().plan;
  const face = selectFace(getState());
  if (!readingAlong || !face) return;
  const { way, at } = readingAlong;
  const count = gapSequence(
    face.openings.map(({ opening }) => opening.id),
    way,
  ).length;
  const { notice } = getState().plan;
  dispatch(planActions.readAlong(at + 1 < count ? { way, at: at + 1 } : null));
  if (at + 1 < count) return;
  const floor = selectFloor(getState());
  // what does not add up stands at the foot as long as the wall is chosen
  const found = floor && misclosureAlong(floor, face);
  const fine = { text: 'It adds up along this wall.', tone: 'said' } as const;
  dispatch(planActions.said(found ? null : (notice ?? fine)));
};

/** What does not add up along a wall; null when it does, or nothing was read along it. */
export function misclosureAlong(
  floor: DerivedFloor,
  face: WallFace,
): { misclosure: GapMisclosure; words: string } | null {
  const gaps = floor.gaps.filter(({ from, to }) => from === face.from && to === face.to);
  if (gaps.length === 0) return null;
  const { plan, network } = floor;
  const run = gapRun(network, face.from, face.to, floor.openings);
  if (!run) return null;
  const wall = wallRead(floor.readings, face);
  const misclosure = gapMisclosure(run, readOn(run, gaps), wall);
  return (
    misclosure && { misclosure, words: gapMisclosureInWords(misclosure, run, wall?.value ?? null, plan.job.units) }
  );
}

/** The wall is read along from this reading on, the way it was read before. */
export const readAgain =
  ({ from, to, a, b }: GapReading): Command =>
  (dispatch, getState) => {
    const floor = selectFloor(getState());
    const face = floor?.rooms.flatMap(({ faces }) => faces).find((each) => each.from === from && each.to === to);
    if (!face) return;
    const openings = face.openings.map(({ opening }) => opening.id);
    const same = JSON.stringify([a, b]);
    for (const way of ['left', 'right', 'gaps'] as const) {
      const at = gapSequence(openings, way).findIndex((spot) => JSON.stringify([spot.a, spot.b]) === same);
      if (at < 0) continue;
      dispatch(planActions.listed(null));
      dispatch(planActions.selected({ kind: 'wall', face: face.key }));
      dispatch(planActions.readAlong({ way, at }));
      return;
    }
  };
