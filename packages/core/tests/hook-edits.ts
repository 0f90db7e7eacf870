import { type Draft, Refusal } from '../src';
import { edit } from '../src/edits/edit';
import { requireFace } from '../src/edits/require';
import type { Hook } from './hook-kind';

export interface PutUpHook {
  readonly kind: 'putUpHook';
  readonly floor: string;
  readonly face: string;
  readonly offset: number;
}

function putUpHook(draft: Draft, { floor, face, offset }: PutUpHook): string {
  const { halves, length } = requireFace(draft, floor, face);
  if (!(offset >= 0 && offset <= length)) throw new Refusal('A hook hangs on its wall.');
  const { wall, forward } = halves[0]!;
  const made = draft.newId();
  const hook: Hook = {
    id: made,
    wall: wall.id,
    anchor: forward ? 'start' : 'end',
    side: forward ? 'right' : 'left',
    offset,
    reach: 60,
    note: '',
  };
  draft.put('hooks' as never, hook as never);
  return made;
}

export const hookEdits = { putUpHook: edit<PutUpHook>('coat hook', putUpHook) };
