import { type DerivedFloor, type WallFace, standOnFace } from '../derived';
import { type Point, alongOf, dot, headingAt, moved, offOf, pointAt, rightOf, subtract } from '../geometry';
import { type Piece, type PieceStand, acrossWall } from '../plan/plan';
import { surfaceContains } from '../rooms';
import type { Guide } from '../snapping';
import { backsAt } from './backs';
import { builtRound, clearFrom } from './clear';
import { type PieceOnFloor, frameAround, inFrame, middleOfPiece, onSheet, turnOfFrame } from './on-floor';
import { pieceKindOf } from './catalogue';

/** Where something comes to stand, and what it was caught by. */
export interface Placed {
  readonly stand: PieceStand;
  readonly guides: readonly Guide[];
  /** What goes into a corner is handed by it; not given: as it is. */
  readonly mirrored?: boolean;
}

/** What is put down. */
export type Standing = Pick<Piece, 'form' | 'width' | 'depth' | 'height' | 'up' | 'gap'>;

export interface Placing {
  /** How far a finger may miss, mm; 0: nothing catches. */
  readonly reach: number;
  /** How it is turned where no wall turns it, degrees. */
  readonly turn: number;
  /** It is new: it goes to the nearest wall even from the middle of a small room. */
  readonly fresh?: boolean;
  /** The other pieces of the floor. */
  readonly others: readonly PieceOnFloor[];
}

/** A new piece turns to a wall that is no farther from its back, mm. */
const NEAR_WALL = 900;
/** Places go in steps of a centimetre, mm. */
const STEP = 10;
const inSteps = (mm: number) => Math.round(mm / STEP) * STEP;

/**
 * Where a piece comes to stand whose middle is held at a point: on another piece where it is small or let in; with its back to the nearest wall, along which it
 * slides, caught by corners, neighbours, middles and equal gaps; else free, in line with what stands there.
 */
export function placePiece(derived: DerivedFloor, it: Standing, at: Point, how: Placing): Placed {
  const { reach, others } = how;
  const under = reach > 0 ? standsOn(it, at, others) : null;
  if (under) return onPiece(under, at, how);
  const face = reach > 0 && pieceKindOf(it.form).back === 'wall' ? faceBehindPiece(derived, it, at, how) : null;
  if (face) return alongFace(derived, face, it, at, how);
  return free(derived, it, at, how);
}

/** A sink or a hob goes on a base unit, what is usually at the height of a table on a table. */
function standsOn(it: Standing, at: Point, others: readonly PieceOnFloor[]): PieceOnFloor | null {
  const kind = pieceKindOf(it.form);
  const over = others.filter((on) => {
    const { x, y } = inFrame(on.frame, at);
    return x >= 0 && x <= on.piece.width && y >= 0 && y <= on.piece.depth;
  });
  const carries = (on: PieceOnFloor) =>
    kind.letIn
      ? on.kind.underWorktop === true
      : on.piece.form !== it.form && it.up >= 250 && it.up < 1150 && Math.abs(on.top - it.up) <= 350 && on.top > 250;
  return over.filter(carries).sort((a, b) => b.top - a.top)[0] ?? null;
}

function onPiece(under: PieceOnFloor, at: Point, { turn }: Placing): Placed {
  const { width, depth } = under.piece;
  const { x, y } = inFrame(under.frame, at);
  const square = Math.round((turn - turnOfFrame(under.frame)) / 90) * 90;
  // near the middle it is in the middle
  const held = (value: number) => (Math.abs(value) < 60 ? 0 : inSteps(value));
  return {
    stand: {
      kind: 'piece',
      piece: under.piece.id,
      x: held(x - width / 2),
      y: held(y - depth / 2),
      turn: pieceKindOf(under.piece.form).underWorktop ? 0 : ((square % 360) + 360) % 360,
    },
    guides: [],
  };
}

