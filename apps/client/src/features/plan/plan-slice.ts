import { type Plan, changeBetween, groundFloor, inverse, isNothing, problemsOf, withChange } from '@velvet-tape/core';
import { type PayloadAction, createSlice, original } from '@reduxjs/toolkit';
import type { Trouble } from '../../sync/database';
import type { SyncState } from '../../sync/engine';
import {
  type Selection,
  type ToolName,
  type Field,
  type Panel,
  type ReadingAlong,
  type NotOpened,
  type PlanState,
  emptyPad,
  initial,
} from './plan-state';
import type { ToolChoices } from './tool-choices';
import { FIRST_TOOLS } from './tool-names';
import { type Proposal, fieldsOf, kindOf } from './sketching/proposal';

const FIRST_FIELD: Record<Selection['kind'], Field | null> = {
  nothing: null,
  room: null,
  wall: 'length',
  opening: 'left',
  rooms: null,
  corner: null,
  solid: 'width',
  stairs: null,
  slope: 'foot',
  break: 'height',
  underlay: null,
  note: null,
  piece: null,
};

function select(state: PlanState, selection: Selection): void {
  state.selection = selection;
  state.panel = null;
  state.readingAlong = null;
  state.pad = { ...emptyPad, field: FIRST_FIELD[selection.kind] };
}

/** A house is looked at, a picture is worked on, an empty sheet is drawn on. */
function toolToBegin({ walls, underlays }: Plan): ToolName {
  if (Object.keys(walls).length > 0) return 'choose';
  return Object.keys(underlays).length > 0 ? 'underlay' : 'box';
}

const slice = createSlice({
  name: 'plan',
  initialState: initial,
  reducers: {
    opening: (state, { payload }: PayloadAction<string>) => ({
      ...initial,
      sync: state.sync,
      jobId: payload,
      loading: 'loading' as const,
    }),
    opened: (state, { payload }: PayloadAction<Plan>) => {
      Object.assign(state, { loading: 'ready', plan: payload, known: payload, tool: toolToBegin(payload) });
      state.floor = groundFloor(payload).id;
      state.option = Object.values(payload.options).find(({ chosen }) => chosen)?.id ?? null;
    },
    /** As it was when it was left. */
    takenUpAgain: (state, { payload }: PayloadAction<Pick<PlanState, 'past' | 'future' | 'floor'>>) => {
      Object.assign(state, payload);
    },
    notOpened: (state, { payload }: PayloadAction<NotOpened>) => {
      state.loading = payload.why;
      if (payload.why === 'unreadable') state.unreadable = payload.reason;
    },
    closed: (state) => ({ ...initial, sync: state.sync }),
    /** `step` false: what is looked at was chosen, nothing was done that is to be taken back. */
    edited: (state, { payload }: PayloadAction<{ plan: Plan; name: string; step?: boolean }>) => {
      const was = { ...asItWas(state as PlanState), preview: null };
      const change = changeBetween(was.plan!, payload.plan);
      if (isNothing(change)) return was;
      if (payload.step === false) return { ...was, plan: payload.plan };
      return { ...was, plan: payload.plan, past: [...was.past, { name: payload.name, change }], future: [] };
    },
    undone: (state) => back(asItWas(state as PlanState), 'past', 'future'),
    redone: (state) => back(asItWas(state as PlanState), 'future', 'past'),
    /** Someone else changed the plan, or the device has what was sent to it. */
    adopted: (state, { payload }: PayloadAction<{ known: Plan; plan: Plan }>) => {
      Object.assign(state, payload);
    },
    previewed: (state, { payload }: PayloadAction<PlanState['preview']>) => {
      Object.assign(state, { preview: payload });
    },
    /** Another option is looked at, or the measured house. */
    optionShown: (state, { payload }: PayloadAction<string | null>) => {
      state.option = payload;
      state.preview = null;
      select(state as PlanState, { kind: 'nothing' });
    },
    /** Another floor is looked at. */
    floorChosen: (state, { payload }: PayloadAction<string>) => {
      state.floor = payload;
      state.proposal = null;
      state.preview = null;
      state.naming = null;
      state.listing = null;
      select(state as PlanState, { kind: 'nothing' });
    },
    toolChosen: (state, { payload }: PayloadAction<ToolName>) => {
      state.tool = payload;
      if (!FIRST_TOOLS.includes(payload)) state.lastTool = payload;
      state.toolsOpen = false;
      state.pointed = null;
      state.proposal = null;
      if (payload !== 'choose' && payload !== 'lasso') select(state as PlanState, { kind: 'nothing' });
    },
    toolsOpened: (state, { payload }: PayloadAction<boolean>) => {
      state.toolsOpen = payload;
    },
    choicesMade: (state, { payload }: PayloadAction<Partial<ToolChoices>>) => {
      Object.assign(state.choices, payload);
      if (payload.instrument) state.pad.instrument = payload.instrument;
      // what is being drawn follows
      const { proposal } = state as PlanState;
      if (proposal) Object.assign(state, { proposal: kindOf(proposal).chosen?.(proposal, payload) ?? proposal });
    },
    proposed: (state, { payload }: PayloadAction<Proposal | null>) => {
      const had = state.proposal;
      Object.assign(state, { proposal: payload });
      state.pad.asked = false;
      state.notice = null;
      const fields: readonly Field[] = payload ? fieldsOf(payload) : [];
      const { field } = state.pad;
      if (payload?.kind !== had?.kind || (field && !fields.includes(field)) || (!field && fields.length > 0))
        state.pad = { ...emptyPad, field: fields[0] ?? null };
    },
    selected: (state, { payload }: PayloadAction<Selection>) => {
      select(state as PlanState, payload);
      state.naming = null;
      state.notice = null;
    },
    fieldChosen: (state, { payload }: PayloadAction<Field | null>) => {
      state.pad.field = payload;
      state.pad.text = '';
      if (payload !== 'gap') state.readingAlong = null;
      if (state.panel !== 'type') state.panel = null;
    },
    panelShown: (state, { payload }: PayloadAction<Panel | null>) => {
      state.panel = payload;
      state.readingAlong = null;
      // the type is looked at until one of its figures is to be typed
      state.pad.field = payload === 'type' ? null : FIRST_FIELD[state.selection.kind];
      state.pad.text = '';
    },
    /** The next distance along the wall waits to be typed, or the wall is no longer read along. */
    readAlong: (state, { payload }: PayloadAction<ReadingAlong | null>) => {
      state.readingAlong = payload;
      state.panel = null;
      state.pad.field = payload ? 'gap' : FIRST_FIELD[state.selection.kind];
      state.pad.text = '';
      state.pad.asked = false;
    },
    typed: (state, { payload }: PayloadAction<string>) => {
      state.pad.text = payload.slice(0, 40);
      state.pad.shot = '';
      state.pad.asked = false;
      state.pad.instrument = state.choices.instrument;
      state.notice = null;
    },
    /** A meter sent a value for the field that waits. */
    received: (state, { payload }: PayloadAction<string>) => {
      state.pad.text = payload;
      state.pad.shot = payload;
      state.pad.asked = false;
      state.pad.instrument = 'laser';
      state.notice = null;
    },
    asked: (state) => {
      state.pad.asked = true;
      state.pad.shot = state.pad.text;
    },
    pointed: (state, { payload }: PayloadAction<PlanState['pointed']>) => {
      state.pointed = payload;
    },
    readTaken: (state, { payload }: PayloadAction<string>) => {
      state.lastRead = payload;
    },
    listed: (state, { payload }: PayloadAction<PlanState['listing']>) => {
      state.listing = payload;
    },
    endChosen: (state, { payload }: PayloadAction<'from' | 'to'>) => {
      state.pad.moves = payload;
    },
    growthChosen: (state, { payload }: PayloadAction<PlanState['pad']['grow']>) => {
      state.pad.grow = payload;
    },
    scopeChosen: (state, { payload }: PayloadAction<'wall' | 'all'>) => {
      state.pad.scope = payload;
    },
    naming: (state, { payload }: PayloadAction<string | null>) => {
      state.naming = payload;
    },
    said: (state, { payload }: PayloadAction<PlanState['notice']>) => {
      Object.assign(state, { notice: payload });
      // what was refused is there to be seen; the next digit begins anew
      if (payload?.tone === 'refused') state.pad.shot = state.pad.text;
    },
    synced: (state, { payload }: PayloadAction<{ state: SyncState; trouble: Trouble | null; why: string }>) => {
      state.sync = payload;
    },
  },
});

