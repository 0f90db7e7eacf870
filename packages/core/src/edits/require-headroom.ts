import { extremes, piecesOfRoom } from '../ceilings';
import { deriveFloor } from '../derived';
import { type Draft, Refusal } from '../plan/draft';
import type { Id } from '../plan/plan';
import { formatLength } from '../units';

/** What is lower than this everywhere is no room, mm. */
const LEAST_HEADROOM = 300;

/** Refuses a ceiling under which nobody could even crawl. */
export function requireHeadroom(draft: Draft, floor: Id): void {
  const before = new Map(deriveFloor(draft.before, floor).rooms.map((each) => [each.room.id, each.ceiling]));
  for (const { room, ceiling, outline } of deriveFloor(draft.plan(), floor).rooms) {
    if (ceiling.level || before.get(room.id) === ceiling) continue;
    const { highest } = extremes(piecesOfRoom(ceiling, outline.rings));
    if (highest >= LEAST_HEADROOM) continue;
    throw new Refusal(
      `That leaves no headroom anywhere in ${room.name || 'the room'}: it would be ${formatLength(Math.max(0, highest), draft.job.units)} at its highest.`,
    );
  }
}
