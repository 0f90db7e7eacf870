import { createSelector } from '@reduxjs/toolkit';
import {
  type Intent,
  type LengthUnit,
  type ParsedLength,
  type Plan,
  type WallFace,
  applyEdit,
  deriveFloor,
  faceByKey,
  parseLength,
} from '@velvet-tape/core';
import type { RootState } from '../../store/store';
import type { Field } from './plan-slice';

export const selectPlan = (state: RootState): Plan | null => state.plan.plan;
const selectFloorId = (state: RootState) => state.plan.floor;
const selectSelection = (state: RootState) => state.plan.selection;
const selectPad = (state: RootState) => state.plan.pad;

/** The floor as it is, and as it is shown: with what is being dragged. */
export const selectFloor = createSelector([selectPlan, selectFloorId], (plan, floor) =>
  plan ? deriveFloor(plan, floor) : null,
);
export const selectShownFloor = createSelector(
  [selectPlan, (state: RootState) => state.plan.preview, selectFloorId],
  (plan, preview, floor) => (plan ? deriveFloor(preview?.plan ?? plan, floor) : null),
);

/** The face that is selected, itself or through an opening on it. */
export const selectFace = createSelector([selectShownFloor, selectSelection], (floor, selection): WallFace | null => {
  if (!floor || (selection.kind !== 'wall' && selection.kind !== 'opening')) return null;
  return faceByKey(floor, selection.face);
});

export const selectOpening = createSelector([selectFace, selectSelection], (face, selection) =>
  selection.kind === 'opening' ? (face?.openings.find((on) => on.opening.id === selection.id) ?? null) : null,
);

/** The room that is selected, itself or through one of its walls. */
export const selectRoom = createSelector([selectShownFloor, selectSelection, selectFace], (floor, selection, face) => {
  const id = selection.kind === 'room' ? selection.id : face?.room;
  return floor?.rooms.find((room) => room.room.id === id) ?? null;
});

/** The unit of a bare number: lengths in metres or feet, thicknesses in millimetres or inches. */
export function entryUnit(field: Field, units: Plan['job']['units']): LengthUnit {
  if (units === 'imperial') return field === 'thickness' ? 'in' : 'ft';
  return field === 'thickness' ? 'mm' : 'm';
}

/** What the typed text says, or why it can't be read; null while nothing is typed. A sill may be 0. */
export const selectTyped = createSelector([selectPad, selectPlan], (pad, plan): ParsedLength | null => {
  if (!plan || !pad.field || pad.text.trim() === '') return null;
  const zero = /^0*[.,]?0*$/.test(pad.text.trim());
  if (zero && (pad.field === 'sill' || pad.field === 'left' || pad.field === 'right'))
    return { ok: true, mm: 0, unit: 'm' };
  return parseLength(pad.text, entryUnit(pad.field, plan.job.units));
});

/** What Enter would do with what is typed. */
export const selectTypedIntent = createSelector(
  [selectTyped, selectPad, selectFace, selectOpening, selectRoom, selectFloorId],
  (typed, pad, face, on, room, floor): Intent | null => {
    if (!typed?.ok) return null;
    const { mm } = typed;
    switch (pad.field) {
      case 'length':
        if (!face) return null;
        return {
          kind: 'tapeLength',
          floor,
          from: face.from,
          to: face.to,
          value: mm,
          text: pad.text.trim(),
          unit: typed.unit,
          moves: pad.moves,
          time: new Date().toISOString(),
        };
      case 'thickness':
        return face && { kind: 'setThickness', floor, face: face.key, thickness: mm, scope: pad.scope };
      case 'ceiling':
        return (
          room && {
            kind: 'setCeilingHeight',
            room: room.room.id,
            height: mm,
            scope: pad.scope === 'all' ? 'all' : 'room',
          }
        );
      case 'left':
      case 'right':
        return (
          face &&
          on && {
            kind: 'changeOpening',
            floor,
            opening: on.opening.id,
            place: { face: face.key, end: pad.field, offset: mm },
          }
        );
      case 'width':
      case 'height':
      case 'sill':
        return on && { kind: 'changeOpening', floor, opening: on.opening.id, [pad.field]: mm };
      default:
        return null;
    }
  },
);

/** The plan as it would be after Enter, or why it can't be. */
export const selectGhost = createSelector([selectPlan, selectTypedIntent, selectFloorId], (plan, intent, floor) => {
  if (!plan || !intent) return null;
  const result = applyEdit(plan, intent, 'ghost');
  return result.ok ? { floor: deriveFloor(result.plan, floor), reason: null } : { floor: null, reason: result.reason };
});
