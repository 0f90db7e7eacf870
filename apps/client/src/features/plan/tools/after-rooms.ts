import { roomsAreHere, roomsCome } from '../../../core-later/come';
import type { Bench, Tool } from './tool';
import { toolToCome } from './tool-to-come';

/** A tool whose edits come later. What could not come is said by the edit. */
export const afterRooms =
  (make: (bench: Bench) => Tool) =>
  (bench: Bench): Tool => {
    const tool = make(bench);
    const given = () => tool;
    return toolToCome(
      bench,
      { now: () => (roomsAreHere() ? tool : null), comes: () => roomsCome().then(given, given) },
      '',
    );
  };
