import type { Id, Plan } from '@velvet-tape/core';
import type { GetInAnswer, GetInQuestion } from '@velvet-tape/core/pieces/get-in';
import type { Remote } from 'comlink';
import { useSyncExternalStore } from 'react';
import type { Carrying } from '../../../workers/get-in.worker';
import { lent } from '../later/lent';

const { decimalMark } = lent();

/** What was asked last, how far that has come, what came of it, and how far along its way it is shown. */
export interface GetInState {
  readonly plan: Plan | null;
  readonly question: GetInQuestion | null;
  /** 0 to 1 while it is worked on. */
  readonly progress: number | null;
  readonly answer: GetInAnswer | null;
  readonly failed: boolean;
  /** 0 to 1 along the way. */
  readonly at: number;
}

const NOTHING: GetInState = { plan: null, question: null, progress: null, answer: null, failed: false, at: 1 };
let state = NOTHING;
const listeners = new Set<() => void>();
let worker: Worker | null = null;
let playing = 0;

function set(next: Partial<GetInState>): void {
  state = { ...state, ...next };
  listeners.forEach((heard) => heard());
}

export const useGetIn = (): GetInState =>
  useSyncExternalStore(
    (heard) => {
      listeners.add(heard);
      return () => listeners.delete(heard);
    },
    () => state,
  );

/** Asks, as an option has the house, in a worker of its own, which ends with the answer. */
export function ask(plan: Plan, option: Id | null, question: GetInQuestion): void {
  stop();
  set({ ...NOTHING, plan, question, progress: 0 });
  const own = new Worker(new URL('../../../workers/get-in.worker.ts', import.meta.url));
  worker = own;
  const broken = new Promise<never>((_, reject) => own.addEventListener('error', () => reject(new Error())));
  const answered = import('comlink').then(async ({ proxy, wrap }) => {
    const remote: Remote<Carrying> = wrap<Carrying>(own);
    await remote.decimals(decimalMark());
    return remote.getIn(
      plan,
      option,
      question,
      proxy((share: number) => worker === own && set({ progress: share })),
    );
  });
  Promise.race([answered, broken]).then(
    (answer) => {
      if (worker !== own) return;
      end();
      set({ answer, progress: null });
    },
    () => {
      if (worker !== own) return;
      end();
      set({ failed: true, progress: null });
    },
  );
}

function end(): void {
  worker?.terminate();
  worker = null;
}

/** Whatever is under way ends, unanswered. */
export function stop(): void {
  end();
  cancelAnimationFrame(playing);
  if (state.progress !== null) set({ progress: null });
}

/** How long the way takes to be shown, ms. */
const LASTS = 5000;

/** Shows the way from its beginning to its end. */
export function play(): void {
  cancelAnimationFrame(playing);
  const began = performance.now();
  const step = () => {
    const at = Math.min(1, (performance.now() - began) / LASTS);
    set({ at });
    if (at < 1) playing = requestAnimationFrame(step);
  };
  step();
}

export const showAt = (at: number): void => set({ at: Math.min(1, Math.max(0, at)) });
