import {
  type Ring,
  type RingPoint,
  deriveFloor,
  distance,
  floorBeside,
  followedBetween,
  followedOn,
  isOnOutline,
  outlinesOf,
  ringsBox,
} from '@velvet-tape/core';
import type { AppDispatch, Command, RootState } from '../../../store/store';
import { takeTool } from '../commands';
import { planActions } from '../plan-slice';
import { viewActions } from '../view-slice';
import { closeOutline } from './commands';
import { type PathProposal, newPath, withCorner } from './path';

/** The outlines of the floor below, of the lowest those of the one above, that an outline can be drawn along. */
export function outlinesBeside(state: RootState): readonly Ring[] {
  const { plan, floor } = state.plan;
  if (!plan || !Object.hasOwn(plan.floors, floor)) return [];
  const beside = floorBeside(plan, floor, 'below') ?? floorBeside(plan, floor, 'above');
  return beside ? outlinesOf(deriveFloor(plan, beside.id).network) : [];
}

const withPoints = (path: PathProposal, points: readonly RingPoint[]): PathProposal => ({
  ...path,
  points,
  lengths: points
    .slice(1)
    .map((_, i) => (i < path.lengths.length && i < points.length - 1 ? (path.lengths[i] ?? null) : null)),
  towards: null,
});

function follow(dispatch: AppDispatch, path: PathProposal): void {
  dispatch(planActions.proposed(path));
  dispatch(planActions.fieldChosen(null));
}

/** Begins at a corner of the outline of the floor below, or goes on along it by one corner; come round to where it began it is closed. */
export const followOn: Command = (dispatch, getState) => {
  const outlines = outlinesBeside(getState());
  const { proposal, choices } = getState().plan;
  if (proposal?.kind !== 'path' || proposal.points.length === 0) {
    const first = outlines[0]?.[0];
    if (!first) {
      dispatch(planActions.said({ text: 'There is no other floor to follow.', tone: 'refused' }));
      return;
    }
    dispatch(takeTool('corners'));
    dispatch(planActions.proposed(withCorner(newPath(choices.chalk), first)));
    dispatch(viewActions.crosshairShown(false));
    // no length is asked for: where it goes is told by the floor below
    dispatch(planActions.fieldChosen(null));
    dispatch(viewActions.fitted({ box: ringsBox(outlines) }));
    return;
  }
  const points = followedOn(outlines, proposal.points);
  if (!points) {
    dispatch(
      planActions.said({
        text: 'The last corner is at no corner of the floor below. Go to one first.',
        tone: 'refused',
      }),
    );
    return;
  }
  if (points.length > 3 && distance(points.at(-1)!, points[0]!) < 1) {
    // its last edge may be bent, as the outline is
    dispatch(planActions.proposed(withPoints(proposal, points.slice(0, -1))));
    dispatch(closeOutline);
  } else follow(dispatch, withPoints(proposal, points));
};

/** It begins at the next corner of the outline instead. */
export const beginFurther: Command = (dispatch, getState) => {
  const { proposal } = getState().plan;
  if (proposal?.kind !== 'path' || proposal.points.length !== 1) return;
  const points = followedOn(outlinesBeside(getState()), proposal.points);
  if (points)
    follow(
      dispatch,
      withPoints(
        proposal,
        points.slice(-1).map(({ x, y }) => ({ x, y })),
      ),
    );
};

/** The last leg, from one corner of the floor below to another, goes along its outline: by fewer corners, or the other way round. */
export const followBetween =
  (other: boolean): Command =>
  (dispatch, getState) => {
    const { proposal } = getState().plan;
    if (proposal?.kind !== 'path') return;
    const points = followedBetween(outlinesBeside(getState()), proposal.points, other);
    if (points) follow(dispatch, withPoints(proposal, points));
  };

/** What of following can be done with what is drawn. */
export function followsOf(
  outlines: readonly Ring[],
  { points }: PathProposal,
): { on: boolean; further: boolean; between: boolean } {
  const last = points.at(-1);
  const on = last !== undefined && isOnOutline(outlines, last);
  return {
    on,
    further: on && points.length === 1,
    between: on && (followedBetween(outlines, points, false)?.length ?? 0) > points.length,
  };
}
