import type { Progress } from '@velvet-tape/core';
import type { Remote } from 'comlink';
import type { Pictures } from '../workers/picture.worker';

/** Said when the person stopped it. */
export class Stopped extends Error {}

/** Something done to a picture beside the screen: it says how far it has come, and can be stopped. */
export interface PictureWork<T> {
  readonly done: Promise<T>;
  stop(): void;
}

/** Work on a picture in a worker of its own, which ends with it: what it took of memory is given back, and stopping it is at once. */
export function workOn<T>(
  task: (pictures: Remote<Pictures>, progress: Progress) => Promise<T>,
  progress: Progress = () => {},
): PictureWork<T> {
  const worker = new Worker(new URL('../workers/picture.worker.ts', import.meta.url));
  let stop = () => {};
  // what is still on its way from the worker when it has ended says nothing any more
  let over = false;
  const told = (share: number) => {
    if (!over) progress(share);
  };
  const stopped = new Promise<never>((_, reject) => {
    stop = () => {
      over = true;
      reject(new Stopped());
    };
    worker.onerror = () => reject(new Error('The picture could not be worked on.'));
  });
  const begun = import('comlink').then(({ wrap, proxy }) => task(wrap<Pictures>(worker), proxy(told)));
  const done = Promise.race([begun, stopped]).finally(() => {
    over = true;
    worker.terminate();
  });
  return { done, stop };
}
