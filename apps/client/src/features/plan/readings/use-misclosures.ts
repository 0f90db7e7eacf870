import { type DerivedFloor, type Misclosure, misclosuresOn, rememberMisclosures } from '@velvet-tape/core';
import type { Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { TrueUp } from '../../../workers/true-up.worker';

/** With more readings than this contradictions are looked for beside the screen, and come a moment later. */
export const LARGE = 120;

let worker: Promise<Remote<TrueUp>> | null = null;
const trueUp = (): Promise<Remote<TrueUp>> =>
  (worker ??= import('comlink').then(({ wrap }) =>
    wrap<TrueUp>(new Worker(new URL('../../../workers/true-up.worker.ts', import.meta.url))),
  ));

const underWay = new WeakMap<DerivedFloor, Promise<readonly Misclosure[]>>();

/** Where the readings of a floor contradict each other: at once where there are few, else when the worker has found them. */
export async function findMisclosures(floor: DerivedFloor): Promise<readonly Misclosure[]> {
  if (floor.readings.length <= LARGE || typeof Worker === 'undefined') return misclosuresOn(floor);
  let finding = underWay.get(floor);
  if (!finding) {
    const { network, readings } = floor;
    finding = trueUp()
      .then((it) => it.misclosures(Object.fromEntries(network.corners), network.walls, readings))
      .then((found) => rememberMisclosures(floor, found));
    underWay.set(floor, finding);
  }
  return finding;
}

/** The same for a screen: while they are looked for, those of the floor before are shown. */
export function useMisclosures(floor: DerivedFloor | null): readonly Misclosure[] {
  const large = floor !== null && floor.readings.length > LARGE;
  const [found, setFound] = useState<readonly Misclosure[]>([]);
  useEffect(() => {
    if (!floor || !large) return;
    let wanted = true;
    // a floor that is only passed by on the way is not worth a search
    const timer = setTimeout(() => void findMisclosures(floor).then((list) => wanted && setFound(list)), 150);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [floor, large]);
  if (!floor || floor.readings.length < 2) return NONE;
  return large ? found : misclosuresOn(floor);
}

const NONE: readonly Misclosure[] = [];
