import { deriveFloor } from '../../derived';
import { type Point, alongOf, headingAt, moved, offOf, rightOf } from '../../geometry';
import { type Draft, Refusal } from '../../plan/draft';
import {
  type Id,
  MOST_RISERS,
  STAIR_RULES,
  type Stair,
  type StairForm,
  type StairOpening,
  type StairRule,
  type StairTurn,
  type Units,
} from '../../plan/plan';
import { surfaceContains } from '../../rooms';
import { fromWallBehind } from '../../stairs/from-wall';
import { stairInHouse } from '../../stairs/on-floor';
import { treadsOf } from '../../stairs/steps';
import { edit } from '../edit';
import { requireFloor, requireNote, requireOne, requirePositive } from '../require';

/** Stairs, or what else leads up, from a point of a floor; `path` is the way one walks up them, as it was drawn. */
export interface AddStairs {
  readonly kind: 'addStairs';
  readonly floor: Id;
  readonly form: StairForm;
  /** The middle of the first riser, and on from corner to corner, mm. One point: along the nearest wall. */
  readonly path: readonly Point[];
  readonly turning?: StairTurn['by'];
}

/** What can be changed of stairs; what is not given stays. */
export type StairChange = Partial<Omit<Stair, 'id' | 'floor' | 'x' | 'y' | 'opening'>> & {
  readonly opening?: Partial<StairOpening>;
  /** The middle of the first riser. */
  readonly to?: Point;
  /** With its side at a wall that is near and runs along it. */
  readonly toWall?: boolean;
  /** From the wall behind to the first riser, mm. */
  readonly fromWall?: number;
  /** Risers up to its first turn. */
  readonly firstTurnAfter?: number;
  /** Of all goings together, as it was read, mm: each is its share. */
  readonly run?: number;
};

export interface ChangeStairs {
  readonly kind: 'changeStairs';
  readonly stair: Id;
  readonly change: StairChange;
}

export interface RemoveStairs {
  readonly kind: 'removeStairs';
  readonly stair: Id;
}

export interface ChooseStairRule {
  readonly kind: 'chooseStairRule';
  readonly rule: StairRule;
}

/**
 * What stairs measure that were not measured yet, mm (common practice, no source; in the US flights are 36″ wide, the least that IRC R311.7.1 allows): width, well
 * and nosing, in whole inches where the house is.
 */
const USUAL: Record<
  Units,
  { readonly width: Record<StairForm, number>; readonly newel: number; readonly well: number; readonly nosing: number }
> = {
  metric: {
    width: { stairs: 900, spiral: 700, ladder: 400, hatch: 600, ramp: 900 },
    newel: 120,
    well: 100,
    nosing: 20,
  },
  imperial: {
    width: { stairs: 914.4, spiral: 711.2, ladder: 406.4, hatch: 609.6, ramp: 914.4 },
    newel: 127,
    well: 101.6,
    nosing: 25.4,
  },
};

/** How near a wall its side may be drawn to stand at it, and how far off a wall's way its own may be, mm and degrees. */
const AT_WALL = 350;
const ALONG_WALL = 14;
/** Dragged, it is caught from nearer, mm. */
const DRAGGED = 120;
/** A corner of the way turned by less is none, degrees; one near a right angle is one. */
const LEAST_TURN = 25;
const SQUARE = 20;

function addStairs(draft: Draft, { floor, form, path, turning = 'landing' }: AddStairs): Id {
  requireFloor(draft, floor);
  const [start, ...rest] = path;
  if (!start) throw new Refusal('Draw the way up: press where it begins and drag to where it ends.');
  const id = draft.newId();
  const usual = USUAL[draft.job.units];
  const width = usual.width[form];
  const { at, turn } = placed(draft, floor, start, rest[0] ?? null, width);
  draft.put('stairs', {
    id,
    floor,
    form,
    x: Math.round(at.x),
    y: Math.round(at.y),
    turn,
    width,
    rise: null,
    risers: null,
    going: null,
    turns: [],
    side: 'right',
    well: form === 'spiral' ? usual.newel : usual.well,
    nosing: form === 'stairs' || form === 'spiral' ? usual.nosing : 0,
    open: form === 'ladder',
    rail: form === 'stairs' || form === 'spiral' ? 'both' : 'none',
    opening: { shape: form === 'ramp' ? 'none' : 'as stairs', from: null, margin: 0 },
    note: '',
  });
  if (form === 'stairs' && rest.length > 1) {
    const turns = turnsAlong(draft, id, path, turning);
    draft.put('stairs', { ...draft.stairs[id]!, turns });
    // drawn longer than the height has steps: they turn where there are some
    if (stairInHouse(draft, draft.stairs[id]!).steps.misfit)
      draft.put('stairs', { ...draft.stairs[id]!, turns: turns.map((each) => ({ ...each, after: null })) });
  }
  requireInRoom(draft, draft.stairs[id]!);
  return id;
}

