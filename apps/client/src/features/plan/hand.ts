const KEY = 'hand';

/** The hand the device is worked with, as it was last said. */
export const keptLeft = (): boolean => globalThis.localStorage?.getItem(KEY) === 'left';

export const keepLeft = (left: boolean): void => globalThis.localStorage?.setItem(KEY, left ? 'left' : 'right');
