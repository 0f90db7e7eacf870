import type { Intent } from '@velvet-tape/core';
import type { Command, RootState } from '../../../store/store';
import type { ChosenKind, Of } from '../chosen/chosen-kind';
import { roomToCome } from '../later/room-to-come';
import type { Selection } from '../plan-state';
import type { Bench, Pointer, Tool } from '../tools/tool';

/** What a finger that is somewhere does with what it has hold of. */
export type PieceDrag = (pointer: Pointer) => Intent | null;

/** What of pieces comes later: how they are put down and found, and what is done with chosen ones. */
export interface PiecesRoom {
  readonly piecesTool: (bench: Bench) => Tool;
  readonly chosenPiece: Required<Pick<ChosenKind<Of<'piece'>>, 'fields' | 'typed' | 'remove' | 'nudge'>>;
  /** The piece under a finger. */
  readonly pieceMeant: (bench: Bench, pointer: Pointer) => string | null;
  /** What is chosen when one is tapped: it, with its group. */
  readonly pieceChosen: (bench: Bench, id: string) => Selection;
  /** What a drag from there does with the chosen pieces; null where it has hold of none. */
  readonly pieceDrag: (bench: Bench, from: Pointer) => PieceDrag | null;
}

const room = roomToCome<PiecesRoom>(
  () => import('./room'),
  'What stands in the rooms could not be fetched. Without a connection it may not be on the device yet: it is kept, and shows when the plan is opened again.',
);
export const bringPieces = room.bring;

type Parts = Omit<typeof import('./room'), keyof PiecesRoom>;

/** A part of what is shown of pieces. */
export const ofPieces = <N extends keyof Parts>(name: N): Promise<{ default: Parts[N] }> =>
  import('./room').then((own) => ({ default: own[name] }));

/** Does something stand in the rooms of this plan, or is something about to? */
export const wantsPieces = ({ plan: { plan, tool } }: RootState): boolean =>
  plan !== null && (tool === 'pieces' || Object.keys(plan.pieces).length > 0);

export const piecesTool = room.tool((own, bench) => own.piecesTool(bench));
export const pieceMeant: PiecesRoom['pieceMeant'] = (...at) => room.now()?.pieceMeant(...at) ?? null;
export const pieceDrag: PiecesRoom['pieceDrag'] = (...at) => room.now()?.pieceDrag(...at) ?? null;
export const pieceChosen: PiecesRoom['pieceChosen'] = (bench, id) =>
  room.now()?.pieceChosen(bench, id) ?? { kind: 'piece', ids: [id] };

const nothing: Command = () => undefined;

export const pieceKind: ChosenKind<Of<'piece'>> = {
  fields: (state, chosen) => room.now()?.chosenPiece.fields(state, chosen) ?? [],
  typed: (state, field, read, chosen) => room.now()?.chosenPiece.typed(state, field, read, chosen) ?? null,
  remove: (chosen) => room.now()?.chosenPiece.remove(chosen) ?? nothing,
  nudge: (chosen, dx, dy) => room.now()?.chosenPiece.nudge(chosen, dx, dy) ?? nothing,
};
