import type { Command, RootState } from '../../../store/store';
import { roomsCome } from '../../../core-later/come';
import type { ChosenKind, Of } from '../chosen/chosen-kind';
import { planActions } from '../plan-slice';
import type { Bench, Tool } from '../tools/tool';
import { viewActions } from '../view-slice';

/** What of notes comes later: how they are put on the plan, and what is done with a chosen one. */
export interface NotesRoom {
  readonly notesTool: (bench: Bench) => Tool;
  readonly chosenNote: Required<Pick<ChosenKind<Of<'note'>>, 'fields' | 'typed' | 'remove' | 'nudge'>>;
}

let room: NotesRoom | null = null;

type Parts = Omit<typeof import('./room'), keyof NotesRoom>;

/** A part of what is shown of notes. */
export const ofNotes = <N extends keyof Parts>(name: N): Promise<{ default: Parts[N] }> =>
  import('./room').then((own) => ({ default: own[name] }));

/** Has this plan something written on it, or is something about to be? */
export const wantsNotes = ({ plan: { plan, tool } }: RootState): boolean =>
  plan !== null &&
  (tool === 'notes' ||
    [plan.dimensions, plan.annotations].some((all) => Object.keys(all).length > 0) ||
    Object.values(plan.rooms).some(({ hatch }) => hatch) ||
    Object.values(plan.walls).some(({ hatch }) => hatch));

export const bringNotes: Command = (dispatch) => {
  if (room) return;
  void roomsCome()
    .then(() => import('./room'))
    .then((own) => {
      room = own;
      dispatch(viewActions.notesCame());
    })
    .catch(() => {
      const text =
        'What is written on the plan could not be fetched. Without a connection it may not be on the device yet: it is kept, and shows when the plan is opened again.';
      dispatch(planActions.said({ text, tone: 'refused' }));
    });
};

/** The tool of notes; until they are there it does nothing. */
export function notesTool(bench: Bench): Tool {
  let own: Tool | null = null;
  const tool = () => (own ??= room?.notesTool(bench) ?? null);
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

const nothing: Command = () => undefined;

export const noteKind: ChosenKind<Of<'note'>> = {
  fields: (state, chosen) => room?.chosenNote.fields(state, chosen) ?? [],
  typed: (state, field, read, chosen) => room?.chosenNote.typed(state, field, read, chosen) ?? null,
  remove: (chosen) => room?.chosenNote.remove(chosen) ?? nothing,
  nudge: (chosen, dx, dy) => room?.chosenNote.nudge(chosen, dx, dy) ?? nothing,
};