/** The face a piece turns its back to: of the space it is in, the nearest that is long enough. */
function faceBehindPiece(derived: DerivedFloor, it: Standing, at: Point, { reach, fresh }: Placing): WallFace | null {
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
const CATCH = 0.5;

interface Catch {
  readonly from: number;
  readonly word: Guide['word'];
  /** Where several would do, the lower holds. */
  readonly rank: number;
}

function alongFace(derived: DerivedFloor, face: WallFace, it: Standing, at: Point, { reach, others }: Placing): Placed {
  const { along: wide } = acrossWall(it, 0);
  const most = Math.max(0, face.length - wide);
  const wanted = alongOf(face.course, at) - wide / 2;
  const taken = neighboursOn(face, it, others);
  const gap = gapAt(taken, wanted + wide / 2, face.length);
  const offered: readonly Catch[] = [
    { from: 0, word: 'corner', rank: 0 },
    { from: most, word: 'corner', rank: 0 },
    { from: most / 2, word: 'middle of wall', rank: 0.3 },
    ...taken.flatMap(({ from, to }): Catch[] => [
      { from: to, word: 'piece', rank: 0 },
      { from: from - wide, word: 'piece', rank: 0 },
    ]),
    ...(gap ? [{ from: (gap.from + gap.to - wide) / 2, word: 'equal gaps' as const, rank: 0.25 }] : []),
    ...face.openings.map(({ from, to }): Catch => ({
      from: (from + to - wide) / 2,
      word: 'middle of opening',
      rank: 0.1,
    })),
  ];
  const catches = offered.filter(({ from }) => from >= -0.5 && from <= most + 0.5);
  const hold = catches
    .map((each) => ({ ...each, off: Math.abs(each.from - wanted) / (CATCH * reach) + each.rank }))
    .filter(({ off, rank }) => off - rank <= 1)
    .sort((a, b) => a.off - b.off)[0];
  const from = Math.min(most, Math.max(0, hold ? hold.from : inSteps(wanted)));
  const stand = standOnFace(derived.network, face, from, wide);
  const on = (mm: number) => pointAt(face.course, mm, it.gap + it.depth / 2);
  const guides = hold ? [{ word: hold.word, from: on(from), to: on(from + wide) }] : [];
  const corner = pieceKindOf(it.form).corner && (from < 1 || from > most - 1) && most > 1;
  return { stand: { ...stand, quarter: 0 }, guides, ...(corner && { mirrored: from > most - 1 }) };
}

interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** What stands along a face already, so deep that the piece would run into it. */
export function neighboursOn(
  face: WallFace,
  it: Pick<Standing, 'depth' | 'gap' | 'height' | 'up'>,
  others: readonly PieceOnFloor[],
): Stretch[] {
  const found: Stretch[] = [];
  for (const { ring, bottom, top, kind } of others) {
    if (kind.passable || bottom >= it.up + it.height - 1 || top <= it.up + 1) continue;
    const offs = ring.map((p) => offOf(face.course, p));
    if (Math.min(...offs) > it.gap + it.depth - 1 || Math.max(...offs) < -1) continue;
    const along = ring.map((p) => alongOf(face.course, p));
    found.push({ from: Math.min(...along), to: Math.max(...along) });
  }
  return found.sort((a, b) => a.from - b.from);
}

/** The gap between neighbours, or corners, that a place lies in. */
function gapAt(taken: readonly Stretch[], at: number, length: number): Stretch | null {
  let from = 0;
  for (const each of taken) {
    if (at < each.from) return { from, to: each.from };
    if (at < each.to) return null;
    from = Math.max(from, each.to);
  }
  return { from, to: length };
}

/** Free: its edges and its middle in line with those of others, its back or a side against a wall, the middle of its room. */
function free(derived: DerivedFloor, it: Standing, at: Point, { reach, turn, others }: Placing): Placed {
  const even = turn % 360;
  const stand = (p: Point): PieceStand => ({ kind: 'free', x: p.x, y: p.y, turn: even });
  if (reach <= 0) return { stand: stand(at), guides: [] };
  const frame = frameAround(at, even, it.width, it.depth);
  const guides: Guide[] = [];
  let middle = at;
  for (const axis of ['x', 'y'] as const) {
    const best = lineUp(derived, it, frame, at, axis, reach, others);
    const d = axis === 'x' ? frame.d : rightOf(frame.d);
    if (!best) {
      // in steps along the sheet where it stands square to it, else along itself
      const now = dot(d, at);
      middle = moved(middle, d, inSteps(now) - now);
      continue;
    }
    middle = moved(middle, d, best.by);
    guides.push(best.guide(middle));
  }
  return { stand: stand(middle), guides };
}

interface LineUp {
  readonly by: number;
  readonly guide: (middle: Point) => Guide;
}

function lineUp(
  derived: DerivedFloor,
  it: Standing,
  frame: ReturnType<typeof frameAround>,
  at: Point,
  axis: 'x' | 'y',
  reach: number,
  others: readonly PieceOnFloor[],
): LineUp | null {
  const size = axis === 'x' ? it.width : it.depth;
  const options: (LineUp & { off: number })[] = [];
  const offer = (by: number, word: Guide['word'], from: Point, rank = 0) => {
    if (Math.abs(by) <= reach)
      options.push({ by, off: Math.abs(by) / reach + rank, guide: (to) => ({ word, from, to }) });
  };
  // against walls and what stands there
  const sides = axis === 'x' ? (['left', 'right'] as const) : (['back', 'front'] as const);
  const rings = [
    ...builtRound(derived, at),
    ...others
      .filter(({ kind, bottom, top }) => !kind.passable && bottom < it.up + it.height && top > it.up)
      .map(({ ring }) => ring),
  ];
  sides.forEach((side, i) => {
    const clear = clearFrom(frame, it, side, rings);
    if (clear !== null) offer((i === 0 ? -1 : 1) * clear, 'wall', at);
  });
  // in line with others that are turned alike
  for (const on of others) {
    const alike = Math.abs(dot(on.frame.d, frame.d));
    if (alike < 0.9999 && alike > 0.0001) continue;
    const middle = middleOfPiece(on);
    const span = on.ring.map((p) => inFrame(frame, p)[axis]);
    const [from, to] = [Math.min(...span), Math.max(...span)];
    if (Math.hypot(middle.x - at.x, middle.y - at.y) > ALIGNED) continue;
    offer(from, 'in line with piece', middle, 0.3);
    offer(to - size, 'in line with piece', middle, 0.3);
    offer((from + to) / 2 - size / 2, 'in line with piece', middle, 0.2);
  }
  const room = derived.rooms.find(({ outline }) => surfaceContains(outline.rings, at));
  if (room) {
    const span = room.outline.rings[0]!.map((p) => inFrame(frame, p)[axis]);
    const half = (Math.min(...span) + Math.max(...span)) / 2;
    offer(
      half - size / 2,
      'middle of room',
      onSheet(frame, axis === 'x' ? half : it.width / 2, axis === 'y' ? half : it.depth / 2),
      0.35,
    );
  }
  return options.sort((a, b) => a.off - b.off)[0] ?? null;
}

/** Pieces farther off than this are in line by chance, mm. */
const ALIGNED = 4000;

/** Which way the wall behind a stand runs, degrees: what a piece that leaves it keeps. */
export const turnAlong = (face: WallFace, along: number): number => {
  const { x, y } = headingAt(face.course, along);
  return (Math.atan2(y, x) * 180) / Math.PI;
};

/** How far something moved, for a drag that began off its middle. */
export const offMiddle = (on: PieceOnFloor, p: Point): Point => subtract(p, middleOfPiece(on));
