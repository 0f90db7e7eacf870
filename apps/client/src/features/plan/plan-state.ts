import type { GapWay, Instrument, Intent, Near, Plan, PlanChange } from '@velvet-tape/core';
import type { Trouble } from '../../sync/database';
import type { SyncState } from '../../sync/engine';
import type { Proposal } from './sketching/proposal';
import type { WalkProposal } from './sketching/walk';
import { type ToolChoices, usualChoices } from './tool-choices';

export type Selection =
  | { readonly kind: 'nothing' }
  | { readonly kind: 'room'; readonly id: string }
  /** A wall as a room sees it, by its face key. */
  | { readonly kind: 'wall'; readonly face: string }
  | { readonly kind: 'opening'; readonly id: string; readonly face: string }
  | { readonly kind: 'rooms'; readonly ids: readonly string[] }
  | { readonly kind: 'corner'; readonly id: string }
  | { readonly kind: 'solid'; readonly id: string }
  | { readonly kind: 'stairs'; readonly id: string }
  | { readonly kind: 'slope'; readonly id: string }
  /** A dormer, a beam, a dropped ceiling, a step. */
  | { readonly kind: 'break'; readonly id: string }
  | { readonly kind: 'underlay'; readonly id: string }
  /** Furniture and fittings: one, or several. */
  | { readonly kind: 'piece'; readonly ids: readonly string[] }
  /** A dimension line, or something written. */
  | { readonly kind: 'note'; readonly of: 'dimensions' | 'annotations'; readonly id: string };

export type ToolName =
  | 'choose'
  | 'measure'
  | 'box'
  | 'corners'
  | 'loop'
  | 'walk'
  | 'shape'
  | 'divide'
  | 'bump'
  | 'column'
  | 'stairs'
  | 'ceiling'
  | 'section'
  | 'areas'
  | 'pieces'
  | 'notes'
  | 'lasso'
  | 'underlay';

/** What the number pad is typing into. */
export type Field =
  | 'length'
  | 'thickness'
  | 'ceiling'
  | 'left'
  | 'right'
  | 'width'
  | 'height'
  | 'sill'
  | 'depth'
  | 'splay'
  | 'leg'
  | 'turn'
  | 'bow'
  | 'reading'
  | 'sagitta'
  | 'radius'
  | 'arc'
  | 'known'
  | 'gap'
  | 'head'
  | 'frame'
  | 'glazing'
  | 'angle'
  | 'risers'
  | 'going'
  | 'rise'
  | 'after'
  | 'well'
  | 'from'
  | 'run'
  | 'nosing'
  | 'margin'
  | 'start'
  | 'foot'
  | 'step'
  | 'pitch'
  | 'top'
  | 'out'
  | 'eaves'
  | 'ridge'
  | 'ridgeAt'
  | 'lowTo'
  | 'lowPitch'
  | 'away'
  | 'letters'
  | 'up'
  | 'behind'
  | 'ahead';

/**
 * Which side of what is chosen is looked at, in the place of its figures: what stands in it, what it is made of, what can be done with it; the tray of kinds, the
 * type, the swing.
 */
export type Panel = 'in' | 'made' | 'do' | 'tray' | 'type' | 'swing' | 'ceiling' | 'label' | 'about' | 'copies';

/** The wall is being read along: which way, and how far that has come. */
export interface ReadingAlong {
  readonly way: GapWay;
  readonly at: number;
}

/** To loosen the reading that stands in the way, and then do what was to be done; to take a dropped walk up again; to look at the house from a vantage. */
export type Offer =
  | { readonly kind: 'loosen'; readonly reading: string; readonly then: Intent }
  | { readonly kind: 'walk'; readonly walk: WalkProposal }
  | { readonly kind: 'look'; readonly vantage: string }
  /** To make what is only scaled follow what was taped. */
  | { readonly kind: 'rescale'; readonly underlay: string };

export interface Step {
  readonly name: string;
  readonly change: PlanChange;
}

/** Why a job could not be opened. */
export type NotOpened = { why: 'missing' | 'offline' } | { why: 'unreadable'; reason: string };

/** What is being done while a finger drags: for whoever shows the whole house meanwhile. */
export interface Doing {
  readonly intent: Intent;
  readonly seed: string;
}

export interface PlanState {
  jobId: string | null;
  loading: 'no' | 'loading' | 'ready' | NotOpened['why'];
  /** Why the stored plan can't be read. */
  unreadable: string;
  plan: Plan | null;
  /** What this tab last knew the device to have. */
  known: Plan | null;
  past: Step[];
  future: Step[];
  floor: string;
  /** The option that is looked at; null: the measured house. */
  option: string | null;
  tool: ToolName;
  /** The last one in hand that is not always in the row. */
  lastTool: ToolName;
  /** The page of all tools is open. */
  toolsOpen: boolean;
  choices: ToolChoices;
  /** Drawn but not kept yet. */
  proposal: Proposal | null;
  selection: Selection;
  /**
   * What to look at while something is being dragged, and why it can't be kept if it can't: the whole plan, or an
   * excerpt of it round what moves.
   */
  preview: {
    readonly plan: Plan;
    readonly near: Near | null;
    readonly reason: string | null;
    readonly doing?: Doing | null;
  } | null;
  pad: {
    field: Field | null;
    text: string;
    /** The end of a wall that moves; null: the freer one. */
    moves: 'from' | 'to' | null;
    scope: 'wall' | 'all';
    grow: 'outwards' | 'inwards' | 'both';
    /** What is in the field came from this. */
    instrument: Instrument;
    /** What a meter sent last. */
    /** What the next digit does not go on from: what a meter sent last, or what was refused or asked about. */
    shot: string;
    /** It was asked whether an unlikely size is meant. */
    asked: boolean;
  };
  /** What was typed and taken last. */
  lastRead: string | null;
  panel: Panel | null;
  readingAlong: ReadingAlong | null;
  /** The list that is open, or what is known of the job as a whole. */
  listing:
    | 'readings'
    | 'openings'
    | 'areas'
    | 'floors'
    | 'pieces'
    | 'options'
    | 'catalogue'
    | 'sheets'
    | 'views'
    | 'history'
    | 'looks'
    | 'keys'
    | 'details'
    | null;
  /** Where it was asked why the floor counts. */
  pointed: { readonly x: number; readonly y: number } | null;
  /** The room that was just drawn and waits for a name. */
  naming: string | null;
  notice: {
    readonly text: string;
    readonly tone: 'said' | 'refused';
    /** What can be done about it. */
    readonly offer?: Offer;
  } | null;
  sync: { state: SyncState; trouble: Trouble | null; why: string };
}

export const emptyPad: PlanState['pad'] = {
  field: null,
  text: '',
  moves: null,
  scope: 'wall',
  grow: 'outwards',
  instrument: 'tape',
  shot: '',
  asked: false,
};

export const initial: PlanState = {
  jobId: null,
  loading: 'no',
  unreadable: '',
  plan: null,
  known: null,
  past: [],
  future: [],
  floor: 'ground',
  option: null,
  tool: 'choose',
  lastTool: 'walk',
  toolsOpen: false,
  choices: usualChoices,
  proposal: null,
  selection: { kind: 'nothing' },
  preview: null,
  pad: emptyPad,
  lastRead: null,
  panel: null,
  readingAlong: null,
  listing: null,
  pointed: null,
  naming: null,
  notice: null,
  sync: { state: 'saved', trouble: null, why: '' },
};
