import type { DerivedFloor } from '../derived';
import { boxOf } from '../drawing/lettering';
import type { Mark } from '../drawing/marks';
import { type Point, distance, distanceToSegment, dot, flattened, rightOf, subtract } from '../geometry';
import { drawAnnotation } from './draw-annotation';
import { annotationsOn, drawnDimensions } from './draw-notes';

/** A dimension line or something written, under a finger. */
export interface NoteHit {
  readonly of: 'dimensions' | 'annotations';
  readonly id: string;
}

/** The note nearest to a point, within `reach` mm; null where none is. `lettering` as they are drawn; layers out of reach are passed over. */
export function noteAt(
  derived: DerivedFloor,
  p: Point,
  reach: number,
  lettering: number,
  isOut: (of: NoteHit['of'], layer: string) => boolean = () => false,
): NoteHit | null {
  const { dimensions } = derived.plan;
  const all = [
    ...annotationsOn(derived).map((each) => ({
      ...{ of: 'annotations' as const, id: each.id, layer: each.layer },
      marks: drawAnnotation(each, lettering),
    })),
    ...[...drawnDimensions(derived, lettering)].map(([id, { marks }]) => ({
      ...{ of: 'dimensions' as const, id, layer: dimensions[id]!.layer, marks },
    })),
  ];
  let best: { hit: NoteHit; off: number } | null = null;
  for (const { of, id, layer, marks } of all) {
    if (isOut(of, layer)) continue;
    const off = Math.min(...marks.map((mark) => awayFrom(mark, p, lettering)));
    if (off <= reach && (!best || off < best.off)) best = { hit: { of, id }, off };
  }
  return best?.hit ?? null;
}

/** How far a point is from a mark, mm; 0 on a text. */
function awayFrom(mark: Mark, p: Point, lettering: number): number {
  switch (mark.kind) {
    case 'text': {
      const { at, d, long, high } = boxOf(mark, lettering);
      const off = subtract(p, at);
      const [u, v] = [Math.abs(dot(off, d)) - long, Math.abs(dot(off, rightOf(d))) - high];
      return Math.hypot(Math.max(0, u), Math.max(0, v));
    }
    case 'path':
      return Math.min(
        ...mark.rings.map((ring) => {
          const points = flattened(ring);
          return Math.min(
            ...points.slice(1).map((b, i) => distanceToSegment(points[i]!, b, p)),
            ...points.slice(0, 1).map((a) => distance(a, p)),
          );
        }),
      );
    case 'arc':
      return Math.abs(distance(mark.centre, p) - mark.radius);
    case 'picture':
      return Infinity;
  }
}
