import { lastFor } from '../memory';
import { type Affine, type Point, ringContains } from '../geometry';
import type { HeightReading, Id, Room, Slope } from '../plan/plan';
import { criticalValue } from '../trueup/significance';
import { deviationOf } from '../trueup/deviations';
import { type Slip, slipOf } from '../trueup/slips';
import type { Network } from '../walls';
import type { BreakOnFloor } from './break-on-floor';
import { type Frame, frameOf, onSheet, planeInFrame } from './frame';
import { type PlaneFit, type Sighting, fitPlane } from './fit-plane';

/** A height read on a slope, held against the plane that all of them make. mm */
export interface HeightOnSlope {
  readonly height: HeightReading;
  /** The plane there less what was read. */
  readonly residual: number;
  /** How well it is controlled by the others: 0 not at all, 1 wholly (its redundancy number). */
  readonly control: number;
}

/** A height that the others of its slope show to be wrong. */
export interface WrongHeight {
  readonly height: HeightReading;
  /** What it would have to be, mm. */
  readonly fits: number;
  readonly slip: Slip | null;
}

/** A slope as it lies over a floor. */
export interface SlopeOnFloor {
  readonly slope: Slope;
  readonly frame: Frame;
  /** Its height over the floor of the storey, mm; null where too little was read for it to be known. */
  readonly plane: Affine | null;
  /** What has yet to be read; null where it is known. */
  readonly wants: string | null;
  readonly fit: PlaneFit | null;
  /** How high it is at its foot, over where one stands, mm. */
  readonly foot: number | null;
  readonly heights: readonly HeightOnSlope[];
  /** Where heights contradict each other. */
  readonly wrong: WrongHeight | null;
}

/** The foot of a slope is level to this, as a rise per mm along it: a third of a degree (common practice, no source). */
const LEVEL = 0.005;
/** A pitch is read to half a degree (common practice, no source). */
const PITCH = (0.5 * Math.PI) / 180;

const last = lastFor<Slope, SlopeOnFloor>();

/** The slopes of a floor, each with its plane; one whose wall is gone is left out. */
export function slopesOn(
  plan: { slopes: Readonly<Record<Id, Slope>>; rooms: Readonly<Record<Id, Room>> },
  floor: Id,
  network: Network,
  heights: readonly HeightReading[],
  breaks: readonly BreakOnFloor[],
): readonly SlopeOnFloor[] {
  return Object.values(plan.slopes).flatMap((slope): SlopeOnFloor[] => {
    if (slope.floor !== floor) return [];
    const frame = frameOf(network, slope.stand, 0);
    if (!frame) return [];
    const own = heights.filter((height) => height.slope === slope.id);
    // a height is over where one stands
    const steps = own.map(({ room, at }) => stepAt(plan.rooms[room], breaks, onSheet(frame, at!.x, at!.y)));
    const { at, along } = frame;
    return [last(slope, [at.x, at.y, along.x, along.y, ...own, ...steps], () => onFloor(slope, frame, own, steps))];
  });
}

/** How high the floor of a room lies at a point over that of its storey, mm. */
const stepAt = (room: Room | undefined, breaks: readonly BreakOnFloor[], at: Point): number =>
  breaks.reduce(
    (sum, { broken, ring }) => (broken.form === 'step' && ringContains(ring, at) ? sum + broken.height : sum),
    room?.step ?? 0,
  );

function onFloor(slope: Slope, frame: Frame, own: readonly HeightReading[], steps: readonly number[]): SlopeOnFloor {
  const sightings: Sighting[] = own.map((height, i) => ({
    at: { c: 1, out: height.at!.y, along: height.at!.x },
    value: height.value + steps[i]!,
    deviation: deviationOf({ ...height, kind: 'length', held: false }),
  }));
  if (slope.pitch !== null) {
    const tangent = Math.tan((slope.pitch * Math.PI) / 180);
    sightings.push({
      at: { c: 0, out: 1, along: 0 },
      value: tangent,
      deviation: PITCH * (1 + tangent * tangent),
    });
  }
  if (slope.level) sightings.push({ at: { c: 0, out: 0, along: 1 }, value: 0, deviation: LEVEL });
  const wants = wantedFor(slope, own);
  const fit = wants === null ? fitPlane(sightings) : null;
  if (!fit)
    return {
      slope,
      frame,
      plane: null,
      wants: wants ?? 'one more height, away from the others',
      fit: null,
      foot: null,
      heights: [],
      wrong: null,
    };
  const plane = planeInFrame(frame, fit.c, fit.out, fit.along);
  const heights = own.map((height, i) => ({ height, residual: fit.residuals[i]!, control: fit.controls[i]! }));
  const foot = fit.c - (steps[0] ?? 0);
  return { slope, frame, plane, wants: null, fit, foot, heights, wrong: wrongOf(heights, fit, sightings) };
}

/** Heights nearer to each other than this say nothing of how a slope rises, mm. */
const APART = 100;

function wantedFor({ pitch, level }: Slope, heights: readonly HeightReading[]): string | null {
  if (heights.length === 0) return 'a height, best at its foot';
  const [first] = heights;
  const farthest = (of: 'x' | 'y') => Math.max(...heights.map(({ at }) => Math.abs(at![of] - first!.at![of])));
  if (level) return pitch !== null || farthest('y') >= APART ? null : 'its pitch, or a height farther up';
  if (heights.length < 3)
    return heights.length === 1 ? 'two more heights' : 'one more height, off the line of the others';
  return offLine(heights) >= APART ? null : 'a height off the line of the others';
}

/** How far the heights lie off the line through the two that are farthest apart, mm. */
export function offLine(heights: readonly Pick<HeightReading, 'at'>[]): number {
  const points = heights.map(({ at }) => at!);
  let pair = { a: points[0]!, b: points[0]!, apart: 0 };
  for (const a of points)
    for (const b of points) {
      const apart = Math.hypot(b.x - a.x, b.y - a.y);
      if (apart > pair.apart) pair = { a, b, apart };
    }
  const { a, b, apart } = pair;
  if (apart === 0) return 0;
  return Math.max(...points.map((p) => Math.abs((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x)) / apart));
}

/** What is controlled by less than this can't be told from what contradicts it. */
const TOLD = 0.05;

/** The height with the largest standardised residual (Baarda's w), where that is significant. */
function wrongOf(heights: readonly HeightOnSlope[], fit: PlaneFit, sightings: readonly Sighting[]): WrongHeight | null {
  const critical = criticalValue(sightings.length);
  let worst: { each: HeightOnSlope; w: number; deviation: number } | null = null;
  heights.forEach((each, i) => {
    const { deviation } = sightings[i]!;
    if (each.control < TOLD) return;
    const w = Math.abs(each.residual) / (deviation * Math.sqrt(each.control));
    if (w > critical && w > (worst?.w ?? 0)) worst = { each, w, deviation };
  });
  const found = worst as { each: HeightOnSlope; w: number; deviation: number } | null;
  if (!found) return null;
  const { height, residual, control } = found.each;
  const fits = height.value + residual / control;
  return { height, fits, slip: slipOf(height, fits, found.deviation / Math.sqrt(control)) };
}

/** Degrees. */
export const pitchOf = ({ fit }: SlopeOnFloor): number | null =>
  fit && (Math.atan(Math.hypot(fit.out, fit.along)) * 180) / Math.PI;
