import { unkeepable } from '../document/plain-data';
import { tooMany } from '../document/problems';
import { unsoundness } from '../document/sound-edit';
import { Draft, Refusal } from '../plan/draft';
import type { Id, Plan } from '../plan/plan';
import { LONGEST_NAME } from '../plan/schema';
import { bendWall } from './bend-wall';
import { bump } from './bump';
import { closeEnd } from './close-end';
import { drawBox } from './draw-box';
import { drawPath } from './draw-path';
import { keepFlush } from './flush';
import type { Intent } from './intent';
import { addCorner, moveCorner, removeCorner } from './move-corner';
import { moveWall } from './move-wall';
import { readGap } from './gaps';
import { changeTypeOfAll, dropUnusedTypes, takeOtherType } from './opening-types';
import { addOpening, changeOpening, flipOpening, removeOpening, spaceOpenings, swingOpening } from './openings';
import { removeWall } from './remove-wall';
import { changeReading, loosenReading, pinCorners, takeReading, tapeLength } from './readings';
import { readHeight, setCeilingHeight } from './heights';
import { requireName, requirePositive } from './require';
import { colourRoom, nameRoom, placeLabel } from './rooms';
import { addSolid, changeSolid, removeSolid } from './solids';
import { setThickness } from './thickness';
import { openingsToAdd, takeWalls } from './take-walls';
import { transformRooms } from './transform-rooms';
import { addUnderlay, changeUnderlay, orderUnderlay, removeUnderlay, replacePicture, rescale } from './underlays';
import { setWallKind } from './wall-kind';

export type EditResult =
  | {
      readonly ok: true;
      readonly plan: Plan;
      /** What the person should be told, in plain sentences. */
      readonly notes: readonly string[];
      /** The entity the edit made, if it made one: a room or an opening. */
      readonly made: Id | null;
    }
  | {
      readonly ok: false;
      readonly reason: string;
      /** The reading that stands in the way: without it the edit could be done. */
      readonly inTheWay: Id | null;
      /** Not a rule of the house but a fault of this program: what it was. Nothing was changed. */
      readonly fault?: string;
    };

/**
 * Does what the intent says, or refuses with a reason in plain words; the plan given is never changed.
 * `seed` makes the ids of what is new: unique among all edits of all devices, the same for a preview and
 * its commit. `held` walls are at the rim of a part of a plan: what they are is not for the part to say.
 */
export function applyEdit(plan: Plan, intent: Intent, seed: string, held: ReadonlySet<Id> = NONE): EditResult {
  const spoilt = unkeepable(intent);
  if (spoilt) return refused(spoilt);
  const draft = new Draft(plan, seed, held);
  try {
    const made = perform(draft, intent);
    if (draft.openings !== plan.openings) dropUnusedTypes(draft);
    const done = { ok: true as const, plan: draft.plan(), notes: draft.notes, made: made ?? null };
    const many = tooMany(done.plan);
    if (many) return refused(many);
    const fault = unsoundness(plan, done.plan);
    if (fault !== null) return faulty(fault);
    return intent.kind === 'takeWalls' ? withOpenings(done, intent, seed) : done;
  } catch (error) {
    if (error instanceof Refusal) return refused(error.message, error.inTheWay);
    return faulty(error instanceof Error ? (error.stack ?? error.message) : String(error));
  }
}

const refused = (reason: string, inTheWay: Id | null = null): EditResult => ({ ok: false, reason, inTheWay });

/** What an edit returns can always be read again; where that can't be, nothing is changed, and it is said. */
const faulty = (fault: string): EditResult => ({
  ok: false,
  reason: 'That could not be worked out here, so nothing was changed. Try it another way, or in two steps.',
  inTheWay: null,
  fault,
});

