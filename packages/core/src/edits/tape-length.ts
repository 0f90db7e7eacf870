import { type Draft, Refusal } from '../plan/draft';
import { networkOfFloor } from '../rooms';
import { runOfReading } from '../walls';
import type { Intent } from './intent';
import { requirePositive } from './require';
import { settle } from './settle';

/** A length read on site goes into the plan, and the floor is fitted to it. */
export function tapeLength(draft: Draft, intent: Extract<Intent, { kind: 'tapeLength' }>): void {
  requirePositive(intent.value, 'A length');
  const { floor, from, to, value, text, unit, time, across = false } = intent;
  const kind = across ? 'chord' : 'length';
  if (!runOfReading(networkOfFloor(draft, floor), { kind, from, to }))
    throw new Refusal('That wall is no longer there.');
  for (const reading of Object.values(draft.readings)) {
    if (reading.kind === kind && reading.from === from && reading.to === to) draft.drop('readings', reading.id);
  }
  const id = draft.newId();
  draft.put('readings', {
    id,
    floor,
    kind,
    face: 'inside',
    from,
    to,
    value,
    text,
    unit,
    instrument: 'tape',
    time,
  });
  settle(draft, floor, { adjust: { stay: [intent.moves === 'to' ? from : to] }, keepRooms: true });
}

export function loosenReading(draft: Draft, { reading }: Extract<Intent, { kind: 'loosenReading' }>): void {
  draft.drop('readings', reading);
}
