/** What this device remembers under a name; null where it does not, or a browser keeps nothing. */
export function recall(key: string): string | null {
  try {
    return globalThis.localStorage?.getItem(key) ?? null;
  } catch {
    return null;
  }
}

export function remember(key: string, text: string): void {
  try {
    globalThis.localStorage?.setItem(key, text);
  } catch {
    // a browser that keeps nothing begins as usual next time
  }
}
