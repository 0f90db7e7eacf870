import type { DerivedFloor } from '../../derived';
import type { Stair, StairRule, Units } from '../../plan/plan';
import { surfaceContains } from '../../rooms';
import { decimals, formatLength } from '../../units';
import { ofStep } from '../words';
import { HEADROOM, type StairOnFloor, onLine } from '../on-floor';
import { pitchLine } from './pitch-line';
import { intersection, ringsArea, type Point } from '../../geometry';
import { ceilingOver } from '../../ceilings';

/** One thing stairs are held against, in words, and where that stands. */
export interface StairCheck {
  readonly what: 'stride' | 'rise' | 'going' | 'nosing' | 'pitch' | 'width' | 'headroom' | 'place' | 'gradient';
  readonly ok: boolean;
  readonly words: string;
  readonly source: string;
}

interface Limits {
  readonly source: string;
  /** 2 × riser + going, mm. */
  readonly stride: Range | null;
  readonly strideSource?: string;
  readonly riser: Range;
  readonly going: Range;
  /** Degrees. */
  readonly pitch: number | null;
  readonly width: number;
  readonly widthSource?: string;
}

const BLONDEL = '2 R + G, Blondel’s rule';
const PRACTICE = 'common practice, no source';

/**
 * Limits of private stairs, mm: 2 R + G of 600–640 (Blondel); Approved Document K (England): rise 150–220, going 220–300, pitch 42°, 2 R + G of 550–700; IRC R311.7:
 * rise to 7 3/4″, tread of 10″, width of 36″, headroom of 6′ 8″. The stride of Approved Document K and the figures for spirals (IRC R311.7.10.1: 9 1/2″,
 * 6 3/4″, 26″) are from memory. In general: rise, going and pitch as in England; 800 mm wide (common practice, no source).
 */
const LIMITS: Record<StairRule, Limits> = {
  general: {
    source: 'as in Approved Document K',
    stride: [600, 640],
    strideSource: BLONDEL,
    riser: [150, 220],
    going: [220, 320],
    pitch: 42,
    width: 800,
    widthSource: PRACTICE,
  },
  UK: {
    source: 'Approved Document K',
    stride: [550, 700],
    riser: [150, 220],
    going: [220, 300],
    pitch: 42,
    width: 800,
    widthSource: PRACTICE,
  },
  US: { source: 'IRC R311.7', stride: null, riser: [0, 196.85], going: [254, Infinity], pitch: null, width: 914.4 },
};
const US_SPIRAL: Limits = {
  ...LIMITS.US,
  source: 'IRC R311.7.10.1',
  riser: [0, 241.3],
  going: [171.45, Infinity],
  width: 660.4,
};
/** A small private spiral may be 600 mm wide (BS 5395-2, from memory). */
const SPIRAL = { width: 600, widthSource: 'BS 5395-2' };
/** The steepest a ramp may be: 1 in 12 (Approved Document M; ADA 405.2; from memory). */
const GRADIENT = 12;
/** Figures that differ by less say the same, mm. */
const ALIKE = 0.05;

/** What is said of stairs, the first what is wrong. Empty for a hatch, which has no steps. `floor` is the one they go up from, `above` the next: under its slopes one walks too. */
export function stairChecks(on: StairOnFloor, floor: DerivedFloor, above?: DerivedFloor): readonly StairCheck[] {
  const { stair, steps } = on;
  const { units, stairRule: rule } = floor.plan.job;
  const place = placeCheck(on, floor);
  if (stair.form === 'hatch') return place ? [place] : [];
  if (stair.form === 'ramp') return [...(place ? [place] : []), gradient(steps.rise, steps.going)];
  const head = headroomCheck(on, floor, above, rule, units);
  const rest = stair.form === 'ladder' ? [] : stepChecks(on, rule, units);
  const all = [...(place ? [place] : []), ...rest, ...(head ? [head] : [])];
  return [...all.filter(({ ok }) => !ok), ...all.filter(({ ok }) => ok)];
}

type Range = readonly [least: number, most: number];

const rangeInWords = ([least, most]: Range, units: Units): string => {
  if (most === Infinity) return `at least ${ofStep(least, units)}`;
  return least === 0 ? `at most ${ofStep(most, units)}` : `${ofStep(least, units)} to ${ofStep(most, units)}`;
};

const within = (value: number, [least, most]: Range): boolean => value >= least - ALIKE && value <= most + ALIKE;

function stepChecks({ stair, steps }: StairOnFloor, rule: StairRule, units: Units): StairCheck[] {
  const spiral = stair.form === 'spiral';
  const limits: Limits = !spiral ? LIMITS[rule] : rule === 'US' ? US_SPIRAL : { ...LIMITS[rule], ...SPIRAL };
  const { riser, going } = steps;
  const { source } = limits;
  const mm = (value: number) => ofStep(value, units);
  const range = (of: Range) => rangeInWords(of, units);
  const stride = 2 * riser + going;
  const pitch = (Math.atan2(riser, going) * 180) / Math.PI;
  return [
    ...(limits.stride
      ? [
          {
            what: 'stride' as const,
            ok: within(stride, limits.stride),
            words: `2 × rise + going is ${mm(stride)}: ${range(limits.stride)} is easy to walk.`,
            source: limits.strideSource ?? source,
          },
        ]
      : []),
    {
      what: 'rise',
      ok: within(riser, limits.riser),
      words: `Each rise is ${mm(riser)}: ${range(limits.riser)}.`,
      source,
    },
    {
      what: 'going',
      ok: within(going, limits.going),
      words: `The going is ${mm(going)}: ${range(limits.going)}.`,
      source,
    },
    ...nosingCheck(stair, going, rule, units),
    ...(limits.pitch === null
      ? []
      : [
          {
            what: 'pitch' as const,
            ok: pitch <= limits.pitch + 0.005,
            words: `The pitch is ${decimals(pitch, 1)}°: at most ${limits.pitch}°.`,
            source,
          },
        ]),
    {
      what: 'width',
      ok: stair.width >= limits.width - ALIKE,
      words: `It is ${mm(stair.width)} wide: at least ${mm(limits.width)}.`,
      source: limits.widthSource ?? source,
    },
  ];
}

