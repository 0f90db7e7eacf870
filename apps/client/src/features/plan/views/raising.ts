import type { Plan } from '@velvet-tape/core';
import type { Remote } from 'comlink';
import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import type { HouseToDraw, Raising } from '../../../workers/raise.worker';
import { lent } from '../later/lent';

const { changeBetween } = lent();

let running: { readonly worker: Worker; readonly raising: Promise<Remote<Raising>> } | null = null;
/** The plan the worker has. */
let there: Plan | null = null;

/** What raises the house, beside the page. */
function raisingWorker(): Promise<Remote<Raising>> {
  if (!running) {
    const worker = new Worker(new URL('../../../workers/raise.worker.ts', import.meta.url));
    const broken = new Promise<never>((_, reject) => {
      worker.addEventListener('error', () => reject(new Error()));
    });
    const ready = import('comlink').then(({ wrap }) => wrap<Raising>(worker));
    running = { worker, raising: Promise.race([ready, broken]) };
    running.raising.catch(stopRaising);
  }
  return running.raising;
}

export function stopRaising(): void {
  shows(null);
  running?.worker.terminate();
  running = null;
  there = null;
}

/** Tells the worker what changed since it was last told. */
async function bring(plan: Plan): Promise<Remote<Raising>> {
  const remote = await raisingWorker();
  if (there === plan) return remote;
  if (there === null) await remote.open(plan);
  else await remote.change(changeBetween(there, plan));
  there = plan;
  return remote;
}

/** The house that is on the screen. */
let onScreen: HouseToDraw | null = null;
const listeners = new Set<() => void>();
export const useHouse = (): HouseToDraw | null =>
  useSyncExternalStore(
    (heard) => {
      listeners.add(heard);
      return () => listeners.delete(heard);
    },
    () => onScreen,
  );

function shows(house: HouseToDraw | null): void {
  onScreen = house;
  listeners.forEach((heard) => heard());
}

export interface RaisedNow {
  readonly house: HouseToDraw | null;
  readonly failed: boolean;
}

/** The house as it is now. While it is made anew the last one stands; of changes in quick succession the last is followed. */
export function useRaised(plan: Plan, option: string | null): RaisedNow {
  const [now, setNow] = useState<RaisedNow>({ house: null, failed: false });
  const wanted = useRef({ plan, option });
  const busy = useRef(false);
  useEffect(() => {
    wanted.current = { plan, option };
    if (busy.current) return undefined;
    let gone = false;
    busy.current = true;
    const make = async () => {
      for (let made: typeof wanted.current | null = null; made !== wanted.current;) {
        made = wanted.current;
        const remote = await bring(made.plan);
        const house = await remote.raise(made.option);
        if (gone) return;
        shows(house);
        setNow({ house, failed: false });
      }
    };
    make()
      .catch(() => !gone && setNow({ house: null, failed: true }))
      .finally(() => (busy.current = false));
    return () => {
      gone = true;
    };
  }, [plan, option]);
  useEffect(() => stopRaising, []);
  return now;
}

/** The house as a file other programs open. */
export async function gltfOf(plan: Plan, option: string | null): Promise<Uint8Array> {
  const remote = await bring(plan);
  return remote.gltf(option);
}
