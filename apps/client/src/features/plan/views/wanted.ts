/** The room one asked to stand in from the plan; taken once. */
let wanted: string | null = null;
export const askToStandIn = (room: string): void => {
  wanted = room;
};
export function takeWanted(): string | null {
  const room = wanted;
  wanted = null;
  return room;
}
