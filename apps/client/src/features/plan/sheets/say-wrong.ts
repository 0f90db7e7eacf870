import type { AppDispatch } from '../../../store/store';
import { lent } from '../later/lent';

const { inWords, planActions } = lent();

/** Says why something could not be made. */
export const sayWrong =
  (dispatch: AppDispatch) =>
  (error: unknown): void => {
    dispatch(planActions.said({ text: inWords(error), tone: 'refused' }));
  };
