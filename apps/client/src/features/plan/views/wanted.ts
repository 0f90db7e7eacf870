/** Where one asked to stand from the plan: in a room, or at a vantage. */
type Wanted = { readonly room: string } | { readonly vantage: string };

let wanted: Wanted | null = null;
export const askToStand = (where: Wanted): void => {
  wanted = where;
};
export const wantedPlace = (): Wanted | null => wanted;
/** It is known where it was to be known. */
export const isKnown = (): void => {
  wanted = null;
};
