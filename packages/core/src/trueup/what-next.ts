import type { Id, Place, Reading } from '../plan/plan';
import type { HalfWall } from '../walls';
import type { Survey } from './survey';

interface Faces {
  readonly faces: readonly {
    readonly from: Id;
    readonly to: Id;
    readonly bulge: number;
    readonly halves: readonly HalfWall[];
    readonly reading: Reading | null;
  }[];
}

const lengthAlong = (from: Id, to: Id): Place => ({ kind: 'length', face: 'inside', from, to, via: [] });

/** The diagonals of a room: from each inside corner to every one that is not next to it. */
export function diagonalsOf({ faces }: Faces): Place[] {
  const n = faces.length;
  const list: Place[] = [];
  for (let i = 0; i < n; i += 1) {
    for (let j = i + 2; j < n && !(i === 0 && j === n - 1); j += 1) list.push(diagonalBetween(faces[i]!, faces[j]!));
  }
  return list;
}

/** The diagonal between the inside corners where two faces of a room begin. */
export const diagonalBetween = (
  one: { readonly halves: readonly HalfWall[] },
  two: { readonly halves: readonly HalfWall[] },
): Place => ({
  kind: 'diagonal',
  face: 'inside',
  from: one.halves[0]!.from,
  to: two.halves[0]!.from,
  via: [one.halves[0]!.to, two.halves[0]!.to],
});

/** A reading that would not bring the lengths of the room nearer than this share of what they are known to is not worth the way. */
const WORTH = 0.9;
/** Known as well as this on the whole, mm, a room needs nothing more. */
const WELL = 6;

/**
 * The one further reading of a room that would make it most certain: usually a wall not taped yet, then a diagonal. Null
 * when nothing would help much, or nothing was read yet.
 */
export function whatNext(
  survey: Survey,
  room: Faces,
): { readonly place: Place; readonly before: number; readonly after: number } | null {
  const straight = room.faces.filter((face) => face.bulge === 0);
  const targets = [...straight.map(({ from, to }) => lengthAlong(from, to)), ...diagonalsOf(room).slice(0, 2)];
  const open = straight.filter((face) => !face.reading).map(({ from, to }) => lengthAlong(from, to));
  const taken = new Set(
    survey.readings.filter(({ kind }) => kind === 'diagonal').map(({ from, to }) => [from, to].sort().join()),
  );
  const diagonals = diagonalsOf(room)
    .filter(({ from, to }) => !taken.has([from, to].sort().join()))
    .slice(0, 40);
  const found = survey.bestOf([...open, ...diagonals], targets);
  if (!found) return null;
  const mean = (variance: number) => Math.sqrt(Math.max(0, variance) / targets.length);
  if (mean(found.before) < WELL || found.after > WORTH * found.before) return null;
  return { place: found.best, before: mean(found.before), after: mean(found.after) };
}
