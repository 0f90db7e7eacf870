let coming: Promise<unknown> | null = null;
let here = false;

/** Are the rooms of the core that come later there? */
export const roomsAreHere = (): boolean => here;

/** The rooms of the core that come later are there; one that could not come is asked for again. */
export const roomsCome = (): Promise<unknown> =>
  (coming ??= import('./piece').then(
    () => (here = true),
    (error: unknown) => {
      coming = null;
      throw error;
    },
  ));
