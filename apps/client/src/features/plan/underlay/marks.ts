import {
  type Calibration,
  type Intent,
  type KnownDistance,
  PAPER,
  type Plan,
  type Point,
  type TypedLength,
  type Underlay,
  distance,
  fitScale,
  fitStretched,
  flatteningOf,
  levelled,
  placedByPoints,
  toHouse,
  toPicture,
} from '@velvet-tape/core';
import type { ProposalKind } from '../sketching/proposal-kind';

/** What points are marked on a picture for. */
export type MarksTask = 'scale' | 'level' | 'flatten' | 'place' | 'crop';

/** What a photo is flattened by: a sheet lying one way or the other, or something whose sides are typed. */
export type Sides = 'A4 upright' | 'A4 lying' | 'A3 upright' | 'A3 lying' | 'typed';

/** Points being marked on an underlay; nothing of it holds until it is kept. */
export interface MarksProposal {
  readonly kind: 'marks';
  readonly task: MarksTask;
  readonly underlay: string;
  /** px of the picture; to place it, the second and the fourth are points of the sheet, mm. */
  readonly marks: readonly Point[];
  /** The one that keys nudge. */
  readonly chosen: number;
  /** Distances that are known already, and whether both ways are scaled apart. */
  readonly distances: readonly KnownDistance[];
  readonly stretched: boolean;
  readonly typed: TypedLength | null;
  /** It was asked whether the picture is meant to be as large as that. */
  readonly asked: boolean;
  readonly sides: Sides;
  readonly width: TypedLength | null;
  readonly depth: TypedLength | null;
}

export const WANTED: Record<MarksTask, number> = { scale: 2, level: 2, flatten: 4, place: 4, crop: 2 };

export function newMarks(task: MarksTask, { id, calibration }: Underlay): MarksProposal {
  const known = calibration.kind === 'known' && task === 'scale';
  return {
    kind: 'marks',
    task,
    underlay: id,
    marks: [],
    chosen: 0,
    distances: known ? calibration.distances : [],
    stretched: known && calibration.stretched,
    typed: null,
    asked: false,
    sides: 'A4 lying',
    width: null,
    depth: null,
  };
}

/** A mark that lies on the sheet itself, not on the picture. */
export const isOnSheet = ({ task }: Pick<MarksProposal, 'task'>, index: number): boolean =>
  task === 'place' && index % 2 === 1;

/** Where a mark is on the sheet, mm. */
export const markOnSheet = (proposal: MarksProposal, underlay: Underlay, index: number): Point =>
  isOnSheet(proposal, index) ? proposal.marks[index]! : toHouse(underlay, proposal.marks[index]!);

/** The proposal with a mark set at a point of the sheet: one more, or one of those that are there. */
export function withMark(proposal: MarksProposal, underlay: Underlay, index: number, at: Point): MarksProposal {
  const marks = [...proposal.marks];
  marks[index] = isOnSheet(proposal, index) ? at : toPicture(underlay, at);
  return { ...proposal, marks, chosen: index };
}

/** The chosen mark goes by so many px of the picture. */
export function nudgedMark(proposal: MarksProposal, underlay: Underlay, dx: number, dy: number): MarksProposal {
  const mark = proposal.marks[proposal.chosen];
  if (!mark) return proposal;
  const marks = [...proposal.marks];
  const pixel = distance(toHouse(underlay, { x: 0, y: 0 }), toHouse(underlay, { x: 1, y: 0 }));
  const step = isOnSheet(proposal, proposal.chosen) ? pixel : 1;
  marks[proposal.chosen] = { x: mark.x + dx * step, y: mark.y + dy * step };
  return { ...proposal, marks };
}

/** The marked distance as it was typed; null while something is missing. */
export function distanceMarked({ marks: [a, b], typed }: MarksProposal): KnownDistance | null {
  if (!a || !b || !typed) return null;
  return { a, b, value: typed.value, text: typed.text, unit: typed.unit };
}

