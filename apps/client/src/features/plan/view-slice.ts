import type { Box, Guide, Point } from '@velvet-tape/core';
import { type PayloadAction, createSlice } from '@reduxjs/toolkit';
import { type Viewport, fit, pan, zoomAt } from './viewport';

export interface ViewState {
  view: Viewport;
  width: number;
  height: number;
  /** Moved or zoomed by hand: a change of size no longer fits the house in. */
  byHand: boolean;
  /** The sheet became smaller while something was being drawn. */
  held: boolean;
  /** What the point under the finger was caught by. */
  guides: readonly Guide[];
  /** A line being drawn round something: a lasso, a rectangle. */
  lasso: readonly Point[];
  /** Where a finger is working, px: what it covers is shown beside it. */
  finger: Point | null;
  /** Drawing goes on from the middle of the sheet, by keyboard. */
  crosshair: boolean;
}

interface Sized {
  readonly width: number;
  readonly height: number;
  /** What to show while nobody moved the sheet, with so much sheet round it, px. */
  readonly box: Box | null;
  readonly margin?: number;
  /** What is under the finger stays there. */
  readonly hold: boolean;
}

const initial: ViewState = {
  view: fit(null, 390, 600),
  width: 0,
  height: 0,
  byHand: false,
  held: false,
  guides: [],
  lasso: [],
  finger: null,
  crosshair: false,
};

const slice = createSlice({
  name: 'view',
  initialState: initial,
  reducers: {
    resized: (state, { payload }: PayloadAction<Sized>) => {
      const { width, height, box, margin, hold } = payload;
      // what was in the middle stays in the middle; a view nobody touched shows the whole house
      // while something is being drawn it stays where it is under the finger, and afterwards too
      if (hold || state.held) state.byHand = true;
      else if (!state.byHand) state.view = fit(box, width, height, margin);
      else state.view = pan(state.view, (width - state.width) / 2, (height - state.height) / 2);
      state.held = hold;
      state.width = width;
      state.height = height;
    },
    /** The box into view; `stay`: a change of size does not bring the house back. */
    fitted: (state, { payload }: PayloadAction<{ box: Box | null; margin?: number; stay?: boolean }>) => {
      state.view = fit(payload.box, state.width, state.height, payload.margin);
      state.byHand = payload.stay ?? false;
    },
    panned: (state, { payload }: PayloadAction<Point>) => {
      state.view = pan(state.view, payload.x, payload.y);
      state.byHand = true;
    },
    zoomed: (state, { payload }: PayloadAction<{ factor: number; px?: Point }>) => {
      state.view = zoomAt(state.view, payload.px ?? { x: state.width / 2, y: state.height / 2 }, payload.factor);
      state.byHand = true;
    },
    /** Brings a point of the house into view, if it is not. */
    shown: (state, { payload }: PayloadAction<Point>) => {
      const x = (payload.x - state.view.x) * state.view.scale;
      const y = (payload.y - state.view.y) * state.view.scale;
      const margin = 40;
      const dx = x < margin ? margin - x : x > state.width - margin ? state.width - margin - x : 0;
      const dy = y < margin ? margin - y : y > state.height - margin ? state.height - margin - y : 0;
      if (dx || dy) state.view = pan(state.view, dx, dy);
    },
    guided: (state, { payload }: PayloadAction<readonly Guide[]>) => {
      if (payload.length > 0 || state.guides.length > 0) Object.assign(state, { guides: payload });
    },
    lassoed: (state, { payload }: PayloadAction<readonly Point[]>) => {
      if (payload.length > 0 || state.lasso.length > 0) Object.assign(state, { lasso: payload });
    },
    fingerAt: (state, { payload }: PayloadAction<Point | null>) => {
      state.finger = payload;
    },
    crosshairShown: (state, { payload }: PayloadAction<boolean>) => {
      state.crosshair = payload;
    },
    reset: () => initial,
  },
});

export const viewActions = slice.actions;
export const viewReducer = slice.reducer;
