import { createSelector } from '@reduxjs/toolkit';
import {
  type Box,
  type DerivedFloor,
  type DerivedRoom,
  type Finish,
  type Intent,
  type LengthUnit,
  type Piece,
  type TypedLength,
  type Plan,
  type Point,
  type Value,
  type WallFace,
  alongOf,
  applyEdit,
  deriveFloor,
  faceBehind,
  faceByKey,
  freerEnd,
  gapSequence,
  lookOf,
  ROUND,
  outlineOf,
  type Quantity,
  parseAngle,
  parseCount,
  parseLength,
  parseShare,
  parseTurn,
  partedFloor,
  ringsBox,
} from '@velvet-tape/core';
import type { RootState } from '../../store/store';
import { entryUnit } from './entry-unit';
import { selectOtherFloor } from './floors/other-floor';
import type { Field } from './plan-state';
import { type Proposal, intentOf, kindOf, withTyped } from './sketching/proposal';
import type { ProposalField } from './sketching/proposal-kind';
import { selectTracing } from './underlay/seen';
import { onPicture, tracedIntent } from './underlay/trace';

export const selectPlan = (state: RootState): Plan | null => state.plan.plan;
const selectFloorId = (state: RootState) => state.plan.floor;
const selectSelection = (state: RootState) => state.plan.selection;
const selectPad = (state: RootState) => state.plan.pad;

/** The floor as it is, and as it is shown: with what is being dragged. */
export const selectFloor = createSelector([selectPlan, selectFloorId], (plan, floor) =>
  plan ? deriveFloor(plan, floor) : null,
);

/** The box round all walls of the floor, and round the pictures and what shines through while there are no walls; null while there is nothing. */
export function houseBox(state: RootState): Box | null {
  const floor = selectFloor(state);
  if (!floor) return null;
  const pictures = Object.values(floor.plan.underlays).filter(
    (underlay) => underlay.floor === floor.floor && !underlay.hidden,
  );
  const other = selectOtherFloor(state)?.floor.bodies ?? [];
  return (
    ringsBox(floor.bodies.map((body) => body.ring)) ??
    ringsBox([...pictures.map(outlineOf), ...other.map((body) => body.ring)])
  );
}

/** What three strings round the house take, px; on a sheet narrower than this they would leave no house. */
const STRINGS = 125;
const ROOM_FOR_STRINGS = 600;

/** The sheet that is wanted round the house: for strings, where they were laid. */
export function besideHouse({ plan: { plan, floor }, view }: RootState): { margin?: number } {
  const strung = Object.values(plan?.dimensions ?? {}).some((each) => each.floor === floor && each.laid === ROUND);
  return strung && view.width > ROOM_FOR_STRINGS ? { margin: STRINGS } : {};
}

/** Sizes that may be nothing. */
const MAY_BE_ZERO: readonly Field[] = [
  'sill',
  'left',
  'right',
  'splay',
  'sagitta',
  'bow',
  'frame',
  'depth',
  'well',
  'from',
  'nosing',
  'margin',
  'start',
  'step',
  'away',
  'up',
  'behind',
  'ahead',
];

const selectKept = (state: RootState) => state.plan.proposal;

/** What the typed text says, or why it can't be read; null while nothing is typed. */
export const selectTyped = createSelector(
  [selectPad, selectPlan, selectKept, (state: RootState) => state.plan.choices.entry],
  (pad, plan, proposal, chosen): Quantity | null => {
    const { field, text } = pad;
    if (!plan || !field || text.trim() === '') return null;
    if (field === 'turn') return parseTurn(text);
    if (COUNTED.includes(field)) return parseCount(text, 'Risers are counted: a whole number.');
    if (field === 'glazing') return parseShare(text, 'Glass is 0 to 100 % of an opening.');
    if (DEGREES.includes(field))
      return parseAngle(text, 0, 90, 'A pitch is a number of degrees, like 42.5: flat is 0, a wall 90.');
    if (field === 'angle') return parseAngle(text, 0, 180, 'A leaf opens by 0 to 180 degrees.');
    if (proposal && kindOf(proposal).angle?.(proposal))
      return parseAngle(text, 0.1, 359.9, 'An angle is a number of degrees, like 87.5.');
    const entry = entryUnit(field, plan.job.units, chosen);
    if (MAY_BE_ZERO.includes(field) && /^0*[.,]?0*$/.test(text.trim())) return { ok: true, value: 0, unit: entry };
    const length = parseLength(text, entry);
    return length.ok ? { ok: true, value: length.mm, unit: length.unit } : length;
  },
);

