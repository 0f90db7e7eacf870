import type { Box, Guide, Point } from '@velvet-tape/core';
import { type PayloadAction, createSlice } from '@reduxjs/toolkit';
import { type Viewport, fit, pan, toScreen, zoomAt } from './viewport';

/** How a sheet of some size lay. */
interface Lie {
  readonly view: Viewport;
  readonly width: number;
  readonly height: number;
}

export interface ViewState {
  view: Viewport;
  width: number;
  height: number;
  /** Moved or zoomed by hand: a change of size no longer fits the house in. */
  byHand: boolean;
  /** How the sheet lay before it went to what is being worked on. */
  before: Lie | null;
  /** It came back to this, and lies so whatever size the sheet takes then. */
  rest: Lie | null;
  /** How the sheet changed its size while something was dragged, px. */
  owed: Point;
  /** The sheet became smaller while something was being drawn. */
  held: boolean;
  /** What the point under the finger was caught by. */
  guides: readonly Guide[];
  /** A line being drawn round something: a lasso, a rectangle. */
  lasso: readonly Point[];
  /** Where a finger is working, px: what it covers is shown beside it. */
  finger: Point | null;
  /** How many parts that come later have come: what they draw is looked at again. */
  roomsCame: number;
  /** Drawing goes on from the middle of the sheet, by keyboard. */
  crosshair: boolean;
}

interface Sized {
  readonly width: number;
  readonly height: number;
  /** What to show while nobody moved the sheet, with so much sheet round it, px. */
  readonly box: Box | null;
  readonly margin?: number;
  /** What is under the finger stays there: something is drawn. */
  readonly hold: boolean;
  /** So it does while something is dragged; when that is over the middle is where it would have been. */
  readonly dragged?: boolean;
}

const initial: ViewState = {
  view: fit(null, 390, 600),
  width: 0,
  height: 0,
  byHand: false,
  before: null,
  rest: null,
  owed: { x: 0, y: 0 },
  held: false,
  guides: [],
  lasso: [],
  finger: null,
  roomsCame: 0,
  crosshair: false,
};

/** Put somewhere else it comes back to nothing. */
const BY_ITSELF = { before: null, rest: null } as const;

/** The same middle on a sheet of this size. */
const asItLay = ({ view, width: w, height: h }: Lie, width: number, height: number): Viewport =>
  pan(view, (width - w) / 2, (height - h) / 2);

const slice = createSlice({
  name: 'view',
  initialState: initial,
  reducers: {
    roomCame: (state) => {
      state.roomsCame += 1;
    },
    resized: (state, { payload }: PayloadAction<Sized>) => {
      const { width, height, box, margin, hold, dragged = false } = payload;
      const by = { x: width - state.width + state.owed.x, y: height - state.height + state.owed.y };
      // what was in the middle stays in the middle; a view nobody touched shows the whole house
      // while something is being drawn it stays where it is under the finger, and afterwards too
      if (state.rest && !hold)
        state.view = state.byHand ? asItLay(state.rest, width, height) : fit(box, width, height, margin);
      else if (hold || state.held || dragged) state.byHand ||= !state.before;
      else if (!state.byHand && !state.before) state.view = fit(box, width, height, margin);
      else state.view = pan(state.view, by.x / 2, by.y / 2);
      // what was drawn meanwhile is where it was drawn
      if (hold) state.rest = null;
      state.owed = dragged && !hold ? by : { x: 0, y: 0 };
      state.held = hold;
      state.width = width;
      state.height = height;
    },
    /** The box into view; `stay`: a change of size does not bring the house back. */
    fitted: (state, { payload }: PayloadAction<{ box: Box | null; margin?: number; stay?: boolean }>) => {
      state.view = fit(payload.box, state.width, state.height, payload.margin);
      state.byHand = payload.stay ?? false;
      Object.assign(state, BY_ITSELF);
    },
    /** Goes to what is worked on, where it is not well in view already; how the sheet lay is kept. */
    followed: (state, { payload }: PayloadAction<Box>) => {
      const { view, width, height } = state;
      // the button that is done with it stands at the right
      const wanted = fit(payload, width - DONE, height, besides(state));
      const close =
        wanted.scale > CLOSE ? zoomAt(wanted, { x: width / 2, y: height / 2 }, CLOSE / wanted.scale) : wanted;
      if (isWithin(state, payload) && view.scale >= close.scale * 0.7) return;
      state.before ??= { view, width, height };
      state.rest = null;
      state.view = close;
    },
    /** Lies as it did before it followed. */
    cameBack: (state) => {
      if (!state.before) return;
      state.view = asItLay(state.before, state.width, state.height);
      state.rest = state.before;
      state.before = null;
      state.held = false;
    },
    panned: (state, { payload }: PayloadAction<Point>) => {
      Object.assign(state, BY_ITSELF);
      state.view = pan(state.view, payload.x, payload.y);
      state.byHand = true;
    },
    zoomed: (state, { payload }: PayloadAction<{ factor: number; px?: Point }>) => {
      Object.assign(state, BY_ITSELF);
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
    /** As it lay when the job was left, on a sheet of the size it has now. */
    takenUpAgain: (state, { payload: { view, byHand, width, height } }: PayloadAction<ViewState>) => {
      if (!byHand) return;
      state.view = state.width ? pan(view, (state.width - width) / 2, (state.height - height) / 2) : view;
      if (!state.width) Object.assign(state, { width, height });
      state.byHand = true;
    },
    reset: ({ roomsCame }) => ({ ...initial, roomsCame }),
  },
});

/** Sheet left round what is followed, px: less on a small one. No nearer than this, px per mm. */
const besides = ({ width, height }: Pick<ViewState, 'width' | 'height'>): number =>
  Math.min(46, 0.14 * Math.min(width, height));
const CLOSE = 0.09;
const DONE = 48;

/** Is the box in view, clear of the edges by half of what is left round it? */
function isWithin({ view, width, height }: ViewState, { minX, minY, maxX, maxY }: Box): boolean {
  const [a, b] = [toScreen(view, { x: minX, y: minY }), toScreen(view, { x: maxX, y: maxY })];
  const edge = besides({ width, height }) / 2;
  return a.x >= edge && a.y >= edge && b.x <= width - DONE - edge / 2 && b.y <= height - edge;
}

export const viewActions = slice.actions;
export const viewReducer = slice.reducer;
