import { type EditResult, type Intent, applyEdit, editName, previewEdit } from '@velvet-tape/core';
import { roomsCome } from '../../core-later/come';
import { randomSeed } from '../../store/seed';
import type { AppDispatch, RootState } from '../../store/store';
import { planActions } from './plan-slice';
import type { Offer } from './plan-state';
import { standAt } from './views/stand-at';

/** Which areas are shown is kept with the job, but nobody takes it back as a step of their work. */
const isChoiceOfView = (intent: Intent): boolean =>
  intent.kind === 'changeJob' && Object.keys(intent.details).every((each) => VIEWS.includes(each));
const VIEWS: readonly string[] = ['areaRule', 'besideRule'];

/** Does an edit and says what is to be said. The result tells whether it was done. */
export const edit =
  (intent: Intent, seed = randomSeed(), come = false) =>
  (dispatch: AppDispatch, getState: () => RootState): EditResult => {
    const { plan } = getState().plan;
    if (!plan) return { ok: false, reason: 'No job is open.', inTheWay: null };
    const result = applyEdit(plan, intent, seed);
    if (!result.ok && result.yet && !come) {
      // what does it is on its way: then it is done, or it is said that it could not be had
      const again = () => void dispatch(edit(intent, seed, true));
      roomsCome().then(again, again);
      return result;
    }
    if (!result.ok) {
      dispatch(planActions.previewed(null));
      const { reason, inTheWay } = result;
      const offer = inTheWay !== null &&
        (Object.hasOwn(plan.readings, inTheWay) || Object.hasOwn(plan.gaps, inTheWay)) && {
          kind: 'loosen' as const,
          reading: inTheWay,
          then: intent,
        };
      dispatch(planActions.said({ text: reason, tone: 'refused', ...(offer && { offer }) }));
      return result;
    }
    dispatch(planActions.edited({ plan: result.plan, name: editName(intent), step: !isChoiceOfView(intent) }));
    dispatch(planActions.said(result.notes.length > 0 ? { text: result.notes.join(' '), tone: 'said' } : null));
    return result;
  };

/** Shows what an edit would do, without doing it. */
export const preview =
  (intent: Intent | null, seed: string) =>
  (dispatch: AppDispatch, getState: () => RootState): void => {
    const { plan, floor, preview: last } = getState().plan;
    if (!plan) return;
    if (!intent) {
      dispatch(planActions.previewed(null));
      return;
    }
    const { result, near } = previewEdit(plan, floor, intent, seed);
    if (result.ok) dispatch(planActions.previewed({ plan: result.plan, near, reason: null, doing: { intent, seed } }));
    else dispatch(planActions.previewed({ ...(last ?? { plan, near: null }), reason: result.reason }));
  };

/** Takes up what a notice offers. */
export const takeOffer =
  (offer: Offer) =>
  (dispatch: AppDispatch): void => {
    if (offer.kind === 'look') dispatch(standAt({ vantage: offer.vantage }));
    else if (offer.kind === 'rescale') dispatch(edit({ kind: 'rescale', underlay: offer.underlay }));
    else if (offer.kind === 'walk') {
      dispatch(planActions.toolChosen('walk'));
      dispatch(planActions.proposed(offer.walk));
    } else if (dispatch(edit({ kind: 'loosenReading', reading: offer.reading })).ok) dispatch(edit(offer.then));
  };
