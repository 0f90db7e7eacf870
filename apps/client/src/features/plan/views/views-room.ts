/** What draws in space comes when it is first wanted. */
type Room = typeof import('./room');

export const ofViews = <N extends keyof Room>(name: N): Promise<{ default: Room[N] }> =>
  import('./room').then((own) => ({ default: own[name] }));
