import type { Opening, OpeningKind } from '../plan/plan';

const LETTER: Record<OpeningKind, string> = { door: 'D', window: 'W', opening: 'O' };

/** What an opening is called on the plan and in the schedule: D1, W2, O1. */
export const labelOf = ({ kind, number }: Pick<Opening, 'kind' | 'number'>): string => `${LETTER[kind]}${number}`;
