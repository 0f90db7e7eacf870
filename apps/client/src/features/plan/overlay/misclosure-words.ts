import {
  type DerivedFloor,
  type LetterBox,
  type Misclosure,
  type Point,
  type Reading,
  between,
  boxOf,
  direction,
  distance,
  leftOf,
  lineOfReading,
  moved,
  valueInWords,
} from '@velvet-tape/core';

/** A suspect on the plan: its line, and by how much it misses, written on the wall and off its middle, where no length is written on either side. */
export interface SuspectOnPlan {
  readonly reading: Reading;
  readonly line: readonly [Point, Point];
  readonly at: Point;
  readonly text: string;
}

const ASIDE = 0.25;
/** Of each contradiction so many are shown. */
const SHOWN = 2;

/** The readings that may have slipped, where that is written on the plan; px is mm of the house to a point of the screen. */
export function suspectsOnPlan(floor: DerivedFloor, misclosures: readonly Misclosure[], px: number): SuspectOnPlan[] {
  const { units } = floor.plan.job;
  return misclosures.flatMap(({ suspects, by }) =>
    suspects.slice(0, SHOWN).flatMap(({ reading }) => {
      const line = lineOfReading(floor.network, reading);
      if (!line) return [];
      const [a, b] = line;
      const at = distance(a, b) > 0 ? moved(between(a, b, ASIDE), leftOf(direction(a, b)), 3 * px) : a;
      const mm = units === 'metric' && reading.kind !== 'angle' && by < 1000;
      return [{ reading, line, at, text: `± ${mm ? `${Math.round(by)} mm` : valueInWords(reading, by, units)}?` }];
    }),
  );
}

/** Height of that lettering, px. */
export const SUSPECT_SIZE = 14;

/** What the drawing leaves room for. */
export const roomForSuspects = (suspects: readonly SuspectOnPlan[], px: number): LetterBox[] =>
  suspects.map(({ at, text }) => boxOf({ role: 'dimension.taped', at, text, turn: 0, size: 1 }, SUSPECT_SIZE * px));
