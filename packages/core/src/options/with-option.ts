import { type DerivedFloor, type WallFace, deriveFloor } from '../derived';
import { type Intent, applyEdit } from '../edits';
import { type Point, alongOf, distance, offOf, pointAt } from '../geometry';
import { placeOf } from '../notes/places';
import { Draft, Refusal } from '../plan/draft';
import { dropWithAll } from '../plan/footing';
import {
  type Alteration,
  type Collection,
  type Id,
  type Piece,
  type Plan,
  COLLECTIONS,
  kindOfForm,
} from '../plan/plan';
import { heal } from '../edits/heal';
import { settle } from '../edits/settle';

/** The house as an option has it. */
export interface OptionHouse {
  /** Without pieces and readings. */
  readonly plan: Plan;
  /** Walls that were not measured: they are new. */
  readonly fresh: ReadonlySet<Id>;
  /** What could not be done on the house as it is measured now, in words. */
  readonly undone: readonly { readonly alteration: Id; readonly words: string }[];
}

/** The option that is meant to be; null: there are none. */
export const chosenOption = ({ options }: Pick<Plan, 'options'>): Id | null =>
  Object.values(options).find(({ chosen }) => chosen)?.id ?? null;

/** The pieces of an option: those that are there in all of them, and its own. Null: the measured house. */
export const piecesOfOption = (pieces: Collection<Piece>, option: Id | null): Collection<Piece> =>
  Object.fromEntries(Object.entries(pieces).filter(([, piece]) => piece.option === '' || piece.option === option));

let last: { plan: Plan; houses: Map<Id, OptionHouse> } | null = null;

/** The measured house with what an option alters of it, drawn anew on the house as it is measured now. */
export function houseOfOption(plan: Plan, option: Id): OptionHouse {
  // what stands in it alters nothing of it
  const same =
    last &&
    COLLECTIONS.every((name) => name === 'pieces' || last!.plan[name] === plan[name]) &&
    last.plan.job === plan.job;
  if (!same) last = { plan, houses: new Map() };
  const { houses } = last!;
  let house = houses.get(option);
  if (!house) houses.set(option, (house = altered({ ...plan, ...BARE }, option)));
  return house;
}

/** What is read has been fitted: what is altered afterwards moves nothing that was measured. */
const BARE = { pieces: {}, readings: {}, gaps: {} } as const;

function altered(measured: Plan, option: Id): OptionHouse {
  const all = Object.values(measured.alterations).filter((each) => each.option === option);
  const undone: { alteration: Id; words: string }[] = [];
  const fresh = new Set<Id>();
  let plan = measured;
  const tried = (alteration: Alteration, work: () => Plan | string) => {
    const result = work();
    if (typeof result === 'string') undone.push({ alteration: alteration.id, words: result });
    else plan = result;
  };
  // where things are, as measured: before anything is altered
  const floors = new Map(Object.keys(measured.floors).map((id) => [id, deriveFloor(measured, id)]));
  const placed = all.map((each) => ({ each, at: placesOf(measured, floors, each) }));
  for (const { each } of placed)
    if (each.altered.kind === 'opening gone' || each.altered.kind === 'wall gone')
      tried(each, () => without(plan, each, `o${each.id}`));
  for (const { each, at } of placed) {
    if (each.altered.kind !== 'wall') continue;
    const before = plan;
    tried(each, () => withWall(plan, each, at));
    for (const id of Object.keys(plan.walls)) {
      const own = plan.walls[id]!;
      if (!Object.hasOwn(before.walls, id) && id.startsWith(`o${each.id}`) && liesAlong(plan, own, at)) fresh.add(id);
    }
  }
  for (const { each, at } of placed)
    if (each.altered.kind === 'opening') tried(each, () => withOpening(plan, each, at, all));
  return { plan, fresh, undone };
}

/** The ends of a new wall; the middle of a new opening in a measured one. */
function placesOf(
  plan: Plan,
  floors: ReadonlyMap<Id, DerivedFloor>,
  { id, floor, altered: what }: Alteration,
): readonly Point[] {
  const derived = floors.get(floor)!;
  if (what.kind === 'wall') {
    const ends = Object.values(plan.alterationEnds).filter((end) => end.alteration === id);
    return (['from', 'to'] as const).flatMap((which) => {
      const end = ends.find((each) => each.which === which);
      return end ? (placeOf(derived, end.stand) ?? []) : [];
    });
  }
  if (what.kind !== 'opening' || what.stand.kind !== 'wall') return [];
  const { stand, spec } = what;
  const at = placeOf(derived, { ...stand, offset: stand.offset + spec.width / 2 });
  return at ? [at] : [];
}

