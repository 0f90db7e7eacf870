import { type DerivedFloor, standOnFace } from '../../derived';
import { type Point, alongOf, direction, dot, offOf, rightOf, turned } from '../../geometry';
import type { Piece, PieceStand } from '../../plan/plan';
import { type Place, within } from '../move';
import { type PieceOnFloor, middleOfPiece, onSheet, piecesOn, turnOfFrame } from '../on-floor';
import { backsAt } from './backs';
import { placePiece } from './place';
import type { Placed, Placing } from './placing';

/**
 * Pieces as they stand to each other, one of them held with its middle at a point: it is caught as if it were alone, turned by the wall it comes to, and the others go with it as one body. What comes to lie
 * with its back at a wall stands at that wall. Those that stand on one of the others go with it by themselves.
 */
export function placeTogether(
  derived: DerivedFloor,
  group: readonly PieceOnFloor[],
  held: PieceOnFloor,
  at: Point,
  { reach, others: all }: Pick<Placing, 'reach' | 'others'>,
): { readonly places: readonly Place[]; readonly guides: Placed['guides'] } {
  const mine = new Map(group.map((on) => [on.piece.id, on]));
  let lead = held;
  for (let under; lead.piece.stand.kind === 'piece' && (under = mine.get(lead.piece.stand.piece));) lead = under;
  const off = { x: at.x - middleOfPiece(held).x, y: at.y - middleOfPiece(held).y };
  const from = middleOfPiece(lead);
  const others = all.filter(({ piece }) => !mine.has(piece.id) && !standsOnOneOf(piece, mine, all));
  const wanted = { x: from.x + off.x, y: from.y + off.y };
  const how = { reach, turn: evened(turnOfFrame(lead.frame)), others };
  const { stand, guides, mirrored } = placePiece(derived, lead.piece, wanted, how);
  const [now] = piecesOn({ [lead.piece.id]: { ...lead.piece, stand: loose(stand, lead, others) } }, derived);
  if (!now) return { places: [], guides };
  const by = turnOfFrame(now.frame) - turnOfFrame(lead.frame);
  const to = middleOfPiece(now);
  const own = group.filter(({ piece }) => piece.stand.kind !== 'piece' || !mine.has(piece.stand.piece));
  const places = own.map((on): Place => {
    if (on === lead)
      return { piece: lead.piece.id, stand, ...(group.length === 1 && mirrored !== undefined && { mirrored }) };
    const p = middleOfPiece(on);
    const round = turned({ x: p.x - from.x, y: p.y - from.y }, (by * Math.PI) / 180);
    const middle = { x: to.x + round.x, y: to.y + round.y };
    return { piece: on.piece.id, stand: standThere(derived, on.piece, middle, evened(turnOfFrame(on.frame) + by)) };
  });
  return { places, guides };
}

/** Where it comes to on a piece, as a place on the floor. */
function loose(stand: PieceStand, lead: PieceOnFloor, others: readonly PieceOnFloor[]): PieceStand {
  if (stand.kind !== 'piece') return stand;
  const under = others.find(({ piece }) => piece.id === stand.piece) ?? lead;
  const { x, y } = onSheet(under.frame, under.piece.width / 2 + stand.x, under.piece.depth / 2 + stand.y);
  return { kind: 'free', x, y, turn: turnOfFrame(under.frame) + stand.turn };
}

function standsOnOneOf(piece: Piece, mine: ReadonlyMap<string, unknown>, all: readonly PieceOnFloor[]): boolean {
  for (let { stand } = piece; stand.kind === 'piece';) {
    const under = stand.piece;
    if (mine.has(under)) return true;
    const next = all.find((on) => on.piece.id === under);
    if (!next) return false;
    ({ stand } = next.piece);
  }
  return false;
}

/** Its back is at a wall when it is no farther off, mm; and along it, sine. */
const AT_WALL = 1;
const ALONG = 0.001;

/** At the wall its back comes to lie at, else free. */
function standThere(derived: DerivedFloor, it: Piece, middle: Point, turn: number): PieceStand {
  const d = turned({ x: 1, y: 0 }, (turn * Math.PI) / 180);
  for (const face of it.stand.kind === 'wall' && it.stand.quarter === 0 ? backsAt(derived, middle) : []) {
    if (face.bulge !== 0 || Math.abs(dot(rightOf(direction(face.a, face.b)), d)) > ALONG || dot(face.d, d) < 0)
      continue;
    const from = alongOf(face.course, middle) - it.width / 2;
    if (Math.abs(offOf(face.course, middle) - it.depth / 2 - it.gap) > AT_WALL) continue;
    if (from > -AT_WALL && from < face.length - it.width + AT_WALL)
      return { ...standOnFace(derived.network, face, from, it.width), quarter: 0 };
  }
  return { kind: 'free', ...middle, turn };
}

/** A hair off a quarter is a quarter. */
function evened(turn: number): number {
  const quarter = Math.round(turn / 90) * 90;
  return within(Math.abs(turn - quarter) < 0.01 ? quarter : turn);
}
