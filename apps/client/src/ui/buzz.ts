/** Felt in the hand where a device can: something was taken in. */
export const buzz = (): void => {
  globalThis.navigator?.vibrate?.(15);
};
