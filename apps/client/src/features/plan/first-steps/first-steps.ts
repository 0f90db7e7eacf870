import type { RootState } from '../../../store/store';
import { selectFloor } from '../selectors';

/** What a newcomer is told, each once, when it is of use. */
export interface FirstStep {
  readonly name: string;
  readonly words: string;
  /** It is of use now. */
  readonly when: (state: RootState) => boolean;
  /** It was done: it need not be said any more. */
  readonly done: (state: RootState) => boolean;
}

const walls = (state: RootState): number => selectFloor(state)?.network.walls.length ?? 0;
const taped = ({ plan: { plan } }: RootState): boolean => Object.keys(plan?.readings ?? {}).length > 0;
const resting = ({ plan }: RootState): boolean => plan.proposal === null && plan.naming === null;

const chosen = ({ plan }: RootState, ...kinds: readonly string[]): boolean => kinds.includes(plan.selection.kind);

/** The first minute: a room, its name, the tape, a door. The empty sheet says the first itself. */
export const FIRST_STEPS: readonly FirstStep[] = [
  {
    name: 'name',
    words: 'A room wants a name: tap one of these, or type another. It can wait.',
    when: ({ plan }) => plan.naming !== null,
    done: ({ plan }) => Object.values(plan.plan?.rooms ?? {}).some(({ name }) => name !== ''),
  },
  {
    name: 'tape',
    words: 'Now the tape: tap a wall, type what it reads, Enter. The plan comes true wall by wall.',
    when: (state) => walls(state) > 0 && resting(state) && !taped(state) && chosen(state, 'nothing', 'room'),
    done: taped,
  },
  {
    name: 'door',
    words: 'A door or window: choose its wall, then “Stands in it”.',
    when: (state) => taped(state) && resting(state) && chosen(state, 'nothing', 'wall'),
    done: ({ plan: { plan } }) => Object.keys(plan?.openings ?? {}).length > 0,
  },
];
