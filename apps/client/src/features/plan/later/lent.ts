import type * as Lent from './lent-to-later';

let given: typeof Lent | null = null;

/** Called once, by the piece of the application that has the plan. */
export const lend = (parts: typeof Lent): void => {
  given = parts;
};

/**
 * What a part that comes later has of the plan. It must not import it: whatever two pieces of the application import, the bundler puts into the first page,
 * and the plan with all it needs is half of everything.
 */
export const lent = (): typeof Lent => {
  if (!given) throw new Error('A part of the plan came before the plan.');
  return given;
};
