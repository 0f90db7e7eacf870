import type { Opening } from '../plan/plan';

/** What a door or a window is called on the plan and in the schedule: D1, W2. */
export const labelOf = ({ kind, number }: Pick<Opening, 'kind' | 'number'>): string =>
  `${kind === 'door' ? 'D' : 'W'}${number}`;
