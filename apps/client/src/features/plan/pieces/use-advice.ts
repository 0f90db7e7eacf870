import type { DerivedFloor, Plan } from '@velvet-tape/core';
import type { PieceAdvice } from '@velvet-tape/core/pieces';
import { laterRooms } from '../../../core-later/to-come';
import { lent } from '../later/lent';
import { standing } from './standing';

const { selectFloor, selectPieces, useAppSelector } = lent();

let last: { pieces: Plan['pieces']; floor: DerivedFloor; advice: readonly PieceAdvice[] } | null = null;

/** What is to be said of the pieces of the floor as they are kept: while one is dragged, as it was before. */
export function useAdvice(): readonly PieceAdvice[] {
  return useAppSelector((state) => {
    const floor = selectFloor(state);
    if (!floor) return NOTHING;
    const pieces = selectPieces(state);
    if (last?.pieces !== pieces || last.floor !== floor)
      last = { pieces, floor, advice: laterRooms().adviceOn(floor, standing(pieces, floor)) };
    return last.advice;
  });
}

const NOTHING: readonly PieceAdvice[] = [];
