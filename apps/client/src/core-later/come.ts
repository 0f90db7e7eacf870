let coming: Promise<unknown> | null = null;

/** The rooms of the core that come later are there; one that could not come is asked for again. */
export const roomsCome = (): Promise<unknown> =>
  (coming ??= import('./piece').catch((error: unknown) => {
    coming = null;
    throw error;
  }));