/** Treads without risers overlap by 16 mm (Approved Document K, from memory); treads under 11″ have a nosing of 3/4″ to 1 1/4″ (IRC R311.7.5.3, from memory). */
function nosingCheck({ nosing, open }: Stair, going: number, rule: StairRule, units: Units): StairCheck[] {
  const wanted: Range = rule === 'US' ? [19.05, 31.75] : [16, Infinity];
  if (rule === 'US' ? going >= 279.4 : !open) return [];
  const ok = within(nosing, wanted);
  const why = open ? ', as the risers are open' : '';
  const words = `The nosing is ${ofStep(nosing, units)}: ${rangeInWords(wanted, units)}${why}.`;
  return [{ what: 'nosing', ok, words, source: rule === 'US' ? 'IRC R311.7.5.3' : 'Approved Document K' }];
}

function gradient(rise: number, length: number): StairCheck {
  const one = length / rise;
  return {
    what: 'gradient',
    ok: one >= GRADIENT - 0.005,
    words: `It rises by 1 in ${decimals(one, 1)}: 1 in ${GRADIENT} at most.`,
    source: 'Approved Document M; ADA 405.2',
  };
}

/** Where headroom is least along the walking line, and how much that is, mm; null where nothing is known to be over it. */
export function leastHeadroom(
  on: StairOnFloor,
  floor: DerivedFloor,
  above?: DerivedFloor,
): { at: Point; along: number; mm: number } | null {
  const { shape, opening, openFrom } = on;
  const steps = Math.max(1, Math.ceil(shape.length / STEP));
  // the line climbs and what is over it is level: it is least where a ceiling ends, as at the edge of the opening
  const ends = opening.length > 0 ? [openFrom - 1e-3] : [shape.length];
  const places = [...Array.from({ length: steps }, (_, i) => (shape.length * (i + 0.5)) / steps), ...ends];
  let least: { at: Point; along: number; mm: number } | null = null;
  for (const along of places) {
    if (along < 0 || along > shape.length) continue;
    const { at } = onLine(shape, along);
    const over = surfaceContains(opening, at) ? ceilingAbove(on, above, at) : ceilingAt(on, floor, at);
    const mm = over === null ? Infinity : over - pitchLine(on, along);
    if (mm < (least?.mm ?? Infinity)) least = { at, along, mm };
  }
  return least;
}

/** How finely headroom is looked for, mm. */
const STEP = 20;

/** The underside of what is over the stairs, over the lower floor, mm: the ceiling of the room there, no higher than the floor above allows. */
function ceilingAt({ underside }: StairOnFloor, floor: DerivedFloor, at: Point): number | null {
  const room = floor.rooms.find(({ outline }) => surfaceContains(outline.rings, at));
  const ceiling = room && ceilingOver(room.ceiling, at) + room.room.step;
  const over = [ceiling, underside].filter((mm) => typeof mm === 'number');
  return over.length > 0 ? Math.min(...over) : null;
}

/** Through the opening one is under the ceiling of the floor above, as under a roof. */
function ceilingAbove({ steps }: StairOnFloor, above: DerivedFloor | undefined, at: Point): number | null {
  const room = above?.rooms.find(({ outline }) => surfaceContains(outline.rings, at));
  return room ? steps.rise + ceilingOver(room.ceiling, at) + room.room.step : null;
}

function headroomCheck(
  on: StairOnFloor,
  floor: DerivedFloor,
  above: DerivedFloor | undefined,
  rule: StairRule,
  units: Units,
): StairCheck | null {
  // where there is no floor above nobody knows yet what will be over it
  const least = on.underside === null ? null : leastHeadroom(on, floor, above);
  if (!least) return null;
  const wanted = HEADROOM[rule];
  const edge = on.opening.length > 0 && Math.abs(least.along - on.openFrom) < STEP;
  const where = edge
    ? 'at the edge of the opening above'
    : surfaceContains(on.opening, least.at)
      ? 'under the ceiling of the floor above'
      : 'under the ceiling';
  return {
    what: 'headroom',
    ok: least.mm >= wanted - 0.5,
    words:
      least.mm > 0
        ? `Headroom is least ${where}: ${formatLength(least.mm, units)}; ${formatLength(wanted, units)} are wanted.`
        : 'It runs into the ceiling: the opening above begins too late, or there is none.',
    source: rule === 'US' ? 'IRC R311.7.2' : 'Approved Document K',
  };
}

/** Turns that do not fit, stairs that run out of their room and through a wall. */
function placeCheck({ stair, steps, outline, underside }: StairOnFloor, floor: DerivedFloor): StairCheck | null {
  const fault = (words: string): StairCheck => ({ what: 'place', ok: false, words, source: 'the plan' });
  if (steps.misfit) return fault(steps.misfit);
  if (underside === null && stair.form !== 'ramp') return fault('It leads to no floor yet: add one above.');
  const walls = floor.bodies.map(({ ring }) => ring);
  const through = walls.length > 0 ? ringsArea(intersection(outline, walls)) : 0;
  return through > THROUGH ? fault('It runs through a wall: it is longer or wider than there is room for.') : null;
}

/** Less than this of it in walls is no fault, mm². */
const THROUGH = 5000;
