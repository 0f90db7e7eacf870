import { roomsCome } from '../../../core-later/come';
import { fetchedOnce } from '../../../offline/fetched-once';
import type { Command } from '../../../store/store';
import { planActions } from '../plan-slice';
import { toolToCome } from '../tools/tool-to-come';
import type { Bench, Tool } from '../tools/tool';
import { viewActions } from '../view-slice';

/** A part of the plan that is worked with as the rest is, and comes later. */
export interface RoomToCome<R> {
  /** Null until it is there. */
  readonly now: () => R | null;
  /** Fetches it, after the rooms of the core it needs; what is shown is then looked at again. */
  readonly bring: Command;
  /** Its tool, which may be used before it is there. */
  readonly tool: (make: (room: R, bench: Bench) => Tool) => (bench: Bench) => Tool;
}

/** `failed`: what is said where it can’t be fetched. */
export function roomToCome<R>(load: () => Promise<R>, failed: string): RoomToCome<R> {
  let room: R | null = null;
  // whoever shows it is told, also where a tap has fetched it that could not come before
  let tell = () => {};
  const comes = fetchedOnce(async () => {
    await roomsCome();
    room = await load();
    tell();
    return room;
  });
  return {
    now: () => room,
    bring: (dispatch) => {
      if (room) return;
      tell = () => void dispatch(viewActions.roomCame());
      comes().catch(() => dispatch(planActions.said({ text: failed, tone: 'refused' })));
    },
    tool: (make) => (bench) => {
      let own: Tool | null = null;
      const now = () => (own ??= room && make(room, bench));
      return toolToCome(bench, { now, comes: () => comes().then(() => now()!) }, failed);
    },
  };
}
