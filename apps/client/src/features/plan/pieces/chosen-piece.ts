import type { Intent, Point } from '@velvet-tape/core';
import type { PieceOnFloor, Side } from '@velvet-tape/core/pieces';
import { laterRooms } from '../../../core-later/to-come';
import type { RootState } from '../../../store/store';
import type { Of } from '../chosen/chosen-kind';
import type { FieldShown } from '../foot/fields';
import { lent } from '../later/lent';
import type { PiecesRoom } from './pieces-room';
import { chosenOf, standingNow, standingShown } from './standing';

const { edit, field, formatLength, planActions, selectFloor } = lent();
const { clearRound, shiftPiece, turnOfFrame, turnPiece } = laterRooms();

/** What is free beside a piece, and which way it goes when that is typed. */
const SIDES: readonly (readonly [side: Side, name: 'left' | 'right' | 'behind' | 'ahead', away: Point])[] = [
  ['left', 'left', { x: -1, y: 0 }],
  ['right', 'right', { x: 1, y: 0 }],
  ['back', 'behind', { x: 0, y: -1 }],
  ['front', 'ahead', { x: 0, y: 1 }],
];
const SAID = { left: 'Left', right: 'Right', behind: 'Behind it', ahead: 'In front' } as const;

/** The one chosen piece as it is shown; null where there are several, or none. */
export function onlyOne(state: RootState, chosen: Of<'piece'>): PieceOnFloor | null {
  const all = chosenOf(standingShown(state), chosen);
  return all.length === 1 ? all[0]! : null;
}

/** What is free round a piece, on the floor as it is shown. */
export function clearOf(state: RootState, one: PieceOnFloor) {
  const floor = selectFloor(state)!;
  return clearRound(one, floor, standingShown(state));
}

export const chosenPiece: PiecesRoom['chosenPiece'] = {
  fields: (state, chosen): FieldShown[] => {
    const { plan } = state.plan;
    const one = onlyOne(state, chosen);
    if (!plan || !one || !selectFloor(state)) return [];
    const { piece, kind } = one;
    const long = (mm: number) => formatLength(mm, plan.job.units);
    const clear = clearOf(state, one);
    return [
      field('width', long(piece.width), kind.round ? 'Diameter' : 'Width'),
      ...(kind.round ? [] : [field('depth', long(piece.depth))]),
      field('height', long(piece.height)),
      ...SIDES.flatMap(([side, name]) => (clear[side] === null ? [] : [field(name, long(clear[side]!), SAID[name])])),
      field('up', long(piece.up), piece.stand.kind === 'piece' ? 'Over it' : undefined),
      field('turn', `${Math.round(turnOfFrame(one.frame))}°`),
    ];
  },
  typed: (state, name, { value }, chosen): Intent | null => {
    const one = chosenOf(standingNow(state), chosen)[0];
    if (!one || chosen.ids.length !== 1 || !selectFloor(state)) return null;
    const { piece } = one;
    if (name === 'width' || name === 'depth' || name === 'height' || name === 'up')
      return { kind: 'changePiece', piece: piece.id, to: { [name]: value } };
    if (name === 'turn') return { kind: 'placePieces', places: [turnPiece(one, value - turnOfFrame(one.frame))] };
    const side = SIDES.find(([, field]) => field === name);
    if (!side) return null;
    const [which, , away] = side;
    const clear = clearRound(one, selectFloor(state)!, standingNow(state))[which];
    if (clear === null) return null;
    const by = clear - value;
    return { kind: 'placePieces', indoors: true, places: [shiftPiece(one, { x: away.x * by, y: away.y * by })] };
  },
  remove:
    ({ ids }) =>
    (dispatch) => {
      const result = dispatch(edit({ kind: 'removePieces', pieces: ids }));
      if (result.ok) dispatch(planActions.selected({ kind: 'nothing' }));
    },
  nudge: (chosen, x, y) => (dispatch, getState) => {
    const held = chosenOf(standingNow(getState()), chosen);
    if (held.length === 0) return;
    // on the sheet, whichever way it is turned
    const places = held.map((one) => {
      const { d } = one.frame;
      return shiftPiece(one, { x: x * d.x + y * d.y, y: y * d.x - x * d.y });
    });
    dispatch(edit({ kind: 'placePieces', places }));
  },
};