/** Doors and windows need the faces of the walls they are in: they are put in one by one, as by hand. One that does not fit is left out, and said. */
function withOpenings(
  done: Extract<EditResult, { ok: true }>,
  intent: Extract<Intent, { kind: 'takeWalls' }>,
  seed: string,
): EditResult {
  let { plan } = done;
  let left = 0;
  openingsToAdd(plan, intent).forEach((each, i) => {
    const result = applyEdit(plan, each, `${seed}.${i}`);
    if (result.ok) plan = result.plan;
    else left += 1;
  });
  const note =
    left === 1
      ? 'One opening did not fit its wall and was left out.'
      : `${left} openings did not fit their walls and were left out.`;
  return { ...done, plan, notes: left > 0 ? [...done.notes, note] : done.notes };
}

const NONE: ReadonlySet<Id> = new Set();

function perform(draft: Draft, intent: Intent): Id | void {
  switch (intent.kind) {
    case 'drawBox':
      return drawBox(draft, intent);
    case 'tapeLength':
      return tapeLength(draft, intent);
    case 'takeReading':
      return takeReading(draft, intent);
    case 'changeReading':
      return changeReading(draft, intent);
    case 'pin':
      return pinCorners(draft, intent);
    case 'loosenReading':
      return loosenReading(draft, intent);
    case 'setThickness':
      return setThickness(draft, intent);
    case 'moveWall':
      return moveWall(draft, intent);
    case 'removeWall':
      return removeWall(draft, intent);
    case 'addOpening':
      return addOpening(draft, intent);
    case 'changeOpening':
      return changeOpening(draft, intent);
    case 'flipOpening':
      return flipOpening(draft, intent);
    case 'changeType':
      return changeTypeOfAll(draft, intent);
    case 'takeType':
      return takeOtherType(draft, intent);
    case 'spaceOpenings':
      return spaceOpenings(draft, intent);
    case 'swingOpening':
      return swingOpening(draft, intent);
    case 'readGap':
      return readGap(draft, intent);
    case 'removeOpening':
      return removeOpening(draft, intent);
    case 'setCeilingHeight':
      return setCeilingHeight(draft, intent);
    case 'readHeight':
      return readHeight(draft, intent);
    case 'nameRoom':
      return nameRoom(draft, intent);
    case 'colourRoom':
      return colourRoom(draft, intent);
    case 'placeLabel':
      return placeLabel(draft, intent);
    case 'drawPath':
      return drawPath(draft, intent);
    case 'closeEnd':
      return closeEnd(draft, intent);
    case 'bump':
      return bump(draft, intent);
    case 'bendWall':
      return bendWall(draft, intent);
    case 'moveCorner':
      return moveCorner(draft, intent);
    case 'addCorner':
      return addCorner(draft, intent);
    case 'removeCorner':
      return removeCorner(draft, intent);
    case 'transformRooms':
      return transformRooms(draft, intent);
    case 'addSolid':
      return addSolid(draft, intent);
    case 'changeSolid':
      return changeSolid(draft, intent);
    case 'removeSolid':
      return removeSolid(draft, intent);
    case 'setWallKind':
      return setWallKind(draft, intent);
    case 'keepFlush':
      return keepFlush(draft, intent);
    case 'addUnderlay':
      return addUnderlay(draft, intent);
    case 'changeUnderlay':
      return changeUnderlay(draft, intent);
    case 'replacePicture':
      return replacePicture(draft, intent);
    case 'orderUnderlay':
      return orderUnderlay(draft, intent);
    case 'removeUnderlay':
      return removeUnderlay(draft, intent);
    case 'rescale':
      return rescale(draft, intent);
    case 'takeWalls':
      return takeWalls(draft, intent);
    case 'changeJob': {
      const details = { ...draft.job, ...intent.details };
      const name = requireName(details.name);
      if (name === '') throw new Refusal('Give the job a name.');
      if (details.address.length > LONGEST_NAME)
        throw new Refusal(`An address can have ${LONGEST_NAME} characters at most.`);
      Object.values(details.usual).forEach((mm) => requirePositive(mm, 'A usual size'));
      draft.job = { ...details, name };
      return;
    }
  }
}
