import type { Plan } from '@velvet-tape/core';
import type { Remote } from 'comlink';
import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import type { Drawing } from '@velvet-tape/core/axonometric';
import type { Texture } from '@velvet-tape/core/finishes';
import type { DayAndTime } from '@velvet-tape/core/sun';
import type { Drawn, HouseToDraw, Pattern, Raising, SunOverHouse } from '../../../workers/raise.worker';
import { lent } from '../later/lent';
import type { Doing } from '../plan-state';

const { changeBetween, pictureOf } = lent();

interface Running {
  readonly worker: Worker;
  readonly remote: Promise<Remote<Raising>>;
  /** Rejects when it breaks or is stopped: nobody waits for what does not come any more. */
  readonly gone: Promise<never>;
  stop(): void;
}

let running: Running | null = null;
/** The plan the worker has. */
let there: Plan | null = null;
/** What came of it, by stamps; whoever looks at it takes it from here. */
const drawings = new Map<string, Drawn>();
export const drawingOf = (stamp: string): Drawn | null => drawings.get(stamp) ?? null;
/** The patterns that lie on it, by their keys. */
const laid = new Map<string, Pattern>();
export const patternsLaid = (): Iterable<Pattern> => laid.values();

/** What raises the house, beside the page. */
function started(): Running {
  const worker = new Worker(new URL('../../../workers/raise.worker.ts', import.meta.url));
  let stop = () => {};
  const gone = new Promise<never>((_, reject) => {
    stop = () => reject(new Error('The house is not raised any more.'));
  });
  gone.catch(() => {});
  const remote = import('comlink').then(({ wrap }) => wrap<Raising>(worker));
  // the next that asks begins anew
  worker.addEventListener('error', stopRaising);
  remote.catch(stopRaising);
  return { worker, remote, gone, stop };
}

function stopRaising(): void {
  shows(null);
  running?.worker.terminate();
  running?.stop();
  running = null;
  there = null;
  drawings.clear();
  laid.clear();
}

/** Has something done by what raises the house; rejects where that breaks. */
function asked<T>(work: (remote: Remote<Raising>) => Promise<T>): Promise<T> {
  running ??= started();
  return Promise.race([running.remote.then(work), running.gone]);
}

/** Tells the worker what changed since it was last told, and has something done with that. */
function askedOf<T>(plan: Plan, work: (remote: Remote<Raising>) => Promise<T>): Promise<T> {
  return asked(async (remote) => {
    const before = there;
    // set before anything is waited for: of two that bring something each sends what is new since the other
    there = plan;
    if (before !== plan) await (before === null ? remote.open(plan) : remote.change(changeBetween(before, plan)));
    return work(remote);
  });
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

/** How many look at it. */
let lookers = 0;

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
        const { plan, option, doing } = made;
        const { house, drawn, patterns } = await askedOf(plan, (remote) => remote.raise(option, doing));
        for (const [stamp, drawing] of drawn) drawings.set(stamp, drawing);
        for (const pattern of patterns) laid.set(pattern.key, pattern);
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
    lookers += 1;
    return () => {
      alive.current = false;
      lookers -= 1;
      // from the small view one goes to the large one: what comes may be there before what goes is gone
      if (lookers === 0) stopRaising();
    };
  }, []);
  return now;
}

/** A pattern that lies on the house, when it is made; null where it can’t be had. */
export const patternOf = (key: string): Promise<Texture | null> =>
  asked((remote) => remote.pattern(key)).catch(() => null);

/** The sun over the house at a time; null in even light, and where nobody said where the house is. */
export async function sunNow(plan: Plan, option: string | null, time: DayAndTime | null): Promise<SunOverHouse | null> {
  return time && askedOf(plan, (remote) => remote.sun(option, time));
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
    askedOf(plan, (remote) => remote.lines(option, drawing))
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
  const pictures = new Map<string, Blob>();
  for (const { look } of Object.values(plan.finishes))
    if (look.picture !== null && !pictures.has(look.picture)) pictures.set(look.picture, await pictureOf(look.picture));
  return askedOf(plan, (remote) => remote.gltf(option, pictures));
}
