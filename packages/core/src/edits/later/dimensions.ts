import { deriveFloor } from '../../derived';
import { laidOut, placeOf, saysSomething, stringsIn, stringsRound } from '../../notes';
import { type Draft, Refusal } from '../../plan/draft';
import { dropWithAll } from '../../plan/footing';
import {
  type Dimension,
  type DimensionPoint,
  type Id,
  LONGEST_FIGURE,
  NEW_DIMENSION,
  POINTS_NEEDED,
  ROUND,
  type PointStand,
} from '../../plan/plan';
import { edit } from '../edit';
import { requireFloor, requireOne } from '../require';
import { requireLettering } from './require-lettering';

type Told = Partial<Omit<Dimension, 'id' | 'floor' | 'form'>>;

export interface AddDimension extends Told {
  readonly kind: 'addDimension';
  readonly floor: Id;
  readonly form: Dimension['form'];
  /** What it measures between, in order. */
  readonly points: readonly PointStand[];
}

function addDimension(draft: Draft, { kind: _, floor, form, points, ...told }: AddDimension): Id {
  requireFloor(draft, floor);
  if (points.length < POINTS_NEEDED[form]) throw new Refusal(NEEDS[form]);
  const id = draft.newId();
  draft.put('dimensions', { ...NEW_DIMENSION, ...told, id, floor, form });
  points.forEach((stand, order) =>
    draft.put('points', { id: draft.newId(), floor, dimension: id, order, stand, said: '' }),
  );
  requireSaying(draft, id);
  return id;
}

const NEEDS: Readonly<Record<Dimension['form'], string>> = {
  line: 'A dimension line needs two points.',
  angle: 'An angle needs its vertex and a point on either side.',
  radius: 'A radius needs a curved wall.',
  level: 'A level needs a place.',
};

/** Refuses a dimension line that says nothing, and so would be there unseen; how many figures it has. */
function requireSaying(draft: Draft, id: Id): number {
  const dimension = requireDimension(draft, id);
  const derived = deriveFloor(draft.before, dimension.floor);
  const points = pointsOf(draft, id).map((point) => {
    const at = placeOf(derived, point.stand);
    if (!at) throw new Refusal('What it measures from is no longer there.');
    return { point, at };
  });
  if (!saysSomething(derived, dimension, points)) throw new Refusal(SAYS_NOTHING[dimension.form]);
  return laidOut(derived, dimension, points)?.figures.length ?? 1;
}

const SAYS_NOTHING: Readonly<Record<Dimension['form'], string>> = {
  line: 'Measured that way its points are all in one place. Take two that are apart.',
  angle: 'That is no angle: take the corner, and a place on either side of it.',
  radius: 'A radius needs a curved wall; this one is straight.',
  level: 'A level needs a place.',
};

export interface LayStrings {
  readonly kind: 'layStrings';
  readonly floor: Id;
  /** In this room; null: round the house. */
  readonly room: Id | null;
}

/** Strings are laid, in the place of those that were laid there before. */
export function layStrings(draft: Draft, { floor, room: id }: LayStrings): void {
  requireFloor(draft, floor);
  const derived = deriveFloor(draft.before, floor);
  const room = id === null ? null : derived.rooms.find((each) => each.room.id === id);
  if (room === undefined) throw new Refusal('That room is no longer there.');
  const strings = room ? stringsIn(derived, room) : stringsRound(derived);
  if (strings.length === 0)
    throw new Refusal(
      room ? 'This room has no straight wall to lay a string along.' : 'There is no room yet to lay strings round.',
    );
  takeStrings(draft, floor, id ?? ROUND);
  for (const each of strings) addDimension(draft, { kind: 'addDimension', floor, form: 'line', ...each });
}

export interface RemoveStrings {
  readonly kind: 'removeStrings';
  readonly floor: Id;
  readonly room: Id | null;
}

function removeStrings(draft: Draft, { floor, room }: RemoveStrings): void {
  if (takeStrings(draft, floor, room ?? ROUND) === 0) throw new Refusal('No strings were laid there.');
}

function takeStrings(draft: Draft, floor: Id, laid: string): number {
  const old = Object.values(draft.dimensions).filter((each) => each.floor === floor && each.laid === laid);
  for (const { id } of old) dropWithAll(draft, 'dimensions', id, 'wanted');
  return old.length;
}

export interface ChangeDimension {
  readonly kind: 'changeDimension';
  readonly dimension: Id;
  readonly to: Told;
  /** All strings that were laid with it. */
  readonly all?: boolean;
}

function changeDimension(draft: Draft, { dimension: id, to, all = false }: ChangeDimension): void {
  const dimension = requireDimension(draft, id);
  if (to.size !== undefined) requireLettering(to.size);
  if (to.round !== undefined && to.round !== null && !(to.round > 0 && to.round <= 1000))
    throw new Refusal('Figures are rounded to a metre at most.');
  const { floor, laid } = dimension;
  const changed =
    all && laid !== ''
      ? Object.values(draft.dimensions).filter((each) => each.floor === floor && each.laid === laid)
      : [dimension];
  for (const each of changed) {
    draft.put('dimensions', { ...each, ...to });
    requireSaying(draft, each.id);
  }
}

