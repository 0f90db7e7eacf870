import type { Annotation, Dimension, DimensionPoint, Plan, Point } from '@velvet-tape/core';
import { laterRooms } from '../../../core-later/to-come';
import type { FieldShown } from '../foot/fields';
import { lent } from '../later/lent';
import type { NotesRoom } from './notes-room';

const { decimals, edit, field, formatLength, planActions } = lent();

type Chosen = { readonly of: 'dimensions' | 'annotations'; readonly id: string };

export const dimensionOf = (plan: Plan | null, { of, id }: Chosen): Dimension | null =>
  (of === 'dimensions' && plan?.dimensions[id]) || null;
export const annotationOf = (plan: Plan | null, { of, id }: Chosen): Annotation | null =>
  (of === 'annotations' && plan?.annotations[id]) || null;

export const pointsOf = (plan: Plan, dimension: string): DimensionPoint[] =>
  Object.values(plan.points)
    .filter((point) => point.dimension === dimension)
    .sort((a, b) => a.order - b.order);

const letters = (size: number): FieldShown => field('letters', `${decimals(size, 1)} mm`);

/** An annotation moved as a whole. */
export const movedBy = ({ at, to }: Annotation, { x, y }: Point) => ({
  at: { x: at.x + x, y: at.y + y },
  ...(to && { to: { x: to.x + x, y: to.y + y } }),
});

export const chosenNote: NotesRoom['chosenNote'] = {
  fields: ({ plan: { plan } }, chosen) => {
    const dimension = dimensionOf(plan, chosen);
    if (dimension)
      return [
        ...(dimension.form === 'line' ? [field('away', formatLength(Math.abs(dimension.off), plan!.job.units))] : []),
        letters(dimension.size),
      ];
    const annotation = annotationOf(plan, chosen);
    if (!annotation) return [];
    const turns = annotation.form === 'text' || annotation.form === 'sign';
    return [letters(annotation.size), ...(turns ? [field('turn', `${Math.round(annotation.turn)}°`)] : [])];
  },
  typed: ({ plan: { plan } }, name, { value }, chosen) => {
    const dimension = dimensionOf(plan, chosen);
    if (dimension) {
      if (name === 'letters')
        return { kind: 'changeDimension', dimension: chosen.id, to: { size: value }, all: dimension.laid !== '' };
      // to the side it lies on
      const side = dimension.off < 0 || (dimension.off === 0 && dimension.row < 0) ? -1 : 1;
      return name === 'away' ? { kind: 'changeDimension', dimension: chosen.id, to: { off: side * value } } : null;
    }
    if (!annotationOf(plan, chosen)) return null;
    if (name === 'letters') return { kind: 'changeAnnotation', annotation: chosen.id, to: { size: value } };
    return name === 'turn' ? { kind: 'changeAnnotation', annotation: chosen.id, to: { turn: value } } : null;
  },
  remove:
    ({ of, id }) =>
    (dispatch) => {
      const result = dispatch(
        edit(
          of === 'dimensions'
            ? { kind: 'removeDimension', dimension: id }
            : { kind: 'removeAnnotation', annotation: id },
        ),
      );
      if (result.ok) dispatch(planActions.selected({ kind: 'nothing' }));
    },
  nudge: (chosen, x, y) => (dispatch, getState) => {
    const { plan } = getState().plan;
    const annotation = annotationOf(plan, chosen);
    if (annotation) {
      dispatch(edit({ kind: 'changeAnnotation', annotation: chosen.id, to: movedBy(annotation, { x, y }) }));
      return;
    }
    const dimension = dimensionOf(plan, chosen);
    const floor = lent().selectFloor(getState());
    const laid = dimension?.form === 'line' && floor ? laidOf(floor, dimension.id) : null;
    if (!dimension || !laid) return;
    const by = -laid.d.y * x + laid.d.x * y;
    dispatch(edit({ kind: 'changeDimension', dimension: chosen.id, to: { off: dimension.off + by } }));
  },
};

/** A dimension line of a floor laid out; null where it can't be. */
export function laidOf(floor: Parameters<ReturnType<typeof laterRooms>['dimensionsOn']>[0], id: string) {
  const { dimensionsOn, laidOut } = laterRooms();
  const on = dimensionsOn(floor).find(({ dimension }) => dimension.id === id);
  return on ? laidOut(floor, on.dimension, on.points) : null;
}
