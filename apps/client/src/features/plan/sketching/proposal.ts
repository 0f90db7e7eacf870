import {
  type BumpShape,
  type DerivedFloor,
  type Intent,
  type Place,
  type PlacedShape,
  type Point,
  type RingPoint,
  type Straightness,
  type TypedLength,
  distance,
  moved,
  shapeOutline,
  straightenLoop,
} from '@velvet-tape/core';
import { type MarksProposal, marksIntent } from '../underlay/marks';
import { type WalkField, type WalkProposal, walkIntent, walkValue, withWalked } from './walk';

/**
 * Something that is drawn but not kept yet. It is shown on the plan as if it were there; its sizes can be typed and
 * dragged, and it is kept or dropped as a whole.
 */
export type Proposal =
  | BoxProposal
  | PathProposal
  | LoopProposal
  | WalkProposal
  | ShapeProposal
  | BumpProposal
  | ReadingProposal
  | HeightProposal
  | MarksProposal;

export interface BoxProposal {
  readonly kind: 'box';
  readonly a: Point;
  readonly b: Point;
  readonly width: TypedLength | null;
  readonly depth: TypedLength | null;
}

export interface PathProposal {
  readonly kind: 'path';
  readonly points: readonly RingPoint[];
  /** What was typed for each leg. */
  readonly lengths: readonly (TypedLength | null)[];
  /** Where the leg being drawn leads to; null when none is. */
  readonly towards: Point | null;
  readonly chalk: boolean;
}

export interface LoopProposal {
  readonly kind: 'loop';
  readonly stroke: readonly Point[];
  readonly straightness: Straightness;
  /** Still under the finger: shown as it is drawn. */
  readonly drawing: boolean;
  readonly reach: number;
}

export interface ShapeProposal extends PlacedShape {
  readonly kind: 'shape';
}

export interface BumpProposal {
  readonly kind: 'bump';
  readonly face: string;
  readonly shape: BumpShape;
  /** Of the face, mm. */
  readonly length: number;
  readonly from: number;
  readonly width: number;
  readonly depth: number;
  readonly splay: number;
}

/** What a distance or an angle is measured from or to. */
export type Picked =
  | { readonly kind: 'corner'; readonly corner: string; readonly towards: string; readonly at: Point }
  | { readonly kind: 'face'; readonly from: string; readonly to: string; readonly at: Point };

export interface ReadingProposal {
  readonly kind: 'reading';
  /** What was tapped first, while the second is waited for. */
  readonly first: Picked | null;
  readonly place: Place | null;
  /** What it is on the plan, mm (an angle in degrees). */
  readonly now: number;
  readonly read: TypedLength | null;
}

/** The height under a slope over a point of a room's floor. */
export interface HeightProposal {
  readonly kind: 'height';
  readonly room: string;
  readonly at: Point;
  /** What was read there before, mm. */
  readonly now: number | null;
  readonly read: TypedLength | null;
}

/** The sizes of a proposal that can be typed, in the order they are asked for. */
export type ProposalField = 'width' | 'depth' | 'leg' | 'turn' | 'bow' | 'left' | 'splay' | 'reading' | 'known';

export function fieldsOf(proposal: Proposal): readonly ProposalField[] {
  switch (proposal.kind) {
    case 'box':
    case 'shape':
      return ['width', 'depth'];
    case 'path':
      return proposal.points.length > 0 ? ['leg', 'turn'] : [];
    case 'loop':
      return [];
    case 'reading':
      return proposal.place ? ['reading'] : [];
    case 'height':
      return ['reading'];
    case 'marks':
      if (proposal.task === 'flatten')
        return proposal.marks.length === 4 && proposal.sides === 'typed' ? ['width', 'depth'] : [];
      return proposal.task === 'scale' && proposal.marks.length === 2 ? ['known'] : [];
    case 'walk':
      return proposal.closing ? [] : ['leg', 'turn', 'bow'];
    case 'bump':
      return proposal.shape === 'slanted' ? ['width', 'depth', 'left', 'splay'] : ['width', 'depth', 'left'];
  }
}

