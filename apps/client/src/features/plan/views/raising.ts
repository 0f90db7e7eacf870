import type { Plan } from '@velvet-tape/core';
import type { Remote } from 'comlink';
import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import type { Drawing } from '@velvet-tape/core/axonometric';
import type { Texture } from '@velvet-tape/core/finishes';
import type { DayAndTime } from '@velvet-tape/core/sun';
import type { HouseToDraw, Raising, SunOverHouse } from '../../../workers/raise.worker';
import { lent } from '../later/lent';
import type { Doing } from '../plan-state';

const { changeBetween, pictureOf } = lent();

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
  const before = there;
  if (before === plan) return remote;
  // set before anything is waited for: of two that bring something each sends what is new since the other
  there = plan;
  await (before === null ? remote.open(plan) : remote.change(changeBetween(before, plan)));
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

/** The house as it is now, or as what is being done leaves it. While it is made anew the last one stands; of changes in quick succession the last is followed. */
export function useRaised(plan: Plan, option: string | null, doing: Doing | null = null): RaisedNow {
  const [now, setNow] = useState<RaisedNow>({ house: null, failed: false });
  const wanted = useRef({ plan, option, doing });
  const busy = useRef(false);
  const alive = useRef(true);
  useEffect(() => {
    wanted.current = { plan, option, doing };
    // whoever makes it already goes on with what is wanted by then
    if (busy.current) return;
    busy.current = true;
    const make = async () => {
      for (let made: typeof wanted.current | null = null; made !== wanted.current;) {
        made = wanted.current;
        const remote = await bring(made.plan);
        const house = await remote.raise(made.option, made.doing);
        if (!alive.current) return;
        shows(house);
        setNow({ house, failed: false });
      }
    };
    make()
      .catch(() => alive.current && setNow({ house: null, failed: true }))
      .finally(() => (busy.current = false));
  }, [plan, option, doing]);
  useEffect(() => {
    alive.current = true;
    return () => {
      alive.current = false;
      stopRaising();
    };
  }, []);
  return now;
}

/** A pattern that lies on the house, when it is made; null where it can’t be had. */
export const patternOf = (key: string): Promise<Texture | null> =>
  raisingWorker()
    .then((remote) => remote.pattern(key))
    .catch(() => null);

/** The sun over the house at a time; null in even light, and where nobody said where the house is. */
export async function sunNow(plan: Plan, option: string | null, time: DayAndTime | null): Promise<SunOverHouse | null> {
  if (!time) return null;
  const remote = await bring(plan);
  return remote.sun(option, time);
}

/** The sun over the house; null where nobody said where that is, or until it is worked out. */
export function useSun(plan: Plan, option: string | null, time: DayAndTime | null): SunOverHouse | null {
  const [sun, setSun] = useState<SunOverHouse | null>(null);
  useEffect(() => {
    if (!time) return undefined;
    let gone = false;
    sunNow(plan, option, time)
      .then((now) => !gone && setSun(now))
      .catch(() => !gone && setSun(null));
    return () => {
      gone = true;
    };
  }, [plan, option, time]);
  return time ? sun : null;
}

/** The house drawn in lines, as SVG; null till it is drawn, and where it is not wanted. Of drawings in quick succession the last is shown. */
export function useLines(plan: Plan | null, option: string | null, drawing: Drawing): string | null {
  const [svg, setSvg] = useState<string | null>(null);
  useEffect(() => {
    if (!plan) return undefined;
    let gone = false;
    bring(plan)
      .then((remote) => remote.lines(option, drawing))
      .then((made) => !gone && setSvg(made))
      .catch(() => !gone && setSvg(null));
    return () => {
      gone = true;
    };
  }, [plan, option, drawing]);
  return svg;
}

/** The house as a file other programs open. */
export async function gltfOf(plan: Plan, option: string | null): Promise<Uint8Array> {
  const remote = await bring(plan);
  const pictures = new Map<string, Blob>();
  for (const { look } of Object.values(plan.finishes))
    if (look.picture !== null && !pictures.has(look.picture)) pictures.set(look.picture, await pictureOf(look.picture));
  return remote.gltf(option, pictures);
}
