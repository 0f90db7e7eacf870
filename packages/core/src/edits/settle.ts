import { distance } from '../geometry';
import { requireFit } from '../openings';
import { isPlanar } from '../plan/check';
import { type Draft, Refusal } from '../plan/draft';
import type { Id, Reading } from '../plan/plan';
import { networkOfFloor, reconcileKinds, reconcileRooms } from '../rooms';
import { type Adjustment, adjust } from '../trueup';
import { formatLength } from '../units';
import { dropLooseCorners, insideLength, planarise } from '../walls';

/** How far a taped length may drift before it counts as changed, mm. */
const DRIFT = 0.5;
/** A wall turned by more than this to satisfy a reading says that a reading is wrong: 3° in radians. */
const MOST_TURN = (3 * Math.PI) / 180;
/** A turn worth a word: 0.1° in radians. */
const NOTED_TURN = (0.1 * Math.PI) / 180;

export interface Settling {
  /** Walls that were added or moved. */
  readonly changed?: Iterable<Id>;
  /** Rooms may not be lost by this edit, and none may come about. */
  readonly keepRooms?: boolean;
  /** Fit the floor to its readings afterwards, these corners staying where they are. Otherwise readings must hold as they are. */
  readonly adjust?: { readonly stay: readonly Id[] };
}

/**
 * What follows every change of walls: the graph is made planar, walls take their kind, rooms their outlines,
 * readings hold (or the floor is fitted to them), openings fit. Refuses when that can't be.
 */
export function settle(draft: Draft, floor: Id, how: Settling): void {
  if (how.changed) planarise(draft, floor, how.changed);
  reconcileKinds(draft, floor);
  if (how.adjust) fitToReadings(draft, floor, how.adjust.stay);
  else if (!how.keepRooms && driftedReading(draft, floor)) fitToReadings(draft, floor, []);
  if (how.changed || how.adjust) reconcileRooms(draft, floor);
  dropLooseCorners(draft, floor);
  if (how.keepRooms) {
    requireRooms(draft);
    requireReadings(draft);
  }
  requireSound(draft, floor);
}

function requireSound(draft: Draft, floor: Id): void {
  const drifted = driftedReading(draft, floor);
  if (drifted) throw standsInTheWay(draft, drifted);
  const network = networkOfFloor(draft, floor);
  for (const { x, y } of network.corners.values()) {
    if (!(Math.abs(x) <= 1e7 && Math.abs(y) <= 1e7))
      throw new Refusal('That is too far away to be part of this house.');
  }
  if (!isPlanar(draft, floor, draft.before)) {
    throw new Refusal('Walls would cross each other. Check the length, or let the other corner move.');
  }
  requireFit(
    network,
    Object.values(draft.openings).filter((o) => draft.walls[o.wall]?.floor === floor),
    highestCeiling(draft),
  );
}

/** A reading whose wall is no longer as long as it was taped; null when all hold. */
function driftedReading(draft: Draft, floor: Id): Reading | null {
  const readings = draft.on('readings', floor);
  if (readings.length === 0) return null;
  const network = networkOfFloor(draft, floor);
  return (
    readings.find(
      (reading) =>
        Math.abs((insideLength(network, reading.from, reading.to, reading.kind) ?? reading.value) - reading.value) >
        DRIFT,
    ) ?? null
  );
}

const standsInTheWay = (draft: Draft, reading: Reading) =>
  new Refusal(
    `The ${formatLength(reading.value, draft.job.units)} you taped stands in the way. Loosen it first, or tape it again.`,
  );

/** No reading may have gone; one that was taped again counts as there. */
function requireReadings(draft: Draft): void {
  const there = new Set(
    Object.values(draft.readings).map((reading) => `${reading.kind} ${reading.from}>${reading.to}`),
  );
  for (const reading of Object.values(draft.before.readings)) {
    if (!(reading.id in draft.readings) && !there.has(`${reading.kind} ${reading.from}>${reading.to}`))
      throw standsInTheWay(draft, reading);
  }
}

/** What an opening must stay under: the highest ceiling of the house. */
function highestCeiling(draft: Draft): number {
  const heights = Object.values(draft.rooms).map((room) => room.ceilingHeight ?? draft.job.usual.ceilingHeight);
  return Math.max(draft.job.usual.ceilingHeight, ...heights);
}

function requireRooms(draft: Draft): void {
  for (const room of Object.values(draft.before.rooms)) {
    if (!(room.id in draft.rooms)) throw new Refusal(`That would leave no floor in ${room.name || 'the room'}.`);
  }
  if (Object.keys(draft.rooms).length > Object.keys(draft.before.rooms).length) {
    throw new Refusal('A wall can’t be pushed through another wall.');
  }
}

function fitToReadings(draft: Draft, floor: Id, stay: readonly Id[]): void {
  const walls = draft.on('walls', floor);
  const readings = draft.on('readings', floor);
  const { corners, report } = adjust({ corners: draft.corners, walls, readings }, stay);
  refuseContradiction(draft, report);
  for (const id of Object.keys(corners)) {
    if (corners[id] !== draft.corners[id]) draft.moveCorner(id, corners[id]!);
  }
}

function refuseContradiction(draft: Draft, report: Adjustment['report']): void {
  const say = (mm: number) => formatLength(Math.abs(mm), draft.job.units);
  const missed = report.missed[0];
  if (missed && Math.abs(missed.by) > DRIFT * 2) {
    throw new Refusal(
      `The taped lengths don't agree: they miss by ${say(missed.by)}. Measure again, or loosen one of them.`,
    );
  }
  const turned = report.turned[0];
  if (!turned) return;
  const a = draft.corners[turned.wall.start]!;
  const b = draft.corners[turned.wall.end]!;
  const misses = say(Math.sin(Math.abs(turned.by)) * distance(a, b));
  if (Math.abs(turned.by) > MOST_TURN) {
    throw new Refusal(
      `This does not agree with what is taped opposite: it misses by about ${misses}. Measure again, or loosen the other length.`,
    );
  }
  if (Math.abs(turned.by) > NOTED_TURN) {
    draft.notes.push(`Opposite walls differ by ${misses}, so the room is not quite square. Both lengths hold.`);
  }
}
