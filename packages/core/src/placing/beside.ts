import type { OpeningOnFace, WallFace } from '../derived';
import type { Units } from '../plan/plan';
import { formatLength } from '../units';

/** A stretch of a face, mm from its left end. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** The stretches of a face that no opening stands in, from left to right. */
export function gapsIn(face: WallFace): Stretch[] {
  const gaps: Stretch[] = [];
  let at = 0;
  for (const on of [...face.openings, { from: face.length, to: face.length }]) {
    if (on.from > at) gaps.push({ from: at, to: on.from });
    at = Math.max(at, on.to);
  }
  return gaps;
}

export const widestGap = (face: WallFace): Stretch =>
  gapsIn(face).reduce((best, gap) => (gap.to - gap.from > best.to - best.from ? gap : best), { from: 0, to: 0 });

/** The gap an opening stands in, between its neighbours or the corners. */
export function gapRound(face: WallFace, on: OpeningOnFace): Stretch {
  const at = face.openings.indexOf(on);
  return { from: face.openings[at - 1]?.to ?? 0, to: face.openings[at + 1]?.from ?? face.length };
}

/** Left between an opening and its copy where there is that much room, mm. */
const USUAL_GAP = 600;

export interface Beside {
  /** Of the copy, from the left end of the face, mm. */
  readonly offset: number;
  /** What is left beyond it, mm; negative when there is no room for it. */
  readonly left: number;
  words(units: Units): string;
}

/** Where a copy of an opening goes: beside it, where there is more room, with the usual gap or half of what there is. */
export function roomBeside(face: WallFace, on: OpeningOnFace): Beside {
  const round = gapRound(face, on);
  const width = on.to - on.from;
  const [before, after] = [on.from - round.from, round.to - on.to];
  const right = after >= before;
  const spare = (right ? after : before) - width;
  const gap = Math.min(USUAL_GAP, Math.max(0, spare / 2));
  const left = spare - gap;
  return {
    offset: Math.round(right ? on.to + gap : on.from - gap - width),
    left,
    words: (units) =>
      `${formatLength(gap, units)} between them, ${formatLength(Math.max(0, left), units)} left on the ${right ? 'right' : 'left'}.`,
  };
}
