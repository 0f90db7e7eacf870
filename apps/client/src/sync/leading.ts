/** The one tab of a browser that talks to the server. */
const LOCK = 'velvet-tape-sync';

/**
 * Calls `lead` once this tab is the one that talks to the server: at once, or when the one that does is closed. Where a browser has no locks, as on a
 * page that did not come over a secure connection, every tab leads; they share the device all the same.
 */
export function whenLeading(lead: () => void): void {
  const locks = (globalThis.navigator as Partial<Navigator> | undefined)?.locks;
  if (!locks) lead();
  else
    void locks.request(LOCK, () => {
      lead();
      // held as long as the tab is there
      return new Promise<never>(() => undefined);
    });
}
