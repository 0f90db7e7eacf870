import { type DerivedFloor, type WallFace, standOnFace } from '../../derived';
import { type Course, type Point, alongOf, courseOf, headingAt, offOf, pointAt } from '../../geometry';
import type { PieceStand } from '../../plan/plan';
import type { Guide } from '../../snapping';
import { pieceKindOf } from '../catalogue';
import type { PieceOnFloor } from '../on-floor';
import { backsAt } from './backs';
import { type Placed, type Placing, type Standing, inSteps } from './placing';

/** A new piece turns to a wall that is no farther from its back, mm. */
export const NEAR_WALL = 900;

/** The face a piece turns its back to: of the space it is in, the nearest that is long enough. */
export function faceBehindPiece(
  derived: DerivedFloor,
  it: Standing,
  at: Point,
  { reach, fresh }: Placing,
): WallFace | null {
  const catches = fresh ? NEAR_WALL + reach : Math.max(1.2 * reach, 150);
  let best: { face: WallFace; off: number } | null = null;
  for (const face of backsAt(derived, at)) {
    if (it.width > face.length + 0.5) continue;
    const along = alongOf(face.course, at);
    if (along < -it.width / 2 || along > face.length + it.width / 2) continue;
    const off = Math.abs(offOf(face.course, at)) - it.depth / 2 - it.gap;
    if (off <= catches && (!best || off < best.off)) best = { face, off };
  }
  return best?.face ?? null;
}

/** A place along a wall catches from nearer than a wall does: several of them are in a finger’s reach. */
export const CATCH = 0.5;

interface Catch {
  readonly from: number;
  readonly word: Guide['word'];
  /** Where several would do, the lower holds. */
  readonly rank: number;
}

export function alongFace(derived: DerivedFloor, face: WallFace, it: Standing, at: Point, how: Placing): Placed {
  const { network } = derived;
  const built = builtOn(derived, face, it);
  const between = gapAt(built, alongOf(face.course, at), face.length);
  const front = !between && built.find(({ from, to }) => within(alongOf(face.course, at), from, to))!.front;
  if (front) return beforeSolid(front, it, at, how);
  const stretch = between && between.to - between.from >= it.width - 0.5 ? between : { from: 0, to: face.length };
  const back: Back = {
    ...{ course: face.course, stretch, openings: face.openings },
    taken: [...built, ...neighboursOn(face.course, it, how.others)].sort((a, b) => a.from - b.from),
    stand: (from) => ({ ...standOnFace(network, face, from, it.width), quarter: 0 }),
  };
  return alongBack(back, it, at, how);
}

/** Before a chimney breast, or a pier, that is narrower or wider than the piece: it stands free, its back to it. */
function beforeSolid(front: Course, it: Standing, at: Point, how: Placing): Placed {
  const room = Math.max(0, it.width - front.length);
  const { x, y } = headingAt(front, 0);
  const turn = ((Math.atan2(y, x) * 180) / Math.PI + 360) % 360;
  const back: Back = {
    ...{ course: front, stretch: { from: -room, to: front.length + room }, openings: [] },
    taken: neighboursOn(front, it, how.others),
    stand: (from) => ({ kind: 'free', ...pointAt(front, from + it.width / 2, it.gap + it.depth / 2), turn }),
  };
  return alongBack(back, it, at, how);
}

/** A line that something can turn its back to, and what is on it. mm along it. */
interface Back {
  readonly course: Course;
  /** Where it may stand. */
  readonly stretch: Stretch;
  readonly taken: readonly Stretch[];
  readonly openings: readonly Stretch[];
  readonly stand: (from: number) => PieceStand;
}