/** The unit that a bare number in the field is read in; null where it is no length. */
export const selectEntry = (state: RootState): LengthUnit | null => {
  const { pad, plan, proposal, choices } = state.plan;
  if (!plan || !pad.field || NO_LENGTHS.includes(pad.field)) return null;
  if (proposal && kindOf(proposal).angle?.(proposal)) return null;
  return entryUnit(pad.field, plan.job.units, choices.entry);
};
/** Fields whose figure is a number of things. */
export const COUNTED: readonly Field[] = ['risers', 'after'];
/** Those of slopes. */
export const DEGREES: readonly Field[] = ['pitch', 'lowPitch'];
const NO_LENGTHS: readonly Field[] = ['turn', 'glazing', 'angle', ...DEGREES, ...COUNTED];

/** A share is no reading. */
export const unitRead = ({ unit }: Extract<Quantity, { ok: true }>): Value['unit'] => (unit === '%' ? 'm' : unit);

/** What is drawn but not kept, with the size that is being typed. */
export const selectProposal = createSelector(
  [(state: RootState) => state.plan.proposal, selectTyped, selectPad],
  (proposal, typed, pad): Proposal | null => {
    if (!proposal || !typed?.ok || !pad.field) return proposal;
    const length: TypedLength = {
      value: typed.value,
      text: pad.text.trim(),
      unit: unitRead(typed),
      instrument: pad.instrument,
    };
    return withTyped(proposal, pad.field as ProposalField, length);
  },
);

/** How far off a line of the picture what is drawn freely may be to be on it, px. */
const REACH_OF_LINES = 14;

/** What keeping the proposal would do, traced off the picture under it; null while there is nothing to keep. It is shown and kept by this one. */
export const selectProposalIntent = createSelector(
  [selectProposal, selectFloor, selectTracing, (state: RootState) => state.view.view.scale],
  (proposal, floor, tracing, scale): Intent | null => {
    const drawn = proposal && floor && intentOf(proposal, floor);
    if (!drawn) return null;
    const freely = kindOf(proposal).freely;
    return tracedIntent(freely ? onPicture(drawn, tracing, REACH_OF_LINES / scale) : drawn, tracing);
  },
);

/** The plan as it would be with the proposal kept, or why it can't be kept. */
export const selectProposed = createSelector(
  [selectPlan, selectProposal, selectProposalIntent],
  (plan, proposal, intent) => {
    if (!plan || !proposal || !intent || kindOf(proposal).unseen) return null;
    const result = applyEdit(plan, intent, 'proposal');
    return result.ok ? { plan: result.plan, reason: null } : { plan: null, reason: result.reason };
  },
);

const selectPreview = (state: RootState) => state.plan.preview;

/** While something is dragged that changes only a part of the floor: the rest as it is, and the part as it would be. */
export const selectParted = createSelector([selectPlan, selectPreview, selectFloorId], (plan, preview, floor) =>
  plan && preview?.near ? partedFloor(plan, floor, preview.plan, preview.near) : null,
);

/** The floor as it is shown, as far as it is not parted. */
export const selectShownFloor = createSelector(
  [selectPlan, selectPreview, selectProposed, selectFloorId],
  (plan, preview, proposed, floor) =>
    plan ? deriveFloor((preview?.near ? null : preview?.plan) ?? proposed?.plan ?? plan, floor) : null,
);

/** The option that is looked at; null: the measured house. */
export const selectOption = ({ plan: { plan, option } }: RootState): string | null =>
  plan && option !== null && Object.hasOwn(plan.options, option) ? option : null;

/** Those that are there in all options, and in this one. */
const inOption = <E extends { readonly option: string }>(
  all: Readonly<Record<string, E>> | undefined,
  own: string | null,
): Readonly<Record<string, E>> =>
  Object.fromEntries(Object.entries(all ?? {}).filter(([, { option }]) => option === '' || option === own));
const piecesIn = inOption<Piece>;
export const selectFinishes = createSelector(
  [(state: RootState) => state.plan.plan?.finishes, selectOption],
  inOption<Finish>,
);
export const selectPieces = createSelector([(state: RootState) => state.plan.plan?.pieces, selectOption], piecesIn);

/** Those of the option that is meant to be: what leaves as a file. */
export const piecesMeant = ({ pieces, options }: Pick<Plan, 'pieces' | 'options'>): Plan['pieces'] =>
  piecesIn(pieces, Object.values(options).find(({ chosen }) => chosen)?.id ?? null);

/** The same as they are shown: with what is being dragged. A part of the plan that is dragged has none of its own. */
export const selectShownPieces = createSelector(
  [({ plan: { plan, preview } }: RootState) => (preview && !preview.near ? preview.plan : plan)?.pieces, selectOption],
  piecesIn,
);

