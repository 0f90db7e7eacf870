import type { Point } from '../geometry';
import type { Id, Place } from '../plan/plan';
import { diagonalBetween } from '../trueup';
import type { DerivedFloor, DerivedRoom } from './derive-floor';

/** An inside corner of a room with the letter it has while something is measured from it. */
export interface LetteredCorner {
  readonly letter: string;
  readonly corner: Id;
  readonly at: Point;
}

/** The inside corners of a room, lettered clockwise from the one at the top left. */
export function letteredCorners({ faces }: DerivedRoom): readonly LetteredCorner[] {
  const first = firstOf(faces);
  return faces.map((_, i) => {
    const face = faces[(first + i) % faces.length]!;
    return { letter: letterOf(i), corner: face.from, at: face.a };
  });
}

const firstOf = (faces: DerivedRoom['faces']): number =>
  faces.reduce((best, { a }, i) => (a.x + a.y < faces[best]!.a.x + faces[best]!.a.y - 1 ? i : best), 0);

/** A, B, … Z, A2, B2, … */
const letterOf = (i: number): string =>
  String.fromCharCode(65 + (i % 26)) + (i < 26 ? '' : String(1 + Math.floor(i / 26)));

export interface NamedDiagonal {
  readonly room: DerivedRoom;
  /** “A to C” */
  readonly words: string;
  /** The one that crosses it, between the corners next to its own, with its name. */
  readonly other: { readonly place: Place; readonly words: string };
}

/** Which diagonal of which room a place is; null for other places, and across rooms. */
export function namedDiagonal(floor: DerivedFloor, { kind, from, to, via }: Place): NamedDiagonal | null {
  if (kind !== 'diagonal') return null;
  for (const room of floor.rooms) {
    const at = (corner: Id, towards: Id | undefined) =>
      room.faces.findIndex(({ from: own, halves }) => own === corner && (!towards || halves[0]!.to === towards));
    const [i, j] = [at(from, via[0]), at(to, via[1])];
    if (i < 0 || j < 0) continue;
    const { faces } = room;
    const n = faces.length;
    const first = firstOf(faces);
    const word = (one: number, two: number) =>
      [one, two]
        .map((k) => (((k - first) % n) + n) % n)
        .sort((a, b) => a - b)
        .map(letterOf)
        .join(' to ');
    const [p, q] = [(i + 1) % n, (j + 1) % n];
    return {
      room,
      words: word(i, j),
      other: { place: diagonalBetween(faces[p]!, faces[q]!), words: word(p, q) },
    };
  }
  return null;
}
