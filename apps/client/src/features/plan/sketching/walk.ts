import {
  type Intent,
  type Point,
  type RingPoint,
  type TypedLength,
  type WalkEnd,
  type WalkLeg,
  closedWalk,
  walkEnd,
  walkedCorners,
} from '@velvet-tape/core';
import type { ProposalKind } from './proposal-kind';

/** How the walk turns out of one wall into the next, degrees clockwise; `read` when the angle was measured. */
export interface Turn {
  readonly degrees: number;
  readonly read: TypedLength | null;
}

export const TURNS = {
  'straight on': { degrees: 0, read: null },
  left: { degrees: -90, read: null },
  right: { degrees: 90, read: null },
} as const satisfies Record<string, Turn>;

/** What of a line can be typed. */
export type WalkField = 'leg' | 'turn' | 'bow';

/** One line of the list: turn, then so far along the wall; of a curved wall straight across, with how far it bows. */
export interface WalkLine {
  readonly turn: Turn;
  readonly length: TypedLength;
  readonly bow: TypedLength | null;
  /** It bows out of the room. */
  readonly out: boolean;
}

/** A room that is walked round: a list of walls, one after the other. */
export interface WalkProposal {
  readonly kind: 'walk';
  readonly start: Point;
  /** Which way the first wall leads, degrees clockwise from straight right. */
  readonly heading: number;
  readonly round: 'clockwise' | 'anticlockwise';
  readonly lines: readonly WalkLine[];
  /** Out of the last wall into the one that is typed next. */
  readonly turn: Turn;
  /** The line that is typed anew; null: the next one. */
  readonly line: number | null;
  /** It was asked to be closed: how it closes is shown. */
  readonly closing: boolean;
}

export const newWalk = (start: Point, round: WalkProposal['round'], heading = 0): WalkProposal => ({
  kind: 'walk',
  start,
  heading,
  round,
  lines: [],
  turn: usualTurn(round),
  line: null,
  closing: false,
});

/** Most corners of a room turn the way it is walked. */
const usualTurn = (round: WalkProposal['round']): Turn => (round === 'clockwise' ? TURNS.right : TURNS.left);

const legsOf = ({ lines, round }: WalkProposal): WalkLeg[] =>
  lines.map(({ turn, length, bow, out }) => ({
    turn: turn.degrees,
    length: length.value,
    // walked clockwise the room is at the right hand, and out of it is to the left
    bow: (bow?.value ?? 0) * (out === (round === 'clockwise') ? 1 : -1),
  }));

export const cornersOfWalk = (walk: WalkProposal): RingPoint[] => walkedCorners(walk.start, walk.heading, legsOf(walk));
export const endOfWalk = (walk: WalkProposal): WalkEnd => walkEnd(cornersOfWalk(walk));

/** The turn that leads into the line that is typed; the first wall has none. */
export const turnOfLine = ({ lines, line, turn }: WalkProposal): Turn | null => {
  const at = line ?? lines.length;
  return at === 0 ? null : at < lines.length ? lines[at]!.turn : turn;
};

/** The wall whose bow is typed: the line typed anew, else the last one. */
const bowed = ({ lines, line }: WalkProposal): number => line ?? lines.length - 1;

export function walkValue(walk: WalkProposal, field: WalkField): number | null {
  if (field === 'turn') return turnOfLine(walk)?.degrees ?? null;
  if (field === 'bow') return walk.lines[bowed(walk)]?.bow?.value ?? null;
  return walk.line === null ? null : (walk.lines[walk.line]?.length.value ?? null);
}

/** The walk with what was typed: a length is the next line, or the one that is typed anew. */
export function withWalked(walk: WalkProposal, field: WalkField, typed: TypedLength): WalkProposal {
  if (field === 'turn') return withTurn(walk, { degrees: typed.value, read: typed });
  const { lines, line } = walk;
  if (field === 'bow') return withLine(walk, bowed(walk), { bow: typed.value > 0 ? typed : null });
  if (line !== null) return { ...withLine(walk, line, { length: typed }), line: null };
  const added: WalkLine = { turn: walk.turn, length: typed, bow: null, out: true };
  return { ...walk, lines: [...lines, added], turn: usualTurn(walk.round), closing: false };
}

export const withTurn = (walk: WalkProposal, turn: Turn): WalkProposal =>
  walk.line === null ? { ...walk, turn, closing: false } : withLine(walk, walk.line, { turn });

const withLine = (walk: WalkProposal, at: number, change: Partial<WalkLine>): WalkProposal => ({
  ...walk,
  closing: false,
  lines: walk.lines.map((line, i) => (i === at ? { ...line, ...change } : line)),
});

/** The curved wall that is typed bows the other way. */
export const bowedOther = (walk: WalkProposal): WalkProposal =>
  withLine(walk, bowed(walk), { out: !walk.lines[bowed(walk)]?.out });

export const withoutLine = (walk: WalkProposal, at: number): WalkProposal => ({
  ...walk,
  closing: false,
  line: null,
  lines: walk.lines.filter((_, i) => i !== at),
});

/** The room, its corners where the misclosure is spread; while it is not to be closed yet, its walls as far as they go. */
export function walkIntent(walk: WalkProposal, floor: string): Intent | null {
  const { lines, closing } = walk;
  if (lines.length === 0) return null;
  const corners = cornersOfWalk(walk);
  const outline = closing ? closedWalk(corners) : corners;
  if (!outline) return null;
  return {
    kind: 'drawPath',
    floor,
    points: outline,
    closed: closing,
    lengths: lines.map(({ length }) => length),
    bows: lines.map(({ bow }) => bow),
    turns: lines.map(({ turn }, i) => (i === 0 ? null : turn.read)),
    time: '',
  };
}

/**
 * A walk has no plan to measure on: the simulated room goes on until a wall back along the first ones ends where they began, as in a room with
 * right angles, else for a few metres.
 */
function aheadInWalk(walk: WalkProposal): number {
  if (walk.line !== null) return walk.lines[walk.line]!.length.value;
  const corners = cornersOfWalk({ ...walk, lines: [...walk.lines, { ...ONE_METRE, turn: walk.turn }] });
  const [first, from, to] = [corners[0]!, corners.at(-2)!, corners.at(-1)!];
  const back = ((first.x - from.x) * (to.x - from.x) + (first.y - from.y) * (to.y - from.y)) / 1000;
  return back > 300 ? back : 2400 + 365 * ((walk.lines.length * 7) % 5);
}

const ONE_METRE = { length: { value: 1000, text: '', unit: 'm' }, bow: null, out: true } as const;

export const walkKind: ProposalKind<WalkProposal> = {
  fields: ({ closing }) => (closing ? [] : ['leg', 'turn', 'bow']),
  value: (walk, field) => walkValue(walk, field as WalkField),
  typed: (walk, field, typed) => withWalked(walk, field as WalkField, typed),
  intent: (walk, { floor }) => walkIntent(walk, floor),
  measures: (_, field) => (field === 'leg' ? 'wall' : field === 'bow' ? 'bow' : null),
  aimed: aheadInWalk,
  whole: true,
};
