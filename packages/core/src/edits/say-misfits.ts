import { misfitsOf } from '../openings';
import type { Draft } from '../plan/draft';
import { type Id, type Opening, openingsOn } from '../plan/plan';
import { networkBefore, networkOfFloor } from '../rooms';
import type { Network } from '../walls';

/** Doors and windows that fitted their wall and no longer do are kept, and said. */
export function sayMisfits(draft: Draft, floor: Id): void {
  const openings = draft.openingsOf(floor);
  if (openings.length === 0) return;
  const now = misfitting(networkOfFloor(draft, floor), openings);
  if (now.length === 0) return;
  const before = new Set(misfitting(networkBefore(draft, floor), openingsOn(draft.before, floor)).map(({ id }) => id));
  const fresh = now.filter(({ id }) => !before.has(id)).map(({ label }) => label);
  if (fresh.length === 1) draft.notes.push(`${fresh[0]} no longer fits where it stands.`);
  else if (fresh.length > 1)
    draft.notes.push(`${fresh.slice(0, -1).join(', ')} and ${fresh.at(-1)} no longer fit where they stand.`);
}

const misfitting = (network: Network, openings: readonly Opening[]): Opening[] =>
  openings.filter((opening) => misfitsOf(network, opening, openings).length > 0);
