import { roomsAreHere, roomsCome } from '../../../core-later/come';
import type { Bench, Tool } from './tool';

/** A tool whose edits come later: what a finger does before they are there is done when they are, in its order. What could not come is said by the edit. */
export const afterRooms =
  (make: (bench: Bench) => Tool) =>
  (bench: Bench): Tool => {
    const tool = make(bench);
    let waiting: (() => void)[] = [];
    const flush = () => {
      const all = waiting;
      waiting = [];
      for (const each of all) each();
    };
    const does = (what: () => void) => {
      waiting.push(what);
      if (roomsAreHere()) flush();
      else if (waiting.length === 1) void roomsCome().then(flush, flush);
    };
    return {
      get busy() {
        return tool.busy;
      },
      down: (pointer) => does(() => tool.down(pointer)),
      move: (pointer) => does(() => tool.move(pointer)),
      up: (pointer) => does(() => tool.up(pointer)),
      hover: (pointer) => tool.hover?.(pointer),
      cancel: () => does(() => tool.cancel()),
    };
  };