/** Where it begins and which way it goes up: along a wall that is near its way, its side at that wall. */
function placed(
  draft: Draft,
  floor: Id,
  at: Point,
  to: Point | null,
  width: number,
  atWall = AT_WALL,
): { at: Point; turn: number } {
  const drawn = to && Math.hypot(to.x - at.x, to.y - at.y) > 1 ? angleOf(at, to) : null;
  const { rooms } = deriveFloor(draft.before, floor);
  let best: { at: Point; turn: number; off: number } | null = null;
  for (const face of rooms.flatMap((room) => room.faces)) {
    if (face.bulge !== 0 || face.halves[0]!.wall.kind === 'chalk') continue;
    const along = alongOf(face.course, at);
    if (along < -width || along > face.length + width) continue;
    const d = headingAt(face.course, 0);
    const way = (Math.atan2(d.y, d.x) * 180) / Math.PI;
    // put down by a tap they go the way in which there is more room
    const turns =
      drawn === null
        ? [along <= face.length / 2 ? way : way + 180]
        : [way, way + 180].filter((each) => apart(each, drawn) <= ALONG_WALL);
    const [turn] = turns;
    if (turn === undefined) continue;
    // the room is at the right hand of the face
    const off = Math.abs(offOf(face.course, at) - width / 2);
    if (off < (best?.off ?? Infinity))
      best = { off, turn, at: off <= atWall ? moved(at, rightOf(d), width / 2 - offOf(face.course, at)) : at };
  }
  const { at: found = at, turn = drawn ?? 0 } = (best as { at: Point; turn: number } | null) ?? {};
  // 0 − 0 is 0
  return { at: found, turn: Math.round(turn * 10) / 10 + 0 };
}

