import type { KeptType } from '@velvet-tape/contract';
import { type OpeningType, specOf } from '@velvet-tape/core';
import { liveQuery } from 'dexie';
import { useEffect, useState } from 'react';
import { randomSeed } from '../../../store/seed';
import type { Command } from '../../../store/store';
import { Offline } from '../../../sync/http';
import { forget, keep, keptTypes, syncKeptTypes } from '../../../sync/kept-types';
import { planActions } from '../plan-slice';

/** The types kept for later jobs; brought up to date with the server when they are first looked at. */
export function useKeptTypes(): readonly KeptType[] {
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

export const forgetKept =
  (id: string): Command =>
  () => {
    void forget(id).then(bringUpToDate);
  };
