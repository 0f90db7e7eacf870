import { distance } from '../geometry';
import { sumsOfGaps } from '../openings';
import { isPlanar } from '../document/planar';
import { type Draft, Refusal } from '../plan/draft';
import { type Id, type Reading, type Wall, placeOfReading } from '../plan/plan';
import { networkBefore, networkOfFloor, reconcileKinds, reconcileRooms, surfaceAt, surfacesOf } from '../rooms';
import { type Adjustment, SILENT, Survey, deviationOf, standingOf, trueUp, valueInWords, valueOnPlan } from '../trueup';
import { formatLength } from '../units';
import { placeByGaps } from './place-by-gaps';
import { sayMisfits } from './say-misfits';
import { type Network, dropLooseCorners, keepingSpots, planarise } from '../walls';

/** How far a taped length may drift before it counts as changed, mm. */
const DRIFT = 0.5;
/** A turn worth a word: 0.1° in radians. */
const NOTED_TURN = (0.1 * Math.PI) / 180;

export interface Settling {
  /** Walls that were added or moved. */
  readonly changed?: Iterable<Id>;
  /** Rooms may not be lost by this edit, and none may come about. */
  readonly keepRooms?: boolean;
  /** Readings given up on purpose. */
  readonly loosened?: readonly Id[];
  /** Readings that came with their walls, and differ from the plan as they did there. */
  readonly asTheyWere?: ReadonlySet<Id>;
  /** Fit the floor to its readings afterwards, these corners staying where they are. Otherwise readings must hold as they are. */
  readonly adjust?: { readonly stay: readonly Id[] };
}

/**
 * What follows every change of walls: the graph is made planar, walls take their kind, rooms their outlines,
 * readings hold (or the floor is fitted to them), openings stand where they were read. Refuses when that can't be.
 */
export function settle(draft: Draft, floor: Id, how: Settling): void {
  const { changed } = how;
  if (changed)
    keepingSpots(draft, floor, (places) => {
      planarise(draft, floor, changed, places);
      reconcileKinds(draft, floor);
    });
  else reconcileKinds(draft, floor);
  let fitted = how.adjust !== undefined;
  if (how.adjust) fitToReadings(draft, floor, how.adjust.stay);
  else if (!how.keepRooms && driftedReading(draft, floor, how.asTheyWere)) {
    fitToReadings(draft, floor, []);
    fitted = true;
  }
  if (how.changed || how.adjust) reconcileRooms(draft, floor);
  dropLooseCorners(draft, floor);
  if (draft.on('gaps', floor).length > 0) {
    const network = networkOfFloor(draft, floor);
    placeByGaps(draft, floor, network);
  }
  if (how.keepRooms) {
    requireRooms(draft);
    requireReadings(draft, how.loosened ?? []);
  }
  requireSound(draft, floor, fitted, how.asTheyWere);
  if (how.changed || how.adjust) sayMisfits(draft, floor);
}

function requireSound(draft: Draft, floor: Id, fitted: boolean, asTheyWere?: ReadonlySet<Id>): void {
  const moved = fitted ? null : driftedReading(draft, floor, asTheyWere);
  if (moved) throw standsInTheWay(draft, moved);
  const network = networkOfFloor(draft, floor);
  for (const { x, y } of network.corners.values()) {
    if (!(Math.abs(x) <= 1e7 && Math.abs(y) <= 1e7))
      throw new Refusal('That is too far away to be part of this house.');
  }
  if (!isPlanar(draft, floor, draft.before)) {
    throw new Refusal('Walls would cross each other. Check the length, or let the other corner move.');
  }
}

/** A reading whose place on the plan was changed by the edit, away from what was read; null when none was. */
function driftedReading(draft: Draft, floor: Id, asTheyWere?: ReadonlySet<Id>): Reading | null {
  const readings = draft.on('readings', floor).filter(({ id }) => !asTheyWere?.has(id));
  if (readings.length === 0) return null;
  const network = networkOfFloor(draft, floor);
  return readings.find((reading) => drifted(draft, network, reading)) ?? null;
}

function drifted(draft: Draft, network: Network, reading: Reading): boolean {
  const now = valueOnPlan(network, reading);
  if (now === null) return false;
  const off = Math.abs(now - reading.value);
  if (off <= DRIFT) return false;
  const was = draft.before.readings[reading.id];
  const before = was && valueOnPlan(networkBefore(draft, reading.floor), was);
  return before === null || before === undefined || Math.abs(now - before) > DRIFT;
}

const standsInTheWay = (draft: Draft, reading: Reading) =>
  new Refusal(
    `The ${valueInWords(reading, reading.value, draft.job.units)} you taped stands in the way. Loosen it first, or tape it again.`,
    reading.id,
  );

