import { capital } from '../words';
import {
  type OpeningForm,
  type OpeningKind,
  type OpeningSpec,
  type OpeningType,
  type Units,
  OPENING_FORMS,
  kindOfForm,
} from '../plan/plan';
import { MM_PER_INCH, formatLength } from '../units';

/** Between a leaf and its frame, and between a frame and the wall, at each side, mm (common practice, no source). */
const GAP = 3;
/** What an open leaf, its hinges and the stop take off the width, mm (common practice, no source). */
const LEAF_TAKES = 35;
/** The larger leaf of a leaf and a half, as a share of its width (common practice, no source). */
export const LARGER_LEAF = 2 / 3;

/** One opening leaf of it: what has to be carried in, mm. */
export function leafWidth({ form, width }: Pick<OpeningSpec, 'form' | 'width'>): number {
  if (form === 'double door') return width / 2;
  return form === 'leaf and a half' ? width * LARGER_LEAF : width;
}

/**
 * The way through when it stands open, mm. Of two leaves both are open; sliding leaves keep half of it shut, folded ones stand in it
 * with their thickness (common practice, no source).
 */
export function clearWidth({ form, width, angle }: Pick<OpeningSpec, 'form' | 'width' | 'angle'>): number {
  switch (form) {
    case 'hinged door':
      // short of a right angle the leaf itself stands in the way
      return Math.max(0, width - LEAF_TAKES - width * Math.max(0, Math.cos((Math.min(90, angle) * Math.PI) / 180)));
    case 'double door':
    case 'leaf and a half':
      return Math.max(0, width - 2 * LEAF_TAKES);
    case 'sliding door':
      return Math.max(0, width / 2 - LEAF_TAKES);
    case 'pocket door':
      return Math.max(0, width - LEAF_TAKES);
    case 'bi-fold door':
      return Math.max(0, width - 4 * LEAF_TAKES);
    default:
      return width;
  }
}

/** The hole in the wall that it needs, mm: a door’s frame stands outside of its width, a window fills its reveals (common practice, no source). */
export function structuralSize(spec: Pick<OpeningSpec, 'form' | 'width' | 'height' | 'frame'>): {
  width: number;
  height: number;
} {
  const { form, width, height, frame } = spec;
  if (kindOfForm(form) !== 'door') return { width, height };
  return { width: width + 2 * (frame + GAP), height: height + frame + GAP };
}

/** The area of its glass, mm². */
export const glassOf = ({ width, height, glazing }: Pick<OpeningSpec, 'width' | 'height' | 'glazing'>): number =>
  width * height * glazing;

/** Has it leaves that turn about hinges at its jambs? */
export const isHinged = ({ form }: Pick<OpeningSpec, 'form'>): boolean =>
  form === 'hinged door' || form === 'double door' || form === 'leaf and a half';

/** What a type is called: by its name, else by form and size. */
export function typeName(spec: OpeningSpec & { readonly name?: string }, units: Units): string {
  if (spec.name) return spec.name;
  const glazed = spec.glazing > 0 && kindOfForm(spec.form) === 'door' ? 'glazed ' : '';
  const height = spec.toCeiling ? 'to the ceiling' : formatLength(spec.height, units);
  const words = `${glazed}${spec.form} ${formatLength(spec.width, units)} × ${height}`;
  return capital(words);
}

const plain: OpeningSpec = {
  form: 'hinged door',
  width: 830,
  height: 2040,
  sill: 0,
  toCeiling: false,
  frame: 32,
  depth: null,
  glazing: 0,
  bars: { across: 0, upright: 0 },
  angle: 90,
  material: '',
};

type Sizes = readonly [width: number, height: number, sill?: number];
const inches = (...sizes: Sizes): Sizes => sizes.map((each) => each! * MM_PER_INCH) as unknown as Sizes;

