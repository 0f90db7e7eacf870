import type * as core from '@velvet-tape/core/on-loan';

let given: typeof core | null = null;

/** Called once, by whoever has the core, before a room of it that comes later is there. */
export const lendCore = (whole: typeof core): void => {
  given = whole;
};

export const coreLent = (): typeof core => {
  if (!given) throw new Error('A later room of the core came before the core.');
  return given;
};
