import { roomsCome } from '../../../core-later/come';
import type { Command } from '../../../store/store';
import { planActions } from '../plan-slice';
import type { Tool } from '../tools/tool';
import { viewActions } from '../view-slice';

/** A part of the plan that is worked with as the rest is, and comes later. */
export interface RoomToCome<R> {
  /** Null until it is there. */
  readonly now: () => R | null;
  /** Fetches it, after the rooms of the core it needs; what is shown is then looked at again. */
  readonly bring: Command;
}

/** `failed`: what is said where it can’t be fetched. */
export function roomToCome<R>(load: () => Promise<R>, failed: string): RoomToCome<R> {
  let room: R | null = null;
  return {
    now: () => room,
    bring: (dispatch) => {
      if (room) return;
      void roomsCome()
        .then(load)
        .then((own) => {
          room = own;
          dispatch(viewActions.roomCame());
        })
        .catch(() => {
          dispatch(planActions.said({ text: failed, tone: 'refused' }));
        });
    },
  };
}

/** The tool of such a part; until that is there it does nothing. */
export function toolToCome(make: () => Tool | null): Tool {
  let own: Tool | null = null;
  const tool = () => (own ??= make());
  return {
    get busy() {
      return tool()?.busy ?? false;
    },
    down: (pointer) => tool()?.down(pointer),
    move: (pointer) => tool()?.move(pointer),
    up: (pointer) => tool()?.up(pointer),
    hover: (pointer) => tool()?.hover?.(pointer),
    cancel: () => tool()?.cancel(),
  };
}
