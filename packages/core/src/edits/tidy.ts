import type { Draft } from '../plan/draft';
import { dropWithAll } from '../plan/footing';
import { POINTS_NEEDED } from '../plan/plan';
import { dropUnusedTypes } from './opening-types';

/** What an edit left without use goes: types nothing is of, dimension lines with too few points to say anything. */
export function tidy(draft: Draft): void {
  if (draft.openings !== draft.before.openings) dropUnusedTypes(draft);
  if (draft.points !== draft.before.points || draft.dimensions !== draft.before.dimensions) dropIdleDimensions(draft);
}

export function dropIdleDimensions(draft: Draft): void {
  const points = new Map<string, number>();
  for (const { dimension } of Object.values(draft.points)) points.set(dimension, (points.get(dimension) ?? 0) + 1);
  for (const { id, form } of Object.values(draft.dimensions))
    if ((points.get(id) ?? 0) < POINTS_NEEDED[form]) dropWithAll(draft, 'dimensions', id, 'wanted');
}
