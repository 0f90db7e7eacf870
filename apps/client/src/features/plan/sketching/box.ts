import type { Point, TypedLength } from '@velvet-tape/core';
import type { ProposalKind } from './proposal-kind';

export interface BoxProposal {
  readonly kind: 'box';
  readonly a: Point;
  readonly b: Point;
  readonly width: TypedLength | null;
  readonly depth: TypedLength | null;
}

export const boxKind: ProposalKind<BoxProposal> = {
  fields: () => ['width', 'depth'],
  value: ({ a, b }, field) =>
    field === 'width' ? Math.abs(b.x - a.x) : field === 'depth' ? Math.abs(b.y - a.y) : null,
  typed: (box, field, typed) => {
    const { a, b } = box;
    const { value } = typed;
    if (field === 'width') return { ...box, width: typed, b: { ...b, x: a.x + (b.x < a.x ? -value : value) } };
    return { ...box, depth: typed, b: { ...b, y: a.y + (b.y < a.y ? -value : value) } };
  },
  intent: ({ a, b, width, depth }, { floor }) => ({ kind: 'drawBox', floor, a, b, width, depth, time: '' }),
  measures: () => 'wall',
};
