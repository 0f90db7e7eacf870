import { recall, remember } from '../../ui/remembered';

const KEY = 'hand';

/** The hand the device is worked with, as it was last said. */
export const keptLeft = (): boolean => recall(KEY) === 'left';

export const keepLeft = (left: boolean): void => remember(KEY, left ? 'left' : 'right');
