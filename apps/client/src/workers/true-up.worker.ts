// only the rooms of the core it needs: a worker comes whole, nothing is left out of it
import type { Collection, Corner, Misclosure, Reading, Wall } from '@velvet-tape/core';
import { misclosuresOf } from '@velvet-tape/core/trueup';
import { networkOf } from '@velvet-tape/core/walls';
import { expose } from 'comlink';

const trueUp = {
  /** Where the readings of a floor contradict each other. */
  misclosures: (corners: Collection<Corner>, walls: readonly Wall[], readings: readonly Reading[]): Misclosure[] =>
    misclosuresOf(networkOf(corners, walls), readings),
};

export type TrueUp = typeof trueUp;

expose(trueUp);
