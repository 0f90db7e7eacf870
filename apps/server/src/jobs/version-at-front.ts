/** Longer than any beginning of a write that names its version. */
const FRONT = 64;

/**
 * The version a write says it was made from, where that is the first thing it says, as the client sends it: then a stale write is told so before its
 * plan is read at all. Null: it has to be read first.
 */
export function versionAtFront(body: Buffer): number | null {
  const [, digits] = /^\s*\{\s*"version"\s*:\s*(\d{1,9})\s*,/.exec(body.toString('latin1', 0, FRONT)) ?? [];
  return digits === undefined ? null : Number(digits);
}
