import { type Intent, type Point, type RingPoint, type TypedLength, distance, moved } from '@velvet-tape/core';
import type { ProposalField, ProposalKind } from './proposal-kind';

export interface PathProposal {
  readonly kind: 'path';
  readonly points: readonly RingPoint[];
  /** What was typed for each leg. */
  readonly lengths: readonly (TypedLength | null)[];
  /** Where the leg being drawn leads to; null when none is. */
  readonly towards: Point | null;
  readonly chalk: boolean;
}

export function pathIntent({ points, lengths, chalk }: PathProposal, floor: string, closed: boolean): Intent | null {
  if (points.length < (closed ? 3 : 2)) return null;
  return { kind: 'drawPath', floor, points, closed, chalk, lengths, time: '' };
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

/** The leg being drawn gets its length and its corner; without one, the leg drawn last is made that long, unless that was typed already. */
function withLeg(path: PathProposal, typed: TypedLength): PathProposal {
  const leg = legOf(path);
  if (!leg || (!path.towards && path.lengths.at(-1))) return path;
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

export const pathKind: ProposalKind<PathProposal> = {
  fields: ({ points }) => (points.length > 0 ? ['leg', 'turn'] : []),
  value: pathValue,
  typed: (path, field, typed) => (field === 'leg' ? withLeg(path, typed) : withTurn(path, typed.value)),
  intent: (path, { floor }) => pathIntent(path, floor, false),
  measures: (_, field) => (field === 'leg' ? 'wall' : null),
  chosen: (path, { chalk }) => (chalk === undefined ? path : { ...path, chalk }),
};
