import type { Reading } from '../plan/plan';
import type { Network } from '../walls';
import { type Squareness, assumptionsOf } from './assumptions';
import { type Observation, readingOf } from './observations';
import type { Unknowns } from './unknowns';

/** All that is known of a floor: what was read on it, what is assumed about it, and the sketch as it is; of the corners among the unknowns. */
export const observationsOf = (
  network: Network,
  unknowns: Unknowns,
  readings: readonly Reading[],
  squareness?: Squareness,
): Observation[] => [
  ...readings.flatMap((reading) => readingOf(network, unknowns, reading) ?? []),
  ...assumptionsOf(network, unknowns, readings, squareness),
];