const angleOf = (a: Point, b: Point): number => (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;
/** Between two directions, degrees, −180 to 180. */
const turnBetween = (from: number, to: number): number => ((((to - from + 180) % 360) + 360) % 360) - 180;
const apart = (a: number, b: number): number => Math.abs(turnBetween(a, b));

/** The turns of a way that was drawn, right angles where they nearly are, each after as many risers as its leg is long. Two quarters close together turn back. */
function turnsAlong(draft: Draft, id: Id, path: readonly Point[], by: StairTurn['by']): readonly StairTurn[] {
  const stair = draft.stairs[id]!;
  const { going } = stairInHouse(draft, stair).steps;
  const { width } = stair;
  const legs = path.slice(1).map((b, i) => ({
    angle: angleOf(path[i]!, b),
    long: Math.hypot(b.x - path[i]!.x, b.y - path[i]!.y),
  }));
  const turns: StairTurn[] = [];
  let risers = 0;
  for (let i = 0; i + 1 < legs.length; i += 1) {
    const angle = turnBetween(legs[i]!.angle, legs[i + 1]!.angle);
    const straight = legs[i]!.long - width / 2 - (i > 0 ? width / 2 : 0);
    risers += 1 + Math.max(0, Math.round(straight / going));
    if (Math.abs(angle) < LEAST_TURN) continue;
    const squared = Math.abs(Math.abs(angle) - 90) <= SQUARE ? Math.sign(angle) * 90 : Math.round(angle);
    const next = legs[i + 2] ? turnBetween(legs[i + 1]!.angle, legs[i + 2]!.angle) : 0;
    if (Math.sign(next) === Math.sign(squared) && Math.abs(next) > 60 && legs[i + 1]!.long < 1.6 * width) {
      turns.push({ after: risers, angle: Math.sign(squared) * 180, by });
      i += 1;
    } else turns.push({ after: risers, angle: Math.max(-150, Math.min(150, squared)), by });
    // a landing is one tread, winders are several
    risers += treadsOf(turns.at(-1)!) - 1;
  }
  return turns;
}

function changeStairs(draft: Draft, { stair: id, change }: ChangeStairs): void {
  const stair = requireStairs(draft, id);
  const { toWall, run, opening, firstTurnAfter, fromWall, ...own } = change;
  const { to = fromWall === undefined ? undefined : offWall(draft, stair, fromWall), ...given } = own;
  const [first, ...others] = given.turns ?? stair.turns;
  const rest =
    firstTurnAfter === undefined || !first
      ? given
      : { ...given, turns: [{ ...first, after: firstTurnAfter }, ...others] };
  for (const [name, mm] of Object.entries({
    'A width': rest.width,
    'A rise': rest.rise,
    'A going': rest.going,
    'The whole going': run,
  }))
    if (typeof mm === 'number') requirePositive(mm, name);
  if (typeof rest.risers === 'number') requireRisers(rest.risers);
  if (rest.note !== undefined) requireNote(rest.note);
  for (const { after } of rest.turns ?? [])
    if (after !== null && !(Number.isInteger(after) && after >= 1))
      throw new Refusal('A turn comes after a whole number of risers, 1 at least.');
  const put = (fields: Partial<Stair>) => draft.put('stairs', { ...draft.stairs[id]!, ...fields });
  put({
    ...rest,
    ...(to && placeOf(draft, stair, to, toWall ?? false)),
    ...(opening && { opening: { ...stair.opening, ...opening } }),
  });
  if (run !== undefined) put({ going: run / goings(draft, id) });
  const { steps, shape } = stairInHouse(draft, draft.stairs[id]!);
  // what is typed of turns must be what is built; what was there before and no longer fits is said beside the stairs
  if (steps.misfit && (rest.turns || rest.risers !== undefined)) throw new Refusal(steps.misfit);
  if (shape.length > LONGEST) throw new Refusal('Stairs longer than 30 m can’t be right.');
  if (to || rest.turn !== undefined) requireInRoom(draft, draft.stairs[id]!);
}

/** Where it begins so far from the wall behind it, on the way it goes. */
function offWall(draft: Draft, stair: Stair, mm: number): Point {
  const now = fromWallBehind(stair, deriveFloor(draft.before, stair.floor));
  if (now === null) throw new Refusal('There is no wall behind its first step to be so far from.');
  const angle = (stair.turn * Math.PI) / 180;
  return moved(stair, { x: Math.cos(angle), y: Math.sin(angle) }, mm - now);
}

function placeOf(draft: Draft, { floor, turn, width }: Stair, to: Point, toWall: boolean): Point {
  if (!toWall) return { x: to.x, y: to.y };
  const way = { x: Math.cos((turn * Math.PI) / 180), y: Math.sin((turn * Math.PI) / 180) };
  const { at } = placed(draft, floor, to, moved(to, way, 1000), width, DRAGGED);
  return { x: Math.round(at.x), y: Math.round(at.y) };
}

/** mm */
const LONGEST = 30_000;

/** Treads that have the going: all of a flight, and winders. */
const goings = (draft: Draft, id: Id): number => {
  const { steps } = stairInHouse(draft, draft.stairs[id]!);
  return Math.max(
    1,
    steps.flights.reduce((sum, count) => sum + count, 0),
  );
};

function requireRisers(risers: number): void {
  if (!Number.isInteger(risers)) throw new Refusal('Risers are counted: a whole number.');
  if (risers < 2) throw new Refusal('Stairs have 2 risers at least; one step is a step in the floor.');
  if (risers > MOST_RISERS) throw new Refusal(`More than ${MOST_RISERS} risers to a floor can’t be right.`);
}

function removeStairs(draft: Draft, { stair }: RemoveStairs): void {
  requireStairs(draft, stair);
  draft.drop('stairs', stair);
}

const requireStairs = (draft: Draft, id: Id): Stair =>
  requireOne(draft, 'stairs', id, 'Those stairs are no longer there.');

/** Stairs begin in a room, where there are any: nobody climbs them from within a wall. */
function requireInRoom(draft: Draft, { floor, x, y }: Stair): void {
  const { rooms } = deriveFloor(draft.before, floor);
  if (rooms.length > 0 && !rooms.some(({ outline }) => surfaceContains(outline.rings, { x, y })))
    throw new Refusal('Stairs begin in a room. Put their first step inside one.');
}

function chooseStairRule(draft: Draft, { rule }: ChooseStairRule): void {
  if (!STAIR_RULES.includes(rule)) throw new Refusal('Stairs are held against UK or US rules, or general ones.');
  draft.job = { ...draft.job, stairRule: rule };
}

export const stairsEdits = {
  addStairs: edit<AddStairs>('add stairs', addStairs),
  changeStairs: edit<ChangeStairs>('change stairs', changeStairs),
  removeStairs: edit<RemoveStairs>('remove stairs', removeStairs),
  chooseStairRule: edit<ChooseStairRule>('rule for stairs', chooseStairRule),
};
