import { type TypedLengths, typeLengths } from '../tests/divided-houses';
import { dice } from '../tests/random-floors';

/** Lengths typed in random houses: see `typeLengths`. */
export function typedLengths(count: number, seed: number): TypedLengths {
  const result: TypedLengths = { typed: 0, refused: 0, unmet: 0, needless: 0, worst: 0, seen: [] };
  for (let i = 0; i < count; i += 1) typeLengths(dice(seed + i), result, String(seed + i));
  return { ...result, seen: result.seen.slice(0, 10) };
}
