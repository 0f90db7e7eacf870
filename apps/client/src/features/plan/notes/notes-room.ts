import type { Command, RootState } from '../../../store/store';
import type { ChosenKind, Of } from '../chosen/chosen-kind';
import { roomToCome } from '../later/room-to-come';
import type { Bench, Tool } from '../tools/tool';

/** What of notes comes later: how they are put on the plan, and what is done with a chosen one. */
export interface NotesRoom {
  readonly notesTool: (bench: Bench) => Tool;
  readonly chosenNote: Required<Pick<ChosenKind<Of<'note'>>, 'fields' | 'typed' | 'remove' | 'nudge'>>;
}

const room = roomToCome<NotesRoom>(
  () => import('./room'),
  'What is written on the plan could not be fetched. Without a connection it may not be on the device yet: it is kept, and shows when the plan is opened again.',
);
export const bringNotes = room.bring;

type Parts = Omit<typeof import('./room'), keyof NotesRoom>;

/** A part of what is shown of notes. */
export const ofNotes = <N extends keyof Parts>(name: N): Promise<{ default: Parts[N] }> =>
  import('./room').then((own) => ({ default: own[name] }));

/** Has this plan something written on it, is it dressed, looked at from somewhere, or is something about to be? */
export const wantsNotes = ({ plan: { plan, tool } }: RootState): boolean =>
  plan !== null &&
  (tool === 'notes' ||
    [plan.dimensions, plan.annotations, plan.finishes, plan.vantages].some((all) => Object.keys(all).length > 0) ||
    Object.values(plan.rooms).some(({ hatch }) => hatch) ||
    Object.values(plan.walls).some(({ hatch }) => hatch));

export const notesTool = room.tool((own, bench) => own.notesTool(bench));

const nothing: Command = () => undefined;

export const noteKind: ChosenKind<Of<'note'>> = {
  fields: (state, chosen) => room.now()?.chosenNote.fields(state, chosen) ?? [],
  typed: (state, field, read, chosen) => room.now()?.chosenNote.typed(state, field, read, chosen) ?? null,
  remove: (chosen) => room.now()?.chosenNote.remove(chosen) ?? nothing,
  nudge: (chosen, dx, dy) => room.now()?.chosenNote.nudge(chosen, dx, dy) ?? nothing,
};