/** No reading may have gone; one that was taped again counts as there. */
function requireReadings(draft: Draft, loosened: readonly Id[]): void {
  const there = new Set(Object.values(draft.readings).map((reading) => placeOfReading(reading)));
  for (const reading of Object.values(draft.before.readings)) {
    if (loosened.includes(reading.id)) continue;
    if (!Object.hasOwn(draft.readings, reading.id) && !there.has(placeOfReading(reading)))
      throw standsInTheWay(draft, reading);
  }
}

function requireRooms(draft: Draft): void {
  for (const room of Object.values(draft.before.rooms)) {
    if (!Object.hasOwn(draft.rooms, room.id))
      throw new Refusal(`That would leave no floor in ${room.name || 'the room'}.`);
  }
  if (Object.keys(draft.rooms).length > Object.keys(draft.before.rooms).length) {
    throw new Refusal('A wall can’t be pushed through another wall.');
  }
}

/** Fits the floor to its readings; what the others show to be a slip is kept and said, but set aside. */
export function fitToReadings(draft: Draft, floor: Id, stay: readonly Id[]): void {
  const walls = draft.on('walls', floor);
  const own = draft.on('readings', floor);
  const sums = sumsOfGaps(networkOfFloor(draft, floor), draft.on('gaps', floor), own, draft.openingsOf(floor));
  const standing = standingOf(draft.floors[floor], walls);
  const fitted = trueUp({ corners: draft.corners, walls, readings: [...own, ...sums], standing }, stay);
  for (const [id, corner] of Object.entries(fitted.corners)) {
    if (corner !== draft.corners[id]) draft.moveCorner(id, corner);
  }
  for (const wall of fitted.walls) draft.put('walls', wall);
  requireRoom(draft, floor, fitted.report, [...own, ...sums]);
  saySquare(draft, fitted.report);
}

/** A reading that nothing contradicts, and that is not met all the same: walls beside it would have to pass each other. */
function requireRoom(draft: Draft, floor: Id, { residuals }: Adjustment['report'], readings: readonly Reading[]): void {
  const unmet = residuals.filter(
    ({ reading, by }) =>
      draft.before.readings[reading.id] !== reading &&
      Math.abs(by) > (reading.kind === 'angle' ? deviationOf(reading) : Math.max(SILENT, 2 * deviationOf(reading))),
  );
  if (unmet.length === 0) return;
  const survey = new Survey(networkOfFloor(draft, floor), readings);
  const stuck = unmet.find(({ reading }) => survey.control(reading) < UNCONTROLLED);
  if (!stuck) return;
  const words = valueInWords(stuck.reading, stuck.reading.value, draft.job.units);
  throw new Refusal(
    `${words} can’t be without one wall passing another that ends beside it. Move that one first, or take it away.`,
  );
}

/** A reading whose redundancy is less than this stands for itself. */
const UNCONTROLLED = 0.05;

/** Opposite walls that differ a little make a room that is not quite square; said once, when it comes about. */
function saySquare(draft: Draft, report: Adjustment['report']): void {
  const turned = report.turned[0];
  if (!turned || Math.abs(turned.by) < NOTED_TURN) return;
  const a = draft.corners[turned.wall.start]!;
  const b = draft.corners[turned.wall.end]!;
  const misses = writtenAs(draft, Math.sin(Math.abs(turned.by)) * distance(a, b));
  draft.notes.push(
    `${wallInWords(draft, turned.wall)} is ${misses} out of square. Read a diagonal to be sure, or tape it again.`,
  );
}

/** A small length in the unit that was typed last. */
function writtenAs(draft: Draft, mm: number): string {
  const last = Object.values(draft.readings).find((reading) => draft.before.readings[reading.id] !== reading);
  if (last?.unit === 'mm' || (last?.unit === 'm' && mm < 10)) return `${Math.max(1, Math.round(mm))} mm`;
  if (last?.unit === 'cm') return `${Math.max(0.1, Math.round(mm) / 10)} cm`;
  return formatLength(mm, draft.job.units);
}

/** “The right wall of the hall”, as it lies on the sheet. */
function wallInWords(draft: Draft, wall: Wall): string {
  const network = networkOfFloor(draft, wall.floor);
  for (const { at, name } of draft.on('rooms', wall.floor)) {
    const outline = surfaceAt(surfacesOf(network), at)?.outline;
    const half = outline?.runs.flatMap(({ halves }) => halves).find((each) => each.wall.id === wall.id);
    if (!half) continue;
    const [dx, dy] = [half.d.x, half.d.y];
    const side = Math.abs(dx) > Math.abs(dy) ? (dx > 0 ? 'top' : 'bottom') : dy > 0 ? 'right' : 'left';
    return `The ${side} wall of ${name || 'the room'}`;
  }
  return 'A wall';
}
