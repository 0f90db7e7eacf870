import { type Intent, type PlacedShape, type TypedLength, legsAcross, shapeOutline } from '@velvet-tape/core';
import type { ProposalKind } from './proposal-kind';

export interface ShapeProposal extends PlacedShape {
  readonly kind: 'shape';
  /** What was typed of it. */
  readonly read?: { readonly width?: TypedLength; readonly depth?: TypedLength };
}

export const shapeKind: ProposalKind<ShapeProposal> = {
  fields: () => ['width', 'depth'],
  value: ({ width, depth }, field) => (field === 'width' ? width : field === 'depth' ? depth : null),
  typed: (shape, field, typed) => {
    const size = field === 'width' ? 'width' : 'depth';
    return { ...shape, [size]: typed.value, read: { ...shape.read, [size]: typed } };
  },
  intent: (shape, { floor }) => drawn(shape, floor),
  measures: () => 'wall',
  freely: true,
  chosen: (proposal, { shape }) => (shape ? { ...proposal, shape } : proposal),
};

/** Its outline, with what was typed and still holds as readings. */
function drawn(shape: ShapeProposal, floor: string): Intent {
  const points = shapeOutline(shape);
  const lengths = points.map((): TypedLength | null => null);
  const spans: { legs: readonly [number, number]; read: TypedLength }[] = [];
  for (const size of ['width', 'depth'] as const) {
    const read = shape.read?.[size];
    const legs = read && read.value === shape[size] ? legsAcross(shape, size) : null;
    if (!read || !legs) continue;
    if (legs.length === 1) lengths[legs[0]] = read;
    else spans.push({ legs, read });
  }
  return { kind: 'drawPath', floor, points, closed: true, lengths, spans, time: '' };
}