/** What of the plan shows on the screen. */
export const selectLook = createSelector(
  [(state: RootState) => state.plan.plan?.looks, (state: RootState) => state.plan.plan?.job.look],
  (looks, look) => lookOf({ looks: looks ?? {} }, look ?? ''),
);

/** The same in the order in which to look for what is chosen: what moves is where it has moved to. */
const selectShownParts = createSelector([selectParted, selectShownFloor], (parted, shown): DerivedFloor[] =>
  shown ? (parted ? [parted.part, shown] : [shown]) : [],
);

const firstOf = <T, R>(list: readonly T[], find: (it: T) => R | null | undefined): R | null => {
  for (const it of list) {
    const found = find(it);
    if (found) return found;
  }
  return null;
};

/** The face that is selected, itself or through an opening on it. */
export const selectFace = createSelector(
  [selectShownParts, selectFloor, selectSelection],
  (shown, floor, selection): WallFace | null => {
    if (!floor || (selection.kind !== 'wall' && selection.kind !== 'opening')) return null;
    // while it is dragged a wall may be another one: it is still the one that was chosen
    return firstOf([...shown, floor], (each) => faceByKey(each, selection.face));
  },
);

/** The distance that is being read along the chosen wall: from which mark to which, and the others. */
export const selectGapSpot = createSelector(
  [selectFace, (state: RootState) => state.plan.readingAlong],
  (face, along) => {
    if (!face || !along) return null;
    const sequence = gapSequence(
      face.openings.map(({ opening }) => opening.id),
      along.way,
    );
    const spot = sequence[along.at];
    return spot ? { ...spot, at: along.at, of: sequence.length } : null;
  },
);

/** The end of the chosen wall that moves when its length is typed. */
export const selectMoves = createSelector(
  [selectFace, selectFloor, (state: RootState) => state.plan.pad.moves],
  (face, floor, chosen): 'from' | 'to' => chosen ?? (face && floor ? freerEnd(floor, face) : 'to'),
);

export const selectOpening = createSelector([selectFace, selectSelection], (face, selection) =>
  selection.kind === 'opening' ? (face?.openings.find((on) => on.opening.id === selection.id) ?? null) : null,
);

/** The room that is selected, itself or through one of its walls. */
export const selectRoom = createSelector([selectShownParts, selectSelection, selectFace], (shown, selection, face) => {
  const id = selection.kind === 'room' ? selection.id : face?.room;
  return firstOf(shown, (floor) => floor.rooms.find((room) => room.room.id === id));
});

/** The corner that is selected, where it is shown. */
export const selectCorner = createSelector([selectShownParts, selectSelection], (shown, selection) =>
  selection.kind === 'corner' ? firstOf(shown, ({ network }) => network.corners.get(selection.id)) : null,
);

/** All rooms with their figures as they are shown, in the order of the plan. */
export const selectShownRooms = createSelector([selectShownParts], (shown): readonly DerivedRoom[] => {
  const [part, whole] = shown.length === 2 ? shown : [null, shown[0]];
  return whole?.rooms.map((each) => part?.rooms.find(({ room }) => room.id === each.room.id) ?? each) ?? [];
});

export const selectSolid = createSelector([selectShownParts, selectSelection], (shown, selection) =>
  selection.kind === 'solid'
    ? firstOf(shown, (floor) => floor.solids.find(({ solid }) => solid.id === selection.id))
    : null,
);

export const selectStairs = createSelector([selectShownParts, selectSelection], (shown, selection) =>
  selection.kind === 'stairs'
    ? firstOf(shown, (floor) => floor.stairs.find(({ stair }) => stair.id === selection.id))
    : null,
);

export const selectSlope = createSelector([selectShownParts, selectSelection], (shown, selection) =>
  selection.kind === 'slope'
    ? firstOf(shown, (floor) => floor.slopes.find(({ slope }) => slope.id === selection.id))
    : null,
);

export const selectBreak = createSelector([selectShownParts, selectSelection], (shown, selection) =>
  selection.kind === 'break'
    ? firstOf(shown, (floor) => floor.breaks.find(({ broken }) => broken.id === selection.id))
    : null,
);

/** The face something leans on, and where it stands on it, mm from the left end. */
function leanOf(floor: DerivedFloor, it: Parameters<typeof faceBehind>[1] & { width: number }, ring: readonly Point[]) {
  const face = faceBehind(floor, it);
  if (!face) return null;
  const from = alongOf(face.course, ring[0]!);
  return { face, from, to: from + it.width };
}

export const selectBreakLean = createSelector([selectShownFloor, selectBreak], (floor, on) =>
  floor && on ? leanOf(floor, on.broken, on.ring) : null,
);

export const selectLean = createSelector([selectShownFloor, selectSolid], (floor, standing) =>
  floor && standing ? leanOf(floor, standing.solid, standing.ring) : null,
);
