import type { DerivedFloor } from '../derived';
import type { LetterBox } from '../drawing/lettering';
import type { DrawingStyle, Mark } from '../drawing/marks';
import { onceFor } from '../memory';
import type { Annotation } from '../plan/plan';
import { drawAnnotation } from './draw-annotation';
import { drawDimensionLine, type DrawnDimension } from './draw-dimension';
import { dimensionsOn } from './places';

type Drawn = ReadonlyMap<string, DrawnDimension>;

const lastDrawn = onceFor((_: DerivedFloor): Map<number, Drawn> => new Map());

/** The dimension lines of a floor by their ids, as they are drawn with lettering of this height, mm of the house. */
export function drawnDimensions(derived: DerivedFloor, lettering: number, near: DerivedFloor | null = null): Drawn {
  if (near) return draw(derived, lettering, near);
  const known = lastDrawn(derived);
  let drawn = known.get(lettering);
  if (!drawn) {
    drawn = draw(derived, lettering, null);
    // a zoom is left behind for good sooner or later
    if (known.size > 3) known.clear();
    known.set(lettering, drawn);
  }
  return drawn;
}

function draw(derived: DerivedFloor, lettering: number, near: DerivedFloor | null): Drawn {
  const placed: LetterBox[] = [];
  return new Map(
    dimensionsOn(derived, near).map(({ dimension, points }) => [
      dimension.id,
      drawDimensionLine(derived, dimension, points, { lettering, placed }),
    ]),
  );
}

/** Marks of what is written on the plan: dimension lines, texts, arrows, signs. */
export function drawNotes(
  own: DerivedFloor,
  { lettering, notes: of, without = NONE, withoutLayers = NONE }: Asked,
): readonly Mark[] {
  if (of === null) return [];
  const { whole: derived, near } = of ?? { whole: own, near: null };
  const { dimensions } = derived.plan;
  const isOut = (layer: string) => layer !== '' && withoutLayers.has(layer);
  const lines = without.has('dimensions') ? [] : [...drawnDimensions(derived, lettering, near)];
  const notes = without.has('notes') ? [] : annotationsOn(derived);
  return [
    ...lines.flatMap(([id, { marks }]) => (isOut(dimensions[id]!.layer) ? [] : marks)),
    ...notes.flatMap((note) => (isOut(note.layer) ? [] : drawAnnotation(note, lettering))),
  ];
}
type Asked = Pick<DrawingStyle, 'lettering' | 'notes' | 'without' | 'withoutLayers'>;
const NONE: ReadonlySet<never> = new Set<never>();

export const annotationsOn = ({ plan, floor }: DerivedFloor): readonly Annotation[] =>
  Object.values(plan.annotations).filter((each) => each.floor === floor);
