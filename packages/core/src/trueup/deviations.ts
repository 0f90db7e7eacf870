import type { Reading } from '../plan/plan';

const RADIAN = Math.PI / 180;

/**
 * Standard deviations of what the model takes for known. Tape, laser, the eye and the right angle are common practice, no
 * source; the data sheets of hand-held laser meters say ±2 mm.
 */
export const DEVIATION = {
  /** An assumed direction, radians: half a degree. Where a diagonal or an angle was measured across it, the reading wins. */
  square: 0.5 * RADIAN,
  relaxed: 10 * RADIAN,
  /** The same while contradictions are looked for: readings must close as if corners were square. */
  closing: 0.005 * RADIAN,
  /** How far a wall that goes straight on past another is out of line, mm. */
  line: 1,
  /** Two pieces of one wall with a bay between them, mm. */
  acrossBump: 4,
  /** A sketched length, as a share of it. */
  sketch: 0.2,
  /** The same of a wall whose length was read. */
  overdrawn: 2,
  /** A corner that is told to stay, mm. */
  pinned: 0.01,
  /** An angle read with a bevel or an angle finder, radians: a quarter of a degree. */
  angle: 0.25 * RADIAN,
  /** A reading that is held for certain, as a share of what it would have. */
  held: 0.02,
} as const;

/**
 * Standard deviation of a reading: mm, of an angle radians. A tape ±3 mm and 0.1 %, a laser ±2 mm, scaled off a drawing 2 %, a guess 20 %. A tape
 * bent along a wall reads half as well, and a radius, which is struck or set out, no better than to half a percent.
 */
export function deviationOf({
  kind,
  value,
  instrument,
  held,
  traced,
  deviation,
}: Pick<Reading, 'kind' | 'value' | 'instrument' | 'held' | 'traced'> & {
  /** Of a sum of readings: it is known. */
  readonly deviation?: number;
}): number {
  if (deviation !== undefined) return deviation;
  if (traced && instrument === 'scaled') return traced.deviation * (held ? DEVIATION.held : 1);
  const usual = () => {
    if (kind === 'angle') return instrument === 'guess' ? 5 * RADIAN : DEVIATION.angle;
    switch (instrument) {
      case 'tape':
        return 3 + 0.001 * value;
      case 'laser':
        return 2;
      case 'scaled':
        return 20 + 0.02 * value;
      case 'guess':
        return DEVIATION.sketch * value;
    }
  };
  const harder = kind === 'arc' ? 2 : kind === 'radius' ? Math.max(2, (0.005 * value) / usual()) : 1;
  return usual() * harder * (held ? DEVIATION.held : 1);
}

/** What was read and what the plan makes of it are one figure up to this, mm (common practice, no source). */
export const SILENT = 5;
