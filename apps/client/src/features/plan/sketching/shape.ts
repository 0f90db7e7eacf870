import { type PlacedShape, shapeOutline } from '@velvet-tape/core';
import type { ProposalKind } from './proposal-kind';

export interface ShapeProposal extends PlacedShape {
  readonly kind: 'shape';
}

export const shapeKind: ProposalKind<ShapeProposal> = {
  fields: () => ['width', 'depth'],
  value: ({ width, depth }, field) => (field === 'width' ? width : field === 'depth' ? depth : null),
  typed: (shape, field, { value }) => (field === 'width' ? { ...shape, width: value } : { ...shape, depth: value }),
  intent: (shape, { floor }) => ({ kind: 'drawPath', floor, points: shapeOutline(shape), closed: true }),
  measures: () => 'wall',
  freely: true,
  chosen: (proposal, { shape }) => (shape ? { ...proposal, shape } : proposal),
};