function alongBack({ course, stretch, taken, openings, stand }: Back, it: Standing, at: Point, how: Placing): Placed {
  const wide = it.width;
  const [least, most] = [stretch.from, Math.max(stretch.from, stretch.to - wide)];
  const wanted = alongOf(course, at) - wide / 2;
  const gap = gapAt(taken, wanted + wide / 2, course.length);
  const offered: readonly Catch[] = [
    { from: least, word: 'corner', rank: 0 },
    { from: most, word: 'corner', rank: 0 },
    { from: (course.length - wide) / 2, word: 'middle of wall', rank: 0.3 },
    ...taken.flatMap(({ from, to }): Catch[] => [
      { from: to, word: 'piece', rank: 0 },
      { from: from - wide, word: 'piece', rank: 0 },
    ]),
    ...(gap ? [{ from: (gap.from + gap.to - wide) / 2, word: 'equal gaps' as const, rank: 0.25 }] : []),
    ...openings.map(({ from, to }): Catch => ({
      from: (from + to - wide) / 2,
      word: 'middle of opening',
      rank: 0.1,
    })),
  ];
  const catches = offered.filter(({ from }) => within(from, least - 0.5, most + 0.5));
  const hold = catches
    .map((each) => ({ ...each, off: Math.abs(each.from - wanted) / (CATCH * how.reach) + each.rank }))
    .filter(({ off, rank }) => off - rank <= 1)
    .sort((a, b) => a.off - b.off)[0];
  const from = Math.min(most, Math.max(least, hold ? hold.from : inSteps(wanted)));
  const on = (mm: number) => pointAt(course, mm, it.gap + it.depth / 2);
  const guides = hold ? [{ word: hold.word, from: on(from), to: on(from + wide) }] : [];
  const corner = pieceKindOf(it.form).corner && (from < least + 1 || from > most - 1) && most > least + 1;
  return { stand: stand(from), guides, ...(corner && { mirrored: from > most - 1 }) };
}

export interface Stretch {
  readonly from: number;
  readonly to: number;
}

export const within = (mm: number, from: number, to: number) => mm >= from && mm <= to;

/** What is built on a face, so deep that the piece would run into it; `front`: where that runs along the face. */
export function builtOn(
  derived: DerivedFloor,
  { course }: WallFace,
  it: Standing,
): (Stretch & { front: Course | null })[] {
  const found = derived.solids.flatMap(({ ring }) => {
    const offs = ring.map((p) => offOf(course, p));
    if (Math.min(...offs) > it.gap + it.depth - 1 || Math.max(...offs) < 1) return [];
    const along = ring.map((p) => alongOf(course, p));
    const [from, to, most] = [Math.min(...along), Math.max(...along), Math.max(...offs)];
    if (to < 0 || from > course.length) return [];
    const isStraight = !course.arc && ring.every(({ bulge }) => !bulge);
    const ahead = ring.filter((_, i) => offs[i]! > most - 1).sort((a, b) => alongOf(course, a) - alongOf(course, b));
    return [{ from, to, front: isStraight && ahead.length > 1 ? courseOf(ahead[0]!, ahead.at(-1)!) : null }];
  });
  return found.sort((a, b) => a.from - b.from);
}

/** What stands along a line already, so deep that the piece would run into it. */
export function neighboursOn(course: Course, it: Standing, others: readonly PieceOnFloor[]): Stretch[] {
  const found: Stretch[] = [];
  for (const { ring, bottom, top, kind } of others) {
    if (kind.passable || bottom >= it.up + it.height - 1 || top <= it.up + 1) continue;
    const offs = ring.map((p) => offOf(course, p));
    if (Math.min(...offs) > it.gap + it.depth - 1 || Math.max(...offs) < -1) continue;
    const along = ring.map((p) => alongOf(course, p));
    found.push({ from: Math.min(...along), to: Math.max(...along) });
  }
  return found.sort((a, b) => a.from - b.from);
}

/** The gap between neighbours, or corners, that a place lies in. */
export function gapAt(taken: readonly Stretch[], at: number, length: number): Stretch | null {
  let from = 0;
  for (const each of taken) {
    if (at < each.from) return { from, to: each.from };
    if (at < each.to) return null;
    from = Math.max(from, each.to);
  }
  return { from, to: length };
}