/** What each form is made in by habit, the commonest first: mm and inches (common practice, no source). */
const USUAL: Record<Units, Record<OpeningForm, readonly Sizes[]>> = {
  metric: {
    'hinged door': [
      [830, 2040],
      [930, 2040],
      [730, 2040],
      [630, 2040],
      [762, 1981],
      [838, 1981],
      [686, 1981],
    ],
    'double door': [
      [1460, 2040],
      [1660, 2040],
      [1260, 2040],
    ],
    'leaf and a half': [
      [1230, 2040],
      [1330, 2040],
    ],
    'sliding door': [
      [1800, 2100],
      [2400, 2100],
      [1500, 2040],
    ],
    'pocket door': [
      [830, 2040],
      [730, 2040],
      [930, 2040],
    ],
    'bi-fold door': [
      [2400, 2100],
      [3000, 2100],
      [1800, 2100],
    ],
    'up-and-over door': [
      [2400, 2100],
      [2500, 2000],
      [2140, 1980],
    ],
    'plain opening': [
      [900, 2040],
      [1200, 2040],
      [2400, 2040],
    ],
    'arched opening': [
      [1200, 2200],
      [900, 2100],
    ],
    'fixed window': [
      [900, 1140, 900],
      [1200, 1140, 900],
      [600, 600, 1440],
    ],
    'side-hung window': [
      [1200, 1140, 900],
      [900, 1140, 900],
      [1500, 1140, 900],
      [600, 1140, 900],
    ],
    'top-hung window': [
      [600, 600, 1440],
      [900, 600, 1440],
    ],
    'sash window': [
      [900, 1440, 600],
      [1050, 1540, 600],
    ],
    'sliding window': [
      [1200, 1140, 900],
      [1800, 1140, 900],
    ],
    'roof light': [
      [780, 1180, 900],
      [550, 780, 1100],
      [1140, 1180, 900],
    ],
    hatch: [
      [700, 500, 1000],
      [500, 400, 1000],
    ],
  },
  imperial: {
    'hinged door': [inches(30, 80), inches(32, 80), inches(36, 80), inches(28, 80), inches(24, 80)],
    'double door': [inches(60, 80), inches(72, 80), inches(48, 80)],
    'leaf and a half': [inches(48, 80), inches(54, 80)],
    'sliding door': [inches(72, 80), inches(96, 80), inches(60, 80)],
    'pocket door': [inches(30, 80), inches(32, 80), inches(36, 80)],
    'bi-fold door': [inches(48, 80), inches(36, 80), inches(72, 80)],
    'up-and-over door': [inches(96, 84), inches(108, 84)],
    'plain opening': [inches(36, 80), inches(48, 80), inches(84, 80)],
    'arched opening': [inches(48, 84), inches(36, 84)],
    'fixed window': [inches(36, 44, 36), inches(48, 44, 36), inches(24, 24, 56)],
    'side-hung window': [inches(36, 44, 36), inches(30, 44, 36), inches(48, 44, 36)],
    'top-hung window': [inches(24, 24, 56), inches(36, 24, 56)],
    'sash window': [inches(36, 54, 26), inches(30, 54, 26)],
    'sliding window': [inches(48, 44, 36), inches(72, 44, 36)],
    'roof light': [inches(30, 46, 36), inches(22, 30, 44)],
    hatch: [inches(28, 20, 40), inches(20, 16, 40)],
  },
};

/** What a form usually is like, besides its size. */
function usualOf(form: OpeningForm): Partial<OpeningSpec> {
  switch (form) {
    case 'double door':
      return { glazing: 0 };
    case 'sliding door':
    case 'bi-fold door':
      return { glazing: 0.75, frame: 40 };
    case 'up-and-over door':
      return { frame: 70 };
    case 'plain opening':
    case 'arched opening':
      return { frame: 0 };
    case 'roof light':
      return { frame: 55, glazing: 0.7 };
    case 'hatch':
      return { frame: 25 };
    case 'sash window':
      return { frame: 55, glazing: 0.7, bars: { across: 1, upright: 1 } };
    case 'fixed window':
    case 'side-hung window':
    case 'top-hung window':
    case 'sliding window':
      return { frame: 60, glazing: 0.8 };
    default:
      return {};
  }
}

/** The usual types of a form where one measures in these units, the commonest first. */
export const usualSpecs = (form: OpeningForm, units: Units): OpeningSpec[] =>
  USUAL[units][form].map(([width, height, sill = 0]) => ({ ...plain, ...usualOf(form), form, width, height, sill }));

/** What a tray of openings offers: every form as it usually is, and what is asked for by a name of its own. */
export function traySpecs(units: Units): { readonly name: string; readonly spec: OpeningSpec }[] {
  const first = (form: OpeningForm): OpeningSpec => usualSpecs(form, units)[0]!;
  const named = (form: OpeningForm, name: string, more: Partial<OpeningSpec>) => ({
    name,
    spec: { ...first(form), ...more },
  });
  return OPENING_FORMS.flatMap((form) => {
    const own = { name: form as string, spec: first(form) };
    switch (form) {
      case 'hinged door':
        return [own, named(form, 'glazed door', { glazing: 0.65 })];
      case 'plain opening':
        return [own, named(form, 'opening to the ceiling', { toCeiling: true })];
      case 'side-hung window':
        return [own, named(form, 'window with bars', { bars: { across: 2, upright: 1 } })];
      default:
        return [own];
    }
  });
}

const FIRST: Record<OpeningKind, OpeningForm> = {
  door: 'hinged door',
  window: 'side-hung window',
  opening: 'plain opening',
};

/** What a new opening is like when only its kind, or its form, is known. */
export const usualSpec = (what: OpeningKind | OpeningForm, units: Units): OpeningSpec =>
  usualSpecs(Object.hasOwn(FIRST, what) ? FIRST[what as OpeningKind] : (what as OpeningForm), units)[0]!;

const SPEC_KEYS = Object.keys(plain) as (keyof OpeningSpec)[];

/** Only what openings of a type have in common. */
export const specOf = (type: OpeningSpec): OpeningSpec =>
  Object.fromEntries(SPEC_KEYS.map((key) => [key, type[key]])) as unknown as OpeningSpec;

/** Are two types the same in everything but their ids? Rounding of inches does not count. */
export const sameType = (a: Omit<OpeningType, 'id'>, b: Omit<OpeningType, 'id'>): boolean =>
  a.name === b.name &&
  a.bars.across === b.bars.across &&
  a.bars.upright === b.bars.upright &&
  SPEC_KEYS.every((key) => {
    const [one, two] = [a[key], b[key]];
    if (key === 'bars') return true;
    return typeof one === 'number' && typeof two === 'number' ? Math.abs(one - two) < 0.05 : one === two;
  });
