/** The room one asked to stand in from the plan. */
let wanted: string | null = null;
export const askToStandIn = (room: string): void => {
  wanted = room;
};
export const wantedRoom = (): string | null => wanted;
/** It is known where it was to be known. */
export const isKnown = (): void => {
  wanted = null;
};
