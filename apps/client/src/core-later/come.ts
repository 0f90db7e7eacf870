import { fetchedOnce } from '../offline/fetched-once';

let here = false;

/** Are the rooms of the core that come later there? */
export const roomsAreHere = (): boolean => here;

/** The rooms of the core that come later are there. */
export const roomsCome: () => Promise<unknown> = fetchedOnce(() => import('./piece').then(() => (here = true)));