/** What a field of the proposal is now, mm (degrees for a turn); null while there is nothing to measure. */
export function valueOf(proposal: Proposal, field: ProposalField): number | null {
  switch (proposal.kind) {
    case 'box':
      return field === 'width'
        ? Math.abs(proposal.b.x - proposal.a.x)
        : field === 'depth'
          ? Math.abs(proposal.b.y - proposal.a.y)
          : null;
    case 'shape':
      return field === 'width' ? proposal.width : field === 'depth' ? proposal.depth : null;
    case 'bump':
      if (field === 'left') return proposal.from;
      if (field === 'depth') return Math.abs(proposal.depth);
      return field === 'width' ? proposal.width : field === 'splay' ? proposal.splay : null;
    case 'reading':
    case 'height':
      return proposal.read?.value ?? proposal.now;
    case 'walk':
      return walkValue(proposal, field as WalkField);
    case 'path':
      return pathValue(proposal, field);
    case 'marks':
      return (field === 'known' ? proposal.typed : field === 'width' ? proposal.width : proposal.depth)?.value ?? null;
    case 'loop':
      return null;
  }
}

/** The proposal with a size that was typed. */
export function withTyped(proposal: Proposal, field: ProposalField, typed: TypedLength): Proposal {
  const { value } = typed;
  switch (proposal.kind) {
    case 'box': {
      const { a, b } = proposal;
      if (field === 'width') return { ...proposal, width: typed, b: { ...b, x: a.x + (b.x < a.x ? -value : value) } };
      return { ...proposal, depth: typed, b: { ...b, y: a.y + (b.y < a.y ? -value : value) } };
    }
    case 'shape':
      return field === 'width' ? { ...proposal, width: value } : { ...proposal, depth: value };
    case 'bump':
      if (field === 'left') return { ...proposal, from: value };
      if (field === 'depth') return { ...proposal, depth: proposal.depth < 0 ? -value : value };
      return field === 'width' ? { ...proposal, width: value } : { ...proposal, splay: value };
    case 'path':
      return field === 'leg' ? withLeg(proposal, typed) : withTurn(proposal, value);
    case 'loop':
      return proposal;
    case 'reading':
    case 'height':
      return { ...proposal, read: typed };
    case 'walk':
      return withWalked(proposal, field as WalkField, typed);
    case 'marks':
      if (field === 'known') return { ...proposal, typed };
      return field === 'width' ? { ...proposal, width: typed } : { ...proposal, depth: typed };
  }
}

/** What keeping the proposal would do; null while there is nothing to keep. */
export function intentOf(proposal: Proposal, floor: DerivedFloor): Intent | null {
  const id = floor.floor;
  switch (proposal.kind) {
    case 'box': {
      const { a, b, width, depth } = proposal;
      return { kind: 'drawBox', floor: id, a, b, width, depth, time: new Date().toISOString() };
    }
    case 'path':
      return pathIntent(proposal, id, false);
    case 'loop': {
      const points = straightenLoop(proposal.stroke, proposal.straightness, floor, proposal.reach);
      return points && !proposal.drawing ? { kind: 'drawPath', floor: id, points, closed: true } : null;
    }
    case 'shape':
      return { kind: 'drawPath', floor: id, points: shapeOutline(proposal), closed: true };
    case 'reading':
      return readingIntent(proposal, id);
    case 'height':
      return heightIntent(proposal);
    case 'walk':
      return walkIntent(proposal, id);
    case 'marks':
      return marksIntent(proposal, floor.plan);
    case 'bump': {
      const { face, shape, from, width, depth, splay } = proposal;
      return { kind: 'bump', floor: id, face, shape, from, width, depth, splay };
    }
  }
}

function readingIntent({ place, read }: ReadingProposal, floor: string): Intent | null {
  if (!place || !read) return null;
  const { value, text, instrument = 'tape' } = read;
  const unit = place.kind === 'angle' ? 'deg' : read.unit;
  const time = new Date().toISOString();
  return { kind: 'takeReading', floor, place, read: { value, text, unit, instrument, time }, stay: [place.from] };
}

