import type { KeptType } from '@velvet-tape/contract';
import {
  type FinishLook,
  type OpeningSpec,
  type OpeningType,
  type Piece,
  type PieceSpec,
  specOf,
  specOfPiece,
} from '@velvet-tape/core';
import { liveQuery } from 'dexie';
import { useEffect, useState } from 'react';
import { randomSeed } from '../../../store/seed';
import type { Command } from '../../../store/store';
import { Offline } from '../../../sync/http';
import { forget, keep, keptTypes, syncKeptTypes } from '../../../sync/kept-types';
import { planActions } from '../plan-slice';

/** A kept type of door or window, or a kept piece. */
export type Kept<Spec> = Omit<KeptType, 'spec'> & { readonly spec: Spec };
const isPiece = (kept: KeptType): kept is Kept<PieceSpec> => 'builtIn' in kept.spec;
const isFinish = (kept: KeptType): kept is Kept<FinishLook> => 'stuff' in kept.spec;
const isOpening = (kept: KeptType): kept is Kept<OpeningSpec> => !isPiece(kept) && !isFinish(kept);

/** The types of doors and windows kept for later jobs, the pieces, and the finishes; brought up to date with the server when they are first looked at. */
export const useKeptTypes = () => useKept().filter(isOpening);
export const useKeptPieces = () => useKept().filter(isPiece);
export const useKeptFinishes = () => useKept().filter(isFinish);

function useKept(): readonly KeptType[] {
  const [kept, setKept] = useState<readonly KeptType[]>([]);
  useEffect(() => {
    const following = liveQuery(keptTypes).subscribe(setKept);
    void bringUpToDate();
    return () => following.unsubscribe();
  }, []);
  return kept;
}

/** Offline they are kept here and sent the next time. */
const bringUpToDate = (): Promise<void> =>
  syncKeptTypes().catch((error: unknown) => {
    if (!(error instanceof Offline)) throw error;
  });

export const keepForLater =
  ({ name, ...type }: OpeningType): Command =>
  (dispatch) => {
    void keep({ id: randomSeed(), name, spec: specOf(type) }).then(() => {
      dispatch(
        planActions.said({ text: 'Kept for later jobs. It is in the tray of doors and windows.', tone: 'said' }),
      );
      return bringUpToDate();
    });
  };

export const keepPiece =
  (piece: Piece, name: string): Command =>
  (dispatch) => {
    void keep({ id: randomSeed(), name, spec: specOfPiece(piece) }).then(() => {
      dispatch(planActions.said({ text: 'Kept for later jobs. It is in the tray of pieces.', tone: 'said' }));
      return bringUpToDate();
    });
  };

export const keepFinish =
  (look: FinishLook): Command =>
  (dispatch) => {
    void keep({ id: randomSeed(), name: look.name, spec: look }).then(() => {
      dispatch(planActions.said({ text: 'Kept for later jobs. It is first among the finishes.', tone: 'said' }));
      return bringUpToDate();
    });
  };

export const forgetKept =
  (id: string): Command =>
  () => {
    void forget(id).then(bringUpToDate);
  };
