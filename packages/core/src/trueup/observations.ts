import type { Point } from '../geometry';
import { type Id, type Instrument, type Reading, cornersOfReading } from '../plan/plan';
import type { Network } from '../walls';
import { deviationOf } from './deviations';
import type { Quantity } from './quantity';
import { quantityOf } from './quantity-of-place';
import type { Unknowns } from './unknowns';

/** What holds a plan together, by where it comes from. */
export type Source = Exclude<Instrument, 'tape' | 'laser'> | 'read' | 'assumed' | 'sketch' | 'pin';

/** Something known or assumed about the corners of a floor: a quantity and what it was observed to be. */
export interface Observation {
  readonly source: Source;
  readonly reading: Reading | null;
  /** Of an assumed direction: whose it is, and which. */
  readonly turns?: { readonly wall: Id; readonly meant: Point };
  /** mm; of angles radians */
  readonly deviation: number;
  readonly observed: number;
  readonly quantity: Quantity;
}

/** Observed less computed where the unknowns are x. */
export const misfitOf = ({ observed, quantity }: Observation, x: Float64Array): number => observed - quantity.value(x);

const SOURCE: Record<Instrument, Source> = { tape: 'read', laser: 'read', scaled: 'scaled', guess: 'guess' };

/** A reading as an observation; null when what it was taken from is no longer there. Arcs keep their faces at the corners as they are. */
export function readingOf(network: Network, unknowns: Unknowns, reading: Reading): Observation | null {
  if (!cornersOfReading(reading).every((id) => unknowns.has(id))) return null;
  const quantity = quantityOf(network, reading, unknowns);
  return (
    quantity && {
      source: SOURCE[reading.instrument],
      reading,
      deviation: deviationOf(reading),
      observed: reading.kind === 'angle' ? (reading.value * Math.PI) / 180 : reading.value,
      quantity,
    }
  );
}
