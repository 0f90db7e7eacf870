const LETTERS = '0123456789abcdefghijklmnopqrstuvwxyz';

/** A short random name, unique among all devices for all practical purposes: for ids of jobs and of what an edit makes. */
export function randomSeed(length = 10): string {
  const bytes = crypto.getRandomValues(new Uint8Array(length));
  return Array.from(bytes, (byte) => LETTERS[byte % LETTERS.length]).join('');
}
