import type { DerivedFloor } from '../../derived';
import { alongOf } from '../../geometry';
import { openingSchedule } from '../../schedule';
import { formatLength } from '../../units';
import { type PieceOnFloor, middleOfPiece } from '../on-floor';
import { faceBehind } from '../placing/along-wall';

/** What is left of its wall beside a piece, and how it stands to the door or window it is before, or under, in words; null where it is not at a straight wall. */
export function onItsWallInWords(floor: DerivedFloor, on: PieceOnFloor): string | null {
  const face = faceBehind(floor, on);
  if (!face) return null;
  const long = (mm: number) => formatLength(Math.max(0, mm), floor.plan.job.units);
  const middle = alongOf(face.course, middleOfPiece(on));
  const half = on.piece.width / 2;
  const [left, right] = [middle - half, face.length - middle - half];
  const even = Math.abs(left - right) < EVEN ? ': it is in the middle' : '';
  const wall = `Of its wall ${long(left)} are left at its left, ${long(right)} at its right${even}.`;
  const nearest = face.openings
    .filter(({ from, to }) => from < middle + half && to > middle - half)
    .map(({ opening, from, to }) => ({ opening, off: middle - (from + to) / 2 }))
    .sort((a, b) => Math.abs(a.off) - Math.abs(b.off))[0];
  if (!nearest) return wall;
  const { off } = nearest;
  const label = openingSchedule(floor).find(({ opening }) => opening.id === nearest.opening.id)?.label ?? 'the opening';
  const side = off > 0 ? 'right' : 'left';
  return `${wall} ${Math.abs(off) < EVEN ? `It is even about ${label}.` : `Its middle is ${long(Math.abs(off))} ${side} of that of ${label}.`}`;
}

/** mm */
const EVEN = 0.5;