/** Along the line between two points, and no farther than a wall is thick. */
function liesAlong(plan: Plan, wall: Plan['walls'][string], [a, b]: readonly Point[]): boolean {
  if (!a || !b) return false;
  const long = distance(a, b);
  const off = (p: Point) => Math.abs((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x)) / Math.max(1, long);
  return [wall.start, wall.end].every((id) => off(plan.corners[id]!) < 20);
}

function without(plan: Plan, { altered: what, floor }: Alteration, seed: string): Plan | string {
  const draft = new Draft(plan, seed);
  try {
    if (what.kind === 'opening gone') {
      if (!Object.hasOwn(plan.openings, what.opening)) return 'The door or window is no longer there.';
      dropWithAll(draft, 'openings', what.opening, 'wanted');
      return draft.plan();
    }
    if (what.kind !== 'wall gone') return plan;
    const wall = plan.walls[what.wall];
    if (!wall) return 'The wall is no longer there.';
    dropWithAll(draft, 'walls', wall.id, 'wanted');
    for (const corner of [wall.start, wall.end]) if (draft.corners[corner]) heal(draft, floor, corner);
    settle(draft, floor, { changed: [] });
    return draft.plan();
  } catch (error) {
    if (error instanceof Refusal) return error.message;
    throw error;
  }
}

function withWall(plan: Plan, { id, floor, altered: what }: Alteration, at: readonly Point[]): Plan | string {
  if (what.kind !== 'wall') return plan;
  if (at.length < 2) return 'The new wall has lost one of its ends.';
  const drawn = applyEdit(plan, { kind: 'drawPath', floor, points: at, closed: false, chalk: what.chalk }, `o${id}`);
  if (!drawn.ok) return drawn.reason;
  if (what.chalk) return drawn.plan;
  const half = what.thickness / 2;
  const draft = new Draft(drawn.plan, `o${id}t`);
  try {
    for (const wall of Object.values(drawn.plan.walls))
      if (!Object.hasOwn(plan.walls, wall.id) && wall.id.startsWith(`o${id}`) && liesAlong(drawn.plan, wall, at))
        draft.put('walls', { ...wall, left: half, right: half, kind: 'internal', typed: true });
    settle(draft, floor, { changed: [] });
    return draft.plan();
  } catch (error) {
    if (error instanceof Refusal) return error.message;
    throw error;
  }
}

function withOpening(
  plan: Plan,
  alteration: Alteration,
  at: readonly Point[],
  all: readonly Alteration[],
): Plan | string {
  const { altered: what, floor, id } = alteration;
  if (what.kind !== 'opening') return plan;
  const { spec, stand } = what;
  const derived = deriveFloor(plan, floor);
  const middle = stand.kind === 'wall' ? at[0] : inNewWall(plan, derived, stand, spec.width, all);
  if (!middle) return 'The wall the new opening is in is no longer there.';
  const found = faceThrough(derived, middle);
  if (!found) return 'The wall the new opening is in is no longer there.';
  const { face, along } = found;
  const offset = Math.min(Math.max(0, along - spec.width / 2), Math.max(0, face.length - spec.width));
  const intent: Intent = {
    kind: 'addOpening',
    floor,
    opening: kindOfForm(spec.form),
    spec,
    face: face.key,
    end: 'left',
    offset,
  };
  const result = applyEdit(plan, intent, `o${id}`);
  if (!result.ok) return result.reason;
  const made = result.plan.openings[result.made!]!;
  return {
    ...result.plan,
    openings: { ...result.plan.openings, [made.id]: { ...made, hinge: what.hinge, swing: what.swing } },
  };
}

/** The middle of an opening in a wall that is new itself. */
function inNewWall(
  plan: Plan,
  { network }: DerivedFloor,
  { alteration, offset }: { readonly alteration: Id; readonly offset: number },
  width: number,
  all: readonly Alteration[],
): Point | null {
  if (!all.some(({ id }) => id === alteration)) return null;
  let left = offset + width / 2;
  for (const { id } of network.walls.filter((wall) => wall.id.startsWith(`o${alteration}`))) {
    const { course } = network.half(id, true);
    if (left <= course.length) return pointAt(course, left);
    left -= course.length;
  }
  return null;
}

/** The face of a wall that a point is at, or within the thickness of. */
function faceThrough({ rooms, free }: DerivedFloor, p: Point): { face: WallFace; along: number } | null {
  let best: { face: WallFace; along: number; off: number } | null = null;
  for (const face of [...rooms.flatMap(({ faces }) => faces), ...free]) {
    const along = alongOf(face.course, p);
    if (along < -1 || along > face.length + 1) continue;
    const off = Math.abs(offOf(face.course, p));
    if (off < 700 && (!best || off < best.off)) best = { face, along, off };
  }
  return best;
}