/** The state without immer's proxies: plans are compared by the identity of their parts. */
const asItWas = (state: PlanState): PlanState => original(state as never) as PlanState;

/** Takes the last step of one stack back and puts it on the other. A step that no longer fits the plan is dropped, in words. */
function back(state: PlanState, from: 'past' | 'future', onto: 'past' | 'future'): PlanState {
  const step = state[from].at(-1);
  if (!step || !state.plan) return state;
  const plan = withChange(state.plan, from === 'past' ? inverse(step.change) : step.change);
  const rest = { ...state, preview: null, proposal: null, naming: null, [from]: state[from].slice(0, -1) };
  if (problemsOf(plan).length > 0) {
    return {
      ...rest,
      notice: { text: `“${step.name}” can't be taken back: the plan was changed elsewhere since.`, tone: 'refused' },
    };
  }
  const word = from === 'past' ? 'Undone' : 'Done again';
  return {
    ...rest,
    plan,
    [onto]: [...state[onto], step],
    pad: { ...state.pad, text: '' },
    notice: { text: `${word}: ${step.name}`, tone: 'said' },
  };
}

export const planActions = slice.actions;
/** The floor that is looked at is one the plan has: undone, or taken away by another, it gives way to the ground floor, and that is said. */
function onAFloor(state: PlanState): PlanState {
  const { plan, floor } = state;
  if (!plan || Object.hasOwn(plan.floors, floor)) return state;
  const { id, name } = groundFloor(plan);
  const notice = state.notice ?? { text: `That floor is no longer there; this is ${name}.`, tone: 'said' as const };
  // who takes floors away goes on looking at them
  const listing = state.listing === 'floors' ? state.listing : null;
  const moved = { ...state, floor: id, proposal: null, preview: null, naming: null, listing, notice };
  select(moved, { kind: 'nothing' });
  return moved;
}

/** Where what can be chosen by its id is kept. */
const KEPT_IN = {
  room: 'rooms',
  opening: 'openings',
  corner: 'corners',
  solid: 'solids',
  stairs: 'stairs',
  slope: 'slopes',
  break: 'breaks',
  underlay: 'underlays',
} as const;

/** What was chosen and is gone, as after Undo, is chosen no more. */
function chosenIsThere(state: PlanState): PlanState {
  const { plan, selection } = state;
  if (!plan || !('id' in selection) || !Object.hasOwn(KEPT_IN, selection.kind)) return state;
  if (Object.hasOwn(plan[KEPT_IN[selection.kind as keyof typeof KEPT_IN]], selection.id)) return state;
  const left = { ...state, naming: null };
  select(left, { kind: 'nothing' });
  return left;
}

export const planReducer: typeof slice.reducer = (state, action) => {
  const next = slice.reducer(state, action);
  return next === state ? next : chosenIsThere(onAFloor(next));
};