function heightIntent({ room, at, read }: HeightProposal): Intent | null {
  if (!read) return null;
  const { value, text, unit, instrument = 'tape' } = read;
  const time = new Date().toISOString();
  return { kind: 'readHeight', room, at, read: { value, text, unit, instrument, time } };
}

export function pathIntent({ points, lengths, chalk }: PathProposal, floor: string, closed: boolean): Intent | null {
  if (points.length < (closed ? 3 : 2)) return null;
  return { kind: 'drawPath', floor, points, closed, chalk, lengths, time: new Date().toISOString() };
}

/** From the last corner (or, while none is under way, along the last leg). */
function legOf({ points, towards }: PathProposal): { from: Point; to: Point } | null {
  const last = points.at(-1);
  if (!last) return null;
  if (towards) return { from: last, to: towards };
  const before = points.at(-2);
  return before ? { from: before, to: last } : null;
}

export function headingOf(path: PathProposal): Point | null {
  const [a, b] = [path.points.at(-2), path.points.at(-1)];
  if (!a || !b) return null;
  const length = distance(a, b);
  return length > 0 ? { x: (b.x - a.x) / length, y: (b.y - a.y) / length } : null;
}

function pathValue(path: PathProposal, field: ProposalField): number | null {
  const leg = legOf(path);
  if (field === 'leg') return leg && distance(leg.from, leg.to);
  const heading = path.towards ? headingOf(path) : headingOf({ ...path, points: path.points.slice(0, -1) });
  if (field !== 'turn' || !leg || !heading) return null;
  const to = { x: leg.to.x - leg.from.x, y: leg.to.y - leg.from.y };
  const angle = Math.atan2(heading.x * to.y - heading.y * to.x, heading.x * to.x + heading.y * to.y);
  return (angle * 180) / Math.PI;
}

/** The leg being drawn gets its length and its corner; without one, the leg drawn last is made that long. */
function withLeg(path: PathProposal, typed: TypedLength): PathProposal {
  const leg = legOf(path);
  if (!leg) return path;
  const length = distance(leg.from, leg.to);
  if (length === 0) return path;
  const d = { x: (leg.to.x - leg.from.x) / length, y: (leg.to.y - leg.from.y) / length };
  const corner = moved(leg.from, d, typed.value);
  if (path.towards)
    return { ...path, points: [...path.points, corner], lengths: [...path.lengths, typed], towards: null };
  return { ...path, points: [...path.points.slice(0, -1), corner], lengths: [...path.lengths.slice(0, -1), typed] };
}

/** The leg turns by so many degrees, clockwise, from the one before. */
function withTurn(path: PathProposal, degrees: number): PathProposal {
  const leg = legOf(path);
  const heading = path.towards ? headingOf(path) : headingOf({ ...path, points: path.points.slice(0, -1) });
  if (!leg || !heading) return path;
  const angle = (degrees * Math.PI) / 180;
  const d = {
    x: heading.x * Math.cos(angle) - heading.y * Math.sin(angle),
    y: heading.x * Math.sin(angle) + heading.y * Math.cos(angle),
  };
  const to = moved(leg.from, d, distance(leg.from, leg.to));
  return path.towards ? { ...path, towards: to } : { ...path, points: [...path.points.slice(0, -1), to] };
}

/** The leg being drawn ends here. */
export function withCorner(path: PathProposal, at: Point): PathProposal {
  const first = path.points.length === 0;
  return {
    ...path,
    points: [...path.points, { x: at.x, y: at.y }],
    lengths: first ? path.lengths : [...path.lengths, null],
    towards: null,
  };
}

export const withoutLastCorner = (path: PathProposal): PathProposal => ({
  ...path,
  points: path.points.slice(0, -1),
  lengths: path.lengths.slice(0, -1),
  towards: null,
});

/** The leg to come heads right, left, up or down the sheet. */
export function heading(path: PathProposal, d: Point): PathProposal {
  const last = path.points.at(-1);
  return last ? { ...path, towards: moved(last, d, 1000) } : path;
}

export const newPath = (chalk: boolean): PathProposal => ({
  kind: 'path',
  points: [],
  lengths: [],
  towards: null,
  chalk,
});
