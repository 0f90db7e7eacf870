import { edit } from './edit';
import type { UnderlayChange } from './parts';
import type { Point } from '../geometry';
import { type Draft, Refusal } from '../plan/draft';
import { type Id, type Reading, USUAL_LOOK, type Underlay, type PictureDetails } from '../plan/plan';
import { deviationOfTraced, fitScale, fitStretched, lengthOfSpan, rescaleFor, scaleOf } from '../underlay';
import { formatLength } from '../units';
import { requireFloor, requireName } from './require';
import { settle } from './settle';
import { requireUnderlay } from './trace';

/** Of a picture at least so much is left when it is cropped, px. */
const LEAST_LEFT = 20;

export interface AddUnderlay {
  readonly kind: 'addUnderlay';
  readonly floor: Id;
  readonly picture: PictureDetails;
  readonly name: string;
  /** Where its middle goes. */
  readonly at: Point;
  readonly calibration?: Underlay['calibration'];
  readonly paper?: number | null;
}

export function addUnderlay(draft: Draft, { floor, picture, name, at, calibration, paper = null }: AddUnderlay): Id {
  requireFloor(draft, floor);
  const id = draft.newId();
  const there = draft.on('underlays', floor);
  draft.put('underlays', {
    id,
    floor,
    name: requireName(name),
    ...picture,
    calibration: requireCalibration(calibration ?? { kind: 'none' }),
    paper,
    correction: 1,
    at: { x: at.x, y: at.y },
    turn: 0,
    crop: null,
    look: USUAL_LOOK,
    locked: false,
    hidden: false,
    prints: false,
    order: 1 + Math.max(-1, ...there.map(({ order }) => order)),
  });
  return id;
}

export interface ChangeUnderlay {
  readonly kind: 'changeUnderlay';
  readonly underlay: Id;
  readonly change: UnderlayChange;
}

/** Another look, place or scale. With another scale what was taken off it and not taped since is as long as it now says. */
export function changeUnderlay(draft: Draft, { underlay: id, change }: ChangeUnderlay): void {
  const before = requireUnderlay(draft, id);
  if (before.locked && (change.at || change.turn !== undefined || change.calibration))
    throw new Refusal('This underlay is locked. Unlock it to move or scale it.');
  if (change.calibration) requireCalibration(change.calibration);
  if (change.crop) requireCrop(before, change.crop);
  const name = change.name === undefined ? before.name : requireName(change.name);
  // a new scale is what it says: what taped lengths said of the old one is no longer so
  const correction = change.calibration ? 1 : before.correction;
  const after = { ...before, ...change, name, correction };
  draft.put('underlays', after);
  if (change.calibration && scaleOf(before).known) rescaleReadings(draft, after, null);
}

/** Another picture of the same: what was marked stays where it was. With a calibration it shows something else. */
export interface ReplacePicture {
  readonly kind: 'replacePicture';
  readonly underlay: Id;
  readonly picture: PictureDetails;
  readonly calibration?: Underlay['calibration'];
  readonly paper?: number | null;
}

/**
 * Another picture in its place. Of the same thing (a better scan) it lies where the old one lay, and what was marked is marked on it, in proportion. With a
 * calibration it is another view: nothing of the old marks holds.
 */
export function replacePicture(
  draft: Draft,
  { underlay: id, picture, calibration, paper = null }: ReplacePicture,
): void {
  const before = requireUnderlay(draft, id);
  if (calibration) {
    draft.put('underlays', {
      ...before,
      ...picture,
      calibration: requireCalibration(calibration),
      paper,
      correction: 1,
      crop: null,
    });
    return;
  }
  const [x, y] = [picture.width / before.width, picture.height / before.height];
  const over = (p: Point) => ({ x: p.x * x, y: p.y * y });
  const { crop } = before;
  draft.put('underlays', {
    ...before,
    ...picture,
    paper: before.paper && before.paper / Math.sqrt(x * y),
    calibration: scaledMarks(before, over, Math.sqrt(x * y), Math.abs(x / y - 1) > 0.005),
    crop: crop && { left: crop.left * x, right: crop.right * x, top: crop.top * y, bottom: crop.bottom * y },
  });
  for (const reading of tracedReadings(draft, id)) {
    const { traced } = reading;
    draft.put('readings', { ...reading, traced: { ...traced!, span: over(traced!.span) } });
  }
}

function scaledMarks(
  { calibration }: Underlay,
  over: (p: Point) => Point,
  larger: number,
  stretched: boolean,
): Underlay['calibration'] {
  switch (calibration.kind) {
    case 'none':
      return calibration;
    case 'printed':
      return { ...calibration, perPixel: calibration.perPixel / larger };
    case 'known': {
      const distances = calibration.distances.map((known) => ({ ...known, a: over(known.a), b: over(known.b) }));
      // of other proportions than the old one, it is stretched against it
      return {
        ...calibration,
        distances,
        stretched: calibration.stretched || (stretched && fitStretched(distances) !== null),
      };
    }
  }
}

