/** What draws in space comes when it is first wanted. */
type Room = typeof import('./room');

export const ofViews = <N extends keyof Room>(name: N): Promise<{ default: Room[N] }> =>
  import('./room').then((own) => ({ default: own[name] }));

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
