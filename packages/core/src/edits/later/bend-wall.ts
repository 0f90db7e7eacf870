import { edit } from '../edit';
import { bulgeOfLength, bulgeOfRadius } from './bulges';
import { type Point, bulgeOfSagitta, distance, partOf, courseOf } from '../../geometry';
import { type Draft, Refusal } from '../../plan/draft';
import { type Id, isOfBend, type Value } from '../../plan/plan';
import { formatLength } from '../../units';
import type { FaceRun } from '../../rooms';
import { networkOfFloor, roomOutline, freeRuns } from '../../rooms';
import { type HalfWall, cellsOf } from '../../walls';
import { putReading } from '../readings';
import { requireFace } from '../require';
import { settle } from '../settle';

/** A wall bends to a half circle and no more. */
const MOST = 1;
/** Rounds until the inner face has the size that was typed; it is met at once unless joints move with the bend. */
const ROUNDS = 12;

export interface BendWall {
  readonly kind: 'bendWall';
  readonly floor: Id;
  readonly face: string;
  readonly by: 'sagitta' | 'radius' | 'length';
  /** mm, of the inside face */
  readonly value: number;
  readonly way: 'out' | 'in';
  /** It was measured: a reading is kept of it. */
  readonly read?: Value;
}

/**
 * A wall becomes an arc between its corners, by the size of its inside face: how far it bows (sagitta), its radius, or
 * its length along the arc; out of the room or into it. A sagitta of 0 makes it straight again.
 */
export function bendWall(draft: Draft, intent: BendWall): void {
  const { floor, by, value, way, read } = intent;
  const face = requireFace(draft, floor, intent.face);
  if (!(value >= 0) || value > 1e6) throw new Refusal('A bend is measured in lengths under a kilometre.');
  const sign = way === 'out' ? 1 : -1;
  const [a, b] = [draft.corners[face.from]!, draft.corners[face.to]!];
  const wanted = (chord: number): number => {
    if (by === 'sagitta') return bulgeOfSagitta(chord, value);
    const bulge = by === 'radius' ? bulgeOfRadius(chord, value) : bulgeOfLength(chord, value);
    if (bulge === null) throw new Refusal(tooSmall(by, chord, draft));
    return bulge;
  };
  let bulge = sign * wanted(distance(face.a, face.b));
  let changed = bendRun(draft, floor, face, a, b, bulge);
  for (let round = 0; round < ROUNDS && bulge !== 0; round += 1) {
    const run = runBetween(draft, floor, face.halves[0]!);
    if (!run) break;
    const off = sign * wanted(distance(run.a, run.b)) - run.bulge;
    if (Math.abs(off) * run.length < 0.01) break;
    bulge += off;
    changed = bendRun(draft, floor, face, a, b, bulge);
  }
  const loosened = readAcross(draft, floor, face, bulge !== 0);
  const { from, to } = face;
  const kind = by === 'length' ? 'arc' : by;
  if (read && bulge !== 0) putReading(draft, floor, { kind, face: 'inside', from, to, via: [] }, read);
  settle(draft, floor, {
    changed,
    keepRooms: true,
    loosened,
    ...(read && bulge !== 0 && { adjust: { stay: [from] } }),
  });
}

/** What was taped along the wall is now taped straight across it, and the other way round; a straight wall has no bend to read: those given up. */
function readAcross(draft: Draft, floor: Id, { from, to }: FaceRun, across: boolean): Id[] {
  const loosened: Id[] = [];
  const [was, is] = across ? (['length', 'chord'] as const) : (['chord', 'length'] as const);
  for (const reading of draft.on('readings', floor)) {
    const here = (reading.from === from && reading.to === to) || (reading.from === to && reading.to === from);
    if (here && reading.kind === was) draft.put('readings', { ...reading, kind: is });
    if (here && !across && isOfBend(reading)) loosened.push(reading.id);
  }
  for (const id of loosened) draft.drop('readings', id);
  return loosened;
}

function tooSmall(by: 'radius' | 'length', chord: number, draft: Draft): string {
  const across = formatLength(chord, draft.job.units);
  return by === 'radius'
    ? `The wall is ${across} straight across: its radius is at least half of that.`
    : `The wall is ${across} straight across: along the arc it can't be shorter.`;
}

/** All walls of the run onto one arc from a to b; corners between them move along with it. */
function bendRun(draft: Draft, floor: Id, face: FaceRun, a: Point, b: Point, bulge: number): Id[] {
  if (Math.abs(bulge) > MOST + 1e-6)
    throw new Refusal(
      `A wall bends to a half circle at most: ${formatLength(distance(a, b) / 2, draft.job.units)} here.`,
    );
  const arc = courseOf(a, b, bulge);
  const { radius } = arc.arc ?? { radius: Infinity };
  const inner = Math.max(...face.halves.map((half) => (bulge > 0 ? half.right : half.left)));
  if (radius - inner < 10) throw new Refusal('The wall is too thick for so tight a bend.');
  const total = face.halves.reduce((sum, half) => sum + half.course.length, 0);
  let before = 0;
  const changed = new Set<Id>();
  for (const [i, half] of face.halves.entries()) {
    const from = (before / total) * arc.length;
    before += half.course.length;
    const to = (before / total) * arc.length;
    const part = partOf(arc, from, to);
    if (i + 1 < face.halves.length) draft.moveCorner(half.to, part.b);
    const wall = draft.walls[half.wall.id]!;
    draft.put('walls', { ...wall, bulge: half.forward ? part.bulge : 0 - part.bulge });
    for (const other of draft.on('walls', floor)) {
      if (other.start === half.to || other.end === half.to) changed.add(other.id);
    }
    changed.add(wall.id);
  }
  return [...changed];
}

/** The face on the same side of the same wall as the draft has it now. */
function runBetween(draft: Draft, floor: Id, { wall, forward }: HalfWall): FaceRun | null {
  const network = networkOfFloor(draft, floor);
  const runs = [...cellsOf(network).flatMap((cell) => roomOutline(network, cell).runs), ...freeRuns(network)];
  return runs.find((run) => run.halves.some((half) => half.wall.id === wall.id && half.forward === forward)) ?? null;
}

export const bendWallEdits = {
  bendWall: edit<BendWall>('bend wall', bendWall),
};