export interface OrderUnderlay {
  readonly kind: 'orderUnderlay';
  readonly underlay: Id;
  readonly by: 1 | -1;
}

/** It changes places with the one over or under it. */
export function orderUnderlay(draft: Draft, { underlay: id, by }: OrderUnderlay): void {
  const underlay = requireUnderlay(draft, id);
  const sorted = [...draft.on('underlays', underlay.floor)].sort((a, b) => a.order - b.order);
  const at = sorted.findIndex((each) => each.id === id);
  const to = at + by;
  if (to < 0 || to >= sorted.length) return;
  sorted.splice(to, 0, ...sorted.splice(at, 1));
  sorted.forEach((each, order) => {
    if (each.order !== order) draft.put('underlays', { ...each, order });
  });
}

export interface RemoveUnderlay {
  readonly kind: 'removeUnderlay';
  readonly underlay: Id;
}

/** Takes the picture away. The plan, and what was taken off it, stay as they are. */
export function removeUnderlay(draft: Draft, { underlay }: RemoveUnderlay): void {
  requireUnderlay(draft, underlay);
  draft.drop('underlays', underlay);
}

/** Lengths that are only scaled follow what was taped since. */
export interface Rescale {
  readonly kind: 'rescale';
  readonly underlay: Id;
}

/** What is only scaled follows what was taped since; so does the picture, round the corner the last tape began at. */
export function rescale(draft: Draft, { underlay: id }: Rescale): void {
  const underlay = requireUnderlay(draft, id);
  const found = rescaleFor(draft, underlay);
  if (!found) throw new Refusal('Nothing has been taped yet where this underlay says something else.');
  const { factor, stays } = found;
  const about = draft.corners[stays] ?? underlay.at;
  const at = {
    x: about.x + factor * (underlay.at.x - about.x),
    y: about.y + factor * (underlay.at.y - about.y),
  };
  const after = { ...underlay, at, correction: underlay.correction * factor };
  draft.put('underlays', after);
  rescaleReadings(draft, after, stays);
}

/** Readings that come from this underlay, and were not taped since. */
const tracedReadings = (draft: Draft, underlay: Id): Reading[] =>
  Object.values(draft.readings).filter(
    ({ instrument, traced }) => instrument === 'scaled' && traced?.underlay === underlay,
  );

function rescaleReadings(draft: Draft, underlay: Underlay, stays: Id | null): void {
  const readings = tracedReadings(draft, underlay.id);
  if (readings.length === 0) return;
  for (const reading of readings) {
    const { traced } = reading;
    const value = lengthOfSpan(underlay, traced!.span);
    const deviation = deviationOfTraced(underlay, value);
    const text = formatLength(value, draft.job.units);
    draft.put('readings', { ...reading, value, text, traced: { ...traced!, deviation } });
  }
  settle(draft, underlay.floor, { adjust: { stay: [stays ?? readings[0]!.from] }, keepRooms: true });
}

function requireCalibration(calibration: Underlay['calibration']): Underlay['calibration'] {
  if (calibration.kind === 'printed' && !(calibration.perPixel > 0 && calibration.ratio >= 1))
    throw new Refusal('A printed scale is 1 to something, like 1:50, and a scan has dots to the inch, like 300.');
  if (calibration.kind !== 'known') return calibration;
  const { distances } = calibration;
  if (distances.some(({ value }) => !(value > 0) || value > 1e6))
    throw new Refusal('A distance must be more than 0 and less than a kilometre.');
  if (!fitScale(distances)) throw new Refusal('Mark two different points.');
  if (calibration.stretched && !fitStretched(distances))
    throw new Refusal('To tell how it is stretched, one distance along the picture and one across it are needed.');
  return calibration;
}

function requireCrop({ width, height }: Underlay, crop: NonNullable<Underlay['crop']>): void {
  if (
    crop.left + crop.right > width - LEAST_LEFT ||
    crop.top + crop.bottom > height - LEAST_LEFT ||
    Math.min(crop.left, crop.right, crop.top, crop.bottom) < 0
  )
    throw new Refusal('That would leave nothing of the picture.');
}

export const underlaysEdits = {
  addUnderlay: edit<AddUnderlay>('add underlay', addUnderlay),
  changeUnderlay: edit<ChangeUnderlay>('change underlay', changeUnderlay),
  replacePicture: edit<ReplacePicture>('replace picture', replacePicture),
  orderUnderlay: edit<OrderUnderlay>('order underlays', orderUnderlay),
  removeUnderlay: edit<RemoveUnderlay>('remove underlay', removeUnderlay),
  rescale: edit<Rescale>('rescale', rescale),
};
