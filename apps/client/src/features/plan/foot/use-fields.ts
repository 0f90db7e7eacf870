import {
  type DerivedRoom,
  type OpeningOnFace,
  type Plan,
  type WallFace,
  bendOf,
  isHinged,
  finenessOf,
  lengthToSay,
  formatLength,
  formatSize,
  roughly,
} from '@velvet-tape/core';
import { useAppSelector } from '../../../store/store';
import type { Field } from '../plan-state';
import { spotInWords, spotLength } from '../openings/reading-along';
import {
  selectFace,
  selectGapSpot,
  selectLean,
  selectOpening,
  selectProposal,
  selectRoom,
  selectSolid,
} from '../selectors';
import { type Proposal, kindOf } from '../sketching/proposal';

export interface FieldShown {
  readonly name: Field;
  readonly label: string;
  readonly value: string;
}

const LABEL: Record<Field, string> = {
  length: 'Length',
  thickness: 'Thickness',
  ceiling: 'Ceiling',
  left: 'From left',
  right: 'From right',
  width: 'Width',
  height: 'Height',
  sill: 'Sill',
  depth: 'Depth',
  splay: 'Slant',
  leg: 'Length',
  turn: 'Turn',
  bow: 'Bow',
  sagitta: 'Bow',
  radius: 'Radius',
  arc: 'Along arc',
  reading: 'Reading',
  known: 'Distance',
  gap: 'Along the wall',
  head: 'Head',
  frame: 'Frame',
  glazing: 'Glass',
  angle: 'Opens',
};

/** What can be typed about what is being drawn, else about what is chosen, each with its value. */
export function useFields(): FieldShown[] {
  const plan = useAppSelector((state) => state.plan.plan);
  const selection = useAppSelector((state) => state.plan.selection);
  const proposal = useAppSelector(selectProposal);
  const face = useAppSelector(selectFace);
  const on = useAppSelector(selectOpening);
  const room = useAppSelector(selectRoom);
  const standing = useAppSelector(selectSolid);
  const lean = useAppSelector(selectLean);
  const spot = useAppSelector(selectGapSpot);
  const panel = useAppSelector((state) => state.plan.panel);
  if (!plan) return [];
  const long = (mm: number) => formatLength(mm, plan.job.units);
  const field = (name: Field, value: string, label = LABEL[name]): FieldShown => ({ name, label, value });
  if (proposal) return proposalFields(proposal, long);
  if (spot && face) return [field('gap', long(spotLength(face, spot)), capital(spotInWords(face, spot)))];
  if (selection.kind === 'opening' && on && face) return openingFields(on, face, panel === 'type', plan);
  if (selection.kind === 'wall' && face) {
    const bend = bendOf(face);
    return [
      field('length', lengthOf(face, plan), face.bulge === 0 ? 'Length' : 'Across'),
      ...(face.halves[0]!.wall.kind === 'chalk' ? [] : [field('thickness', thicknessOf(face, plan))]),
      ...(room ? [field('ceiling', ceilingOf(room, plan))] : []),
      field('sagitta', face.bulge === 0 ? 'straight' : long(bend.sagitta)),
      field('radius', bend.radius === null ? 'straight' : long(bend.radius)),
      ...(bend.radius === null ? [] : [field('arc', long(bend.length))]),
    ];
  }
  if (selection.kind === 'solid' && standing) {
    const { width, depth, stand, shape } = standing.solid;
    return [
      field('width', long(width), shape === 'round' && stand.kind === 'free' ? 'Diameter' : 'Width'),
      ...(shape === 'round' && stand.kind === 'free' ? [] : [field('depth', long(depth))]),
      ...(lean ? [field('left', long(lean.from)), field('right', long(lean.face.length - lean.to))] : []),
      ...(stand.kind === 'free' && shape !== 'round' ? [field('turn', `${Math.round(stand.turn)}°`)] : []),
    ];
  }
  if (selection.kind === 'rooms') return [field('turn', '0°')];
  return selection.kind === 'room' && room ? [field('ceiling', ceilingOf(room, plan))] : [];
}

/** Where it stands and how large it is; while its type is looked at, what else its type says. */
function openingFields(
  { opening, from, to }: OpeningOnFace,
  face: WallFace,
  type: boolean,
  { job }: Plan,
): FieldShown[] {
  const long = (mm: number) => formatLength(mm, job.units);
  const field = (name: Field, value: string): FieldShown => ({ name, label: LABEL[name], value });
  const height = opening.toCeiling ? 'to the ceiling' : long(opening.height);
  const window = opening.kind === 'window';
  if (type)
    return [
      field('width', long(opening.width)),
      field('height', height),
      ...(window ? [field('sill', long(opening.sill))] : []),
      field('frame', formatSize(opening.frame, job.units)),
      {
        ...field('depth', opening.depth === null ? 'as the wall' : formatSize(opening.depth, job.units)),
        label: 'Frame depth',
      },
      ...(opening.kind === 'opening' ? [] : [field('glazing', `${Math.round(100 * opening.glazing)} %`)]),
      ...(isHinged(opening) ? [field('angle', `${Math.round(opening.angle)}°`)] : []),
    ];
  return [
    field('left', long(from)),
    field('width', long(to - from)),
    field('right', long(face.length - to)),
    field('height', height),
    ...(window ? [field('sill', long(opening.sill)), field('head', long(opening.sill + opening.height))] : []),
  ];
}

function proposalFields(proposal: Proposal, long: (mm: number) => string): FieldShown[] {
  const kind = kindOf(proposal);
  return kind.fields(proposal).map((name) => {
    const value = kind.value(proposal, name);
    const shown = () =>
      kind.angle?.(proposal) ? `${value!.toFixed(1)}°` : name === 'turn' ? turnOf(value!) : long(value!);
    return { name, label: kind.label?.(proposal, name) ?? LABEL[name], value: value === null ? '–' : shown() };
  });
}

const capital = (words: string): string => words[0]!.toUpperCase() + words.slice(1);

function turnOf(degrees: number): string {
  const round = Math.round(Math.abs(degrees) * 10) / 10;
  return round === 0 ? 'straight on' : `${round}° ${degrees > 0 ? 'right' : 'left'}`;
}

function lengthOf(face: WallFace, plan: Plan): string {
  const rough = face.provenance === 'rough';
  return roughly(rough, formatLength(lengthToSay(face), plan.job.units, finenessOf(face.provenance)));
}

/** What was not measured is what is usual in the house. */
function thicknessOf(face: WallFace, plan: Plan): string {
  const sizes = new Set(face.halves.map((half) => formatSize(half.left + half.right, plan.job.units)));
  const measured = Object.values(plan.readings).some(
    ({ kind, from, to }) =>
      kind === 'thickness' && ((from === face.from && to === face.to) || (from === face.to && to === face.from)),
  );
  return sizes.size === 1 ? roughly(!measured, [...sizes][0]!) : 'mixed';
}

function ceilingOf({ room, ceilingHeight }: DerivedRoom, plan: Plan): string {
  const measured = Object.values(plan.heights).some((height) => height.room === room.id && height.at === null);
  return roughly(!measured, formatLength(ceilingHeight, plan.job.units));
}
