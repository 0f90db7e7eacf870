import {
  type Collection,
  type Corner,
  type Misclosure,
  type Reading,
  type Wall,
  misclosuresOf,
  networkOf,
} from '@velvet-tape/core';
import { expose } from 'comlink';

const trueUp = {
  /** Where the readings of a floor contradict each other. */
  misclosures: (corners: Collection<Corner>, walls: readonly Wall[], readings: readonly Reading[]): Misclosure[] =>
    misclosuresOf(networkOf(corners, walls), readings),
};

export type TrueUp = typeof trueUp;

expose(trueUp);
