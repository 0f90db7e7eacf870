import { NotAPicture } from '../../../pictures/check';
import type { PictureWork } from '../../../pictures/work';
import type { AppDispatch } from '../../../store/store';
import { Offline } from '../../../sync/http';
import { planActions } from '../plan-slice';
import { underlayActions } from './underlay-slice';

let current: PictureWork<unknown> | null = null;

/** Shows that something is being done to a picture until it is, and lets it be stopped. One thing at a time. */
export async function underWay<T>(work: PictureWork<T>, what: string, dispatch: AppDispatch): Promise<T> {
  current?.stop();
  current = work;
  dispatch(underlayActions.working({ what, share: 0 }));
  try {
    return await work.done;
  } finally {
    if (current === work) {
      current = null;
      dispatch(underlayActions.working(null));
    }
  }
}

export const stopWork = (): void => current?.stop();

/** Did the device run out of room? The browser’s store says so by this name. */
const isFull = (error: unknown): boolean => error instanceof Error && /quota/i.test(`${error.name} ${error.message}`);

/** Why something could not be done with a picture, in plain words. */
export const sayTrouble =
  (error: unknown) =>
  (dispatch: AppDispatch): void => {
    const text =
      error instanceof NotAPicture
        ? error.message
        : error instanceof Offline
          ? 'This picture is not on this device yet, and the server can’t be reached.'
          : isFull(error)
            ? 'There is no room left on this device for the picture. Free some, and bring it in again.'
            : 'This picture is broken, or of a kind that can’t be read here.';
    dispatch(planActions.said({ text, tone: 'refused' }));
  };
