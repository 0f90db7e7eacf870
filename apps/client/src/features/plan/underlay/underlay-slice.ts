import type { FoundWall } from '@velvet-tape/core';
import { type PayloadAction, createSlice } from '@reduxjs/toolkit';
import type { PdfPage } from '../../../pictures/pdf';

/** What is shown about underlays while it is looked at; nothing of it is part of the plan. */
export interface UnderlayState {
  /** What is being done to a picture, and how far that has come. */
  work: { readonly what: string; readonly share: number } | null;
  /** A PDF of several pages, one of which is to be chosen. */
  pages: { readonly name: string; readonly pages: readonly PdfPage[] } | null;
  /** A scale that is written on a picture: it is offered, not taken. */
  stated: { readonly underlay: string; readonly ratio: number } | null;
  /** Walls that were found and not taken yet, px of the picture. */
  found: { readonly underlay: string; readonly walls: readonly FoundWall[]; readonly skew: number } | null;
  panel: 'look' | 'printed' | null;
  /** Pictures that can't be shown: why. */
  missing: Readonly<Record<string, string>>;
}

const initial: UnderlayState = { work: null, pages: null, stated: null, found: null, panel: null, missing: {} };

const slice = createSlice({
  name: 'underlay',
  initialState: initial,
  reducers: {
    working: (state, { payload }: PayloadAction<UnderlayState['work']>) => {
      state.work = payload;
    },
    pagesOffered: (state, { payload }: PayloadAction<UnderlayState['pages']>) => ({ ...state, pages: payload }),
    scaleStated: (state, { payload }: PayloadAction<UnderlayState['stated']>) => {
      state.stated = payload;
      if (payload) state.panel = 'printed';
    },
    found: (state, { payload }: PayloadAction<UnderlayState['found']>) => ({ ...state, found: payload }),
    panelShown: (state, { payload }: PayloadAction<UnderlayState['panel']>) => {
      state.panel = payload;
    },
    pictureMissing: (state, { payload }: PayloadAction<{ picture: string; why: string | null }>) => {
      const { [payload.picture]: _, ...rest } = state.missing;
      return { ...state, missing: payload.why === null ? rest : { ...rest, [payload.picture]: payload.why } };
    },
    reset: () => initial,
  },
});

export const underlayActions = slice.actions;
export const underlayReducer = slice.reducer;