/** All distances that are known, with that which is being typed. */
export function distancesOf(proposal: MarksProposal): readonly KnownDistance[] {
  const more = distanceMarked(proposal);
  return more ? [...proposal.distances, more] : proposal.distances;
}

/** The distance that was typed is one of those known, and the next can be marked. */
export const withDistance = (proposal: MarksProposal): MarksProposal => ({
  ...proposal,
  distances: distancesOf(proposal),
  marks: [],
  chosen: 0,
  typed: null,
  asked: false,
});

export function calibrationOf(proposal: MarksProposal): Calibration | null {
  const distances = distancesOf(proposal);
  if (!fitScale(distances)) return null;
  return { kind: 'known', distances, stretched: proposal.stretched && fitStretched(distances) !== null };
}

/** The sides of what is flattened, mm, and whether that is paper. */
export function sidesOf({
  sides,
  width,
  depth,
}: MarksProposal): { width: number; height: number; paper: boolean } | null {
  if (sides === 'typed') return width && depth ? { width: width.value, height: depth.value, paper: false } : null;
  const [short, long] = PAPER[sides.startsWith('A4') ? 'A4' : 'A3'];
  return sides.endsWith('lying')
    ? { width: long, height: short, paper: true }
    : { width: short, height: long, paper: true };
}

export const flatteningMarked = (proposal: MarksProposal) => {
  const sides = sidesOf(proposal);
  return sides && proposal.marks.length === 4 ? flatteningOf(proposal.marks, sides) : null;
};

/** What keeping the marks would do to the plan; null while there is nothing to keep. A photo is flattened beside the plan. */
export function marksIntent(proposal: MarksProposal, plan: Plan): Intent | null {
  const underlay = plan.underlays[proposal.underlay];
  if (!underlay) return null;
  const change = (made: Extract<Intent, { kind: 'changeUnderlay' }>['change']): Intent => ({
    kind: 'changeUnderlay',
    underlay: underlay.id,
    change: made,
  });
  if (proposal.task === 'scale') {
    const calibration = calibrationOf(proposal);
    return calibration && change({ calibration });
  }
  if (proposal.marks.length < WANTED[proposal.task]) return null;
  const [a, b, c, d] = proposal.marks as [Point, Point, Point, Point];
  switch (proposal.task) {
    case 'level':
      return change(levelled(underlay, a, b));
    case 'place': {
      const { at, turn } = placedByPoints(underlay, { picture: a, house: b }, { picture: c, house: d });
      return change({ at, turn });
    }
    case 'crop': {
      const clamp = (value: number, most: number) => Math.round(Math.min(most, Math.max(0, value)));
      const { width, height } = underlay;
      return change({
        crop: {
          left: clamp(Math.min(a.x, b.x), width),
          top: clamp(Math.min(a.y, b.y), height),
          right: width - clamp(Math.max(a.x, b.x), width),
          bottom: height - clamp(Math.max(a.y, b.y), height),
        },
      });
    }
    default:
      return null;
  }
}

export const marksKind: ProposalKind<MarksProposal> = {
  fields: ({ task, marks, sides }) => {
    if (task === 'flatten') return marks.length === 4 && sides === 'typed' ? ['width', 'depth'] : [];
    return task === 'scale' && marks.length === 2 ? ['known'] : [];
  },
  value: ({ typed, width, depth }, field) =>
    (field === 'known' ? typed : field === 'width' ? width : depth)?.value ?? null,
  typed: (marks, field, typed) => {
    if (field === 'known') return { ...marks, typed };
    return field === 'width' ? { ...marks, width: typed } : { ...marks, depth: typed };
  },
  intent: (marks, { plan }) => marksIntent(marks, plan),
  measures: (_, field) => (field === 'width' ? 'wall' : field === 'depth' ? 'depth' : null),
  // what is marked on a picture is looked at on the picture as it lies
  unseen: true,
};
