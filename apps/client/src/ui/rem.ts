import { Platform } from 'react-native';

/** How much larger than usual a person has chosen to read. */
export const lettering = (): number =>
  Platform.OS === 'web' ? parseFloat(getComputedStyle(document.documentElement).fontSize) / 16 : 1;

/** A width that grows with the size of lettering a person has chosen in the browser, so that what is written in it has room: so many px at the usual size. */
export const rem = (px: number): number => (Platform.OS === 'web' ? (`${px / 16}rem` as unknown as number) : px);
