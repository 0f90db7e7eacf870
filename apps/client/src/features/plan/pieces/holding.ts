import type { Point } from '@velvet-tape/core';
import type { PieceOnFloor } from '@velvet-tape/core/pieces';
import { laterRooms } from '../../../core-later/to-come';
import { lent } from '../later/lent';
import type { Selection } from '../plan-state';
import type { Bench, Pointer } from '../tools/tool';
import type { PieceDrag } from './pieces-room';
import { chosenOf, standing } from './standing';

const { drawFloorInParts, faceAt, lookContent, lookOf, outOfReach } = lent();
const { inFrame, isWrittenAt, middleOfPiece, onSheet, partOfPiece } = laterRooms();
const { pieceAt, placeTogether, rightFor } = laterRooms();

/** A wall is meant only right at it; what stands before it is nearer. Of a finger’s reach. */
const AT_WALL = 0.3;
/** Beside a small piece, of a finger’s reach. */
const BESIDE = 0.5;
/** How far before its front the handle stands that turns a piece, of a finger’s reach. */
export const TURN_HANDLE = 1.6;
/** Turned to within so many degrees of a quarter, or an eighth, it is turned to that. */
const NEAR = 4;

export const on = (bench: Bench): readonly PieceOnFloor[] => standing(bench.pieces(), bench.floor());

/** Those a finger can have hold of: not what is locked, nor what does not show. */
function inReach(bench: Bench): readonly PieceOnFloor[] {
  const { look } = bench.floor().plan.job;
  const out = outOfReach(bench.looks(), look);
  const { layers } = lookContent(bench.looks(), look);
  return on(bench).filter((each) => !out.has(partOfPiece(each)) && (layers[each.piece.layer] ?? 'on') === 'on');
}

export function pieceUnder(bench: Bench, { at, reach }: Pointer): string | null {
  if (Object.keys(bench.pieces()).length === 0) return null;
  const hit = pieceAt(inReach(bench), at, BESIDE * reach);
  if (!hit || faceAt(bench.floor(), at, AT_WALL * reach)) return null;
  return hit.piece.id;
}

/** The piece under a finger that may mean anything of the house: what is written over it goes first. */
export function pieceMeant(bench: Bench, pointer: Pointer): string | null {
  const id = pieceUnder(bench, pointer);
  if (id === null) return null;
  const floor = bench.floor();
  const { look, units } = floor.plan.job;
  const lettering = bench.lettering();
  const drawn = drawFloorInParts(floor, { lettering, units, ...lookOf(bench.looks(), look) });
  return isWrittenAt(drawn, lettering, pointer.at) ? null : id;
}

/** One is chosen with its group; while others are to join, it joins those that are chosen, or leaves them. */
export function pieceChosen(bench: Bench, id: string): Selection {
  const { group } = bench.pieces()[id]!;
  const own = group ? Object.values(bench.pieces()).flatMap((each) => (each.group === group ? [each.id] : [])) : [id];
  const was = bench.selection();
  if (!bench.choices().piece.adding || was.kind !== 'piece') return { kind: 'piece', ids: own };
  const ids = was.ids.includes(id) ? was.ids.filter((each) => !own.includes(each)) : [...was.ids, ...own];
  return ids.length > 0 ? { kind: 'piece', ids } : { kind: 'nothing' };
}

const near = (a: Point, b: Point, reach: number) => Math.hypot(a.x - b.x, a.y - b.y) <= reach;

/** Handles of a piece by itself: one that turns it, those that make it wider or deeper. */
export function handlesOf({ piece: { width, depth }, frame }: PieceOnFloor, reach: number) {
  return {
    turn: onSheet(frame, width / 2, depth + TURN_HANDLE * reach),
    right: onSheet(frame, width, depth / 2),
    left: onSheet(frame, 0, depth / 2),
    front: onSheet(frame, width / 2, depth),
  };
}

/** What a drag does with the chosen pieces: turns the one, makes it larger, or takes all along. */
export function pieceDrag(bench: Bench, from: Pointer): PieceDrag | null {
  const chosen = bench.selection();
  if (chosen.kind !== 'piece') return null;
  const all = on(bench);
  const held = chosenOf(all, chosen);
  const [one] = held;
  if (one && held.length === 1) {
    const handles = handlesOf(one, from.reach);
    if (near(handles.turn, from.at, from.reach)) return turning(one);
    for (const side of ['right', 'left', 'front'] as const)
      if (near(handles[side], from.at, from.reach * 0.8) && !isInside(one, from.at, from.reach))
        return sizing(one, side);
  }
  const under = pieceAt(inReach(bench), from.at, BESIDE * from.reach);
  if (!under || !chosen.ids.includes(under.piece.id)) return null;
  return moving(bench, held, under, from);
}

/** Well within it, not at its edge: it is moved. */
function isInside({ frame, piece }: PieceOnFloor, p: Point, reach: number): boolean {
  const { x, y } = inFrame(frame, p);
  const edge = Math.min(reach * 0.5, piece.width / 4, piece.depth / 4);
  return x > edge && x < piece.width - edge && y > edge && y < piece.depth - edge;
}

function turning(one: PieceOnFloor): PieceDrag {
  const middle = middleOfPiece(one);
  return ({ at, free }) => {
    const turn = (Math.atan2(at.y - middle.y, at.x - middle.x) * 180) / Math.PI - 90;
    const even = Math.round(turn / 45) * 45;
    const now = free || Math.abs(turn - even) > NEAR ? Math.round(turn) : even;
    const stand = { kind: 'free', ...middle, turn: ((now + 540) % 360) - 180 } as const;
    return { kind: 'placePieces', places: [{ piece: one.piece.id, stand }] };
  };
}

/** The other side stays where it is. */
function sizing(one: PieceOnFloor, side: 'left' | 'right' | 'front'): PieceDrag {
  const { piece, frame } = one;
  return ({ at }) => {
    const p = inFrame(frame, at);
    const wanted = side === 'right' ? p.x : side === 'left' ? piece.width - p.x : p.y;
    const field = side === 'front' ? 'depth' : 'width';
    const [, least, most] = one.kind[field];
    const size = Math.min(most, Math.max(least, Math.round(wanted / 10) * 10));
    const grown = size - piece[field];
    return { kind: 'changePiece', piece: piece.id, to: { [field]: size, stand: rightFor(one, side, grown) } };
  };
}

/** The one under the finger is caught by what is there, turned by the wall it comes to; others go as they stand to it. */
function moving(bench: Bench, group: readonly PieceOnFloor[], held: PieceOnFloor, from: Pointer): PieceDrag {
  const middle = middleOfPiece(held);
  const off = { x: from.at.x - middle.x, y: from.at.y - middle.y };
  const floor = bench.floor();
  const others = on(bench);
  return ({ at, reach, free }) => {
    const to = { x: at.x - off.x, y: at.y - off.y };
    const { places, guides } = placeTogether(floor, group, held, to, { reach: free ? 0 : reach, others });
    bench.guide(guides);
    return { kind: 'placePieces', places };
  };
}