export interface RemoveDimension {
  readonly kind: 'removeDimension';
  readonly dimension: Id;
}

function removeDimension(draft: Draft, { dimension }: RemoveDimension): void {
  requireDimension(draft, dimension);
  dropWithAll(draft, 'dimensions', dimension, 'wanted');
}

export interface AddDimensionPoint {
  readonly kind: 'addDimensionPoint';
  readonly dimension: Id;
  readonly stand: PointStand;
}

/** One more point to measure to: the distance it lies in becomes two. */
function addDimensionPoint(draft: Draft, { dimension: id, stand }: AddDimensionPoint): Id {
  const { floor, form } = requireDimension(draft, id);
  if (form !== 'line') throw new Refusal('Only a dimension line can have more points.');
  const figures = requireSaying(draft, id);
  const made = draft.newId();
  const order = 1 + Math.max(...pointsOf(draft, id).map((point) => point.order));
  draft.put('points', { id: made, floor, dimension: id, order, stand, said: '' });
  if (requireSaying(draft, id) === figures) throw new Refusal('It measures to that place already.');
  return made;
}

export interface MoveDimensionPoint {
  readonly kind: 'moveDimensionPoint';
  readonly point: Id;
  readonly stand: PointStand;
}

/** It measures to something else. */
function moveDimensionPoint(draft: Draft, { point: id, stand }: MoveDimensionPoint): void {
  const point = requirePoint(draft, id);
  draft.put('points', { ...point, stand });
  requireSaying(draft, point.dimension);
}

export interface RemoveDimensionPoint {
  readonly kind: 'removeDimensionPoint';
  readonly point: Id;
}

/** Two distances become one. */
function removeDimensionPoint(draft: Draft, { point: id }: RemoveDimensionPoint): void {
  const point = requirePoint(draft, id);
  const { form, floor, turn } = requireDimension(draft, point.dimension);
  const rest = pointsOf(draft, point.dimension).filter((each) => each.id !== id);
  if (rest.length < POINTS_NEEDED[form])
    throw new Refusal('Without this point there is nothing to measure. Take the whole line away instead.');
  draft.drop('points', id);
  // the line stays where it lay, though it is measured from another point now
  const first = pointsOf(draft, point.dimension)[0]!;
  if (turn === null || first.order < point.order) return;
  const derived = deriveFloor(draft.before, floor);
  const [was, now] = [placeOf(derived, point.stand), placeOf(derived, first.stand)];
  if (!was || !now) return;
  const [x, y] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
  const dimension = draft.dimensions[point.dimension]!;
  draft.put('dimensions', { ...dimension, off: dimension.off + (was.x - now.x) * -y + (was.y - now.y) * x });
}

export interface SayFigure {
  readonly kind: 'sayFigure';
  /** The point the figure begins at. */
  readonly point: Id;
  /** Empty: the true figure. */
  readonly said: string;
}

function sayFigure(draft: Draft, { point: id, said }: SayFigure): void {
  const point = requirePoint(draft, id);
  const text = said.trim();
  if (text.length > LONGEST_FIGURE) throw new Refusal(`A figure can have ${LONGEST_FIGURE} characters at most.`);
  draft.put('points', { ...point, said: text });
}

const pointsOf = (draft: Draft, dimension: Id): DimensionPoint[] =>
  Object.values(draft.points)
    .filter((point) => point.dimension === dimension)
    .sort((a, b) => a.order - b.order);

const requireDimension = (draft: Draft, id: Id): Dimension =>
  requireOne(draft, 'dimensions', id, 'That dimension line is no longer there.');

const requirePoint = (draft: Draft, id: Id): DimensionPoint =>
  requireOne(draft, 'points', id, 'That point is no longer there.');

export const dimensionsEdits = {
  addDimension: edit<AddDimension>('dimension line', addDimension),
  layStrings: edit<LayStrings>('lay strings', layStrings),
  removeStrings: edit<RemoveStrings>('take strings away', removeStrings),
  changeDimension: edit<ChangeDimension>('change dimension line', changeDimension),
  removeDimension: edit<RemoveDimension>('remove dimension line', removeDimension),
  addDimensionPoint: edit<AddDimensionPoint>('measure to a point', addDimensionPoint),
  moveDimensionPoint: edit<MoveDimensionPoint>('measure to another point', moveDimensionPoint),
  removeDimensionPoint: edit<RemoveDimensionPoint>('take a point away', removeDimensionPoint),
  sayFigure: edit<SayFigure>(({ said }) => (said.trim() ? 'write a figure' : 'the true figure'), sayFigure),
};
